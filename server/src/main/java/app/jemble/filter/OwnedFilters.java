package app.jemble.filter;

import app.jemble.account.Belongings;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** The filters a colleague keeps for all; one whose name the other has is told by whose it was. */
@Configuration(proxyBeanMethods = false)
class OwnedFilters {

  @Bean
  @Order(7)
  Belongings sharedFilters(KeptFilterMapper mapper) {
    return new Belongings(
        "shared filter",
        "shared filters",
        mapper::countShared,
        (from, to) -> mapper.giveShared(from.id(), from.name(), to.id()));
  }
}
