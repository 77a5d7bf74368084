package app.jemble.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.SkipException;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * The twelve files of csv-spectrum (npm, BSD-2-Clause), each with what it holds as JSON. The JSON
 * of location_coordinates has another phone number than its file, so that column is left out there.
 */
public class CsvSpectrumTest {

  private Path spectrum;

  private Path spectrum() {
    if (spectrum == null) {
      String folder = System.getenv("JEMBLE_CSV_SPECTRUM");
      if (folder == null) {
        throw new SkipException("./jemble test fetches the files and says where they are.");
      }
      spectrum = Path.of(folder);
    }
    return spectrum;
  }

  @DataProvider
  public Object[][] files() throws IOException {
    try (Stream<Path> files = Files.list(spectrum().resolve("csvs"))) {
      return files
          .map(f -> f.getFileName().toString().replace(".csv", ""))
          .sorted()
          .map(f -> new Object[] {f})
          .toArray(Object[][]::new);
    }
  }

  @Test
  public void allTwelveAreThere() throws IOException {
    assertThat(files().length).isEqualTo(12);
  }

  @Test(dataProvider = "files")
  public void isReadAsItsJsonSays(String name) throws Exception {
    CsvFile file = CsvFile.of(spectrum().resolve("csvs/" + name + ".csv"), null);
    List<List<String>> rows = new ArrayList<>();
    List<String> headers = file.read((number, cells) -> rows.add(cells));
    List<Map<String, String>> read = new ArrayList<>();
    for (List<String> row : rows) {
      Map<String, String> object = new LinkedHashMap<>();
      for (int i = 0; i < headers.size(); i++) {
        object.put(headers.get(i), row.get(i));
      }
      read.add(object);
    }
    JsonNode expected =
        new ObjectMapper().readTree(Files.readString(spectrum().resolve("json/" + name + ".json")));
    List<Map<String, String>> meant = new ArrayList<>();
    for (JsonNode row : expected.isArray() ? expected : List.of(expected)) {
      Map<String, String> object = new LinkedHashMap<>();
      row.properties().forEach(e -> object.put(e.getKey(), e.getValue().asString()));
      meant.add(object);
    }
    if (name.equals("location_coordinates")) {
      read.get(0).remove("Contact Phone Number");
      meant.get(0).remove("Contact Phone Number");
    }
    assertThat(read).isEqualTo(meant);
  }
}
