package app.jemble.core.message;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What stands around a message: a band above with logo and words, the paper, and words below.
 *
 * @param band the colour behind the words above, {@code #rrggbb} like all colours here
 * @param bandInk the colour of the words above
 * @param page the colour around the paper
 * @param paper the colour behind the message
 * @param ink the colour of its words
 * @param accent the colour of links and buttons
 * @param typeface of the message
 * @param logo the key of a picture above, if there is one
 * @param header template text above, as HTML
 * @param footer template text below, as HTML
 */
public record Letterhead(
    String band,
    String bandInk,
    String page,
    String paper,
    String ink,
    String accent,
    Typeface typeface,
    Optional<String> logo,
    String header,
    String footer) {

  private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");

  /** Letters that every reader's machine has. */
  public enum Typeface {
    SERIF("Georgia,'Times New Roman',serif"),
    SANS("Arial,Helvetica,sans-serif");

    private final String family;

    Typeface(String family) {
      this.family = family;
    }

    /** As a style sheet names them. */
    public String family() {
      return family;
    }
  }

  public Letterhead {
    for (String colour : List.of(band, bandInk, page, paper, ink, accent)) {
      if (!isColour(colour)) {
        throw new IllegalArgumentException("“" + colour + "” is not a colour; write #rrggbb.");
      }
    }
  }

  public static boolean isColour(String text) {
    return text != null && COLOUR.matcher(text).matches();
  }
}
