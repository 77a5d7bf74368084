package app.jemble.core.house;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.house.ServiceSetting.Protection;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What may be set of a service outside, and when its password is asked for again. */
public class ServiceRuleTest {

  private static ServiceSetting mail(String host, int port, String user, String password) {
    return new ServiceSetting(
        ServiceKind.MAIL_SERVER, host, port, Protection.TLS, user, password, 2, 1, "", "");
  }

  private static ServiceSetting text(String user, String password, String sender) {
    return new ServiceSetting(
        ServiceKind.TEXT_SERVICE,
        "sms.quay.example",
        2775,
        Protection.NONE,
        user,
        password,
        4,
        20,
        sender,
        "");
  }

  private static ServiceSetting trusting(String server) {
    return new ServiceSetting(
        ServiceKind.MAILBOX, "quay.example", 993, Protection.TLS, "post", "", 1, 1, "", server);
  }

  @DataProvider
  public Object[][] settings() {
    return new Object[][] {
      {mail("mail.quay.example", 587, "orla", "lowen quay"), ""},
      {mail("", 587, "", ""), ""},
      {mail("192.0.2.7", 25, "", null), ""},
      {mail("2001:db8::7", 25, "", null), ""},
      {mail("mail quay", 587, "", ""), "host"},
      {mail("mail.quay.example\r\nX: y", 587, "", ""), "host"},
      {mail("http://mail.quay.example", 587, "", ""), "host"},
      {mail("mail.quay.example", 0, "", ""), "port"},
      {mail("mail.quay.example", 65_536, "", ""), "port"},
      {mail("mail.quay.example", 25, "or\nla", ""), "user"},
      {mail("mail.quay.example", 25, "orla", "two\r\nlines"), "password"},
      {mail("mail.quay.example", 25, "orla", "пароль long"), ""},
      {text("lowen", "quay-txt", "+447700900000"), ""},
      {text("lowen", "quay-txt", "Lowen Quay"), ""},
      {text("lowen", "quay-txt", ""), ""},
      {text("a-system-id-of-16", "quay-txt", ""), "user"},
      {text("lowen", "nine char", ""), "password"},
      {text("lowen", "", "A name too long"), "sender"},
      {text("lowen", "", "07700900000a"), "sender"},
      {trusting("mail.quay.example"), ""},
      {trusting("mail; quay"), "trustedServer"},
    };
  }

  @Test(dataProvider = "settings")
  public void whatIsWrongIsNamed(ServiceSetting setting, String field) {
    assertThat(ServiceRule.faultOf(setting).map(HouseRule.Fault::field).orElse(""))
        .isEqualTo(field);
  }

  /** RFC 3207 is of mail, and RFC 9051 of mailboxes; SMPP v3.4 has nothing of the kind. */
  @Test
  public void aTextServiceIsProtectedFromTheFirstOctetOrNotAtAll() {
    ServiceSetting plain = text("lowen", "", "");
    ServiceSetting turning =
        new ServiceSetting(
            plain.kind(),
            plain.host(),
            plain.port(),
            Protection.STARTTLS,
            plain.user(),
            "",
            4,
            20,
            "",
            "");
    assertThat(ServiceRule.faultOf(turning).orElseThrow().field()).isEqualTo("security");
  }

  @Test
  public void aPasswordStaysWithThePlaceItWasTypedFor() {
    ServiceSetting before = mail("mail.quay.example", 587, "orla", "lowen quay");
    assertThat(ServiceRule.keepsPassword(before, mail("mail.quay.example", 587, "orla", null)))
        .isTrue();
    assertThat(ServiceRule.keepsPassword(before, mail("mail.thief.example", 587, "orla", null)))
        .isFalse();
    assertThat(ServiceRule.keepsPassword(before, mail("mail.quay.example", 588, "orla", null)))
        .isFalse();
    assertThat(ServiceRule.keepsPassword(before, mail("mail.quay.example", 587, "reed", null)))
        .isFalse();
  }

  /** It stands in logs where somebody prints a setting. */
  @Test
  public void aSettingDoesNotSpellItsPassword() {
    assertThat(mail("mail.quay.example", 587, "orla", "lowen quay").toString())
        .doesNotContain("lowen quay");
  }
}
