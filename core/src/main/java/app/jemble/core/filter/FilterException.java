package app.jemble.core.filter;

/** A filter that was put together wrongly; the message is a sentence for people. */
public final class FilterException extends IllegalArgumentException {

  private static final long serialVersionUID = 1L;
  private final String field;

  public FilterException(String field, String message) {
    super(message);
    this.field = field;
  }

  /** The name of the field whose condition is wrong. */
  public String field() {
    return field;
  }
}
