package app.jemble.people;

import app.jemble.account.Belongings;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** The quotes of a colleague. */
@Configuration(proxyBeanMethods = false)
class OwnedQuotes {

  @Bean
  @Order(2)
  Belongings quotes(PersonMapper mapper) {
    return new Belongings(
        "quote", "quotes", mapper::quotesOf, (from, to) -> mapper.giveQuotes(from.id(), to.id()));
  }
}
