package app.jemble.signup;

import app.jemble.account.Belongings;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** Sign-up pages whose people become a colleague's, or of which a colleague is told. */
@Configuration(proxyBeanMethods = false)
class OwnedSignUpPages {

  @Bean
  @Order(6)
  Belongings pagesThatName(SignUpPageMapper mapper) {
    return new Belongings(
        "sign-up page that names them",
        "sign-up pages that name them",
        mapper::countNaming,
        (from, to) -> mapper.nameInstead(from.id(), to.id()));
  }
}
