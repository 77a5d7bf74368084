package app.jemble.core.message;

import app.jemble.core.reach.Channel;

/**
 * What a text message says.
 *
 * @param words template text, plain
 * @param likeness where characters that make a text longer become their plain likeness
 */
public record TextWording(String words, Likeness likeness) implements Wording {

  /** Where characters become their plain likeness. */
  public enum Likeness {
    NOWHERE,
    /** in what is merged in alone; the words are sent as they are written */
    VALUES,
    EVERYWHERE
  }

  public static final TextWording EMPTY = saying("");

  /** Sent as it is written. */
  public static TextWording saying(String words) {
    return new TextWording(words, Likeness.NOWHERE);
  }

  @Override
  public Channel channel() {
    return Channel.TEXT;
  }
}
