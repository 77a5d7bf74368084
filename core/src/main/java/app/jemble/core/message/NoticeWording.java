package app.jemble.core.message;

import app.jemble.core.reach.Channel;

/**
 * What a notice to the app says; all three are template text, plain.
 *
 * @param link where it leads when it is tapped; empty opens the app alone
 */
public record NoticeWording(String title, String words, String link) implements Wording {

  public static final NoticeWording EMPTY = new NoticeWording("", "", "");

  @Override
  public Channel channel() {
    return Channel.APP;
  }
}
