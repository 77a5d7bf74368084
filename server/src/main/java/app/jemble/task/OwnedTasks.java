package app.jemble.task;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What a colleague has still to do. */
@Component
@Order(3)
class OwnedTasks implements Belongings {

  private final TaskMapper mapper;

  OwnedTasks(TaskMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public Words words() {
    return new Words("open task", "open tasks");
  }

  @Override
  public long count(long owner) {
    return mapper.countOpen(owner);
  }

  @Override
  public void handOver(Account from, Account to) {
    mapper.giveOpen(from.id(), to.id());
  }
}
