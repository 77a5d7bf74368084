package app.jemble.message;

import app.jemble.account.Account;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.problem.Problem;
import org.springframework.stereotype.Component;

/** What somebody will see who is not reached by mail. */
@Component
class BesideMailProofs {

  private final TextProofs texts;
  private final NoticeProofs notices;
  private final PaperProofs papers;

  BesideMailProofs(TextProofs texts, NoticeProofs notices, PaperProofs papers) {
    this.texts = texts;
    this.notices = notices;
    this.papers = papers;
  }

  ProofService.Proof proof(Letter letter, Reader reader) {
    return switch (reader.way().channel()) {
      case TEXT -> texts.proof(letter, reader);
      case APP -> notices.proof(letter, reader);
      case POST -> papers.proof(letter, reader);
      case EMAIL -> throw new IllegalArgumentException("a mail has a proof of its own");
    };
  }

  /** Somebody's letter on paper (PDF). */
  byte[] sheets(Letter letter, Reader reader) {
    return papers.pdf(letter, reader);
  }

  /** Somebody's letter that is made of a document (.docx). */
  byte[] document(Letter letter, Reader reader) {
    return papers.document(letter, reader);
  }

  /** Sends somebody's message to a colleague; answers where it went. */
  String sendCopy(Letter letter, Reader reader, Account colleague) {
    return switch (reader.way().channel()) {
      case TEXT -> texts.sendCopy(letter, reader, colleague);
      case APP -> notices.sendCopy(letter, reader, colleague);
      case POST ->
          throw Problem.conflict(
              reader.person().name() + " gets a letter on paper: open it as a file to print it.");
      case EMAIL -> throw new IllegalArgumentException("a mail has a copy of its own");
    };
  }
}
