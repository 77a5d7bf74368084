package app.jemble.series;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.core.series.ReEntry;
import app.jemble.core.series.SeriesException;
import app.jemble.problem.Problem;
import app.jemble.sending.HoursSpan;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/** What is said of a series as a whole: begun, and changed. */
@Service
public class SeriesService {

  private static final int MOST_CHARACTERS = 200;

  private final SeriesMapper mapper;
  private final SeriesEntries entries;
  private final OpenSeries open;
  private final StepCauses causes;
  private final AudienceParts parts;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final Clock clock;

  SeriesService(
      SeriesMapper mapper,
      SeriesEntries entries,
      OpenSeries open,
      StepCauses causes,
      AudienceParts parts,
      AccountService accounts,
      WorkspaceService workspace,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.entries = entries;
    this.open = open;
    this.causes = causes;
    this.parts = parts;
    this.accounts = accounts;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  /** Begins one, without steps; answers its id. */
  @Transactional
  public long create(String name, long topicId, boolean ownClock) {
    Account by = accounts.currentWriter();
    return mapper.create(sound(name), topic(topicId), ownClock, by.id(), clock.instant());
  }

  /** All that the colleague may see, by name. */
  public List<Series> all() {
    return mapper.all(accounts.current().id());
  }

  /** Saves what was changed; whoever is in it is looked at anew. */
  @Transactional
  public void write(long id, SeriesBody body) {
    Account by = accounts.currentWriter();
    Series before = open.lock(id);
    if (body.isPrivate() && !before.isPrivate() && before.senderId() != by.id()) {
      throw Problem.wrong("private", "Only who made a series can keep it to themselves.");
    }
    Series after =
        new Series(
            id,
            sound(body.name()),
            before.state(),
            topic(body.topicId()),
            before.senderId(),
            body.isPrivate(),
            body.ownClock(),
            hours(body.hours()),
            again(body.againDays()),
            body.endsOnReply(),
            body.endsOnClick(),
            parts.write(body.enters() == null ? List.of() : body.enters()),
            parts.write(body.ends() == null ? List.of() : body.ends()),
            before.pausedAt(),
            body.version());
    if (mapper.write(after) == 0) {
      throw Problem.conflict("Somebody changed this series in the meantime.");
    }
    causes.follow(after, mapper.steps(id));
    entries.lookAtAll(id, clock.instant());
  }

  private static String sound(String name) {
    String sound = name == null ? "" : name.strip();
    if (sound.isEmpty() || sound.length() > MOST_CHARACTERS) {
      throw Problem.wrong("name", "Name the series, in at most 200 characters.");
    }
    return sound;
  }

  private long topic(long id) {
    if (workspace.topics().stream().noneMatch(topic -> topic.id() == id)) {
      throw Problem.wrong("topicId", "Choose the topic that people can leave.");
    }
    return id;
  }

  private String hours(List<HoursSpan> spans) {
    if (spans == null) {
      return null;
    }
    if (HoursSpan.hours(spans).windows().isEmpty()) {
      throw Problem.wrong("hours", "Choose at least one hour of the week, or any time.");
    }
    return json.writeValueAsString(spans);
  }

  private static Integer again(Integer days) {
    try {
      return new ReEntry(days).afterDays();
    } catch (SeriesException wrong) {
      throw Problem.wrong("againDays", wrong.getMessage());
    }
  }
}
