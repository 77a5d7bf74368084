package app.jemble.core.message;

import app.jemble.core.record.FieldValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A message's HTML with its pictures on record named as parts of the message (RFC 2392), and those
 * pictures.
 */
record CarriedPictures(String html, List<InlinePicture> pictures) {

  private static final String START = "src=\"" + FieldValue.Picture.PATH;

  /** A picture that is no longer on record keeps its address, and its text is shown instead. */
  static CarriedPictures in(String html, Pictures stored, String domain) {
    int at = html.indexOf(START);
    if (at < 0) {
      return new CarriedPictures(html, List.of());
    }
    Map<String, InlinePicture> carried = new LinkedHashMap<>();
    StringBuilder out = new StringBuilder(html.length());
    int from = 0;
    while (at >= 0) {
      int begin = at + START.length();
      int end = html.indexOf('"', begin);
      String key = html.substring(begin, end);
      String id = "picture." + key + "@" + domain;
      String path = FieldValue.Picture.PATH + key;
      stored
          .find(key)
          .ifPresent(
              p -> carried.putIfAbsent(id, new InlinePicture(id, path, p.type(), p.octets())));
      out.append(html, from, at);
      out.append(carried.containsKey(id) ? "src=\"cid:" + id : html.substring(at, end));
      from = end;
      at = html.indexOf(START, end);
    }
    out.append(html, from, html.length());
    return new CarriedPictures(out.toString(), new ArrayList<>(carried.values()));
  }
}
