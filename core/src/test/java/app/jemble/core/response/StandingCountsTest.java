package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** Sums of where messages stand: they add up to what was sent. */
public class StandingCountsTest {

  @Test
  public void everyStandingCountsWhereItBelongs() {
    Map<Standing, Long> each = new EnumMap<>(Standing.class);
    for (Standing standing : Standing.values()) {
      each.put(standing, 1L << standing.ordinal());
    }
    StandingCounts counts = new StandingCounts(each);
    long all = (1L << Standing.values().length) - 1;
    assertThat(counts.sent()).isEqualTo(all);
    assertThat(counts.delivered()).isEqualTo(all - each.get(Standing.RETURNED));
    assertThat(counts.read())
        .isEqualTo(
            each.get(Standing.REPLIED) + each.get(Standing.CLICKED) + each.get(Standing.OPENED));
    assertThat(counts.quiet())
        .isEqualTo(each.get(Standing.MACHINE_OPENED) + each.get(Standing.NOTHING));
    assertThat(new StandingCounts(Map.of()).delivered()).isZero();
    assertThat(new StandingCounts(Map.of()).of(Standing.REPLIED)).isZero();
  }

  /** Three in thirty days that speak against the address (common practice). */
  @Test
  public void threeSoftReturnsAreTooMany() {
    String full = "4.2.2 the mailbox is full";
    assertThat(SoftReturns.tooMany(List.of(full, full))).isFalse();
    assertThat(SoftReturns.tooMany(List.of(full, full, full))).isTrue();
    assertThat(SoftReturns.tooMany(List.of(full, full, "5.7.1 refused by policy")))
        .as("said of the message, not of the address")
        .isFalse();
  }
}
