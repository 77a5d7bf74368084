package app.jemble.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A column that holds whole postal addresses. */
public class ImportAddressTest extends ServerTest {

  private static final String FILE =
      "First name,Last name,E-mail,Address\n"
          + "Ada,Oneline,ada.oneline@file.example,\"4 Quay Lane, Lowen Quay, TR19 6AB\"\n"
          + "Bo,Oneline,bo.oneline@file.example,\"Hafenweg 4, 26721 Emden, Germany\"\n"
          + "Cy,Oneline,cy.oneline@file.example,\"Somewhere, near the water\"\n";

  @Override
  protected int people() {
    return 20;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private String upload(String file) {
    return "/api/imports/"
        + api.upload("/api/imports?name=x.csv", file.getBytes(StandardCharsets.UTF_8))
            .json()
            .get("id")
            .asLong();
  }

  private Map<String, Object> proposed(String path) {
    Map<String, Object> choices = new HashMap<>();
    for (Map.Entry<String, JsonNode> e : api.get(path).json().get("choices").properties()) {
      choices.put(e.getKey(), e.getValue());
    }
    return choices;
  }

  private void await(String path, String state) {
    Eventually.holds(
        () -> assertThat(api.get(path).json().get("state").asString()).isEqualTo(state));
  }

  @Test
  public void itIsPartedOrStandsWholeAndIsNamed() {
    String path = upload(FILE);
    assertThat(((JsonNode) proposed(path).get("columns")).get(3).asString())
        .isEqualTo("address.lines");
    assertThat(api.put(path, proposed(path)).status()).isEqualTo(200);
    await(path, "checked");
    assertThat(api.get(path).json().get("preview").get(0).get("problem").asString())
        .contains("cannot be parted and stands whole as the street: Somewhere, near the water");
    assertThat(api.post(path + "/run", Map.of()).status()).isEqualTo(200);
    await(path, "done");
    assertThat(
            sql.sql(
                    """
                    select concat_ws('|', address_street, address_postcode, address_place,
                                     address_country)
                    from person where last_name = 'Oneline' order by first_name
                    """)
                .query(String.class)
                .list())
        .containsExactly(
            "4 Quay Lane|TR19 6AB|Lowen Quay",
            "Hafenweg 4|26721|Emden|Germany",
            "Somewhere, near the water");
  }

  @Test
  public void itIsNotTakenWholeAndInParts() {
    String path = upload("E-mail,Address,Street\na@b.example,\"x, y\",z\n");
    Map<String, Object> choices = proposed(path);
    choices.put("columns", List.of("email", "address.lines", "address.street"));
    assertThat(api.put(path, choices).text()).contains("whole and in parts");
  }

  @Test
  public void aStreetOfOnePieceIsAStreet() {
    String path = upload("E-mail,Address\na@b.example,4 Quay Lane\n");
    assertThat(((JsonNode) proposed(path).get("columns")).get(1).asString())
        .isEqualTo("address.street");
  }
}
