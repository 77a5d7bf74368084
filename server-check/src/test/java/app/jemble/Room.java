package app.jemble;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A package of the server.
 *
 * @param name such as "outbox" or "carrier.mail"
 * @param info its package-info
 * @param files its other files
 */
record Room(String name, String info, List<Path> files) {

  /**
   * A table that stands in a statement.
   *
   * @param offered whether it is the view that its room offers
   */
  record Touch(String file, String table, boolean offered, boolean writes) {}

  private static final String INFO = "package-info.java";
  private static final Pattern TABLES = Pattern.compile("<p>Tables: ([^.]*)\\.", Pattern.DOTALL);
  private static final Pattern TOUCH =
      Pattern.compile(
          "(?<verb>\\bdelete from|\\bfrom|\\bjoin|\\bupdate|\\binto|\\busing|,|^)\\s*"
              + "(?<offered>offered\\.)?(?<table>[a-z_]+)\\b(?![.(=])(?<alias> (?!or\\b)[a-z]{1,2}\\b(?![.(]))?");

  /** All rooms beneath a folder. */
  static List<Room> all(Path main) throws IOException {
    try (Stream<Path> folders = Files.walk(main)) {
      List<Room> rooms = new ArrayList<>();
      for (Path folder : folders.filter(Files::isDirectory).sorted().toList()) {
        List<Path> java = java(folder);
        String name = main.relativize(folder).toString().replace('/', '.');
        if (!java.isEmpty() && !name.isEmpty()) {
          Path info = folder.resolve(INFO);
          rooms.add(
              new Room(
                  name,
                  Files.exists(info) ? Files.readString(info) : "",
                  java.stream().filter(f -> !f.endsWith(INFO)).toList()));
        }
      }
      return rooms;
    }
  }

  private static List<Path> java(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.filter(f -> f.toString().endsWith(".java")).sorted().toList();
    }
  }

  /** What its package-info says, on one line. */
  String says() {
    return info.replaceAll("\\n \\*", "").replaceAll("\\s+", " ");
  }

  /** The tables that are its own. */
  Set<String> tables() {
    Matcher told = TABLES.matcher(says());
    String list = told.find() ? told.group(1).replaceAll("[\\s*]+", " ").strip() : "none";
    return list.equals("none") ? Set.of() : new TreeSet<>(List.of(list.split(", ")));
  }

  /** Every table in a statement of the room, of all there are. */
  List<Touch> touches(Set<String> all) {
    List<Touch> touches = new ArrayList<>();
    for (Path file : files) {
      for (String text : SourceCode.literals(read(file))) {
        touches.addAll(touches(file.getFileName().toString(), text, all));
      }
    }
    return touches;
  }

  private static List<Touch> touches(String file, String text, Set<String> all) {
    List<Touch> touches = new ArrayList<>();
    Matcher touch = TOUCH.matcher(text);
    while (touch.find()) {
      String verb = touch.group("verb");
      boolean listed = verb.isEmpty() || verb.equals(",");
      // A name alone, in a list or at the beginning, is a table where it gets another beside it.
      if (all.contains(touch.group("table")) && (!listed || touch.group("alias") != null)) {
        touches.add(
            new Touch(
                file,
                touch.group("table"),
                touch.group("offered") != null,
                verb.equals("update") || verb.equals("into") || verb.startsWith("delete")));
      }
    }
    return touches;
  }

  private static String read(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
