package app.jemble;

import app.jemble.workspace.JembleSettings;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.EnableConfigurationProperties;

/** Starts Jemble. */
@SpringBootApplication
@EnableConfigurationProperties(JembleSettings.class)
public class JembleApplication {

  public static void main(String[] args) {
    SpringApplication.run(JembleApplication.class, args);
  }
}
