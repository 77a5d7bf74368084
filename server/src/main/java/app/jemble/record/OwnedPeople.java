package app.jemble.record;

import app.jemble.account.Belongings;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.workspace.WorkspaceService;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** The people a colleague looks after; whose they become stands in their history. */
@Configuration(proxyBeanMethods = false)
class OwnedPeople {

  @Bean
  @Order(1)
  Belongings people(PersonRowMapper mapper, ChangeService changes, WorkspaceService workspace) {
    return new Belongings(
        "person",
        "people",
        owner -> mapper.ownedBy(owner).size(),
        (from, to) -> {
          Field owner = workspace.fields().find("owner").orElseThrow();
          long batch = changes.begin("Gave the people of " + from.name() + " to " + to.name());
          changes.set(batch, owner, new FieldValue.Text(to.login()), mapper.ownedBy(from.id()));
        });
  }
}
