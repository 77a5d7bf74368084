package app.jemble.core.followup;

import app.jemble.core.response.Standing;

/**
 * What somebody has not done, or has done without a reply, to be followed up. Judged over the whole
 * thread: whoever opened the first message has opened, whatever became of the second.
 */
public enum Whom {
  NO_REPLY("No reply"),
  NOT_OPENED("Not opened"),
  OPENED("Opened, no reply"),
  CLICKED("Link followed, no reply");

  private final String words;

  Whom(String words) {
    this.words = words;
  }

  /** As people read it, such as "no reply". */
  public String words() {
    return words;
  }

  /**
   * Whether somebody is meant, given where the thread stands. Those who replied, left or were
   * returned never are. Whoever followed a link has opened the message (domain of responses).
   */
  public boolean means(Standing thread) {
    if (FollowUp.stoppedBy(thread).isPresent()) {
      return false;
    }
    return switch (this) {
      case NO_REPLY -> true;
      case NOT_OPENED -> thread != Standing.CLICKED && thread != Standing.OPENED;
      case OPENED -> thread == Standing.CLICKED || thread == Standing.OPENED;
      case CLICKED -> thread == Standing.CLICKED;
    };
  }
}
