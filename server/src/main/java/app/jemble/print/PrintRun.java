package app.jemble.print;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.LocalDate;

/**
 * Labels, envelopes or letters that are printed together.
 *
 * @param parts whoever is in any of them, as an audience stores them
 * @param picks people picked by hand besides
 * @param leftOut people left out by hand
 * @param design a {@link DesignBody} as JSON
 * @param start the first label that is still on the first page, from 0
 * @param offsetAcross by which all is moved to the right, in millimetres
 * @param printingSince when its printing was begun, which tells one printing from another; or null
 * @param toPrint how many people are on it, once it is being printed
 * @param done how many of them are in the file
 * @param pages of the file; of documents, which have none yet, how many letters
 * @param postedOn the day on which it was posted, or null
 * @param causeId whose letters they are; null of labels and envelopes
 * @param duplex whether each letter begins on a sheet of its own when both sides are printed
 * @param documentId the document its letters are made of; null of all others
 * @param documentVersion which version of it
 */
public record PrintRun(
    long id,
    String name,
    long madeBy,
    Instant createdAt,
    int version,
    RunState state,
    String parts,
    PersonId[] picks,
    PersonId[] leftOut,
    String design,
    int start,
    int copies,
    double offsetAcross,
    double offsetDown,
    Instant printingSince,
    int toPrint,
    int done,
    String trouble,
    Instant printedAt,
    int pages,
    LocalDate postedOn,
    Long causeId,
    boolean duplex,
    Long documentId,
    Integer documentVersion) {

  /** Whether it is of the letters of a cause. */
  public boolean isOfLetters() {
    return causeId != null;
  }

  /** How many sheets its file takes; 0 of documents, which have no pages yet. */
  public int sheets() {
    return isOfDocument() ? 0 : duplex ? (pages + 1) / 2 : pages;
  }

  /** Whether its letters are made of a document. */
  public boolean isOfDocument() {
    return documentId != null;
  }
}
