package app.jemble.core.house;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Each fact of a house, right and wrong. */
public class HouseRuleTest {

  private static final HouseFacts RIGHT =
      new HouseFacts(
          "Tern Quay Boatyard",
          "1 Quay Road, Lowen Quay",
          "Europe/London",
          "en-GB",
          "quay.example",
          "desk@quay.example",
          30,
          null,
          null,
          null);

  private static HouseFacts with(String field, String value) {
    return new HouseFacts(
        field.equals("name") ? value : RIGHT.name(),
        field.equals("address") ? value : RIGHT.address(),
        field.equals("zone") ? value : RIGHT.zone(),
        field.equals("language") ? value : RIGHT.language(),
        field.equals("mailDomain") ? value : RIGHT.mailDomain(),
        field.equals("email") ? value : RIGHT.email(),
        field.equals("holdSeconds") ? Integer.parseInt(value) : RIGHT.holdSeconds(),
        field.equals("currency") ? value : RIGHT.currency(),
        RIGHT.dayOrder(),
        RIGHT.weekStart());
  }

  @DataProvider
  public Object[][] right() {
    return new Object[][] {
      {"name", "東京ヨットクラブ"},
      {"address", ""},
      {"zone", "Asia/Kolkata"},
      {"zone", "UTC"},
      {"language", "nb"},
      {"language", "pt-BR"},
      {"mailDomain", "localhost"},
      {"mailDomain", "mail-2.QUAY.example"},
      {"mailDomain", "xn--bcher-kva.example"},
      {"email", null},
      {"holdSeconds", "0"},
      {"holdSeconds", "3600"},
      {"currency", "EUR"},
      {"currency", null},
    };
  }

  @Test(dataProvider = "right")
  public void isTaken(String field, String value) {
    assertThat(HouseRule.faultOf(with(field, value))).isEmpty();
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {"currency", "eur"},
      {"currency", ""},
      {"currency", "ABCD"},
      {"name", " "},
      {"name", null},
      {"name", "two\r\nlines"},
      {"name", "x".repeat(201)},
      {"address", "x\u0000"},
      {"address", null},
      {"zone", "London"},
      {"zone", "+01:00"},
      {"zone", null},
      {"language", "english please"},
      {"language", ""},
      {"mailDomain", "quay..example"},
      {"mailDomain", "-quay.example"},
      {"mailDomain", "quay.example\n"},
      {"mailDomain", "quay.example."},
      {"mailDomain", ("x".repeat(60) + ".").repeat(5) + "example"},
      {"email", "desk at quay"},
      {"email", ""},
      {"holdSeconds", "-1"},
      {"holdSeconds", "3601"},
    };
  }

  @Test(dataProvider = "wrong")
  public void isRefusedAtItsField(String field, String value) {
    assertThat(HouseRule.faultOf(with(field, value)).orElseThrow().field()).isEqualTo(field);
  }
}
