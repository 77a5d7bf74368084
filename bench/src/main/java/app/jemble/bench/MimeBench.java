package app.jemble.bench;

import app.jemble.carrier.mail.GeneralMimeWriters;
import app.jemble.core.message.OutgoingMessage;

/**
 * A message of two texts, some 10 KB, written as MIME by the outbox's own writer and by two general
 * ones, on one thread.
 */
final class MimeBench {

  private static final int MESSAGES = 2_000;
  private static final int WARM_UPS = 10;
  private static final int RUNS = 9;

  private MimeBench() {}

  /** One way to write a message. */
  private interface Writer {
    byte[] write(OutgoingMessage message) throws Exception;
  }

  static void run() throws Exception {
    // One letter in fifty is outside ASCII, as where names and dashes are.
    String words = "The slipway opens on Saturday – and Zoë’s yard is busy with boats. ";
    OutgoingMessage message =
        GeneralMimeWriters.message("<p>" + words.repeat(75) + "</p>\n", (words + "\n").repeat(75));
    double[] ours = new double[RUNS];
    double[] mime4j = new double[RUNS];
    double[] jakarta = new double[RUNS];
    for (int run = -WARM_UPS; run < RUNS; run++) {
      double own = perSecond(GeneralMimeWriters::ours, message);
      double one = perSecond(GeneralMimeWriters::mime4j, message);
      double other = perSecond(GeneralMimeWriters::jakarta, message);
      if (run >= 0) {
        ours[run] = own;
        mime4j[run] = one;
        jakarta[run] = other;
      }
    }
    Figures.print("mime.ours.per_s", "messages/s", ours);
    Figures.print("mime.mime4j.per_s", "messages/s", mime4j);
    Figures.print("mime.jakarta.per_s", "messages/s", jakarta);
    Figures.printRatio("mime.ratio.mime4j", ours, mime4j);
    Figures.printRatio("mime.ratio.jakarta", ours, jakarta);
  }

  private static double perSecond(Writer writer, OutgoingMessage message) throws Exception {
    long octets = 0;
    long begun = System.nanoTime();
    for (int i = 0; i < MESSAGES; i++) {
      octets += writer.write(message).length;
    }
    double seconds = (System.nanoTime() - begun) / 1e9;
    if (octets < 10_000L * MESSAGES) {
      throw new IllegalStateException("the messages are short: " + octets + " octets in all");
    }
    return MESSAGES / seconds;
  }
}
