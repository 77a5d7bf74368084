package app.jemble;

import java.util.List;

/**
 * How a house that texts is set: as whom it signs in at a message centre, and who its texts are
 * from.
 */
public final class TextHouse {

  public static final String USER = "lowen";
  public static final String PASSWORD = "secret";

  /** The number that texts come from, E.164. */
  public static final String NUMBER = "+447700900999";

  private static final int QUICKLY = 1000;

  private TextHouse() {}

  /** The settings of one that texts through a port of this machine. */
  public static List<String> through(int port) {
    return through(port, QUICKLY);
  }

  /** The same, which hands over so many parts in a second at most. */
  public static List<String> through(int port, int perSecond) {
    return List.of(
        "--jemble.text.host=127.0.0.1",
        "--jemble.text.port=" + port,
        "--jemble.text.user=" + USER,
        "--jemble.text.password=" + PASSWORD,
        "--jemble.text.sender=" + NUMBER,
        "--jemble.text.per-second=" + perSecond);
  }
}
