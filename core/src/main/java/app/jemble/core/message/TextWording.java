package app.jemble.core.message;

import app.jemble.core.reach.Channel;

/**
 * What a text message says.
 *
 * @param words template text, plain
 */
public record TextWording(String words) implements Wording {

  public static final TextWording EMPTY = new TextWording("");

  @Override
  public Channel channel() {
    return Channel.TEXT;
  }
}
