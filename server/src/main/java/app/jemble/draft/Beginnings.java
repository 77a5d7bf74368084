package app.jemble.draft;

import app.jemble.account.Account;
import app.jemble.cause.Cause;
import app.jemble.cause.NewCause;
import app.jemble.core.message.BlankLetter;
import app.jemble.core.message.MailWording;
import app.jemble.document.DocumentService;
import app.jemble.letterhead.LetterheadService;
import app.jemble.template.TemplateService;
import app.jemble.workspace.WorkspaceService;
import org.springframework.stereotype.Component;

/** What a mailing begins with: a template, or an empty page. */
@Component
class Beginnings {

  record Begun(String name, long topicId, MailWording wording) {
    NewCause as(Account sender) {
      return new NewCause(Cause.Kind.MAILING, name, topicId, sender.id(), false, null);
    }
  }

  private final TemplateService templates;
  private final DocumentService documents;
  private final LetterheadService letterheads;
  private final WorkspaceService workspace;

  Beginnings(
      TemplateService templates,
      DocumentService documents,
      LetterheadService letterheads,
      WorkspaceService workspace) {
    this.templates = templates;
    this.documents = documents;
    this.letterheads = letterheads;
    this.workspace = workspace;
  }

  /**
   * @param templateId null for an empty page
   */
  Begun of(Long templateId) {
    if (templateId == null) {
      return new Begun(
          "New mailing",
          workspace.topics().get(0).id(),
          MailWording.by("", BlankLetter.BODY, letterheads.first(), true));
    }
    TemplateService.Template t = templates.find(templateId);
    return new Begun(
        t.name(),
        t.topicId(),
        MailWording.by(t.subject(), t.body(), t.letterheadId(), t.promotional())
            .from(t.id(), t.version()));
  }

  /** An empty page that is called as a document. */
  Begun ofDocument(long documentId) {
    return new Begun(
        documents.nameOf(documentId),
        workspace.topics().get(0).id(),
        MailWording.by("", BlankLetter.BODY, letterheads.first(), true));
  }

  /** The newest version of a document. */
  int versionOf(long documentId) {
    return documents.newestOf(documentId);
  }
}
