package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FullNameTest {

  @DataProvider
  public Object[][] names() {
    return new Object[][] {
      {"Bea Okonjo", "Bea", "Okonjo"},
      {"  Bea   Maria Okonjo ", "Bea Maria", "Okonjo"},
      {"Okonjo, Bea Maria", "Bea Maria", "Okonjo"},
      {"Edda van der Velde", "Edda", "van der Velde"},
      {"van der Velde", "van", "der Velde"},
      {"Quill", "Quill", ""},
      {"さくら 森田", "さくら", "森田"},
      {"", "", ""},
    };
  }

  @Test(dataProvider = "names")
  public void isTakenApart(String text, String first, String last) {
    assertThat(FullName.of(text)).isEqualTo(new FullName(first, last));
  }
}
