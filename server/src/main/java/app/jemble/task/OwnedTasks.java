package app.jemble.task;

import app.jemble.account.Belongings;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** What a colleague has still to do. */
@Configuration(proxyBeanMethods = false)
class OwnedTasks {

  @Bean
  @Order(3)
  Belongings openTasks(TaskMapper mapper) {
    return new Belongings(
        "open task",
        "open tasks",
        mapper::countOpen,
        (from, to) -> mapper.giveOpen(from.id(), to.id()));
  }
}
