package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.message.MessageState;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Days on which messages count, also where London's day is another than UTC's. */
public class CountedDayTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  /** Half past midnight in London, summer time. */
  private static final Instant NOW = Instant.parse("2026-06-09T23:30:00Z");

  @DataProvider
  public Object[][] messages() {
    return new Object[][] {
      // state, due, sent, the day
      {MessageState.WAITING, "2026-06-09T08:00:00Z", null, "2026-06-10"},
      {MessageState.DEFERRED, "2026-06-10T22:59:59Z", null, "2026-06-10"},
      {MessageState.WAITING, "2026-06-10T23:00:00Z", null, "2026-06-11"},
      {MessageState.HELD, "2026-06-20T12:00:00Z", null, "2026-06-20"},
      {MessageState.IN_DOUBT, "2026-06-01T12:00:00Z", null, "2026-06-10"},
      {MessageState.SENT, "2026-06-09T08:00:00Z", "2026-06-09T23:00:00Z", "2026-06-10"},
      {MessageState.SENT, "2026-06-09T08:00:00Z", "2026-06-09T22:59:59Z", null},
      {MessageState.REFUSED, "2026-06-12T08:00:00Z", null, null},
      {MessageState.WITHDRAWN, "2026-06-12T08:00:00Z", null, null},
    };
  }

  @Test(dataProvider = "messages")
  public void aMessageCountsOnItsDay(MessageState state, String due, String sent, String day) {
    assertThat(
            CountedDay.of(
                state, Instant.parse(due), sent == null ? null : Instant.parse(sent), NOW, LONDON))
        .isEqualTo(Optional.ofNullable(day).map(LocalDate::parse));
  }
}
