package app.jemble.core.message;

/**
 * Which message: the number of somebody's own copy, in a type of its own. In words, JSON and the
 * database it is the plain number; the Message-ID of a mail is another thing.
 */
public record MessageId(long value) implements Comparable<MessageId> {

  /**
   * The message of a number as it is written.
   *
   * @throws NumberFormatException when it is no number
   */
  public static MessageId of(String written) {
    return new MessageId(Long.parseLong(written));
  }

  @Override
  public int compareTo(MessageId other) {
    return Long.compare(value, other.value);
  }

  @Override
  public String toString() {
    return Long.toString(value);
  }
}
