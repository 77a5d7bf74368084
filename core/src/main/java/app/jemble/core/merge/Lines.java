package app.jemble.core.merge;

import java.util.Arrays;

/** Where the lines of a text begin, so that a position is found without reading it again. */
final class Lines {

  private final int[] starts;

  Lines(String text) {
    int[] found = new int[16];
    int count = 1;
    for (int end = text.indexOf('\n'); end >= 0; end = text.indexOf('\n', end + 1)) {
      if (count == found.length) {
        found = Arrays.copyOf(found, 2 * count);
      }
      found[count++] = end + 1;
    }
    starts = Arrays.copyOf(found, count);
  }

  /** The line and column of a place, counted from the beginning of the text. */
  Position at(int offset) {
    int place = Arrays.binarySearch(starts, offset);
    int line = place >= 0 ? place : -place - 2;
    return new Position(line + 1, offset - starts[line] + 1);
  }
}
