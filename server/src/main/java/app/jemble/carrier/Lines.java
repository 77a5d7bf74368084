package app.jemble.carrier;

/** The lines of this process to one carrier: workers take turns with them. */
public interface Lines extends AutoCloseable {

  /** Waits for one that nobody else has; it is to be put back. */
  Line take();

  void putBack(Line line);

  /** Makes sure that at least one is open, or in use; one attempt at a time. */
  void open() throws UnreachableException;

  /** Whether one is open, or in use. */
  boolean isOpen();

  /** Closes those that nobody has used for a while. */
  void closeUnused();

  @Override
  void close();
}
