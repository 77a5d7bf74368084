package app.jemble.workspace;

import app.jemble.core.record.EmailAddress;
import app.jemble.settings.JembleSettings;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Makes an empty house one that can write: takes over what the settings say of it, and sees to it
 * that there is a topic. A letterhead and signatures come with the tables. Anew at every start, so
 * that what is set outside holds.
 */
@Component
@Order(3)
class HouseSettings implements ApplicationRunner {

  private static final String FIRST_TOPIC = "News";
  private static final int LONGEST_HOLD = 3600;

  private static final Pattern DOMAIN =
      Pattern.compile("[A-Za-z0-9]([A-Za-z0-9.-]*[A-Za-z0-9])?", Pattern.CASE_INSENSITIVE);

  private final JembleSettings.House said;
  private final WorkspaceService workspace;

  HouseSettings(JembleSettings settings, WorkspaceService workspace) {
    this.said = settings.house();
    this.workspace = workspace;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    Workspace now = workspace.current();
    Workspace wanted =
        new Workspace(
            or(said.name(), now.name()),
            or(said.address(), now.postalAddress()),
            zone(or(said.zone(), now.zone())),
            language(or(said.language(), now.language())),
            domain(or(said.mailDomain(), now.returnDomain())),
            hold(or(said.holdSeconds(), Integer.toString(now.holdSeconds()))),
            now.secret(),
            email(or(said.email(), now.houseEmail())));
    workspace.change(wanted);
    words(said.plans()).forEach(workspace::addPlan);
    List<String> known =
        workspace.topics().stream().map(t -> t.name().toLowerCase(Locale.ROOT)).toList();
    words(said.topics()).stream()
        .filter(topic -> !known.contains(topic.toLowerCase(Locale.ROOT)))
        .forEach(workspace::addTopic);
    if (workspace.topics().isEmpty()) {
      workspace.addTopic(FIRST_TOPIC);
    }
  }

  private static String or(String given, String known) {
    return given == null || given.isBlank() ? known : given.strip();
  }

  private static List<String> words(String given) {
    return Arrays.stream((given == null ? "" : given).split(","))
        .map(String::strip)
        .filter(w -> !w.isEmpty())
        .toList();
  }

  private static String zone(String zone) {
    try {
      return ZoneId.of(zone).getId();
    } catch (DateTimeException unknown) {
      throw wrong("JEMBLE_HOUSE_ZONE", "a zone such as Europe/London", zone);
    }
  }

  private static String language(String language) {
    Locale locale = Locale.forLanguageTag(language);
    if (locale.getLanguage().isEmpty()) {
      throw wrong("JEMBLE_HOUSE_LANGUAGE", "a language such as en-GB", language);
    }
    return locale.toLanguageTag();
  }

  private static String domain(String domain) {
    if (!DOMAIN.matcher(domain).matches()) {
      throw wrong("JEMBLE_MAIL_DOMAIN", "a domain such as quay.example", domain);
    }
    return domain.toLowerCase(Locale.ROOT);
  }

  private static int hold(String seconds) {
    if (!seconds.matches("\\d{1,4}") || Integer.parseInt(seconds) > LONGEST_HOLD) {
      throw wrong("JEMBLE_HOLD_SECONDS", "a number of seconds up to 3600", seconds);
    }
    return Integer.parseInt(seconds);
  }

  private static String email(String email) {
    if (email != null && !EmailAddress.isValid(email)) {
      throw wrong("JEMBLE_HOUSE_EMAIL", "an e-mail address", email);
    }
    return email;
  }

  private static IllegalStateException wrong(String variable, String right, String given) {
    return new IllegalStateException(variable + " takes " + right + ", not “" + given + "”.");
  }
}
