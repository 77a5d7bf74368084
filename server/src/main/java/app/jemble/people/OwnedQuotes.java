package app.jemble.people;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The quotes of a colleague. */
@Component
@Order(2)
class OwnedQuotes implements Belongings {

  private final PersonMapper mapper;

  OwnedQuotes(PersonMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public Words words() {
    return new Words("quote", "quotes");
  }

  @Override
  public long count(long owner) {
    return mapper.quotesOf(owner);
  }

  @Override
  public void handOver(Account from, Account to) {
    mapper.giveQuotes(from.id(), to.id());
  }
}
