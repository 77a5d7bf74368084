package app.jemble.demo;

import app.jemble.account.AccountService;
import app.jemble.core.access.Role;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.role.Roles;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The boatyard and its colleagues. */
@Component
class DemoHouse {

  private final AccountService accounts;
  private final Roles roles;
  private final WorkspaceService workspace;
  private final JdbcClient sql;

  DemoHouse(AccountService accounts, Roles roles, WorkspaceService workspace, JdbcClient sql) {
    this.accounts = accounts;
    this.roles = roles;
    this.workspace = workspace;
    this.sql = sql;
  }

  /** Nobody can sign in yet. */
  boolean isEmpty() {
    return !accounts.hasAny();
  }

  /** Those who own the people: their ids. */
  List<Long> owners() {
    return List.of(accounts.findByLogin("orla").id(), accounts.findByLogin("tomas").id());
  }

  /**
   * @param password of all colleagues
   */
  void add(String password) {
    addHouse();
    addTexts();
    addColleagues(password);
  }

  private void addHouse() {
    workspace.create(
        new Workspace(
            "Tern Quay Boatyard",
            "1 Quay Road, Lowen Quay LQ1 1TQ",
            DemoLoader.ZONE,
            "en-GB",
            "ternquay.example",
            30,
            null,
            "desk@ternquay.example",
            null,
            null,
            null));
    DemoTexts.TOPICS.forEach(workspace::addTopic);
    DemoWords.PLANS.forEach(workspace::addPlan);
    workspace.addAttribute(
        new Field("berth_name", "Berth name", FieldType.TEXT, List.of(), Set.of(FieldUse.FILTER)));
    for (String name : DemoWords.HOUSES) {
      sql.sql("insert into organisation (name, place) values (?, 'Lowen Quay')")
          .param(name)
          .update();
    }
  }

  /** What texts cost, and what the yard spends on them. */
  private void addTexts() {
    sql.sql(
            """
            insert into text_price (prefix, place_name, each_part)
            values ('44', 'United Kingdom', 0.04), ('353', 'Ireland', 0.06), ('47', 'Norway', 0.07),
                   ('49', 'Germany', 0.08), ('1', 'North America', 0.03)
            """)
        .update();
    sql.sql("update phone_rules set most_a_day = 25, most_a_month = 150").update();
  }

  private void addColleagues(String password) {
    accounts.add(
        "orla",
        password,
        "Orla Finch",
        "orla@ternquay.example",
        "Membership administrator",
        role("Coordinator"));
    accounts.add(
        "tomas",
        password,
        "Tomas Vance",
        "tomas@ternquay.example",
        "Sales representative",
        role("Representative"));
    accounts.add(
        "wilma",
        password,
        "Wilma Gorse",
        "wilma@ternquay.example",
        "Yard manager",
        role("Administrator"));
    accounts.add(
        "reed", password, "Reed Larkin", "reed@ternquay.example", "Treasurer", role("Reader"));
  }

  /** One of the roles that every new house has. */
  private Role role(String name) {
    return roles.all().stream().filter(r -> r.name().equals(name)).findFirst().orElseThrow();
  }
}
