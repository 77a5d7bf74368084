package app.jemble;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;

/** A server on a free port of loopback; each client is talked to on a thread of its own. */
public final class LoopbackServer implements AutoCloseable {

  /** What is said to one client; the connection is closed when it returns. */
  public interface Talk {
    void with(Socket client) throws IOException;
  }

  private final ServerSocket socket;
  private final Talk talk;

  public LoopbackServer(Talk talk) throws IOException {
    this(0, talk);
  }

  /**
   * @param port 0 takes a free one
   */
  public LoopbackServer(int port, Talk talk) throws IOException {
    this.socket = new ServerSocket(port, 50, InetAddress.getLoopbackAddress());
    this.talk = talk;
    start(this::listen);
  }

  public int port() {
    return socket.getLocalPort();
  }

  private void listen() {
    while (!socket.isClosed()) {
      try {
        Socket client = socket.accept();
        start(() -> talkTo(client));
      } catch (IOException closed) {
        return;
      }
    }
  }

  private void talkTo(Socket client) {
    try (client) {
      client.setTcpNoDelay(true);
      talk.with(client);
    } catch (IOException gone) {
      // The client is gone; that is its affair.
    }
  }

  private static void start(Runnable work) {
    Thread thread = new Thread(work, "loopback-server");
    thread.setDaemon(true);
    thread.start();
  }

  @Override
  public void close() throws IOException {
    socket.close();
  }
}
