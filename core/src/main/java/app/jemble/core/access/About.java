package app.jemble.core.access;

/** What a right is asked for. */
public sealed interface About {

  /** The whole house, nobody's in particular. */
  record House() implements About {}

  /**
   * Something that somebody writes or wrote: a mailing, a series, an answer.
   *
   * @param isPrivate to everybody else it is as if it did not exist; what is not is so to whoever
   *     may not see what others write
   */
  record Owned(long ownerId, boolean isPrivate) implements About {}

  /**
   * Something that was done, to be taken back: by whoever did it, or whoever looks after
   * colleagues.
   *
   * @param byId null for what software did, which nobody takes back
   */
  record Done(Long byId) implements About {}

  /** So many people, in one mailing or one file. */
  record People(int count) implements About {}

  About HOUSE = new House();
}
