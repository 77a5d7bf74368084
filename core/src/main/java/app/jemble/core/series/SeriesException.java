package app.jemble.core.series;

/** A change of a series that cannot be made, in a sentence. */
public class SeriesException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  public SeriesException(String sentence) {
    super(sentence);
  }
}
