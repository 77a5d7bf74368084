package app.jemble.bench;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import javax.net.SocketFactory;

/**
 * Sockets that send at once (TCP_NODELAY). Without it each message longer than one buffer waits for
 * a delayed acknowledgement, some 40 ms.
 */
final class PromptSockets extends SocketFactory {

  @Override
  public Socket createSocket() throws IOException {
    return prompt(new Socket());
  }

  @Override
  public Socket createSocket(String host, int port) throws IOException {
    return prompt(new Socket(host, port));
  }

  @Override
  public Socket createSocket(String host, int port, InetAddress local, int localPort)
      throws IOException {
    return prompt(new Socket(host, port, local, localPort));
  }

  @Override
  public Socket createSocket(InetAddress host, int port) throws IOException {
    return prompt(new Socket(host, port));
  }

  @Override
  public Socket createSocket(InetAddress host, int port, InetAddress local, int localPort)
      throws IOException {
    return prompt(new Socket(host, port, local, localPort));
  }

  private static Socket prompt(Socket socket) throws IOException {
    socket.setTcpNoDelay(true);
    return socket;
  }
}
