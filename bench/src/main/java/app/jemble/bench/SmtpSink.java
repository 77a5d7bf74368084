package app.jemble.bench;

import app.jemble.LoopbackServer;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * A mail server (RFC 5321) that takes everything at once, also in groups (RFC 2920), and keeps
 * nothing but the count.
 */
final class SmtpSink implements AutoCloseable {

  final AtomicInteger taken = new AtomicInteger();
  private final LoopbackServer server;

  SmtpSink() throws IOException {
    server = new LoopbackServer(client -> new Talk(client).go());
  }

  int port() {
    return server.port();
  }

  @Override
  public void close() throws IOException {
    server.close();
  }

  /** One connection. */
  private final class Talk {
    private final InputStream in;
    private final OutputStream out;
    private final StringBuilder answers = new StringBuilder("220 sink\r\n");
    private final byte[] octets = new byte[1 << 16];
    private int at;
    private int end;
    private boolean inText;

    Talk(Socket client) throws IOException {
      in = client.getInputStream();
      out = client.getOutputStream();
    }

    /** Answers go out when all that came in is read. */
    void go() throws IOException {
      boolean goesOn = true;
      while (goesOn) {
        int length = lineLength();
        if (length < 0) {
          answer();
          goesOn = readMore();
        } else {
          goesOn = take(length);
          at += length + 1;
        }
      }
      answer();
    }

    private void answer() throws IOException {
      out.write(answers.toString().getBytes(StandardCharsets.US_ASCII));
      answers.setLength(0);
    }

    private int lineLength() {
      for (int i = at; i < end; i++) {
        if (octets[i] == '\n') {
          return i - at;
        }
      }
      return -1;
    }

    private boolean readMore() throws IOException {
      System.arraycopy(octets, at, octets, 0, end - at);
      end -= at;
      at = 0;
      int read = in.read(octets, end, octets.length - end);
      end += Math.max(0, read);
      return read > 0;
    }

    private boolean take(int length) {
      if (inText) {
        if (length == 2 && octets[at] == '.') {
          inText = false;
          taken.incrementAndGet();
          answers.append("250 taken\r\n");
        }
        return true;
      }
      String verb = new String(octets, at, Math.min(4, length), StandardCharsets.US_ASCII);
      inText = verb.equals("DATA");
      answers.append(
          inText
              ? "354 go on\r\n"
              : verb.equals("EHLO") ? "250-sink\r\n250 PIPELINING\r\n" : "250 fine\r\n");
      return !verb.equals("QUIT");
    }
  }
}
