package app.jemble.core.response;

import java.util.List;

/** What a mail that arrived is. */
public sealed interface SortedMail {

  /** A person wrote. */
  record Reply() implements SortedMail {}

  /** Software wrote for a person, as when away. */
  record AutoReply(String why) implements SortedMail {}

  /**
   * The mail came back.
   *
   * @param forGood whether the first address will never work
   * @param addresses those that failed, one at least
   * @param code the enhanced status code (RFC 3463), for example 5.1.1; empty when none was given
   * @param why what the mail server said, one line
   */
  record Returned(boolean forGood, List<String> addresses, String code, String why)
      implements SortedMail {
    public Returned {
      addresses = List.copyOf(addresses);
    }
  }

  /** The mail server still tries; nothing is decided. */
  record Delayed(List<String> addresses) implements SortedMail {
    public Delayed {
      addresses = List.copyOf(addresses);
    }
  }

  /**
   * The reader called it unwanted (RFC 5965).
   *
   * @param addresses of the readers, as far as the report names them; many leave them out
   */
  record Complaint(List<String> addresses) implements SortedMail {
    public Complaint {
      addresses = List.copyOf(addresses);
    }
  }

  /** Software wants to be shown that a person wrote, before it lets a message through. */
  record Challenge() implements SortedMail {}

  /** A report of a form not known here: for a person to read, never a reply. */
  record UnreadReturn(String why) implements SortedMail {}

  /**
   * The Message-IDs that a mail speaks of, most telling first: the mail that came back, then
   * In-Reply-To, then References from the newest to the oldest.
   */
  static List<String> related(InboundMail mail) {
    return RelatedIds.of(mail);
  }
}
