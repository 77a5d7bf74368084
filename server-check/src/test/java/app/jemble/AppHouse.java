package app.jemble;

import app.jemble.standins.push.PushService;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.util.List;

/** How a house that has an app is set. */
public final class AppHouse {

  private AppHouse() {}

  /** The settings of one whose app is reached through a push service. */
  public static List<String> through(PushService service) {
    return List.of(
        "--jemble.notice.services=" + service.origin(),
        "--jemble.notice.contact=mailto:post@ternquay.example");
  }

  /** A port that nobody listens on: apps must know the house's address before it starts. */
  public static int freePort() {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    } catch (IOException none) {
      throw new UncheckedIOException(none);
    }
  }
}
