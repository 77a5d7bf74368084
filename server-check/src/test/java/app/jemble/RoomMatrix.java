package app.jemble;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** Who leans on whom, and who reads whose tables, as texts to be looked at. */
final class RoomMatrix {

  private static final String ROOT = "app.jemble.";

  private RoomMatrix() {}

  /** A line a room: the rooms it leans on, with how many of its classes do. */
  static String ofImports(JavaClasses classes) {
    Map<String, Map<String, Set<String>>> uses = new TreeMap<>();
    for (JavaClass from : classes) {
      from.getDirectDependenciesFromSelf().stream()
          .map(d -> d.getTargetClass().getBaseComponentType().getPackageName())
          .filter(to -> to.startsWith(ROOT) && !to.equals(from.getPackageName()))
          .forEach(
              to ->
                  uses.computeIfAbsent(from.getPackageName(), p -> new TreeMap<>())
                      .computeIfAbsent(to, p -> new TreeSet<>())
                      .add(from.getName()));
    }
    StringBuilder text = new StringBuilder("Rooms, and the rooms they lean on (classes that do)\n");
    uses.forEach(
        (room, on) ->
            text.append("  ")
                .append(name(room))
                .append(": ")
                .append(
                    on.entrySet().stream()
                        .map(e -> name(e.getKey()) + " " + e.getValue().size())
                        .collect(Collectors.joining(", ")))
                .append('\n'));
    return text.toString();
  }

  private static String name(String packageName) {
    return packageName.startsWith(ROOT) ? packageName.substring(ROOT.length()) : packageName;
  }

  /** A line a table: its room, and the rooms that read what is offered of it. */
  static String ofTables(List<Room> rooms, Set<String> tables) {
    Map<String, String> owner = new TreeMap<>();
    Map<String, Map<String, Integer>> readers = new TreeMap<>();
    for (Room room : rooms) {
      room.tables().forEach(table -> owner.put(table, room.name()));
      room.touches(tables).stream()
          .filter(Room.Touch::offered)
          .forEach(
              t ->
                  readers
                      .computeIfAbsent(t.table(), x -> new TreeMap<>())
                      .merge(room.name(), 1, Integer::sum));
    }
    StringBuilder text = new StringBuilder("Tables, their rooms, and who reads what is offered\n");
    owner.forEach(
        (table, room) ->
            text.append("  ")
                .append(table)
                .append(" (")
                .append(room)
                .append("): ")
                .append(
                    readers.getOrDefault(table, Map.of()).entrySet().stream()
                        .map(e -> e.getKey() + " " + e.getValue())
                        .collect(Collectors.joining(", ")))
                .append('\n'));
    return text.toString();
  }
}
