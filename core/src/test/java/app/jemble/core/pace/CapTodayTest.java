package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.pace.CapToday.Leaving;
import app.jemble.core.reach.Channel;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** Which messages are over a daily cap when they are about to leave. */
public class CapTodayTest {

  private static final CapToday ALL = new CapToday(-1, 0, null, "the workspace", 1000);
  private static final CapToday ORLA = new CapToday(1, 1, null, "Orla Finch", 2);

  private static final CapToday TEXTS = new CapToday(-3, 0, Channel.TEXT, "the text service", 1);

  private static List<Leaving> mails(long... senders) {
    return Arrays.stream(senders).mapToObj(who -> new Leaving(who, Channel.EMAIL)).toList();
  }

  @Test
  public void oneOfAWayHoldsUpNothingThatGoesAnother() {
    Leaving mail = new Leaving(2, Channel.EMAIL);
    Leaving text = new Leaving(2, Channel.TEXT);
    assertThat(CapToday.over(List.of(text, mail, text, mail), Map.of(TEXTS, 0L, ALL, 997L)))
        .as("the second text is over its own cap, and takes nothing of that of all")
        .isEqualTo(Map.of(2, TEXTS));
  }

  @Test
  public void oneWhoseCapIsUsedUpDoesNotHoldUpOthers() {
    assertThat(CapToday.over(mails(1, 1, 1, 2, 1), Map.of(ORLA, 0L, ALL, 0L)))
        .isEqualTo(Map.of(2, ORLA, 4, ORLA));
  }

  @Test
  public void whatLeftBeforeCountsAndWhatIsOverDoesNot() {
    assertThat(CapToday.over(mails(1, 2, 2), Map.of(ORLA, 2L, ALL, 998L)))
        .as("the first is Orla's third, so two more fit into the workspace's cap")
        .isEqualTo(Map.of(0, ORLA));
    assertThat(CapToday.over(mails(2, 2, 2), Map.of(ALL, 998L))).isEqualTo(Map.of(2, ALL));
  }

  @Test
  public void aCapSaysWhoseItIs() {
    assertThat(ALL.words()).isEqualTo("over the daily cap of the workspace (1,000)");
  }
}
