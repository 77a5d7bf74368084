package app.jemble.history;

import app.jemble.core.record.Words;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.springframework.stereotype.Service;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Notes what was done, with from where; what is older than the house keeps it is forgotten. */
@Service
public class HouseHistory {

  private static final String DETAIL = HouseHistory.class.getName() + ".detail";

  private static final Duration ONE_OF_A_KIND = Duration.ofMinutes(1);

  /** What a typed login, or anything else that somebody gave, takes at most. */
  private static final int LONGEST = 500;

  /**
   * Something that was done.
   *
   * @param account whose act it was; null where somebody could not sign in
   * @param tried the login that was typed then
   */
  record Event(
      Long account,
      String tried,
      EventKind kind,
      String words,
      String about,
      String before,
      String after) {}

  /** To whom or what an act was done, and what was different before. */
  private record Detail(String about, String before, String after) {}

  private final HistoryMapper mapper;
  private final WorkspaceService workspace;
  private final Clock clock;

  HouseHistory(HistoryMapper mapper, WorkspaceService workspace, Clock clock) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** A colleague did something. */
  public void note(EventKind kind, long account, String words) {
    write(new Event(account, "", kind, words, "", "", ""));
  }

  /**
   * A colleague may not do what they asked for. The same within a minute is noted once, however
   * often a program asks.
   */
  void noteRefusal(long account, String operation, String sentence) {
    Event event =
        new Event(account, "", EventKind.REFUSED, "Was refused", operation, "", tidy(sentence));
    Instant now = clock.instant();
    mapper.noteOnce(now, event, address(), now.minus(ONE_OF_A_KIND));
  }

  /** The house itself did something. */
  public void noteOfHouse(EventKind kind, String words) {
    write(new Event(null, "", kind, words, "", "", ""));
  }

  /** Somebody could not sign in. */
  public void noteFailure(String tried, String words) {
    write(new Event(null, tidy(tried), EventKind.SIGN_IN, words, "", "", ""));
  }

  /** More of the act that is asked for now, which is noted when it is done. */
  public void tell(String about, String before, String after) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.setAttribute(
          DETAIL,
          new Detail(tidy(about), tidy(before), tidy(after)),
          RequestAttributes.SCOPE_REQUEST);
    }
  }

  /** The same, of records that say how it was and how it is. */
  public void tellChange(String about, Record before, Record after) {
    Difference difference = Difference.between(before, after);
    tell(about, difference.before(), difference.after());
  }

  /** The act that was asked for is done. */
  void noteDone(long account, Noted noted) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    Object told =
        request == null ? null : request.getAttribute(DETAIL, RequestAttributes.SCOPE_REQUEST);
    Detail detail = told instanceof Detail known ? known : new Detail("", "", "");
    write(
        new Event(
            account,
            "",
            noted.kind(),
            noted.value(),
            detail.about(),
            detail.before(),
            detail.after()));
  }

  private void write(Event event) {
    Instant now = clock.instant();
    mapper.note(now, event, address());
    mapper.forgetBefore(
        now.atOffset(ZoneOffset.UTC).minusMonths(workspace.historyMonths()).toInstant());
  }

  /** From where the colleague asks; empty for what the house does by itself. */
  public static String address() {
    return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes asked
        ? asked.getRequest().getRemoteAddr()
        : "";
  }

  private static String tidy(String given) {
    String tidy = given == null ? "" : Words.tidy(given).strip();
    return tidy.length() > LONGEST ? tidy.substring(0, LONGEST) : tidy;
  }
}
