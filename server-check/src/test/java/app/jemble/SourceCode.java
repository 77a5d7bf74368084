package app.jemble;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The source of the server, as trials of its shape read it. */
final class SourceCode {

  static final Path MAIN = Path.of("../server/src/main/java/app/jemble");

  private static final Path MIGRATIONS = Path.of("../server/src/main/resources/db/migration");
  private static final Pattern MADE =
      Pattern.compile("^create (?:unlogged )?table (\\w+)", Pattern.MULTILINE);
  private static final Pattern RENAMED = Pattern.compile("alter table (\\w+) rename to (\\w+)");

  private static final Pattern DROPPED = Pattern.compile("^drop table (\\w+)", Pattern.MULTILINE);
  private static final Pattern LITERAL_OR_COMMENT =
      Pattern.compile(
          "/\\*.*?\\*/|//[^\\n]*|\"\"\"\\n(.*?)\"\"\"|\"((?:\\\\.|[^\"\\\\\\n])*)\"",
          Pattern.DOTALL);

  private SourceCode() {}

  static DescribedPredicate<JavaClass> isOfTheServer() {
    return DescribedPredicate.describe(
        "are of the server",
        c ->
            !c.getPackageName().startsWith("app.jemble.standins")
                && !c.getPackageName().startsWith("app.jemble.demo")
                && !c.getPackageName().startsWith("app.jemble.core"));
  }

  static DescribedPredicate<JavaClass> isInARoom() {
    return DescribedPredicate.describe(
        "are in a room", c -> !c.getPackageName().equals("app.jemble"));
  }

  /** The tables there are after all migrations. */
  static Set<String> tables() throws IOException {
    Set<String> tables = new TreeSet<>();
    try (Stream<Path> files = Files.list(MIGRATIONS)) {
      List<Path> versions =
          files
              .filter(f -> f.getFileName().toString().startsWith("V"))
              .sorted(Comparator.comparing(SourceCode::version))
              .toList();
      for (Path file : versions) {
        String sql = Files.readString(file);
        matches(MADE, sql).forEach(tables::add);
        matches(DROPPED, sql).forEach(tables::remove);
        RENAMED
            .matcher(sql)
            .results()
            .filter(table -> tables.remove(table.group(1)))
            .forEach(table -> tables.add(table.group(2)));
      }
    }
    return tables;
  }

  /** V17__rooms.sql is the seventeenth. */
  private static int version(Path migration) {
    return Integer.parseInt(migration.getFileName().toString().replaceAll("^V|__.*$", ""));
  }

  private static List<String> matches(Pattern pattern, String text) {
    return pattern.matcher(text).results().map(m -> m.group(1)).toList();
  }

  /** What stands between the quotation marks of a file. */
  static List<String> literals(String java) {
    return LITERAL_OR_COMMENT
        .matcher(java)
        .results()
        .map(m -> m.group(1) != null ? m.group(1) : m.group(2))
        .filter(text -> text != null)
        .toList();
  }
}
