package app.jemble.print;

import java.io.IOException;
import java.nio.file.Path;

/** Writes the file of print runs of one kind. */
public interface RunWriter {

  /** Instead of a number of pages. */
  int STOPPED = -1;

  /** Is told how far it has come. */
  interface Progress {

    /**
     * @param done how many are in the file
     * @return whether it goes on; not when it was stopped meanwhile
     */
    boolean at(int done);
  }

  boolean writes(PrintRun run);

  /**
   * Writes all that was noted to be printed.
   *
   * @return how many pages it has, or {@link #STOPPED}
   */
  int write(PrintRun run, Path file, Progress progress) throws IOException;
}
