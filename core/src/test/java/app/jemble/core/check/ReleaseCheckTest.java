package app.jemble.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.merge.Position;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.Collisions;
import app.jemble.core.pace.DailyCap;
import app.jemble.core.pace.Pace;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.QuietHours;
import app.jemble.core.pace.Start;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ReleaseCheckTest {

  private static final Instant NOW = Instant.parse("2026-03-24T09:00:00Z");

  @Test
  public void findsNothingInASoundMailing() {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtTexts("Hello", "<p>Hi</p>", List.of(), List.of());
    lookAtStart(check, NOW.plusSeconds(60));
    check.add(bea());
    assertThat(check.findings()).isEmpty();
  }

  @Test
  public void aMailingToMoreThanTheHouseAllowsSaysWhoCanChangeThat() {
    for (int most = 1; most <= 3; most++) {
      ReleaseCheck check = new ReleaseCheck(3);
      check.allowAtMost(most);
      check.lookAtTexts("Hello", "<p>Hi</p>", List.of(), List.of());
      lookAtStart(check, NOW.plusSeconds(60));
      check.add(bea());
      check.add(bea());
      if (most >= 2) {
        assertThat(check.findings()).as("up to " + most).isEmpty();
      } else {
        assertThat(check.findings().get(0).code()).isEqualTo(Finding.Code.TOO_MANY);
        assertThat(check.findings().get(0).sentence())
            .isEqualTo(
                "One mailing goes to at most 1 person here, and this one to 2; an administrator"
                    + " can change that under Hours and caps.");
      }
    }
  }

  @Test
  public void blockersComeFirstAndSayWhatIsWrong() {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtTexts(
        " ",
        "<p> </p>",
        List.of(),
        List.of(new TemplateError(new Position(1, 1), "There is no field named “x”.")));
    lookAtStart(check, NOW.minusSeconds(1));
    assertThat(check.findings())
        .extracting(Finding::code)
        .containsExactly(
            Code.NOBODY, Code.EMPTY_SUBJECT, Code.EMPTY_BODY, Code.TEMPLATE_ERROR, Code.START_PAST);
    assertThat(check.findings()).allMatch(f -> f.severity() == Severity.BLOCKER);
  }

  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  private static PlanAsk from(Instant start, DailyCap... caps) {
    return new PlanAsk(
        new Start.At(start),
        start,
        Pace.ALL_AT_ONCE,
        WeeklyHours.ANY,
        Set.of(),
        false,
        QuietHours.NONE,
        LONDON,
        List.of(caps));
  }

  private static void lookAtStart(ReleaseCheck check, Instant start) {
    check.lookAtPlan(from(start), Clocks.of(List.of(LONDON)), NOW, null, Collisions.NONE);
  }

  @Test
  public void aPlanThatCannotBeMetBlocks() {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtTexts("s", "b", List.of(), List.of());
    check.add(bea());
    Clocks three = Clocks.of(List.of(LONDON, LONDON, LONDON));
    DailyCap two = new DailyCap("Orla Finch", 2, Map.of());
    check.lookAtPlan(from(NOW, two), three, NOW, NOW.plusSeconds(3600), Collisions.NONE);
    check.lookAtPlan(from(NOW, two), three, NOW, NOW.plusSeconds(86_400), Collisions.NONE);
    check.lookAtPlan(
        from(NOW, new DailyCap("Orla Finch", 0, Map.of())), three, NOW, null, Collisions.NONE);
    assertThat(check.findings())
        .extracting(Finding::code)
        .containsExactly(Code.DEADLINE_MISSED, Code.PLAN_NEVER);
    assertThat(check.findings().get(1).sentence()).contains("3 messages would never leave");
  }

  @Test
  public void whoHasNoClockIsNamedWithTheClockThatCounts() {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtTexts("s", "b", List.of(), List.of());
    check.add(bea());
    check.lookAtClocks(List.of(), LONDON);
    assertThat(check.findings()).isEmpty();
    check.lookAtClocks(List.of(person(1)), ZoneId.of("America/New_York"));
    assertThat(check.findings()).extracting(Finding::people).containsExactly(List.of(person(1)));
    assertThat(check.findings().get(0).sentence())
        .isEqualTo("One person has no time zone; the clock of New York counts for them.");
  }

  @Test
  public void aBlankLeftBlocks() {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtTexts("Come on [day]", "<p>See <b>[place]</b></p>", List.of(), List.of());
    check.add(bea());
    assertThat(check.findings()).extracting(Finding::about).containsExactly("[day]", "[place]");
  }

  /** RFC 5322, section 2.1.1, says 78 characters; a picture beyond the basic plane is one. */
  @Test
  public void aSubjectOfExactly78CharactersIsNotLong() {
    assertThat(codesOf("s".repeat(78))).isEmpty();
    assertThat(codesOf("s".repeat(79))).containsExactly(Code.LONG_SUBJECT);
    assertThat(codesOf("⛵".repeat(39) + "🛶".repeat(39))).isEmpty();
    assertThat(codesOf("🛶".repeat(79))).containsExactly(Code.LONG_SUBJECT);
  }

  private static List<Code> codesOf(String subject) {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtTexts("s", "b", List.of(), List.of());
    check.add(message(1, "Bea", "bea@okonjo.example", subject, Set.of(), Set.of()));
    return check.findings().stream().map(Finding::code).toList();
  }

  @Test
  public void noticesGroupTheirPeople() {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtTexts("s", "b", List.of(), List.of());
    check.add(message(1, "BEA", "bea@okonjo.example", "s", Set.of("berth_name"), Set.of()));
    check.add(message(2, "Ines", "i@i.example", "s".repeat(79), Set.of("berth_name"), Set.of()));
    check.add(message(3, "Dov", "d@d.example", "s", Set.of(), Set.of()));
    List<Finding> findings = check.findings();
    assertThat(findings)
        .extracting(Finding::code)
        .containsExactly(Code.VALUE_MISSING, Code.NAME_CAPITALS, Code.LONG_SUBJECT);
    assertThat(findings.get(0).people()).containsExactly(person(1), person(2));
    assertThat(findings.get(0).sentence())
        .isEqualTo("2 of 3 have no berth name; set a fallback, or leave them out.");
    assertThat(findings.get(1).people()).containsExactly(person(1));
  }

  @DataProvider
  public Object[][] names() {
    return new Object[][] {
      {"Bea", null},
      {"CARMEN", Code.NAME_CAPITALS},
      {"JJ", null},
      {"dov", Code.NAME_LOWER_CASE},
      {"R2D2", Code.NAME_ODD},
      {"bea@okonjo.example", Code.NAME_ODD},
      {"Zoë <b>O'Neil</b>", Code.NAME_ODD},
      {"さくら", null},
      {"Мария", null},
      {"МАРИЯ", Code.NAME_CAPITALS},
      {"", null},
      {"Okonjo Ltd", Code.NAME_OF_ORGANISATION},
      {"Harbour Office", Code.NAME_OF_ORGANISATION},
      {"Agneta", null},
    };
  }

  @Test(dataProvider = "names")
  public void looksAtNames(String name, Code expected) {
    assertThat(NameCheck.look(name).orElse(null)).isEqualTo(expected);
  }

  @Test
  public void anAddressOneLetterOffWhatManyHaveIsNoticed() {
    ReleaseCheck check = new ReleaseCheck(3);
    for (int i = 1; i <= 25; i++) {
      check.add(message(i, "Bea", "p" + i + "@harbour.example", "s", Set.of(), Set.of()));
    }
    check.add(message(90, "Ida", "ida@harbuor.example", "s", Set.of(), Set.of()));
    check.add(message(91, "Ove", "ove@harbou.example", "s", Set.of(), Set.of()));
    check.add(message(92, "Uma", "uma@anchor.example", "s", Set.of(), Set.of()));
    assertThat(check.findings()).hasSize(1);
    Finding finding = check.findings().get(0);
    assertThat(finding.code()).isEqualTo(Code.DOMAIN_MISTYPED);
    assertThat(finding.about()).isEqualTo("harbour.example");
    assertThat(finding.people()).containsExactlyInAnyOrder(person(90), person(91));
  }

  /** Leaving out those a finding names leaves as many as the sender may write to. */
  @Test
  public void aFindingNamesWhoIsBeyondWhatTheSenderMay() {
    ReleaseCheck check = new ReleaseCheck(0);
    check.askOfSender(
        new SenderLook(
            2,
            people ->
                people > 2
                    ? new SenderLook.Answer("You may write to 2.", null)
                    : new SenderLook.Answer(null, "Orla nods.")));
    for (int i = 1; i <= 2; i++) {
      check.add(message(i, "Bea", "p" + i + "@harbour.example", "s", Set.of(), Set.of()));
    }
    assertThat(check.findings()).extracting(Finding::code).containsExactly(Code.NEEDS_NOD);
    assertThat(check.findings().get(0).severity()).isEqualTo(Finding.Severity.NOTICE);
    for (int i = 3; i <= 5; i++) {
      check.add(message(i, "Bea", "p" + i + "@harbour.example", "s", Set.of(), Set.of()));
    }
    Finding finding = check.findings().get(0);
    assertThat(finding.code()).isEqualTo(Code.SENDER_NOT_ALLOWED);
    assertThat(finding.severity()).isEqualTo(Finding.Severity.BLOCKER);
    assertThat(finding.people()).containsExactly(person(3), person(4), person(5));
  }

  @Test
  public void whatIsKnownFromElsewhereIsSaid() {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtFiles(11L << 20, 10L << 20);
    check.askOfSender(
        new SenderLook(null, people -> new SenderLook.Answer("Readers send nothing.", null)));
    check.add(
        message(
            1,
            "Bea",
            "bea@okonjo.example",
            "s",
            Set.of(),
            Set.of(ReleaseCheck.Mark.OWN_WORDING_OLD, ReleaseCheck.Mark.WRITTEN_LATELY)));
    assertThat(check.findings())
        .extracting(Finding::code)
        .containsExactly(
            Code.FILES_TOO_LARGE,
            Code.SENDER_NOT_ALLOWED,
            Code.WRITTEN_LATELY,
            Code.OWN_WORDING_OLD);
    assertThat(check.findings().get(0).sentence()).contains("11.0 MB", "10 MB");
  }

  @Test
  public void picturesWithoutTextAndOddLinksAreNoticed() {
    ReleaseCheck check = new ReleaseCheck(3);
    check.lookAtTexts(
        "s",
        "<p><img src=\"https://q.example/a.png\"><img src=\"https://q.example/b.png\" alt=\"b\">"
            + "<a href=\"https://localhost/x\">x</a><a href=\"{{source}}\">y</a></p>",
        List.of(),
        List.of());
    check.add(bea());
    assertThat(check.findings())
        .extracting(Finding::code)
        .containsExactly(Code.PICTURE_WITHOUT_TEXT, Code.ODD_LINK);
  }

  @DataProvider
  public Object[][] links() {
    return new Object[][] {
      {"https://quay.example/times", "the times", false},
      {"https://www.quay.example", "quay.example", false},
      {"https://elsewhere.example", "quay.example", true},
      {"https://elsewhere.example", "https://quay.example/times", true},
      {"https://quay.example@evil.example/", "x", true},
      {"https://quay", "x", true},
      {"https://qu ay.example", "x", true},
      {"mailto:orla@quay.example", "x", false},
      {"#", "x", true},
    };
  }

  @Test(dataProvider = "links")
  public void looksAtLinks(String address, String words, boolean odd) {
    assertThat(LinkCheck.look(address, words).isPresent()).isEqualTo(odd);
  }

  @DataProvider
  public Object[][] corrections() {
    return new Object[][] {
      {"CARMEN", "Carmen"},
      {"dov", "Dov"},
      {"jean-luc", "Jean-Luc"},
      {"O'NEIL", "O'Neil"},
      {"МАРИЯ", "Мария"},
      {"ÉLODIE", "Élodie"},
      {"zoe\u0308", "Zoe\u0308"},
    };
  }

  @Test(dataProvider = "corrections")
  public void proposesCapitals(String name, String expected) {
    assertThat(NameCheck.corrected(name)).isEqualTo(expected);
    assertThat(NameCheck.look(expected)).isEmpty();
  }

  private static PersonId person(long number) {
    return new PersonId(number);
  }

  private static ReleaseCheck.Message bea() {
    return message(1, "Bea", "bea@okonjo.example", "Hello", Set.of(), Set.of());
  }

  private static ReleaseCheck.Message message(
      long person,
      String firstName,
      String address,
      String subject,
      Set<String> missing,
      Set<ReleaseCheck.Mark> marks) {
    return new ReleaseCheck.Message(
        new PersonId(person), firstName, address, subject, missing, false, false, marks);
  }

  @Test
  public void namesWhoGetsAnotherMailingSoon() {
    ReleaseCheck check = new ReleaseCheck(2);
    Collisions soon =
        new Collisions(
            List.of(person(1), person(2)),
            Map.of(
                person(1),
                List.of(NOW.plusSeconds(86_400)),
                person(2),
                List.of(NOW.plusSeconds(3 * 86_400))));
    check.lookAtPlan(from(NOW), Clocks.of(List.of(LONDON, LONDON)), NOW, null, soon);
    Finding found =
        check.findings().stream()
            .filter(f -> f.code() == Code.IN_ANOTHER_MAILING)
            .findFirst()
            .orElseThrow();
    assertThat(found.people()).containsExactly(person(1));
    assertThat(found.sentence())
        .isEqualTo("1 person gets a message of another mailing within 2 days.");
  }
}
