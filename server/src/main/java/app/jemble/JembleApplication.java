package app.jemble;

import app.jemble.workspace.JembleSettings;
import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Bean;

/** Starts Jemble. */
@SpringBootApplication
@EnableConfigurationProperties(JembleSettings.class)
public class JembleApplication {

  public static void main(String[] args) {
    SpringApplication.run(JembleApplication.class, args);
  }

  /** The one clock; everything that depends on time asks it. */
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
