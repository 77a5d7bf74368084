package app.jemble.occasion;

import app.jemble.access.AccessService;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.card.Cards;
import app.jemble.cause.Cause;
import app.jemble.core.occasion.Occasion;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.letterhead.LetterheadService;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import org.springframework.stereotype.Component;

/** Whether a standing mailing can be as it is wanted. */
@Component
class OccasionCheck {

  private final WorkspaceService workspace;
  private final LetterheadService letterheads;
  private final Cards cards;
  private final AccountService accounts;
  private final AccessService access;

  OccasionCheck(
      WorkspaceService workspace,
      LetterheadService letterheads,
      Cards cards,
      AccountService accounts,
      AccessService access) {
    this.workspace = workspace;
    this.letterheads = letterheads;
    this.cards = cards;
    this.accounts = accounts;
    this.access = access;
  }

  /** A problem when the colleague who asks may not change what goes to everybody's people. */
  void mayChange(Cause cause) {
    access.mustChangeForAll(cause.senderId());
  }

  Account writer() {
    return accounts.currentWriter();
  }

  /** The days that may come round: fields of people that are a day. */
  List<Field> days() {
    return workspace.fields().all(FieldUse.FILTER).stream()
        .filter(field -> field.type() == FieldType.DAY)
        .toList();
  }

  void check(OccasionBody wanted) {
    if (wanted.name() == null || wanted.name().isBlank()) {
      throw Problem.wrong("name", "Give it a name.");
    }
    if (days().stream().noneMatch(field -> field.name().equals(wanted.field()))) {
      throw Problem.wrong("field", "Choose a field that is a day.");
    }
    if (wanted.kind() == null || wanted.leaves() == null || wanted.at() == null) {
      throw Problem.wrong("at", "Say when it is said, and how it leaves.");
    }
    if (workspace.topics().stream().noneMatch(topic -> topic.id() == wanted.topicId())) {
      throw Problem.wrong("topicId", "This topic is not there any more.");
    }
    if (wanted.letterheadId() != null && letterheads.of(wanted.letterheadId()).isEmpty()) {
      throw Problem.wrong("letterheadId", "This letterhead is not there any more.");
    }
    if (wanted.card() != null) {
      cards.check(wanted.card());
    }
    try {
      new Occasion(wanted.kind(), wanted.offset(), wanted.rounds());
    } catch (IllegalArgumentException wrong) {
      throw Problem.wrong("offset", wrong.getMessage());
    }
  }
}
