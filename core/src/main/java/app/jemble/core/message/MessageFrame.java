package app.jemble.core.message;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.Place;
import java.util.Locale;

/**
 * What stands around a body: the house's name above, its postal address and the way to leave below,
 * and the open mark. Tables and inline styles, which mail readers of all ages show.
 *
 * @param leaveAddress where the leaving line leads
 * @param mark the address of the open mark, or null for none
 */
record MessageFrame(
    String houseName,
    String houseAddress,
    Locale language,
    boolean mayLeave,
    String leaveAddress,
    String mark) {

  private static final String LEAVE_WORDS = "You can leave this list at any time";

  String html(String body) {
    StringBuilder out = new StringBuilder(body.length() + 1200);
    out.append("<!DOCTYPE html>\n<html lang=\"").append(escaped(language.toLanguageTag()));
    out.append("\"><head><meta charset=\"utf-8\">");
    out.append("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\"></head>\n");
    out.append("<body style=\"margin:0;padding:0;background:#ffffff;color:#24271f\">\n");
    out.append("<table role=\"presentation\" width=\"100%\" cellpadding=\"0\" cellspacing=\"0\"");
    out.append(
        " style=\"max-width:600px;font-family:Georgia,serif;font-size:16px;line-height:1.5\">");
    out.append("\n<tr><td style=\"background:#1f474b;color:#ffffff;padding:12px 20px;");
    out.append("font-family:Arial,sans-serif;font-weight:bold\">").append(escaped(houseName));
    out.append("</td></tr>\n<tr><td style=\"padding:16px 20px\">\n").append(body);
    out.append("\n</td></tr>\n<tr><td style=\"padding:12px 20px;border-top:1px solid #ded8c9;");
    out.append("color:#66675c;font-family:Arial,sans-serif;font-size:12px\">");
    out.append(escaped(houseAddress));
    if (mayLeave) {
      out.append("<br><a style=\"color:#66675c\" href=\"").append(escaped(leaveAddress));
      out.append("\">").append(LEAVE_WORDS).append("</a>.");
    }
    out.append("</td></tr>\n</table>\n");
    if (mark != null) {
      out.append("<img src=\"").append(escaped(mark));
      out.append("\" width=\"1\" height=\"1\" alt=\"\" style=\"display:block\">\n");
    }
    return out.append("</body></html>\n").toString();
  }

  String text(String body) {
    StringBuilder out = new StringBuilder(body).append("\n-- \n");
    out.append(houseName).append('\n').append(houseAddress).append('\n');
    if (mayLeave) {
      out.append(LEAVE_WORDS).append(": ").append(leaveAddress).append('\n');
    }
    return out.toString();
  }

  private static String escaped(String value) {
    StringBuilder out = new StringBuilder();
    Escaping.append(out, value, Place.HTML_ATTRIBUTE);
    return out.toString();
  }
}
