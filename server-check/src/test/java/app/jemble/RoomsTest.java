package app.jemble;

import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * The rooms of the house: each says what it is for and which tables are its own, none stands in a
 * circle with others, and none reads or writes another's tables but by what that room offers.
 */
public class RoomsTest {

  /** Common practice: what a newcomer can keep in mind. */
  private static final int MOST_FILES = 25;

  private JavaClasses server;
  private List<Room> rooms;

  @BeforeClass
  public void read() throws IOException {
    server =
        new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("app.jemble")
            .that(SourceCode.isOfTheServer());
    rooms = Room.all(SourceCode.MAIN);
  }

  @Test
  public void noRoomsStandInACircle() {
    slices()
        .matching("app.jemble.(**)")
        .should()
        .beFreeOfCycles()
        .check(server.that(SourceCode.isInARoom()));
  }

  @Test
  public void everyRoomSaysWhatItIsForAndWhatToReadFirst() {
    assertThat(rooms).hasSizeGreaterThan(30);
    for (Room room : rooms) {
      assertThat(room.says()).as(room.name()).contains("Read {@link", "Tables:");
    }
  }

  @Test
  public void noRoomIsCrowded() {
    assertThat(rooms)
        .allSatisfy(r -> assertThat(r.files()).as(r.name()).hasSizeLessThanOrEqualTo(MOST_FILES));
  }

  @Test
  public void everyTableHasOneOwner() throws IOException {
    Map<String, List<String>> owners = new TreeMap<>();
    SourceCode.tables().forEach(table -> owners.put(table, new ArrayList<>()));
    for (Room room : rooms) {
      for (String table : room.tables()) {
        assertThat(owners).as("a table of " + room.name()).containsKey(table);
        owners.get(table).add(room.name());
      }
    }
    assertThat(owners).allSatisfy((table, by) -> assertThat(by).as(table).hasSize(1));
  }

  @Test
  public void noTableIsTouchedFromAnotherRoom() throws IOException {
    List<String> wrong = new ArrayList<>();
    for (Room room : rooms) {
      for (Room.Touch touch : room.touches(SourceCode.tables())) {
        boolean offered = touch.offered() && !touch.writes();
        if (!offered && !room.tables().contains(touch.table())) {
          wrong.add(room.name() + ": " + touch);
        }
      }
    }
    assertThat(wrong).isEmpty();
  }

  @Test
  public void theMatricesArePrinted() throws IOException {
    String text =
        RoomMatrix.ofImports(server) + "\n" + RoomMatrix.ofTables(rooms, SourceCode.tables());
    Path file = Path.of("target", "rooms.txt");
    Files.createDirectories(file.getParent());
    Files.writeString(file, text);
    assertThat(text).contains("outbox", "mailing", "message");
  }
}
