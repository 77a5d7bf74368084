package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Where an answer ends and its quotes begin, as mail readers write them (common practice). */
public class OwnWordsTest {

  @DataProvider
  public Object[][] answers() {
    return new Object[][] {
      {"Yes.\r\n\r\n> Do you come?\r\n", "Yes.", "> Do you come?"},
      {
        "Yes.\n\nOn 23 March 2027, Orla wrote:\n> Hello",
        "Yes.",
        "On 23 March 2027, Orla wrote:\n> Hello"
      },
      {
        "Ja.\nAm 23.03.2027 um 09:00 schrieb\nOrla Finch:",
        "Ja.\nAm 23.03.2027 um 09:00 schrieb\nOrla Finch:",
        ""
      },
      {
        "Ja.\nAm 23.03.2027 um 09:00\nschrieb:\n> Hallo",
        "Ja.",
        "Am 23.03.2027 um 09:00\nschrieb:\n> Hallo"
      },
      {
        "Ok\n-----Original Message-----\nFrom: Orla", "Ok", "-----Original Message-----\nFrom: Orla"
      },
      {"> only quotes", "", "> only quotes"},
      {"On Monday I wrote: no.\nBut now yes.", "On Monday I wrote: no.\nBut now yes.", ""},
      {"", "", ""},
    };
  }

  @Test(dataProvider = "answers")
  public void anAnswerIsPartedWhereItQuotes(String text, String own, String quoted) {
    assertThat(OwnWords.of(text)).isEqualTo(new OwnWords(own, quoted));
  }

  @Test
  public void aSnippetIsOneLineAndCut() {
    assertThat(OwnWords.of("Yes,\n  gladly.\n> Hello").snippet(300)).isEqualTo("Yes, gladly.");
    assertThat(OwnWords.of("abcdef").snippet(3)).isEqualTo("abc…");
  }
}
