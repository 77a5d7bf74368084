package app.jemble.mailing;

import app.jemble.account.Account;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.workspace.Workspace;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is the same for every message of one mailing: parsed texts, sender, house. */
final class Letter {

  private static final Template NOTHING = new Template(List.of());

  private final TemplateParser.Parsed subject;
  private final TemplateParser.Parsed body;
  private final Mailing mailing;
  private final Account sender;
  private final Workspace workspace;
  private final String publicUrl;

  Letter(
      Mailing mailing,
      Account sender,
      Workspace workspace,
      FieldCatalogue fields,
      String publicUrl) {
    this.subject = TemplateParser.parse(mailing.subject(), TemplateParser.Kind.HEADER, fields);
    this.body = TemplateParser.parse(mailing.body(), TemplateParser.Kind.HTML, fields);
    this.mailing = mailing;
    this.sender = sender;
    this.workspace = workspace;
    this.publicUrl = publicUrl;
  }

  List<TemplateError> subjectErrors() {
    return subject.errors();
  }

  List<TemplateError> bodyErrors() {
    return body.errors();
  }

  /** The parsed subject; a text with errors counts as empty, and blocks the release. */
  Template subject() {
    return subject.template().orElse(NOTHING);
  }

  Template body() {
    return body.template().orElse(NOTHING);
  }

  /** Every field that subject or body asks for. */
  Set<String> fields() {
    Set<String> fields = new LinkedHashSet<>(subject().fields());
    fields.addAll(body().fields());
    return fields;
  }

  /** What {@link MessageComposer} needs of the mailing. */
  MessageComposer.Shared shared() {
    return new MessageComposer.Shared(
        subject(),
        body(),
        new Mailbox(sender.name(), sender.email()),
        workspace.name(),
        workspace.postalAddress(),
        workspace.locale(),
        workspace.zoneId(),
        publicUrl,
        workspace.returnDomain(),
        new MessageComposer.Counting(mailing.countOpens(), mailing.countClicks()),
        true);
  }

  /** A person's values with those of the sender and the house. */
  Values values(Values person) {
    return field -> house(field).orElseGet(() -> person.get(field));
  }

  private Optional<FieldValue> house(String field) {
    return switch (field) {
      case "sender.name" -> Optional.of(FieldValue.text(sender.name()));
      case "sender.title" -> Optional.of(FieldValue.text(sender.title()));
      case "sender.email" -> Optional.of(FieldValue.text(sender.email()));
      case "workspace.name" -> Optional.of(FieldValue.text(workspace.name()));
      case "workspace.address" -> Optional.of(FieldValue.text(workspace.postalAddress()));
      default -> Optional.empty();
    };
  }
}
