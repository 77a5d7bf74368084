package app.jemble.core.pace;

import java.util.Arrays;

/** Waves in the order in which they leave. */
final class Waves {

  private long[] at = new long[64];
  private int[] people = new int[64];
  private int size;

  void add(long instant, int count) {
    if (size == at.length) {
      at = Arrays.copyOf(at, size * 2);
      people = Arrays.copyOf(people, size * 2);
    }
    at[size] = instant;
    people[size++] = count;
  }

  int size() {
    return size;
  }

  long at(int wave) {
    return at[wave];
  }

  int people(int wave) {
    return people[wave];
  }
}
