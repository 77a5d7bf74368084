package app.jemble.core.house;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.house.DomainRecord.Kind;
import app.jemble.core.house.DomainRecordRule.State;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Records as the standards give them: SPF of RFC 7208 (appendix A and section 3.2), DKIM of RFC
 * 6376 (appendix C), DMARC of RFC 7489 (appendix B), MX of RFC 5321 and RFC 7505; from memory.
 */
public class DomainRecordRuleTest {

  private static final String HOST = "mail.example.com";

  private static DomainRecord wanted(Kind kind) {
    return DomainRecord.of("example.com", HOST, "", "brisbane").stream()
        .filter(record -> record.kind() == kind)
        .findFirst()
        .orElseThrow();
  }

  @DataProvider
  public Object[][] records() {
    return new Object[][] {
      {Kind.SPF, List.of("v=spf1 +all"), State.WRONG},
      {Kind.SPF, List.of("v=spf1 a -all"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 a:example.org -all"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 mx -all"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 mx mx:example.org -all"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 mx/30 mx:example.org/30 -all"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 ptr -all"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 ip4:192.0.2.128/28 -all"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 include:example.com include:example.net -all"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 redirect=_spf.example.com"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 ip6:2001:db8::/32 ~all exp=why.example.com"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 a:mail.example.com -all"), State.RIGHT},
      {Kind.SPF, List.of("V=SPF1 A:MAIL.EXAMPLE.COM -ALL"), State.RIGHT},
      {Kind.SPF, List.of("v=spf1 -all"), State.WRONG},
      {Kind.SPF, List.of("v=spf1 a all"), State.WRONG},
      {Kind.SPF, List.of("v=spf1 ip:192.0.2.1 -all"), State.WRONG},
      {Kind.SPF, List.of("v=spf1 mx -all", "v=spf1 a -all"), State.WRONG},
      {Kind.SPF, List.of("v=spf1" + " include:a.example".repeat(11) + " -all"), State.WRONG},
      {Kind.SPF, List.of("v=spf10 mx -all", "site-proof=abc"), State.MISSING},
      {Kind.SPF, List.of(), State.MISSING},
      {Kind.DKIM, List.of("v=DKIM1; p=MIGfMA0GCSqGSIb3DQEBAQUAA4GNADCBiQ"), State.RIGHT},
      {Kind.DKIM, List.of("k=rsa; p=MIGfMA0G CSqGSIb3"), State.RIGHT},
      {Kind.DKIM, List.of("v=DKIM1; p="), State.WRONG},
      {Kind.DKIM, List.of("v=DKIM2; p=MIGf"), State.WRONG},
      {Kind.DKIM, List.of("a word"), State.WRONG},
      {Kind.DKIM, List.of(), State.MISSING},
      {Kind.DMARC, List.of("v=DMARC1; p=none; rua=mailto:dmarc-feedback@example.com"), State.RIGHT},
      {
        Kind.DMARC,
        List.of("v=DMARC1; p=quarantine; rua=mailto:x@example.com,mailto:y@example.net; pct=25"),
        State.RIGHT
      },
      {Kind.DMARC, List.of("v=DMARC1;p=reject"), State.RIGHT},
      {Kind.DMARC, List.of("v=DMARC1; rua=mailto:x@example.com; p=none"), State.WRONG},
      {Kind.DMARC, List.of("v=DMARC1; p=perhaps"), State.WRONG},
      {Kind.DMARC, List.of("v=DMARC1; p=none", "v=DMARC1; p=reject"), State.WRONG},
      {Kind.DMARC, List.of("p=none"), State.MISSING},
      {Kind.MX, List.of("10 mail.example.com."), State.RIGHT},
      {Kind.MX, List.of("0 ."), State.WRONG},
      {Kind.MX, List.of(), State.MISSING},
    };
  }

  @Test(dataProvider = "records")
  public void aRecordIsRightOrNot(Kind kind, List<String> texts, State state) {
    assertThat(DomainRecordRule.judge(wanted(kind), Optional.of(texts), HOST).state())
        .as(texts.toString())
        .isEqualTo(state);
  }

  @Test
  public void hostsAreNamedAsPeopleSayThem() {
    Optional<List<String>> two = Optional.of(List.of("10 mail.example.com.", "20 in.example.com."));
    assertThat(DomainRecordRule.judge(wanted(Kind.MX), two, HOST).words())
        .isEqualTo("Mail to the domain goes to mail.example.com, in.example.com.");
  }

  @Test
  public void whoeverCannotBeAskedIsNotTakenForNone() {
    assertThat(DomainRecordRule.judge(wanted(Kind.SPF), Optional.empty(), HOST).state())
        .isEqualTo(State.NOT_REACHED);
  }

  /** What is shown to copy is right once it stands there; only the key is the mail server's. */
  @Test(dataProvider = "senders")
  public void whatIsShownToCopyIsRight(String sender, String spf) {
    for (DomainRecord wanted : DomainRecord.of("example.com", sender, "in.example.com", "k1")) {
      Optional<List<String>> found = Optional.of(List.of(wanted.text()));
      assertThat(DomainRecordRule.judge(wanted, found, sender).state())
          .as(wanted.toString())
          .isEqualTo(State.RIGHT);
      if (wanted.kind() == Kind.SPF) {
        assertThat(wanted.text()).isEqualTo(spf);
        assertThat(DomainRecordRule.judge(wanted, found, sender).words())
            .contains("It names " + sender);
      }
    }
  }

  @DataProvider
  public Object[][] senders() {
    return new Object[][] {
      {"mail.example.com", "v=spf1 a:mail.example.com -all"},
      {"192.0.2.7", "v=spf1 ip4:192.0.2.7 -all"},
      {"2001:db8::7", "v=spf1 ip6:2001:db8::7 -all"},
    };
  }
}
