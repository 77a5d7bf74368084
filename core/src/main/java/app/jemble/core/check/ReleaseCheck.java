package app.jemble.core.check;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.merge.Blanks;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;

/**
 * The check before release. The texts are looked at once; then every person who will be written to
 * is added with what their own message lacked; then the findings are asked for, blockers first.
 */
public final class ReleaseCheck {

  private static final int LONG_SUBJECT = 78;

  private final Map<String, List<Long>> missing = new LinkedHashMap<>();
  private final Map<Code, List<Long>> names = new LinkedHashMap<>();
  private final List<Long> longSubjects = new ArrayList<>();
  private final List<Finding> blockers = new ArrayList<>();
  private int people;

  /** Looks at what is the same for all. */
  public void lookAtTexts(
      String subject,
      String body,
      List<TemplateError> subjectErrors,
      List<TemplateError> bodyErrors) {
    if (subject.isBlank()) {
      block(Code.EMPTY_SUBJECT, "subject", "The subject is empty.");
    }
    if (isEmptyBody(body)) {
      block(Code.EMPTY_BODY, "body", "The message is empty.");
    }
    subjectErrors.forEach(e -> block(Code.TEMPLATE_ERROR, "subject", "Subject: " + e.sentence()));
    bodyErrors.forEach(e -> block(Code.TEMPLATE_ERROR, "body", "Message: " + e.sentence()));
    for (String blank : Blanks.in(subject + "\n" + Jsoup.parse(body).text())) {
      block(Code.BLANK_LEFT, blank, "The blank " + blank + " still has to be filled in.");
    }
  }

  /** Looks at the start; an empty start means at once. */
  public void lookAtStart(Instant start, Instant now) {
    if (start != null && start.isBefore(now)) {
      block(
          Code.START_PAST, "start", "The start lies in the past; choose a later one or start now.");
    }
  }

  /** Adds one person who will be written to. */
  public void add(long personId, Values values, Set<String> missingFields, String mergedSubject) {
    people++;
    for (String field : missingFields) {
      missing.computeIfAbsent(field, f -> new ArrayList<>()).add(personId);
    }
    if (values.get("first_name") instanceof FieldValue.Text first) {
      NameCheck.look(first.text())
          .ifPresent(code -> names.computeIfAbsent(code, c -> new ArrayList<>()).add(personId));
    }
    if (mergedSubject.codePointCount(0, mergedSubject.length()) > LONG_SUBJECT) {
      longSubjects.add(personId);
    }
  }

  /** All findings, blockers first. */
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>();
    if (people == 0) {
      all.add(
          new Finding(
              Severity.BLOCKER,
              Code.NOBODY,
              "",
              "There is nobody who can be written to.",
              List.of()));
    }
    all.addAll(blockers);
    missing.forEach(
        (field, who) -> all.add(notice(Code.VALUE_MISSING, field, missingWords(field, who), who)));
    names.forEach((code, who) -> all.add(notice(code, "first_name", nameWords(code, who), who)));
    if (!longSubjects.isEmpty()) {
      all.add(
          notice(
              Code.LONG_SUBJECT,
              "subject",
              persons(longSubjects)
                  + " would get a subject longer than "
                  + LONG_SUBJECT
                  + " characters; mail readers may cut it.",
              longSubjects));
    }
    return all;
  }

  private static String missingWords(String field, List<Long> who) {
    return persons(who)
        + (who.size() == 1 ? " has" : " have")
        + " no "
        + field.replace('_', ' ').replace('.', ' ')
        + "; set a fallback, or leave them out.";
  }

  private static String nameWords(Code code, List<Long> who) {
    String have = who.size() == 1 ? " has a first name " : " have a first name ";
    return persons(who)
        + have
        + switch (code) {
          case NAME_CAPITALS -> "all in capitals.";
          case NAME_LOWER_CASE -> "without a capital.";
          default -> "that does not look like a name.";
        };
  }

  private static String persons(List<Long> who) {
    return who.size() == 1 ? "1 person" : String.format("%,d people", who.size());
  }

  private static boolean isEmptyBody(String body) {
    return Jsoup.parse(body).text().isBlank() && !body.contains("<img");
  }

  private void block(Code code, String about, String sentence) {
    blockers.add(new Finding(Severity.BLOCKER, code, about, sentence, List.of()));
  }

  private static Finding notice(Code code, String about, String sentence, List<Long> who) {
    return new Finding(Severity.NOTICE, code, about, sentence, who);
  }
}
