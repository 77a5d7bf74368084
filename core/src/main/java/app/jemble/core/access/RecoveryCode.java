package app.jemble.core.access;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Locale;
import org.apache.commons.codec.binary.Base32;

/**
 * A code on paper for the day on which the app is lost, good once. It has 120 bits, so that its
 * plain hash gives nothing away (OWASP ASVS 5, V6.5.2 asks for 112).
 */
public final class RecoveryCode {

  /** Octets from a secure source that make one. */
  public static final int OCTETS = 15;

  private static final int GROUP = 4;

  private RecoveryCode() {}

  /** As it is printed: six groups of four. */
  public static String of(byte[] random) {
    if (random.length != OCTETS) {
      throw new IllegalArgumentException("a code is made of " + OCTETS + " octets");
    }
    String all = new Base32().encodeToString(random).toLowerCase(Locale.ROOT);
    StringBuilder grouped = new StringBuilder(all.substring(0, GROUP));
    for (int at = GROUP; at < all.length(); at += GROUP) {
      grouped.append('-').append(all, at, at + GROUP);
    }
    return grouped.toString();
  }

  /** Whether this was typed as such a code and not as the digits of an app. */
  public static boolean isOne(String typed) {
    return tidy(typed).length() == OCTETS * 8 / 5;
  }

  /** What is kept of a code, however it was typed: SHA-256. */
  public static byte[] hash(String typed) {
    try {
      return MessageDigest.getInstance("SHA-256")
          .digest(tidy(typed).getBytes(StandardCharsets.UTF_8));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException("every JDK has SHA-256", impossible);
    }
  }

  private static String tidy(String typed) {
    return typed == null ? "" : typed.replaceAll("[\\s-]", "").toLowerCase(Locale.ROOT);
  }
}
