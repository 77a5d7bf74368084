package app.jemble.carrier;

/** A carrier cannot be reached, or does not let us in; the message says why, for people. */
public class UnreachableException extends Exception {

  private static final long serialVersionUID = 1;

  public UnreachableException(String words) {
    super(words);
  }
}
