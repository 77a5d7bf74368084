package app.jemble.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.paper.PostalLines.Postal;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Addresses of twenty countries, written in one line (UPU S42 and its country sheets, from memory).
 */
public class PostalReadingTest {

  private static final Country HOUSE = new Country("GB");

  @DataProvider
  public Object[][] addresses() {
    return new Object[][] {
      {"DE", "Hafenstraße 4", "26721", "Emden"},
      {"FR", "4 rue du Quai", "29200", "Brest"},
      {"ES", "Calle Muelle 4", "36201", "Vigo"},
      {"IT", "Via Molo 4", "16126", "Genova GE"},
      {"FI", "Satamakatu 4", "00160", "Helsinki"},
      {"AT", "Uferweg 4", "6900", "Bregenz"},
      {"CH", "Seestrasse 4", "8820", "Wädenswil"},
      {"BE", "Kaai 4", "8400", "Oostende"},
      {"DK", "Havnevej 4", "5700", "Svendborg"},
      {"NO", "Bryggen 4", "5003", "Bergen"},
      {"SE", "Hamngatan 4", "451 31", "Uddevalla"},
      {"NL", "Havenkade 4", "1781 AB", "Den Helder"},
      {"PL", "ul. Portowa 4", "81-339", "Gdynia"},
      {"PT", "Rua do Cais 4", "4450-001", "Matosinhos"},
      {"US", "4 Quay Street", "04101", "Portland ME"},
      {"CA", "4 Quay Street", "B3H 1A1", "Halifax NS"},
      {"AU", "4 Quay Street", "7000", "Hobart TAS"},
      {"NZ", "4 Quay Street", "1010", "Auckland"},
      {"GB", "4 Quay Lane", "TR19 6AB", "Lowen Quay"},
      {"IE", "4 Quay Lane", "P17 X4Y2", "Kinsale"},
    };
  }

  private static Postal plain(Postal read) {
    return new Postal(
        read.street(), read.postcode(), read.place().toUpperCase(Locale.ROOT), read.country());
  }

  /** As we write it, with commas, abroad and at home, with a second line of the street. */
  @Test(dataProvider = "addresses")
  public void whatWeWriteIsRead(String code, String street, String postcode, String place) {
    for (String streets : List.of(street, "The Loft\n" + street)) {
      Postal address = new Postal(streets, postcode, place, code);
      String abroad = String.join(", ", PostalLines.of(address, new Country("JP"), Locale.UK));
      Postal expected = plain(new Postal(streets, postcode, place, abroad.replaceAll(".*, ", "")));
      assertThat(PostalReading.of(abroad, HOUSE).map(PostalReadingTest::plain))
          .as(abroad)
          .contains(expected);
      Country home = new Country(code);
      String inside = String.join("\n", PostalLines.of(address, home, Locale.UK));
      assertThat(PostalReading.of(inside, home).map(PostalReadingTest::plain))
          .as(inside)
          .contains(plain(new Postal(streets, postcode, place, "")));
    }
  }

  @DataProvider
  public Object[][] otherwise() {
    return new Object[][] {
      {"Hafenstraße 4, D-26721 Emden, Deutschland", "Hafenstraße 4", "26721", "Emden"},
      {"Hafenstraße 4, 26721, Emden, Germany", "Hafenstraße 4", "26721", "Emden"},
      {"Hafenstraße 4 26721 Emden; Germany", "Hafenstraße 4", "26721", "Emden"},
      {"4 Quay St, Portland, ME 04101-1234, USA", "4 Quay St", "04101-1234", "Portland ME"},
      {"4 Quay Lane, Lowen Quay TR19 6AB", "4 Quay Lane", "TR19 6AB", "Lowen Quay"},
    };
  }

  @Test(dataProvider = "otherwise")
  public void otherWaysOfWritingAreRead(
      String written, String street, String postcode, String place) {
    Postal read = PostalReading.of(written, HOUSE).orElseThrow();
    assertThat(List.of(read.street(), read.postcode(), read.place()))
        .containsExactly(street, postcode, place);
  }

  @DataProvider
  public Object[][] notPlain() {
    return new Object[][] {
      {""},
      {" , ,"},
      {"Lowen Quay"},
      {"TR19 6AB"},
      {"4 Quay Lane"},
      {"4 Quay Lane, Lowen Quay"},
      {"26721 Emden, Germany"},
      {"4 Quay Lane, 26721 Emden"},
      {"1-2-3 Minato, Tokyo 105-0001, Japan"},
      {"a, b, c, d, e, f, g, h, TR19 6AB"},
    };
  }

  @Test(dataProvider = "notPlain")
  public void whatIsNotPlainIsLeftWhole(String written) {
    assertThat(PostalReading.of(written, HOUSE)).isEmpty();
  }
}
