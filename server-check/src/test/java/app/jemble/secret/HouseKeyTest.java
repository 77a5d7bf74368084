package app.jemble.secret;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.access.SealedSecret;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Base64;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** The key to the house's secrets, wherever it comes from. */
public class HouseKeyTest {

  private Path file;

  @BeforeMethod
  public void begin() throws IOException {
    file = Files.createTempDirectory("jemble-key").resolve("house/key");
  }

  @Test
  public void itIsMadeOnceForItsOwnerAlone() throws IOException {
    HouseKey key = new HouseKey("", file);
    assertThat(file).as("nothing was sealed yet").doesNotExist();
    byte[] octets = key.octets();
    assertThat(octets).hasSize(SealedSecret.KEY).isNotEqualTo(new byte[SealedSecret.KEY]);
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("rw-------");
    assertThat(new HouseKey("", file).octets()).as("after a start").isEqualTo(octets);
  }

  @Test
  public void processesThatMakeItAtOnceHaveTheSame() throws Exception {
    ExecutorService many = Executors.newFixedThreadPool(8);
    try {
      List<Callable<String>> makers =
          IntStream.range(0, 24)
              .<Callable<String>>mapToObj(
                  i -> () -> HexFormat.of().formatHex(new HouseKey("", file).octets()))
              .toList();
      Set<String> keys = new HashSet<>();
      for (Future<String> made : many.invokeAll(makers)) {
        keys.add(made.get());
      }
      assertThat(keys).hasSize(1);
    } finally {
      many.shutdownNow();
    }
    try (Stream<Path> left = Files.list(file.getParent())) {
      assertThat(left).containsExactly(file);
    }
  }

  @Test
  public void theEnvironmentComesFirst() {
    byte[] mine = new byte[SealedSecret.KEY];
    mine[3] = 7;
    String given = Base64.getEncoder().encodeToString(mine);
    assertThat(new HouseKey(" " + given + "\n", file).octets()).isEqualTo(mine);
    assertThat(file).doesNotExist();
  }

  @Test
  public void whatIsNoKeyIsSaid() throws IOException {
    assertThatThrownBy(() -> new HouseKey("c2hvcnQ=", file).octets())
        .hasMessageContaining("JEMBLE_KEY")
        .hasMessageContaining("32 octets");
    Files.createDirectories(file.getParent());
    Files.writeString(file, "not base64 !", StandardCharsets.US_ASCII);
    assertThatThrownBy(() -> new HouseKey("", file).octets()).hasMessageContaining(file.toString());
    assertThat(Files.readString(file)).as("nothing is lost").startsWith("not base64");
  }
}
