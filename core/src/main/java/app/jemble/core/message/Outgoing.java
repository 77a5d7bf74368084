package app.jemble.core.message;

import app.jemble.core.reach.Channel;
import java.util.List;

/** One person's message, ready for the carrier of its channel. */
public sealed interface Outgoing
    permits OutgoingMessage, OutgoingText, OutgoingNotice, OutgoingSheet {

  Channel channel();

  /** What it is called in lists, one line. */
  String subject();

  /** Where its counted links lead, in order. */
  List<String> links();
}
