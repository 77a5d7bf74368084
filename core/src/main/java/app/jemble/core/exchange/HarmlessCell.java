package app.jemble.core.exchange;

/**
 * Cells that a spreadsheet does not take for a formula: what begins with = + - @, a tab or a
 * carriage return gets an apostrophe before it (the common advice of OWASP, "CSV injection"), and
 * loses it when it is read again.
 */
public final class HarmlessCell {

  private static final String RISKY = "=+-@\t\r";

  private HarmlessCell() {}

  public static String write(String text) {
    if (text == null || text.isEmpty()) {
      return "";
    }
    return isRisky(text) ? "'" + text : text;
  }

  public static String read(String cell) {
    return cell.length() > 1 && cell.charAt(0) == '\'' && isRisky(cell.substring(1))
        ? cell.substring(1)
        : cell;
  }

  private static boolean isRisky(String text) {
    return RISKY.indexOf(text.charAt(0)) >= 0;
  }
}
