package app.jemble.bench;

/** Times two things in turn, so that whatever else the machine does falls on both. */
final class Interleaved {

  /** Something that is timed. */
  interface Work {
    void run() throws Exception;
  }

  /** Milliseconds of each run. */
  record Times(double[] ours, double[] theirs) {}

  private Interleaved() {}

  static Times millis(int warmUps, int runs, Work ours, Work theirs) throws Exception {
    for (int i = 0; i < warmUps; i++) {
      ours.run();
      theirs.run();
    }
    Times times = new Times(new double[runs], new double[runs]);
    for (int i = 0; i < runs; i++) {
      times.ours()[i] = millis(ours);
      times.theirs()[i] = millis(theirs);
    }
    return times;
  }

  static double millis(Work work) throws Exception {
    long begun = System.nanoTime();
    work.run();
    return (System.nanoTime() - begun) / 1e6;
  }
}
