package app.jemble.core.merge;

/**
 * Where something stands in a template's text.
 *
 * @param line from 1
 * @param column from 1, in UTF-16 units
 */
public record Position(int line, int column) {

  static Position of(String text, int offset) {
    int line = 1;
    int lineStart = 0;
    for (int i = 0; i < offset; i++) {
      if (text.charAt(i) == '\n') {
        line++;
        lineStart = i + 1;
      }
    }
    return new Position(line, offset - lineStart + 1);
  }
}
