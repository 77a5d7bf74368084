package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.Place;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What people type and files hold, as it is kept and as it is shown. */
public class TidyTest {

  @DataProvider
  public Object[][] given() {
    return new Object[][] {
      {"\u00a0Bea\u00a0", "Bea"},
      {"\u200b\ufeffBea\u3000", "Bea"},
      {"Be\u0007a\u0085", "Bea"},
      {"\u202eBea\u202c", "Bea"},
      {"Mary\u00a0Ann", "Mary\u00a0Ann"},
      {"two\nlines", "two\nlines"},
      {" ", ""},
    };
  }

  @Test(dataProvider = "given")
  public void itIsKeptWithoutWhatNobodySees(String given, String kept) {
    assertThat(Words.tidy(given)).isEqualTo(kept);
  }

  /** Unicode Standard Annex 9: these would reorder what stands around the value. */
  @Test
  public void noValueTurnsTheLetterAroundIt() {
    for (Place place :
        List.of(Place.HTML_TEXT, Place.HTML_ATTRIBUTE, Place.PLAIN_TEXT, Place.HEADER)) {
      StringBuilder out = new StringBuilder("Dear ");
      Escaping.append(out, "B\u202e\u2066\u0000\u0085ea", place);
      assertThat(out.toString().replace(" ", "")).as("" + place).isEqualTo("DearBea");
    }
  }

  @DataProvider
  public Object[][] names() {
    return new Object[][] {
      {"Bea Okonjo", "Bea", "Okonjo"},
      {"Okonjo, Bea", "Bea", "Okonjo"},
      {"Okonjo, Bea, Jr.", "Bea", "Okonjo Jr."},
      {"Bea Okonjo, Jr.", "Bea", "Okonjo Jr."},
      {"Bea Okonjo III", "Bea", "Okonjo III"},
      {"Kees van der Berg", "Kees", "van der Berg"},
      {"Anna ter Horst", "Anna", "ter Horst"},
      {"Paulo dos Santos", "Paulo", "dos Santos"},
      {"José Ortega y Gasset", "José", "Ortega y Gasset"},
      {"Mary Ann Reyes", "Mary Ann", "Reyes"},
      {"Lund", "Lund", ""},
      {",", "", ""},
    };
  }

  @Test(dataProvider = "names")
  public void aNameInOnePieceIsParted(String name, String first, String last) {
    assertThat(FullName.of(name)).isEqualTo(new FullName(first, last));
  }

  @Test
  public void inSpanishThereAreTwoFamilyNames() {
    assertThat(FullName.of("María García López", java.util.Locale.forLanguageTag("es-ES")))
        .isEqualTo(new FullName("María", "García López"));
  }
}
