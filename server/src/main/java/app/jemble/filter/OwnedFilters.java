package app.jemble.filter;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The filters a colleague keeps for all; one whose name the other has is told by whose it was. */
@Component
@Order(7)
class OwnedFilters implements Belongings {

  private final KeptFilterMapper mapper;

  OwnedFilters(KeptFilterMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public Words words() {
    return new Words("shared filter", "shared filters");
  }

  @Override
  public long count(long owner) {
    return mapper.countShared(owner);
  }

  @Override
  public void handOver(Account from, Account to) {
    mapper.giveShared(from.id(), from.name(), to.id());
  }
}
