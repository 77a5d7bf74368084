package app.jemble.workspace;

import app.jemble.core.house.HouseFacts;
import app.jemble.core.house.HouseRule;
import app.jemble.settings.JembleSettings;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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
public class HouseSettings implements ApplicationRunner {

  private static final String FIRST_TOPIC = "News";

  private static final Map<String, String> VARIABLES =
      Map.of(
          "name", "JEMBLE_HOUSE_NAME",
          "address", "JEMBLE_HOUSE_ADDRESS",
          "zone", "JEMBLE_HOUSE_ZONE",
          "language", "JEMBLE_HOUSE_LANGUAGE",
          "mailDomain", "JEMBLE_MAIL_DOMAIN",
          "email", "JEMBLE_HOUSE_EMAIL",
          "holdSeconds", "JEMBLE_HOLD_SECONDS");

  private final JembleSettings.House said;
  private final WorkspaceService workspace;

  HouseSettings(JembleSettings settings, WorkspaceService workspace) {
    this.said = settings.house();
    this.workspace = workspace;
  }

  /** By the name of a fact that is set outside, the variable that sets it. */
  public Map<String, String> setOutside() {
    Map<String, String> by = new LinkedHashMap<>(given());
    by.replaceAll((field, value) -> VARIABLES.get(field));
    return by;
  }

  private Map<String, String> given() {
    Map<String, String> given = new LinkedHashMap<>();
    given.put("name", said.name());
    given.put("address", said.address());
    given.put("zone", said.zone());
    given.put("language", said.language());
    given.put("mailDomain", said.mailDomain());
    given.put("email", said.email());
    given.put("holdSeconds", said.holdSeconds());
    given.values().removeIf(value -> value == null || value.isBlank());
    return given;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    HouseFacts now = workspace.current().facts();
    HouseFacts wanted =
        new HouseFacts(
            or(said.name(), now.name()),
            or(said.address(), now.address()),
            or(said.zone(), now.zone()),
            or(said.language(), now.language()),
            or(said.mailDomain(), now.mailDomain()),
            or(said.email(), now.email()),
            hold(or(said.holdSeconds(), Integer.toString(now.holdSeconds()))),
            now.currency(),
            now.dayOrder(),
            now.weekStart());
    Map<String, String> given = given();
    HouseRule.faultsOf(wanted).stream()
        .filter(fault -> given.containsKey(fault.field()))
        .findFirst()
        .ifPresent(
            fault -> {
              throw wrong(fault, given.get(fault.field()));
            });
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

  /** What is no number is none that the rule takes. */
  private static int hold(String seconds) {
    return seconds.matches("\\d{1,4}") ? Integer.parseInt(seconds) : -1;
  }

  private static IllegalStateException wrong(HouseRule.Fault fault, String given) {
    return new IllegalStateException(
        VARIABLES.get(fault.field()) + " takes " + fault.right() + ", not “" + given + "”.");
  }
}
