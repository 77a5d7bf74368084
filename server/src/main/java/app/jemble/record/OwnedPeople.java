package app.jemble.record;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.workspace.WorkspaceService;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The people a colleague looks after; whose they become stands in their history. */
@Component
@Order(1)
class OwnedPeople implements Belongings {

  private final PersonRowMapper mapper;
  private final ChangeService changes;
  private final WorkspaceService workspace;

  OwnedPeople(PersonRowMapper mapper, ChangeService changes, WorkspaceService workspace) {
    this.mapper = mapper;
    this.changes = changes;
    this.workspace = workspace;
  }

  @Override
  public Words words() {
    return new Words("person", "people");
  }

  @Override
  public long count(long owner) {
    return mapper.ownedBy(owner).size();
  }

  @Override
  public void handOver(Account from, Account to) {
    Field owner = workspace.fields().find("owner").orElseThrow();
    long batch = changes.begin("Gave the people of " + from.name() + " to " + to.name());
    changes.set(batch, owner, new FieldValue.Text(to.login()), mapper.ownedBy(from.id()));
  }
}
