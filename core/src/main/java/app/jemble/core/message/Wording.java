package app.jemble.core.message;

import app.jemble.core.reach.Channel;

/** What is said on one way, to all whom a cause writes to. */
public sealed interface Wording permits MailWording, TextWording, NoticeWording, PaperWording {

  /** The way it is said on. */
  Channel channel();
}
