package app.jemble.consent;

import app.jemble.account.AccountService;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.ConsentFields;
import app.jemble.core.record.PersonId;
import app.jemble.exchange.ConsentsBroughtIn;
import app.jemble.record.ChangeService;
import app.jemble.record.Undoing;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;

/** Wishes that come with a file: noted by who brings it in, and taken back with it. */
@Component
class ImportedConsents implements ConsentsBroughtIn, Undoing {

  private final ConsentMapper mapper;
  private final ChangeService changes;
  private final AccountService accounts;
  private final Clock clock;

  ImportedConsents(
      ConsentMapper mapper, ChangeService changes, AccountService accounts, Clock clock) {
    this.mapper = mapper;
    this.changes = changes;
    this.accounts = accounts;
    this.clock = clock;
  }

  @Override
  public List<PersonId> stillOpen(String field, List<PersonId> people) {
    return mapper.open(way(field), people.toArray(PersonId[]::new));
  }

  @Override
  public void close(String field, List<PersonId> people, String how, long act) {
    List<PersonId> closed =
        mapper.closeEach(
            way(field),
            people.toArray(PersonId[]::new),
            clock.instant(),
            how,
            accounts.currentWriter().id());
    changes.note(act, closed, field, null, "true");
  }

  @Override
  public boolean takes(String field) {
    return ConsentFields.way(field).isPresent();
  }

  /** What they said themselves since stands. */
  @Override
  public void undo(String field, List<Noted> noted) {
    mapper.reopenNoted(way(field), noted.stream().map(Noted::personId).toArray(PersonId[]::new));
  }

  private static Channel way(String field) {
    return ConsentFields.way(field).orElseThrow();
  }
}
