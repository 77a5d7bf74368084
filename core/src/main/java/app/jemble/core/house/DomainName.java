package app.jemble.core.house;

import java.util.regex.Pattern;

/** Names of domains and hosts: letters, digits and hyphens (RFC 1123, section 2.1) and dots. */
public final class DomainName {

  private static final int LONGEST = 253;

  private static final Pattern SHAPE =
      Pattern.compile(
          "[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?(\\.[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?)*",
          Pattern.CASE_INSENSITIVE);

  /** An address of IP version 6 (RFC 4291); whether there is such a host shows when it is used. */
  private static final Pattern SIX = Pattern.compile("(?=.*:.*:)[0-9a-fA-F:.]{2,45}");

  private DomainName() {}

  public static boolean isOne(String name) {
    return name != null && name.length() <= LONGEST && SHAPE.matcher(name).matches();
  }

  /** Whether it can name a host: by a name, or by an address. */
  public static boolean isHost(String host) {
    return isOne(host) || host != null && SIX.matcher(host).matches();
  }
}
