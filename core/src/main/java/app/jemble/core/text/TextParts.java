package app.jemble.core.text;

import java.util.ArrayList;
import java.util.List;

/**
 * A text message as the network carries and bills it: one part, or several that the phone puts
 * together by the header that each begins with (3GPP TS 23.038; TS 23.040, 9.2.3.24.1).
 *
 * @param alphabet the smaller one that has all its characters
 * @param units septets of the default alphabet, or UTF-16 code units of UCS-2
 * @param parts the text of each, in order; one, also for an empty text
 */
public record TextParts(Alphabet alphabet, int units, List<String> parts) {

  /** What the characters of a message are written in. */
  public enum Alphabet {
    DEFAULT(160, 153),
    UCS2(70, 67);

    private final int alone;
    private final int together;

    Alphabet(int alone, int together) {
      this.alone = alone;
      this.together = together;
    }

    /** Units of a message that is one part. */
    public int alone() {
      return alone;
    }

    /** Units of a part of several, beside a header of six octets. */
    public int together() {
      return together;
    }

    private int units(int codePoint) {
      return this == DEFAULT
          ? DefaultAlphabet.units(codePoint).orElseThrow()
          : Character.charCount(codePoint);
    }
  }

  public TextParts {
    parts = List.copyOf(parts);
  }

  /** Neither what follows an escape nor a surrogate pair is ever split. */
  public static TextParts of(String text) {
    Alphabet alphabet =
        text.codePoints().allMatch(DefaultAlphabet::has) ? Alphabet.DEFAULT : Alphabet.UCS2;
    int units = text.codePoints().map(alphabet::units).sum();
    return new TextParts(
        alphabet, units, units <= alphabet.alone() ? List.of(text) : split(text, alphabet));
  }

  private static List<String> split(String text, Alphabet alphabet) {
    List<String> parts = new ArrayList<>();
    int begin = 0;
    int units = 0;
    for (int at = 0; at < text.length(); ) {
      int c = text.codePointAt(at);
      int more = alphabet.units(c);
      if (units + more > alphabet.together()) {
        parts.add(text.substring(begin, at));
        begin = at;
        units = 0;
      }
      units += more;
      at += Character.charCount(c);
    }
    parts.add(text.substring(begin));
    return parts;
  }

  public int count() {
    return parts.size();
  }

  /** How many units more fit before there is one part more. */
  public int left() {
    if (parts.size() == 1) {
      return alphabet.alone() - units;
    }
    int last = parts.get(parts.size() - 1).codePoints().map(alphabet::units).sum();
    return alphabet.together() - last;
  }
}
