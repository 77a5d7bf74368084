package app.jemble.workspace;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import app.jemble.account.AccountService;
import app.jemble.filter.AskedNow;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What the house says of itself is changed on its screen, but for what is set outside. */
public class HouseTest extends ServerTest {

  private Api wilma;

  @Override
  protected int people() {
    return 5;
  }

  @Override
  protected List<String> moreSettings() {
    return List.of("--jemble.house.zone=Europe/Lisbon");
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    wilma = signedIn("wilma");
  }

  private Map<String, Object> house() {
    Map<String, Object> house = new HashMap<>();
    for (Map.Entry<String, JsonNode> e : wilma.get("/api/house").json().properties()) {
      if (!e.getKey().equals("setOutside")) {
        house.put(e.getKey(), e.getValue());
      }
    }
    return house;
  }

  private Api.Answer with(String field, Object value) {
    Map<String, Object> house = house();
    house.put(field, value);
    return wilma.put("/api/house", house);
  }

  @Test
  public void itIsChangedAndHoldsAtOnce() {
    Api.Answer changed = with("name", " Tern Quay Boats ");
    assertThat(changed.status()).as(changed.text()).isEqualTo(200);
    assertThat(changed.json().get("name").asString()).isEqualTo("Tern Quay Boats");
    assertThat(wilma.get("/api/session").json().get("colleague").get("house").asString())
        .isEqualTo("Tern Quay Boats");
    with("mailDomain", "Mail.Quay.Example");
    with("email", " ");
    assertThat(house().get("mailDomain").toString()).isEqualTo("\"mail.quay.example\"");
    assertThat(house().get("email").toString()).isEqualTo("null");
    JsonNode line = wilma.get("/api/history?kind=SETTINGS").json().get(0);
    assertThat(line.get("words").asString()).isEqualTo("Changed what the house says of itself");
    assertThat(line.get("before").asString()).contains("desk@ternquay.example");
  }

  @Test
  public void whatIsWrongIsSaidAtItsField() {
    assertThat(with("name", "two\r\nlines").text()).contains("\"field\":\"name\"");
    assertThat(with("language", "english").status()).isEqualTo(200);
    with("language", "en-GB");
    assertThat(with("language", "?").text()).contains("\"field\":\"language\"");
    assertThat(with("holdSeconds", 4000).text()).contains("up to 3600");
    Map<String, Object> house = house();
    house.put("name", "Reed's");
    assertThat(signedIn("orla").put("/api/house", house).status()).isEqualTo(403);
    assertThat(signedIn("orla").get("/api/house").status()).isEqualTo(200);
  }

  @Test
  public void whatIsSetOutsideWinsAndSaysSo() {
    assertThat(wilma.get("/api/house").json().get("setOutside").toString())
        .isEqualTo("[{\"field\":\"zone\",\"by\":\"JEMBLE_HOUSE_ZONE\"}]");
    assertThat(house().get("zone").toString()).isEqualTo("\"Europe/Lisbon\"");
    assertThat(with("zone", "Europe/Oslo").json().get("detail").asString())
        .isEqualTo("This is set outside, by JEMBLE_HOUSE_ZONE; change it there.");
  }

  /** Where they are not those of its country and language. */
  @Test
  public void currencyAndTheOrderOfADayAreItsOwn() {
    assertThat(typed()).isEqualTo("2026-04-03");
    assertThat(with("dayOrder", "MONTH_FIRST").status()).isEqualTo(200);
    assertThat(typed()).isEqualTo("2026-03-04");
    assertThat(with("currency", "NOK").status()).isEqualTo(200);
    assertThat(application.getBean(WorkspaceService.class).current().currency()).isEqualTo("NOK");
    assertThat(with("currency", "money").text()).contains("\"field\":\"currency\"");
    with("currency", null);
    with("dayOrder", null);
    assertThat(typed()).isEqualTo("2026-04-03");
    assertThat(application.getBean(WorkspaceService.class).current().currency()).isEqualTo("GBP");
  }

  /** In what is typed, in filters, and where days are picked. */
  @Test
  public void weeksBeginAsTheHouseHasIt() {
    assertThat(firstOfWeek()).isEqualTo("MONDAY");
    assertThat(with("weekStart", "SUNDAY").status()).isEqualTo(200);
    assertThat(firstOfWeek()).isEqualTo("SUNDAY");
    assertThat(wilma.get("/api/session").json().get("colleague").get("weekStart").asString())
        .isEqualTo("SUNDAY");
    assertThat(
            application
                .getBean(AskedNow.class)
                .by(application.getBean(AccountService.class).findByLogin("wilma"))
                .weekStart())
        .isEqualTo(DayOfWeek.SUNDAY);
    assertThat(with("weekStart", "FRIDAY").status()).isEqualTo(422);
    with("weekStart", null);
    with("language", "en-US");
    assertThat(firstOfWeek()).as("of the country").isEqualTo("SUNDAY");
    with("language", "en-GB");
    assertThat(firstOfWeek()).isEqualTo("MONDAY");
  }

  private String firstOfWeek() {
    String day =
        wilma
            .get("/api/typed/day?text=start%20of%20this%20week&lean=BACK")
            .json()
            .get("day")
            .asString();
    return LocalDate.parse(day).getDayOfWeek().name();
  }

  private String typed() {
    return wilma.get("/api/typed/day?text=03/04/2026&lean=BACK").json().get("day").asString();
  }
}
