package app.jemble.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.SkipException;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * Parts of ten thousand random texts, counted by two packages of npm: split-sms, and
 * sms-segments-calculator, which keeps together what is one sign of several code points and so
 * needs a part more now and then. Neither is part of Jemble.
 */
public class TextOraclesTest {

  private static final int TEXTS = 10_000;

  private final ObjectMapper json = new ObjectMapper();

  @Test
  public void othersCountTheSameParts() throws Exception {
    Random random = new Random(20261128);
    List<String> texts = new ArrayList<>();
    for (int i = 0; i < TEXTS; i++) {
      texts.add(TextPartsTest.random(random));
    }
    JsonNode counts = counted(texts);
    int ofSeveral = 0;
    int keptTogether = 0;
    for (int i = 0; i < TEXTS; i++) {
      int ours = TextParts.of(texts.get(i)).count();
      assertThat(counts.get(i).get(0).asInt()).as("split-sms: %s", texts.get(i)).isEqualTo(ours);
      int second = counts.get(i).get(1).asInt();
      assertThat(second)
          .as("sms-segments-calculator: %s", texts.get(i))
          .isBetween(ours, hasSignsOfSeveral(texts.get(i)) ? ours + 1 : ours);
      ofSeveral += ours > 1 ? 1 : 0;
      keptTogether += second > ours ? 1 : 0;
    }
    System.out.println(
        TEXTS
            + " texts, "
            + ofSeveral
            + " of several parts; one part more by the second package"
            + ", which splits no sign: "
            + keptTogether);
    assertThat(ofSeveral).isGreaterThan(TEXTS / 2);
  }

  /** Marks that stand on a letter, and signs joined to one. */
  private static boolean hasSignsOfSeveral(String text) {
    return text.contains("\u0301") || text.contains("\u200D");
  }

  private JsonNode counted(List<String> texts) throws IOException, InterruptedException {
    String folder = System.getenv("JEMBLE_TEXT_ORACLES");
    if (folder == null) {
      throw new SkipException("./jemble test fetches the packages and says where they are.");
    }
    Path asked = Files.createTempFile("texts", ".json");
    Files.write(asked, json.writeValueAsBytes(texts));
    Path script = Path.of(folder).resolve("oracles.cjs");
    try (InputStream ours = getClass().getResourceAsStream("oracles.cjs")) {
      Files.write(script, ours.readAllBytes());
    }
    Process node =
        new ProcessBuilder("node", script.toString())
            .redirectInput(asked.toFile())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    String answer = new String(node.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(node.waitFor()).isZero();
    Files.delete(asked);
    return json.readTree(answer);
  }
}
