package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Away notices and challenges that no header betrays (common practice), and people's own words. */
public class NoticesOfSoftwareTest {

  private static InboundMail mail(String subject, String text) {
    return mail(Map.of("from", "Bea <bea@okonjo.example>", "subject", subject), text);
  }

  private static InboundMail mail(Map<String, String> headers, String text) {
    Map<String, List<String>> all = new HashMap<>();
    headers.forEach((name, value) -> all.put(name, List.of(value)));
    return new InboundMail(all, "text/plain", null, null, Map.of(), text, text);
  }

  @DataProvider
  public Object[][] away() {
    return new Object[][] {
      {"AUTO: Bea Okonjo is out of the office (returning 12/03/2027)"},
      {"Out of Office: The slipway opens"},
      {"Out of the office Re: The slipway opens"},
      {"Automatic reply: The slipway opens"},
      {"Abwesenheitsnotiz: The slipway opens"},
      {"Automatische Antwort: The slipway opens"},
      {"Réponse automatique : The slipway opens"},
      {"Absence du bureau : The slipway opens"},
      {"Respuesta automática: The slipway opens"},
      {"Fuera de la oficina: The slipway opens"},
      {"Risposta automatica: The slipway opens"},
      {"Fuori ufficio: The slipway opens"},
      {"Automatisch antwoord: The slipway opens"},
      {"Afwezigheidsbericht: The slipway opens"},
      {"Resposta automática: The slipway opens"},
      {"Fora do escritório: The slipway opens"},
      {"Odpowiedź automatyczna: The slipway opens"},
      {"Autosvar: The slipway opens"},
      {"Automatiskt svar: The slipway opens"},
      {"Frånvarande: The slipway opens"},
      {"Automaattinen vastaus: The slipway opens"},
      {"Автоответ: The slipway opens"},
      {"自動返信: The slipway opens"},
      {"自动回复: The slipway opens"},
      {"자동 회신: The slipway opens"},
    };
  }

  @Test(dataProvider = "away")
  public void anAwayNoticeIsKnownByItsSubject(String subject) {
    assertThat(MailSorter.sort(mail(subject, "I am away.")))
        .isInstanceOf(SortedMail.AutoReply.class);
  }

  @Test(dataProvider = "away")
  public void itNamesTheSubjectThatItAnswers(String subject) {
    if (!subject.startsWith("AUTO:")) {
      assertThat(AwayNotice.answeredSubject(subject)).as(subject).contains("The slipway opens");
    }
  }

  @DataProvider
  public Object[][] written() {
    return new Object[][] {
      {"Re: Out of office next week", "Thanks for telling me."},
      {"Re: Abwesenheit im Mai", "Gute Reise!"},
      {"Autumn work party", "Count me in."},
      {"Automobile rally", "Is there a rally?"},
      {"Re: The slipway opens", "I am away until Monday, but yes please."},
      {
        "Re: Please confirm your place",
        "I clicked the link and confirmed, see https://quay.example."
      },
      {"Re: Your message", "Please add my sister to the list too."},
    };
  }

  @Test(dataProvider = "written")
  public void whoWritesThemselfReplies(String subject, String text) {
    assertThat(MailSorter.sort(mail(subject, text))).isEqualTo(new SortedMail.Reply());
  }

  @DataProvider
  public Object[][] challenges() {
    return new Object[][] {
      {
        "Your message to Bea needs verification",
        "I guard my mailbox against junk. Please verify that you are a person: click"
            + " https://guard.example/x to have your message let through."
      },
      {
        "Re: The slipway opens",
        "Your message has been held until you confirm it. Reply to this message to be let through."
      },
      {
        "One-time confirmation",
        "This is a one-time confirmation. Follow the link https://guard.example/y and your mail is"
            + " delivered."
      },
    };
  }

  @Test(dataProvider = "challenges")
  public void aChallengeIsNeitherReplyNorReturn(String subject, String text) {
    assertThat(MailSorter.sort(mail(subject, text))).isEqualTo(new SortedMail.Challenge());
    Map<String, String> automatic =
        Map.of(
            "from", "guard@okonjo.example", "subject", subject, "auto-submitted", "auto-replied");
    assertThat(MailSorter.sort(mail(automatic, text))).isEqualTo(new SortedMail.Challenge());
  }

  @DataProvider
  public Object[][] marks() {
    return new Object[][] {
      {"Re: Hello"},
      {"RE : Hello"},
      {"Fwd: Hello"},
      {"Aw: Hello"},
      {"Antwort: Hello"},
      {"Antw: Hello"},
      {"SV: Hello"},
      {"VS: Hello"},
      {"VL: Hello"},
      {"Réf : Hello"},
      {"RE[2]: Hello"},
      {"Re(3): Hello"},
      {"TR: Hello"},
      {"RIF: Hello"},
      {"R: Hello"},
      {"RV: Hello"},
      {"RES: Hello"},
      {"ENC: Hello"},
      {"Odp: Hello"},
      {"Odg: Hello"},
      {"Vá: Hello"},
      {"YNT: Hello"},
      {"İLT: Hello"},
      {"Atb: Hello"},
      {"ΑΠ: Hello"},
      {"ΣΧΕΤ: Hello"},
      {"Отв: Hello"},
      {"НА: Hello"},
      {"Ответ: Hello"},
      {"Відп: Hello"},
      {"השב: Hello"},
      {"رد: Hello"},
      {"回复：Hello"},
      {"回覆: Hello"},
      {"答复: Hello"},
      {"转发: Hello"},
      {"返信: Hello"},
      {"답장: Hello"},
      {"Bls: Hello"},
      {"Re: Aw: Re: Hello"},
      {"re: ".repeat(240) + "Hello"},
    };
  }

  @Test(dataProvider = "marks")
  public void replyMarksOfManyLanguagesAreTakenOff(String subject) {
    assertThat(ReplySubject.bare(subject)).isEqualTo("Hello");
    assertThat(ReplySubject.answering(subject)).isEqualTo("Re: Hello");
  }

  @Test
  public void wordsWithAColonAreNoMark() {
    for (String subject :
        List.of("Slipway: opens", "Rent: due", "Fixtures: list", "Regatta: dates")) {
      assertThat(ReplySubject.bare(subject)).isEqualTo(subject);
    }
  }

  @Test
  public void aReturnThatBeginsWithAReplyMarkIsAReturnWhenAServerSpeaks() {
    SortedMail back =
        MailSorter.sort(
            mail(
                "Re: Undeliverable: The slipway opens",
                "<bea@okonjo.test>: 550 5.1.1 no such user here"));
    assertThat(back).isInstanceOf(SortedMail.Returned.class);
  }

  @Test
  public void whereToWriteInsteadIsNotWhoFailed() {
    for (String advice :
        List.of(
            "Please use bea@new.test instead.",
            "You can try bea@new.test.",
            "The new address is bea@new.test.",
            "She can be reached at <bea@new.test>.")) {
      SortedMail back =
          MailSorter.sort(
              mail(
                  Map.of("from", "mailer-daemon@mx.far.test", "subject", "Undelivered"),
                  "<bea@okonjo.test>: no such user\n" + advice));
      assertThat(((SortedMail.Returned) back).addresses())
          .as(advice)
          .containsExactly("bea@okonjo.test");
    }
  }

  @Test
  public void theServerThatTheSettingsNameIsBelievedAlone() {
    // The shapes of RFC 8601 appendix B, with our names.
    List<String> headers =
        List.of(
            "mx.quay.example 1; spf=pass (all is well) smtp.mailfrom=bea@okonjo.example;"
                + " dkim=fail reason=\"bad\" header.d=okonjo.example",
            "mx.evil.example; dkim=pass header.d=okonjo.example",
            "mx.quay.example; none");
    assertThat(AuthenticationResults.of(headers, "MX.quay.example")).contains("spf=pass dkim=fail");
    assertThat(AuthenticationResults.of(headers, "")).isEmpty();
    assertThat(AuthenticationResults.of(List.of(headers.get(1)), "mx.quay.example")).isEmpty();
  }

  @Test
  public void nothingThatNoTextHoldsComesThrough() {
    InboundMail mail =
        mail(Map.of("from", "a\0b\u0007c", "subject", "half \ud83d of one"), "nul \0 and \u0085");
    assertThat(mail.header("from")).isEqualTo("a b c");
    assertThat(mail.header("subject")).isEqualTo("half ? of one");
    assertThat(mail.text()).doesNotContain("\0", "\u0085");
  }
}
