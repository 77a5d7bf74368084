package app.jemble.core.record;

/** A text that is no value of a field; the message is a sentence for people. */
public final class FieldException extends IllegalArgumentException {

  private static final long serialVersionUID = 1L;
  private final String field;

  public FieldException(String field, String message) {
    super(message);
    this.field = field;
  }

  /** The name of the field. */
  public String field() {
    return field;
  }
}
