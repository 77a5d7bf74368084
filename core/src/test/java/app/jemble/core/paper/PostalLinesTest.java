package app.jemble.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.paper.PostalLines.Postal;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PostalLinesTest {

  private static final Country HOUSE = new Country("GB");

  /** After the country sheets of the UPU, from memory; the people and streets are made up. */
  @DataProvider
  public Object[][] addresses() {
    return new Object[][] {
      {"4 Quay Lane", "TQ9 5XY", "Lowen Quay", "", "4 Quay Lane|LOWEN QUAY|TQ9 5XY"},
      {"4 Quay Lane", "tq9 5xy", "Lowen Quay", "UK", "4 Quay Lane|LOWEN QUAY|TQ9 5XY"},
      {
        "9 Strand Road",
        "D02 XY45",
        "Dublin 2",
        "Ireland",
        "9 Strand Road|DUBLIN 2|D02 XY45|IRELAND"
      },
      {"12 Pier Ave", "04101", "Portland ME", "USA", "12 Pier Ave|PORTLAND ME 04101|UNITED STATES"},
      {"10 Wharf St", "V8W 9A1", "Victoria BC", "CA", "10 Wharf St|VICTORIA BC  V8W 9A1|CANADA"},
      {"3 Dock St", "7000", "Hobart TAS", "Australia", "3 Dock St|HOBART TAS 7000|AUSTRALIA"},
      {"5 Jetty Rd", "6011", "Wellington", "NZ", "5 Jetty Rd|Wellington 6011|NEW ZEALAND"},
      {"Hafenstr. 7", "20459", "Hamburg", "Deutschland", "Hafenstr. 7|20459 Hamburg|GERMANY"},
      {"8 quai Ouest", "17000", "La Rochelle", "FR", "8 quai Ouest|17000 LA ROCHELLE|FRANCE"},
      {"Kade 11", "1012 AB", "Amsterdam", "Holland", "Kade 11|1012 AB Amsterdam|NETHERLANDS"},
      {"Bryggen 3", "5003", "Bergen", "Norge", "Bryggen 3|5003 Bergen|NORWAY"},
      {"C/ Muelle 2", "39004", "Santander", "España", "C/ Muelle 2|39004 Santander|SPAIN"},
      {"ul. Portowa 6", "81-350", "Gdynia", "Polska", "ul. Portowa 6|81-350 GDYNIA|POLAND"},
      {"Kikötő u. 5.", "8230", "Balatonfüred", "HU", "Balatonfüred|Kikötő u. 5.|8230|HUNGARY"},
      {"Hamngatan 1", "111 47", "Stockholm", "Sverige", "Hamngatan 1|111 47 Stockholm|SWEDEN"},
      {"Molo 4", "16126", "Genova GE", "Italia", "Molo 4|16126 Genova GE|ITALY"},
      {"The Old Shed\n4 Quay Lane", "", "Lowen Quay", "", "The Old Shed|4 Quay Lane|LOWEN QUAY"},
      {"1 Far Street", "123", "Faraway", "Ruritania", "1 Far Street|123 Faraway|RURITANIA"}
    };
  }

  @Test(dataProvider = "addresses")
  public void linesStandInTheOrderOfTheirCountry(
      String street, String postcode, String place, String country, String lines) {
    Postal address = new Postal(street, postcode, place, country);
    assertThat(PostalLines.of(address, HOUSE, Locale.UK)).containsExactly(lines.split("\\|"));
    assertThat(address.isWhole()).isTrue();
  }

  /** The line for the country stands only where the letter goes abroad, in the house's language. */
  @Test
  public void atHomeThereIsNoLineForTheCountry() {
    Postal hamburg = new Postal("Hafenstr. 7", "20459", "Hamburg", "DE");
    assertThat(PostalLines.of(hamburg, new Country("DE"), Locale.GERMANY))
        .containsExactly("Hafenstr. 7", "20459 Hamburg");
    assertThat(PostalLines.of(hamburg, new Country("FR"), Locale.FRANCE)).endsWith("ALLEMAGNE");
  }

  @Test
  public void whatIsMissingTakesNoLine() {
    assertThat(PostalLines.of(new Postal(" ", "", "Lowen Quay ", ""), HOUSE, Locale.UK))
        .isEqualTo(List.of("LOWEN QUAY"));
    assertThat(new Postal("", "", "Lowen Quay", "").isWhole()).isFalse();
    assertThat(new Postal("4 Quay Lane", "TQ9 5XY", " ", "").isWhole()).isFalse();
  }
}
