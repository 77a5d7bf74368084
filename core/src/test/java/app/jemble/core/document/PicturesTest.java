package app.jemble.core.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Dates and numbers as the pictures of a document ask for them. */
public class PicturesTest {

  /** The examples of ISO/IEC 29500-1, 17.16.4.2, from memory. */
  @DataProvider
  public Object[][] numbers() {
    return new Object[][] {
      {"9", "00.00", "09.00"},
      {"9", "$###", "$  9"},
      {"9", "$##.00", "$ 9.00"},
      {"222492", "x##", "492"},
      {"0.125", "0.00x", "0.125"},
      {"0.75", ".x", ".8"},
      {"2456800", "$#,###,###", "$2,456,800"},
      {"-10", "-##", "-10"},
      {"90", "-##", " 90"},
      {"90", "+##", "+90"},
      {"-10", "+##", "-10"},
      {"33", "##%", "33%"},
      {"95.4", "$###.00", "$ 95.40"},
      {"2347", "0.00 'is the sales tax'", "2347.00 is the sales tax"},
      {"-12.5", "$#,##0.00;($#,##0.00)", "($  12.50)"},
      {"0", "$#,##0.00;($#,##0.00);'none'", "none"},
      {"12", "$#,##0.00;($#,##0.00);'none'", "$  12.00"},
      {"0", "0", "0"},
      {"0", "#,##0.00", "   0.00"},
      {"1234567.891", "#,##0.00", "1,234,567.89"},
      {"7", "000", "007"},
      {"-7", "0", "-7"},
    };
  }

  @Test(dataProvider = "numbers")
  public void aNumberIsWrittenByItsPicture(String number, String picture, String written) {
    assertThat(NumberPicture.apply(picture, new BigDecimal(number), Locale.US)).isEqualTo(written);
  }

  @Test
  public void separatorsAreThoseOfTheReader() {
    assertThat(NumberPicture.apply("#,##0.00", new BigDecimal("1234.5"), Locale.GERMANY))
        .isEqualTo("1.234,50");
  }

  @DataProvider
  public Object[][] dates() {
    return new Object[][] {
      {"dddd, MMMM d, yyyy", "en", "Sunday, November 8, 2026"},
      {"dd.MM.yy", "de", "08.11.26"},
      {"d. MMMM yyyy", "de", "8. November 2026"},
      {"d MMM", "fr", "8 nov."},
      {"'der' d.M.", "de", "der 8.11."},
      {"yyyy", "en", "2026"},
    };
  }

  @Test(dataProvider = "dates")
  public void aDateIsWrittenByItsPicture(String picture, String language, String written) {
    assertThat(
            DatePicture.apply(picture, LocalDate.of(2026, 11, 8), Locale.forLanguageTag(language)))
        .contains(written);
  }

  @Test
  public void hoursAreTakenWhereThereAreSome() {
    LocalDateTime moment = LocalDateTime.of(2026, 11, 8, 15, 4);
    assertThat(DatePicture.apply("HH:mm", moment, Locale.UK)).contains("15:04");
    assertThat(DatePicture.apply("h:mm am/pm", moment, Locale.US)).contains("3:04 PM");
    assertThat(DatePicture.apply("HH:mm", LocalDate.of(2026, 11, 8), Locale.UK)).isEmpty();
  }

  @Test
  public void anInstructionIsRead() {
    FieldCode code =
        FieldCode.read(" mergefield \"First \\\"Name\" \\* Upper \\b \"Dear \" \\*MERGEFORMAT ");
    assertThat(code.kind()).isEqualTo("MERGEFIELD");
    assertThat(code.argument()).isEqualTo("First \"Name");
    assertThat(code.all("*")).isEqualTo(List.of("Upper", "MERGEFORMAT"));
    assertThat(code.first("b")).contains("Dear ");
    assertThat(FieldCode.read("").kind()).isEmpty();
    assertThat(FieldCode.read("MERGEFIELD \\* ").argument()).isEmpty();
    assertThat(FieldCode.read("MERGEFIELD “Name").argument()).isEqualTo("Name");
  }
}
