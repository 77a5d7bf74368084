package app.jemble.bench;

import app.jemble.LoopbackServer;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicInteger;

/** A mail server (RFC 5321) that takes everything at once and keeps nothing but the count. */
final class SmtpSink implements AutoCloseable {

  final AtomicInteger taken = new AtomicInteger();
  private final LoopbackServer server;

  SmtpSink() throws IOException {
    server = new LoopbackServer(this::talk);
  }

  int port() {
    return server.port();
  }

  private void talk(Socket client) throws IOException {
    InputStream in = new BufferedInputStream(client.getInputStream(), 1 << 16);
    OutputStream out = new BufferedOutputStream(client.getOutputStream());
    say(out, "220 sink");
    String line = readLine(in);
    while (line != null && !line.startsWith("QUIT")) {
      if (line.startsWith("DATA")) {
        say(out, "354 go on");
        while (line != null && !line.equals(".")) {
          line = readLine(in);
        }
        taken.incrementAndGet();
      }
      say(out, "250 fine");
      line = readLine(in);
    }
  }

  private static String readLine(InputStream in) throws IOException {
    StringBuilder line = new StringBuilder(80);
    int c = in.read();
    while (c >= 0 && c != '\n') {
      if (c != '\r') {
        line.append((char) c);
      }
      c = in.read();
    }
    return c < 0 && line.length() == 0 ? null : line.toString();
  }

  private static void say(OutputStream out, String line) throws IOException {
    out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
    out.flush();
  }

  @Override
  public void close() throws IOException {
    server.close();
  }
}
