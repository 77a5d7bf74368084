package app.jemble.core.check;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.merge.Blanks;
import app.jemble.core.merge.FieldNames;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.Collisions;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.Planner;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * The check before release. The texts are looked at once; then every person who will be written to
 * is added with what their own message came to; then the findings are asked for, blockers first.
 */
public final class ReleaseCheck {

  private static final int LONG_SUBJECT = 78;

  /**
   * One person's message, as far as the check asks.
   *
   * @param firstName null when not known
   * @param mailbox where it goes by mail; null when it goes another way
   * @param subject merged; empty where the way has none
   * @param missing fields without a value and without a fallback
   * @param nowhere whether a link of it leads nowhere
   * @param astray whether a link of it leads where links may not
   * @param marks what else there is to say
   */
  public record Message(
      PersonId personId,
      String firstName,
      String mailbox,
      String subject,
      Set<String> missing,
      boolean nowhere,
      boolean astray,
      Set<Mark> marks) {
    public Message {
      missing = FieldNames.inOrder(missing);
      marks = Set.copyOf(marks);
    }
  }

  /** What is known of a person's message from elsewhere. */
  public enum Mark {
    /** their own words are older than the shared ones */
    OWN_WORDING_OLD(Code.OWN_WORDING_OLD),
    /** something was sent to them in the last days */
    WRITTEN_LATELY(Code.WRITTEN_LATELY);

    private final Code code;

    Mark(Code code) {
      this.code = code;
    }
  }

  private final Map<String, List<PersonId>> missing = new LinkedHashMap<>();
  private final List<PersonId> astray = new ArrayList<>();
  private final Map<Code, List<PersonId>> byCode = new EnumMap<>(Code.class);
  private final DomainCheck domains = new DomainCheck();
  private final List<Finding> blockers = new ArrayList<>();
  private final List<Finding> ofTexts = new ArrayList<>();
  private final int spacingDays;
  private SenderLook sender = new SenderLook(null, people -> SenderLook.Answer.MAY);
  private Integer most;
  private int people;

  /**
   * @param spacingDays how many days people should be left alone between two mailings
   */
  public ReleaseCheck(int spacingDays) {
    this.spacingDays = spacingDays;
  }

  /**
   * Stops a mailing to more people than the house allows.
   *
   * @param most to how many people one mailing may be released; null for any number
   */
  public void allowAtMost(Integer most) {
    this.most = most;
  }

  /** Looks at what is the same for all. */
  public void lookAtTexts(
      String subject,
      String body,
      List<TemplateError> subjectErrors,
      List<TemplateError> bodyErrors) {
    Document document = Jsoup.parseBodyFragment(body);
    if (subject.isBlank()) {
      block(Code.EMPTY_SUBJECT, "subject", "The subject is empty.");
    }
    if (document.text().isBlank() && document.select("img").isEmpty()) {
      block(Code.EMPTY_BODY, "body", "The message is empty.");
    }
    subjectErrors.forEach(e -> block(Code.TEMPLATE_ERROR, "subject", "Subject: " + e.sentence()));
    bodyErrors.forEach(e -> block(Code.TEMPLATE_ERROR, "body", "Message: " + e.sentence()));
    for (String blank : Blanks.in(subject + "\n" + document.text())) {
      block(Code.BLANK_LEFT, blank, "The blank " + blank + " still has to be filled in.");
    }
    long silent = document.select("img").stream().filter(i -> i.attr("alt").isBlank()).count();
    if (silent > 0) {
      String have = silent == 1 ? "A picture has" : silent + " pictures have";
      ofTexts.add(
          notice(
              Code.PICTURE_WITHOUT_TEXT,
              "body",
              have + " no text; those who do not see pictures get nothing in its place.",
              List.of()));
    }
    lookAtLinks(document);
  }

  /** A link whose address holds a merge field is looked at in each message. */
  private void lookAtLinks(Document document) {
    Set<String> odd = new LinkedHashSet<>();
    for (Element link : document.select("a[href]")) {
      if (!link.attr("href").contains("{{")) {
        LinkCheck.look(link.attr("href"), link.text()).ifPresent(odd::add);
      }
    }
    odd.forEach(sentence -> ofTexts.add(notice(Code.ODD_LINK, sentence, sentence, List.of())));
  }

  /**
   * Looks at the plan of those who are ready; answers what it comes to.
   *
   * @param deadline null for none
   * @param collisions with what other mailings have waiting
   */
  public Plan lookAtPlan(
      PlanAsk ask, Clocks clocks, Instant now, Instant deadline, Collisions collisions) {
    boolean past = clocks.shares().stream().allMatch(s -> ask.start().in(s.zone()).isBefore(now));
    if (clocks.size() > 0 && past) {
      block(
          Code.START_PAST, "start", "The start lies in the past; choose a later one or start now.");
    }
    Plan plan = Planner.plan(ask, clocks);
    collisions.within(spacingDays, plan).forEach(who -> note(Code.IN_ANOTHER_MAILING, who));
    if (plan.unplanned() > 0) {
      block(
          Code.PLAN_NEVER,
          "plan",
          "Under these hours and caps "
              + (plan.unplanned() == 1 ? "one message" : plan.unplanned() + " messages")
              + " would never leave.");
    } else if (deadline != null && !plan.isDoneBy(deadline)) {
      block(
          Code.DEADLINE_MISSED,
          "plan",
          "The last message would leave after the day by which it should be done.");
    }
    return plan;
  }

  /** Looks at those whose clock the plan asks for and nobody knows. */
  public void lookAtClocks(List<PersonId> without, ZoneId house) {
    if (!without.isEmpty()) {
      String people = without.size() == 1 ? "One person has" : without.size() + " people have";
      ofTexts.add(
          notice(
              Code.NO_TIME_ZONE,
              "time_zone",
              people + " no time zone; the clock of " + city(house) + " counts for them.",
              without));
    }
  }

  private static String city(ZoneId zone) {
    return zone.getId().substring(zone.getId().lastIndexOf('/') + 1).replace('_', ' ');
  }

  /** Looks at the size of all files together, in octets. */
  public void lookAtFiles(long octets, long most) {
    if (octets > most) {
      block(
          Code.FILES_TOO_LARGE,
          "files",
          String.format(
              Locale.ENGLISH,
              "The attached files hold %.1f MB; at most %d MB leave.",
              octets / 1048576.0,
              most / 1048576));
    }
  }

  /** Asks for the sender too. */
  public void askOfSender(SenderLook look) {
    sender = look;
  }

  /** Looks at what is said by text, the same for all. */
  public void lookAtText(String words, List<TemplateError> errors) {
    if (words.isBlank()) {
      block(Code.EMPTY_TEXT, "text", "The text message is empty.");
    }
    errors.forEach(e -> block(Code.TEMPLATE_ERROR, "text", "Text message: " + e.sentence()));
    for (String blank : Blanks.in(words)) {
      block(
          Code.BLANK_LEFT,
          blank,
          "The blank " + blank + " of the text message still has to be filled in.");
    }
  }

  /** What a notice to the app says to all. */
  public void lookAtNotice(NoticeWording wording, List<TemplateError> errors) {
    if (wording.title().isBlank() || wording.words().isBlank()) {
      block(
          Code.EMPTY_NOTICE,
          "notice",
          wording.title().isBlank() ? "The notice has no title." : "The notice says nothing.");
    }
    errors.forEach(e -> block(Code.TEMPLATE_ERROR, "notice", "Notice: " + e.sentence()));
    for (String blank : Blanks.in(wording.title() + "\n" + wording.words())) {
      block(
          Code.BLANK_LEFT,
          blank,
          "The blank " + blank + " of the notice still has to be filled in.");
    }
  }

  /**
   * What a letter on paper says to all.
   *
   * @param documentBlanks those of the document it is made of
   */
  public void lookAtPaper(
      PaperWording wording, List<String> documentBlanks, List<TemplateError> errors) {
    if (!wording.usesDocument() && wording.body().isBlank()) {
      block(Code.EMPTY_PAPER, "paper", "The letter on paper says nothing.");
    }
    errors.forEach(e -> block(Code.TEMPLATE_ERROR, "paper", "Letter on paper: " + e.sentence()));
    List<String> blanks =
        new ArrayList<>(
            Blanks.in(wording.subject() + "\n" + (wording.usesDocument() ? "" : wording.body())));
    blanks.addAll(documentBlanks);
    for (String blank : blanks) {
      block(
          Code.BLANK_LEFT,
          blank,
          "The blank " + blank + " of the letter on paper still has to be filled in.");
    }
  }

  /**
   * The house cannot go a way that is chosen.
   *
   * @param way as people read it
   */
  public void noServiceFor(String way) {
    block(
        Code.NO_SERVICE,
        "ways",
        "No service for this way is set up here: "
            + way
            + ". Take it out, or ask an administrator.");
  }

  /** The texts would cost more than is left; the sentence says how much. */
  public void overAllowance(String sentence) {
    block(Code.OVER_ALLOWANCE, "text", sentence);
  }

  /** Adds one person who will be written to. */
  public void add(Message message) {
    people++;
    PersonId person = message.personId();
    sender.add(person);
    for (String field : message.missing()) {
      missing.computeIfAbsent(field, f -> new ArrayList<>()).add(person);
    }
    NameCheck.look(message.firstName()).ifPresent(code -> note(code, person));
    if (message.mailbox() != null) {
      domains.add(person, message.mailbox());
    }
    if (message.subject().codePointCount(0, message.subject().length()) > LONG_SUBJECT) {
      note(Code.LONG_SUBJECT, person);
    }
    if (message.nowhere()) {
      note(Code.ODD_LINK, person);
    }
    if (message.astray()) {
      astray.add(person);
    }
    message.marks().forEach(mark -> note(mark.code, person));
  }

  private void note(Code code, PersonId person) {
    byCode.computeIfAbsent(code, c -> new ArrayList<>()).add(person);
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
    if (most != null && people > most) {
      all.add(new Finding(Severity.BLOCKER, Code.TOO_MANY, "", tooMany(), List.of()));
    }
    all.addAll(blockers);
    sender.refusal().ifPresent(all::add);
    if (!astray.isEmpty()) {
      all.add(
          new Finding(
              Severity.BLOCKER,
              Code.LINK_NOT_ALLOWED,
              "body",
              count(astray, "would get a link", "would get a link")
                  + " that may not be followed; a link begins with https, http, mailto or tel.",
              astray));
    }
    missing.forEach(
        (field, who) -> all.add(notice(Code.VALUE_MISSING, field, missingWords(field, who), who)));
    domains
        .likelyMistyped()
        .forEach(
            (domain, who) ->
                all.add(
                    notice(
                        Code.DOMAIN_MISTYPED,
                        domain,
                        count(who, "has an address", "have an address")
                            + " that is one letter off "
                            + domain
                            + ".",
                        who)));
    byCode.forEach((code, who) -> all.add(notice(code, about(code), words(code, who), who)));
    all.addAll(ofTexts);
    sender.nod().ifPresent(all::add);
    return all;
  }

  private String tooMany() {
    return String.format(
        Locale.ENGLISH,
        "One mailing goes to at most %s here, and this one to %,d; an administrator can"
            + " change that under Hours and caps.",
        most == 1 ? "1 person" : String.format(Locale.ENGLISH, "%,d people", most),
        people);
  }

  private String missingWords(String field, List<PersonId> who) {
    String no = " no " + field.replace('_', ' ').replace('.', ' ');
    String of =
        who.size() == 1 && people == 1 ? "" : String.format(Locale.ENGLISH, " of %,d", people);
    return String.format(Locale.ENGLISH, "%,d", who.size())
        + of
        + (who.size() == 1 ? " has" : " have")
        + no
        + "; set a fallback, or leave them out.";
  }

  private static String about(Code code) {
    return switch (code) {
      case NAME_CAPITALS, NAME_LOWER_CASE, NAME_ODD, NAME_OF_ORGANISATION -> "first_name";
      case LONG_SUBJECT -> "subject";
      default -> "";
    };
  }

  private String words(Code code, List<PersonId> who) {
    return switch (code) {
      case NAME_CAPITALS ->
          count(who, "has a first name", "have a first name") + " all in capitals.";
      case NAME_LOWER_CASE ->
          count(who, "has a first name", "have a first name") + " without a capital.";
      case NAME_ODD ->
          count(who, "has a first name", "have a first name") + " that does not look like a name.";
      case NAME_OF_ORGANISATION ->
          count(who, "has a first name", "have a first name") + " that looks like an organisation.";
      case WRITTEN_LATELY -> count(who, "was", "were") + " written to in the last " + days() + ".";
      case IN_ANOTHER_MAILING ->
          count(who, "gets", "get") + " a message of another mailing within " + days() + ".";
      case OWN_WORDING_OLD ->
          count(who, "has words of their own", "have words of their own")
              + ", written before the message was changed.";
      case LONG_SUBJECT ->
          count(who, "would get a subject", "would get a subject")
              + " longer than "
              + LONG_SUBJECT
              + " characters; mail readers may cut it.";
      case ODD_LINK -> count(who, "would get a link", "would get a link") + " that leads nowhere.";
      default -> throw new IllegalArgumentException(code + " is not about single people");
    };
  }

  private String days() {
    return spacingDays == 1 ? "one day" : spacingDays + " days";
  }

  private static String count(List<PersonId> who, String one, String many) {
    return who.size() == 1
        ? "1 person " + one
        : String.format(Locale.ENGLISH, "%,d people ", who.size()) + many;
  }

  private void block(Code code, String about, String sentence) {
    blockers.add(new Finding(Severity.BLOCKER, code, about, sentence, List.of()));
  }

  private static Finding notice(Code code, String about, String sentence, List<PersonId> who) {
    return new Finding(Severity.NOTICE, code, about, sentence, who);
  }
}
