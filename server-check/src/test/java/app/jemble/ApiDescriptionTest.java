package app.jemble;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The web's types are made from web/openapi.json, which must be what the server says. */
public class ApiDescriptionTest extends ServerTest {

  private static final Path DESCRIPTION = Path.of("../web/openapi.json");

  @Override
  protected int people() {
    return 10;
  }

  @Test
  public void theDescriptionTheWebIsBuiltFromIsTheServers() throws IOException {
    api.signIn("orla", "lowen-quay");
    ObjectMapper json =
        JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();
    JsonNode described = api.get("/v3/api-docs").json();
    Object sorted = json.treeToValue(described, Object.class);
    String now = json.writeValueAsString(sorted) + "\n";
    if (Boolean.getBoolean("jemble.api.write")) {
      Files.writeString(DESCRIPTION, now);
    }
    assertThat(Files.readString(DESCRIPTION))
        .as("the API changed; run ./jemble api and commit web/openapi.json")
        .isEqualTo(now);
  }
}
