package app.jemble.core.merge;

import java.util.Locale;

/**
 * Follows an HTML text from fixed piece to fixed piece and says in which place a merge field
 * stands. Knows as much of HTML as cleaned message bodies hold: tags, quoted attributes, text.
 */
final class HtmlPlaces {

  private enum State {
    TEXT,
    TAG,
    VALUE
  }

  private static final int LONGEST_TAIL = 64;

  private State state = State.TEXT;
  private char quote;
  private boolean valueBegun;
  private final StringBuilder tag = new StringBuilder();
  private boolean address;

  /** Reads fixed text. */
  void read(String text) {
    for (int i = 0; i < text.length(); i++) {
      read(text.charAt(i));
    }
  }

  private void read(char c) {
    switch (state) {
      case TEXT -> {
        if (c == '<') {
          state = State.TAG;
          tag.setLength(0);
        }
      }
      case TAG -> {
        if (c == '>') {
          state = State.TEXT;
        } else if (c == '"' || c == '\'') {
          quote = c;
          valueBegun = false;
          address = endsWithAddressAttribute();
          state = State.VALUE;
        } else {
          append(c);
        }
      }
      case VALUE -> {
        if (c == quote) {
          state = State.TAG;
          append(' ');
        } else {
          valueBegun = true;
        }
      }
    }
  }

  /** Only the end of a tag is asked for. */
  private void append(char c) {
    if (tag.length() == LONGEST_TAIL) {
      tag.delete(0, LONGEST_TAIL / 2);
    }
    tag.append(c);
  }

  private boolean endsWithAddressAttribute() {
    String before = tag.toString().stripTrailing().toLowerCase(Locale.ROOT);
    return before.endsWith(" href=") || before.endsWith(" src=");
  }

  /** The place of a merge field that stands here. */
  Place here() {
    if (state == State.TEXT) {
      return Place.HTML_TEXT;
    }
    if (state == State.VALUE && address) {
      Place place = valueBegun ? Place.URL_PART : Place.URL_START;
      valueBegun = true;
      return place;
    }
    return Place.HTML_ATTRIBUTE;
  }

  /** Whether a merge field here could change the tags themselves: inside a tag, outside quotes. */
  boolean bareInTag() {
    return state == State.TAG;
  }
}
