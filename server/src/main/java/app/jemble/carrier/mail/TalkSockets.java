package app.jemble.carrier.mail;

import app.jemble.settings.Authority;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import javax.net.SocketFactory;
import javax.net.ssl.SSLSocketFactory;
import org.eclipse.angus.mail.util.WriteTimeoutSocket;

/**
 * The socket that the mail library talks over, so that lines can be written to it as they are; it
 * sends at once (TCP_NODELAY), and a write that gets stuck ends.
 */
final class TalkSockets {

  private final int writeMillis;
  private final String authority;
  private Socket last;

  /**
   * @param authority certificates of those who vouch for the server, or the file they stand in, or
   *     empty
   */
  TalkSockets(int writeMillis, String authority) {
    this.writeMillis = writeMillis;
    this.authority = authority;
  }

  /** The one in use: the protected one where there is protection. */
  Socket inUse() {
    return last;
  }

  private Socket use(Socket socket) {
    last = socket;
    return socket;
  }

  /** Makes sockets without protection. */
  SocketFactory plain() {
    return new Plain();
  }

  /** Protects sockets by TLS. */
  SSLSocketFactory protectedOnes() {
    return new Protected(
        authority.isBlank()
            ? (SSLSocketFactory) SSLSocketFactory.getDefault()
            : Authority.vouchedFor(authority));
  }

  /** The library asks for unconnected sockets alone, and connects them in its own time. */
  private final class Plain extends SocketFactory {

    @Override
    public Socket createSocket() throws IOException {
      Socket socket = new WriteTimeoutSocket(new Socket(), writeMillis);
      socket.setTcpNoDelay(true);
      return use(socket);
    }

    @Override
    public Socket createSocket(String host, int port) {
      throw new UnsupportedOperationException();
    }

    @Override
    public Socket createSocket(String host, int port, InetAddress local, int localPort) {
      throw new UnsupportedOperationException();
    }

    @Override
    public Socket createSocket(InetAddress host, int port) {
      throw new UnsupportedOperationException();
    }

    @Override
    public Socket createSocket(InetAddress host, int port, InetAddress local, int localPort) {
      throw new UnsupportedOperationException();
    }
  }

  private final class Protected extends SSLSocketFactory {
    private final SSLSocketFactory inner;

    Protected(SSLSocketFactory inner) {
      this.inner = inner;
    }

    @Override
    public String[] getDefaultCipherSuites() {
      return inner.getDefaultCipherSuites();
    }

    @Override
    public String[] getSupportedCipherSuites() {
      return inner.getSupportedCipherSuites();
    }

    @Override
    public Socket createSocket() throws IOException {
      return use(inner.createSocket());
    }

    @Override
    public Socket createSocket(Socket socket, String host, int port, boolean autoClose)
        throws IOException {
      return use(inner.createSocket(socket, host, port, autoClose));
    }

    @Override
    public Socket createSocket(String host, int port) throws IOException {
      return use(inner.createSocket(host, port));
    }

    @Override
    public Socket createSocket(String host, int port, InetAddress local, int localPort)
        throws IOException {
      return use(inner.createSocket(host, port, local, localPort));
    }

    @Override
    public Socket createSocket(InetAddress host, int port) throws IOException {
      return use(inner.createSocket(host, port));
    }

    @Override
    public Socket createSocket(InetAddress host, int port, InetAddress local, int localPort)
        throws IOException {
      return use(inner.createSocket(host, port, local, localPort));
    }
  }
}
