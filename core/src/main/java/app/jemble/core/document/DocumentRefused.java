package app.jemble.core.document;

/** A file that is not taken; its message is a sentence for people. */
public final class DocumentRefused extends RuntimeException {

  private static final long serialVersionUID = 1;

  public static final String NO_DOCUMENT =
      "This is no .docx document, or it is broken. Open it where it was written and save it anew.";

  public DocumentRefused(String sentence) {
    super(sentence);
  }
}
