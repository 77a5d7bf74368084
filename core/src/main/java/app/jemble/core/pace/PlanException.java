package app.jemble.core.pace;

/** A sentence for whoever wrote a plan that cannot be understood. */
public final class PlanException extends RuntimeException {

  private static final long serialVersionUID = 1;

  PlanException(String sentence) {
    super(sentence);
  }
}
