package app.jemble.core.check;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.message.OutgoingNotice;
import app.jemble.core.notice.NoticeLimits;
import app.jemble.core.record.PersonId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What the notices of a mailing lack: every person's is added, then the findings are asked for. */
public final class NoticeCheck {

  private final boolean hasLink;
  private final List<PersonId> longTitles = new ArrayList<>();
  private final List<PersonId> longWords = new ArrayList<>();
  private final List<PersonId> nowhere = new ArrayList<>();
  private int mostOverTitle;
  private int mostOverWords;

  /**
   * @param hasLink whether it is written to lead somewhere
   */
  public NoticeCheck(boolean hasLink) {
    this.hasLink = hasLink;
  }

  /** Adds one person's notice. */
  public void add(PersonId person, OutgoingNotice notice) {
    int overTitle = NoticeLimits.overTitle(notice.title());
    int overWords = NoticeLimits.overWords(notice.words());
    if (overTitle > 0) {
      longTitles.add(person);
      mostOverTitle = Math.max(mostOverTitle, overTitle);
    }
    if (overWords > 0) {
      longWords.add(person);
      mostOverWords = Math.max(mostOverWords, overWords);
    }
    if (hasLink && notice.link().isEmpty()) {
      nowhere.add(person);
    }
  }

  /** What keeps it from being released, or wants a look before. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (!longTitles.isEmpty()) {
      findings.add(tooLong("title", NoticeLimits.TITLE, mostOverTitle, longTitles));
    }
    if (!longWords.isEmpty()) {
      findings.add(tooLong("text", NoticeLimits.WORDS, mostOverWords, longWords));
    }
    if (!nowhere.isEmpty()) {
      findings.add(
          new Finding(
              Severity.NOTICE,
              Code.ODD_LINK,
              "notice",
              "The link of the notice leads nowhere for " + people(nowhere.size()) + ".",
              nowhere));
    }
    return findings;
  }

  private static Finding tooLong(String what, int most, int over, List<PersonId> who) {
    return new Finding(
        Severity.BLOCKER,
        Code.LONG_NOTICE,
        what,
        String.format(
            Locale.ENGLISH,
            "The %s of the notice is longer than %d characters for %s, by %d at most; shorten it.",
            what,
            most,
            people(who.size()),
            over),
        who);
  }

  private static String people(int count) {
    return count == 1 ? "1 person" : String.format(Locale.ENGLISH, "%,d people", count);
  }
}
