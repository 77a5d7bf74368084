package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Addresses of RFC 5322 appendix A.1, RFC 3696 section 3 with errata 246 and 1690, RFC 6531, and
 * what the documentation of {@link EmailAddress} refuses.
 */
public class EmailAddressTest {

  @DataProvider
  public Object[][] valid() {
    return new Object[][] {
      {"jdoe@machine.example"}, // RFC 5322 A.1.1
      {"mary@example.net"}, // RFC 5322 A.1.1
      {"\"Abc@def\"@example.com"}, // RFC 3696 section 3
      {"\"Fred\\ Bloggs\"@example.com"}, // RFC 3696 erratum 246
      {"customer/department=shipping@example.com"}, // RFC 3696 section 3
      {"$A12345@example.com"},
      {"!def!xyz%abc@example.com"},
      {"_somename@example.com"},
      {"用户@例子.example"}, // RFC 6531: other alphabets
      {"zoë@münchen.example"},
      {"a@b-c.example"},
      {"x".repeat(64) + "@quay.example"},
    };
  }

  @DataProvider
  public Object[][] refused() {
    return new Object[][] {
      {""},
      {"bea"},
      {"@quay.example"},
      {"bea@"},
      {"bea@quay"},
      {"bea@quay..example"},
      {"bea@-quay.example"},
      {"bea@quay.123"},
      {".bea@quay.example"},
      {"be..a@quay.example"},
      {"bea okonjo@quay.example"},
      {"bea@quay.example\r\nBcc: all@quay.example"},
      {"x".repeat(65) + "@quay.example"}, // RFC 5321 section 4.5.3.1.1
      {"bea@" + "quay.".repeat(60) + "example"}, // RFC 3696 erratum 1690
      {"bea@[192.0.2.1]"}, // documented as narrower than the RFC
    };
  }

  @Test(dataProvider = "valid")
  public void accepts(String address) {
    assertThat(EmailAddress.isValid(address)).as(address).isTrue();
  }

  @Test(dataProvider = "refused")
  public void refuses(String address) {
    assertThat(EmailAddress.isValid(address)).as(address).isFalse();
  }

  @Test
  public void spellingsOfOneAddressShareAKey() {
    assertThat(EmailAddress.key(" Bea@Okonjo.Example ")).isEqualTo("bea@okonjo.example");
  }
}
