package app.jemble.standins;

import java.util.HashMap;
import java.util.Map;

/** Options of a command line, {@code --name=value}. */
final class Options {

  private final Map<String, String> values = new HashMap<>();

  Options(String[] args) {
    for (String arg : args) {
      int equals = arg.indexOf('=');
      if (!arg.startsWith("--") || equals < 0) {
        throw new IllegalArgumentException("Options read --name=value, not " + arg + ".");
      }
      values.put(arg.substring(2, equals), arg.substring(equals + 1));
    }
  }

  String text(String name, String otherwise) {
    return values.getOrDefault(name, otherwise);
  }

  int number(String name, int otherwise) {
    String value = values.get(name);
    return value == null ? otherwise : Integer.parseInt(value);
  }
}
