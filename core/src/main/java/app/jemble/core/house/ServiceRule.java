package app.jemble.core.house;

import app.jemble.core.house.HouseRule.Fault;
import app.jemble.core.house.ServiceSetting.Protection;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** What is right for a {@link ServiceSetting}. */
public final class ServiceRule {

  private static final int LAST_PORT = 65_535;
  private static final int MOST_LINES = 50;
  private static final int MOST_A_SECOND = 100_000;
  private static final int LONGEST_USER = 254;
  private static final int LONGEST_PASSWORD = 500;

  /** A system_id ends with a NUL within 16 octets, a password within 9 (SMPP v3.4, 4.1.1). */
  private static final Pattern TEXT_USER = Pattern.compile("[ -~]{0,15}");

  private static final Pattern TEXT_PASSWORD = Pattern.compile("[ -~]{0,8}");

  /** The longest name that texts can come from (3GPP TS 23.040, 9.1.2.5). */
  private static final Pattern SENDER = Pattern.compile("\\+[1-9]\\d{1,14}|[A-Za-z0-9 ]{1,11}");

  private ServiceRule() {}

  /** Whether phones can show it as what a text comes from. */
  public static boolean isSender(String sender) {
    return SENDER.matcher(sender).matches();
  }

  /**
   * Whether a password that was typed for one place may be used for another without being typed
   * again: else whoever may change settings could have it sent to a host of their own.
   */
  public static boolean keepsPassword(ServiceSetting before, ServiceSetting after) {
    return before.host().equals(after.host())
        && before.port() == after.port()
        && before.user().equals(after.user())
        && before.protection() == after.protection();
  }

  public static Optional<Fault> faultOf(ServiceSetting setting) {
    boolean isText = setting.kind() == ServiceKind.TEXT_SERVICE;
    List<Fault> faults = new ArrayList<>();
    check(
        faults,
        "host",
        setting.host().isEmpty() || DomainName.isHost(setting.host()),
        "a name or an address of a host, such as mail.quay.example");
    check(faults, "port", isWithin(setting.port(), LAST_PORT), "a port between 1 and 65535");
    boolean canProtect = !isText || setting.protection() != Protection.STARTTLS;
    check(faults, "security", canProtect, "protection from the first octet, or none");
    check(
        faults,
        "user",
        isText
            ? TEXT_USER.matcher(setting.user()).matches()
            : HouseRule.isLine(setting.user()) && setting.user().length() <= LONGEST_USER,
        isText ? "up to 15 plain characters" : "one line");
    check(
        faults,
        "password",
        setting.password() == null || isPassword(setting.password(), isText),
        isText ? "up to 8 plain characters" : "one line of up to 500 characters");
    check(faults, "lines", isWithin(setting.lines(), MOST_LINES), "a number between 1 and 50");
    if (isText) {
      check(
          faults,
          "perSecond",
          isWithin(setting.perSecond(), MOST_A_SECOND),
          "a number between 1 and 100000");
      check(
          faults,
          "sender",
          setting.sender().isEmpty() || isSender(setting.sender()),
          "a number such as +447700900000, or a name of at most 11 letters and digits");
    }
    check(
        faults,
        "trustedServer",
        setting.trustedServer().isEmpty() || DomainName.isOne(setting.trustedServer()),
        "a name such as mail.quay.example");
    return faults.stream().findFirst();
  }

  private static boolean isPassword(String password, boolean isText) {
    return isText
        ? TEXT_PASSWORD.matcher(password).matches()
        : password.length() <= LONGEST_PASSWORD
            && password.chars().noneMatch(Character::isISOControl);
  }

  private static boolean isWithin(int number, int most) {
    return number >= 1 && number <= most;
  }

  private static void check(List<Fault> faults, String field, boolean isRight, String right) {
    if (!isRight) {
      faults.add(new Fault(field, right));
    }
  }
}
