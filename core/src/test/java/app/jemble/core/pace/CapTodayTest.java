package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** Which messages are over a daily cap when they are about to leave. */
public class CapTodayTest {

  private static final CapToday ALL = new CapToday(-1, 0, "the workspace", 1000);
  private static final CapToday ORLA = new CapToday(1, 1, "Orla Finch", 2);

  @Test
  public void oneWhoseCapIsUsedUpDoesNotHoldUpOthers() {
    assertThat(CapToday.over(List.of(1L, 1L, 1L, 2L, 1L), Map.of(ORLA, 0L, ALL, 0L)))
        .isEqualTo(Map.of(2, ORLA, 4, ORLA));
  }

  @Test
  public void whatLeftBeforeCountsAndWhatIsOverDoesNot() {
    assertThat(CapToday.over(List.of(1L, 2L, 2L), Map.of(ORLA, 2L, ALL, 998L)))
        .as("the first is Orla's third, so two more fit into the workspace's cap")
        .isEqualTo(Map.of(0, ORLA));
    assertThat(CapToday.over(List.of(2L, 2L, 2L), Map.of(ALL, 998L))).isEqualTo(Map.of(2, ALL));
  }

  @Test
  public void aCapSaysWhoseItIs() {
    assertThat(ALL.words()).isEqualTo("over the daily cap of the workspace (1,000)");
  }
}
