package app.jemble.message;

import app.jemble.cause.Cause;
import app.jemble.cause.Wordings;
import app.jemble.core.message.PaperWording;
import app.jemble.document.DocumentsOfLetters;
import app.jemble.message.Letter.BesideMail;
import app.jemble.outside.OutsideServices;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What a cause says on its ways beside e-mail, with all that belongs to it. */
@Component
class BesideMailWords {

  private final Wordings wordings;
  private final OutsideServices services;
  private final DocumentsOfLetters documents;

  BesideMailWords(Wordings wordings, OutsideServices services, DocumentsOfLetters documents) {
    this.wordings = wordings;
    this.services = services;
    this.documents = documents;
  }

  BesideMail of(Cause cause) {
    PaperWording paper = wordings.paper(cause);
    return new BesideMail(
        cause.ways(),
        wordings.text(cause),
        services.textService().sender(),
        wordings.notice(cause),
        paper,
        paper.usesDocument()
            ? documents.of(paper.documentId(), paper.documentVersion())
            : Optional.empty());
  }
}
