package app.jemble.core.act;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Acts say themselves, before and after. */
public class ActTest {

  @DataProvider
  public Object[][] acts() {
    return new Object[][] {
      {new Act.Send(), "another message in the thread", "another message", false},
      {new Act.MakeTask("call", "Ring", 2, null), "task “Ring” (call)", "the task “Ring”", true},
      {new Act.AddTag("spring"), "tag “spring”", "the tag “spring”", true},
      {
        new Act.SetField("last_visit", "6 Dec"),
        "last visit: 6 Dec",
        "last visit set to “6 Dec”",
        true
      },
      {
        new Act.SetField("address.Place", " "),
        "address place: empty",
        "address place emptied",
        true
      },
      {new Act.Tell(), "a mail to the sender", "told the sender", false},
    };
  }

  @Test(dataProvider = "acts")
  public void anActSaysWhatItWillDoAndWhatItDid(
      Act act, String words, String done, boolean change) {
    assertThat(act.words()).isEqualTo(words);
    assertThat(act.done()).isEqualTo(done);
    assertThat(act.isChange()).isEqualTo(change);
  }
}
