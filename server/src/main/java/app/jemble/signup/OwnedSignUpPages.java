package app.jemble.signup;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Sign-up pages whose people become a colleague's, or of which a colleague is told. */
@Component
@Order(6)
class OwnedSignUpPages implements Belongings {

  private final SignUpPageMapper mapper;

  OwnedSignUpPages(SignUpPageMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public Words words() {
    return new Words("sign-up page that names them", "sign-up pages that name them");
  }

  @Override
  public long count(long owner) {
    return mapper.countNaming(owner);
  }

  @Override
  public void handOver(Account from, Account to) {
    mapper.nameInstead(from.id(), to.id());
  }
}
