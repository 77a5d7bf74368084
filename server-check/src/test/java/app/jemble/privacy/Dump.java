package app.jemble.privacy;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A whole database as pg_dump writes it, in which a word can be looked for in every disguise. */
final class Dump {

  private static final Pattern OCTETS = Pattern.compile("\\\\x([0-9a-f]{8,})");

  private final String text;

  private Dump(String text) {
    this.text = text;
  }

  /**
   * @param jdbc the database's JDBC address
   */
  static Dump of(String jdbc) throws IOException, InterruptedException {
    Process dump =
        new ProcessBuilder("pg_dump", "--dbname=" + jdbc.replaceFirst("^jdbc:", ""))
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    String sql = new String(dump.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(dump.waitFor()).isZero();
    return new Dump((sql + "\n" + octets(sql)).toLowerCase(Locale.ROOT));
  }

  /** Columns of octets stand in a dump in hexadecimal digits. */
  private static String octets(String sql) {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    Matcher matcher = OCTETS.matcher(sql);
    while (matcher.find()) {
      String digits = matcher.group(1);
      all.writeBytes(HexFormat.of().parseHex(digits, 0, digits.length() & ~1));
      all.write('\n');
    }
    return all.toString(StandardCharsets.UTF_8);
  }

  /** Whether a word stands in it: as it is, or in base64 (RFC 4648) wherever it begins there. */
  boolean has(String word) {
    return disguises(word).stream().anyMatch(text::contains);
  }

  private static List<String> disguises(String word) {
    byte[] octets = word.getBytes(StandardCharsets.UTF_8);
    return List.of(
        word.toLowerCase(Locale.ROOT), base64(octets, 0), base64(octets, 1), base64(octets, 2));
  }

  /** The letters of base64 that depend on these octets alone, when so many stand before them. */
  private static String base64(byte[] octets, int before) {
    byte[] shifted = new byte[before + octets.length];
    System.arraycopy(octets, 0, shifted, before, octets.length);
    int whole = shifted.length / 3 * 3;
    String letters = Base64.getEncoder().encodeToString(Arrays.copyOf(shifted, whole));
    return letters.substring(before == 0 ? 0 : 4).toLowerCase(Locale.ROOT);
  }
}
