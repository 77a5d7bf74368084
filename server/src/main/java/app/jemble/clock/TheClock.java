package app.jemble.clock;

import app.jemble.settings.JembleSettings;
import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock; everything that depends on time asks it. */
@Configuration
class TheClock {

  /** The machine's own, for what others check by theirs; injected by name alone. */
  @Bean(defaultCandidate = false)
  Clock machineClock() {
    return Clock.systemUTC();
  }

  @Bean
  Clock clock(JembleSettings settings) {
    JembleSettings.Time time = settings.clock();
    Clock machine = machineClock();
    return time.speed() == 1 ? machine : new SqueezedClock(machine, time.from(), time.speed());
  }
}
