package app.jemble.outbox;

import app.jemble.LoopbackServer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * A mail server (RFC 5321, in groups as RFC 2920) of uncertain temper: it delays, puts off (4xx),
 * refuses (5xx), and drops the connection at MAIL, at RCPT, within the text, and after the final
 * dot before its answer. What it does with a recipient is drawn from the seed, so that it comes the
 * same way at every attempt of the same number.
 */
final class MoodyMailServer implements AutoCloseable {

  private enum Mood {
    GOOD,
    DELAYS,
    PUTS_OFF,
    REFUSES,
    DROPS_AT_RCPT,
    DROPS_IN_TEXT,
    DROPS_AFTER_DOT
  }

  private final long seed;
  private final int delayMillis;
  private final LoopbackServer server;
  private final Map<String, AtomicInteger> attempts = new ConcurrentHashMap<>();
  private final Map<String, AtomicInteger> taken = new ConcurrentHashMap<>();
  private final Map<String, Boolean> refused = new ConcurrentHashMap<>();
  private final AtomicInteger dropped = new AtomicInteger();
  private final AtomicInteger connections = new AtomicInteger();

  /**
   * @param delayMillis how long it takes over each message at most
   */
  MoodyMailServer(long seed, int delayMillis) throws IOException {
    this.seed = seed;
    this.delayMillis = delayMillis;
    this.server = new LoopbackServer(client -> new Talk(client).go());
  }

  int port() {
    return server.port();
  }

  /** How often each recipient's message was taken over, whether that was answered or not. */
  int taken(String recipient) {
    AtomicInteger times = taken.get(recipient);
    return times == null ? 0 : times.get();
  }

  boolean refused(String recipient) {
    return refused.containsKey(recipient);
  }

  int takenInAll() {
    return taken.values().stream().mapToInt(AtomicInteger::get).sum();
  }

  /** How often it broke off within a text or after it. */
  int dropped() {
    return dropped.get();
  }

  @Override
  public void close() throws IOException {
    server.close();
  }

  private Mood mood(String recipient) {
    int attempt = attempts.computeIfAbsent(recipient, r -> new AtomicInteger()).getAndIncrement();
    Random random = new Random(seed + 31L * recipient.hashCode());
    int drawn = random.nextInt(100);
    if (drawn < 2) {
      return Mood.REFUSES;
    }
    if (attempt > 0) {
      return Mood.GOOD;
    }
    if (drawn < 5) {
      return Mood.PUTS_OFF;
    }
    if (drawn < 7) {
      return Mood.DROPS_AT_RCPT;
    }
    if (drawn < 8) {
      return Mood.DROPS_IN_TEXT;
    }
    if (drawn < 9) {
      return Mood.DROPS_AFTER_DOT;
    }
    return drawn < 20 ? Mood.DELAYS : Mood.GOOD;
  }

  /** One connection. */
  private final class Talk {
    private final BufferedReader in;
    private final OutputStream out;
    private final Random random = new Random(seed + connections.incrementAndGet());
    private String recipient = "";
    private Mood mood = Mood.GOOD;

    Talk(Socket client) throws IOException {
      in =
          new BufferedReader(
              new InputStreamReader(client.getInputStream(), StandardCharsets.ISO_8859_1));
      out = client.getOutputStream();
    }

    void go() throws IOException {
      say("220 moody.test");
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        if (!answer(line)) {
          return;
        }
      }
    }

    /** False when it drops the connection. */
    private boolean answer(String line) throws IOException {
      if (line.startsWith("EHLO")) {
        say("250-moody.test\r\n250 PIPELINING");
      } else if (line.startsWith("MAIL")) {
        recipient = "";
        if (random.nextInt(100) == 0) {
          return false;
        }
        say("250 2.1.0 go on");
      } else if (line.startsWith("RCPT")) {
        return recipient(line.substring(line.indexOf('<') + 1, line.indexOf('>')));
      } else if (line.equals("DATA")) {
        return recipient.isEmpty() ? say("503 5.5.1 for whom?") : say("354 go on") && text();
      } else if (line.equals("QUIT")) {
        say("221 2.0.0 bye");
        return false;
      } else {
        say("250 2.0.0 fine");
      }
      return true;
    }

    private boolean recipient(String address) throws IOException {
      mood = mood(address);
      if (mood == Mood.PUTS_OFF) {
        return say("451 4.2.1 come back later");
      }
      if (mood == Mood.REFUSES) {
        refused.put(address, true);
        return say("550 5.1.1 no such mailbox");
      }
      if (mood == Mood.DROPS_AT_RCPT) {
        return false;
      }
      recipient = address;
      return say("250 2.1.5 fine");
    }

    private boolean text() throws IOException {
      int lines = 0;
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        if (mood == Mood.DROPS_IN_TEXT && ++lines > 3) {
          dropped.incrementAndGet();
          return false;
        }
        if (line.equals(".")) {
          return taken();
        }
      }
      return false;
    }

    private boolean taken() throws IOException {
      int most = mood == Mood.DELAYS ? 10 * delayMillis : delayMillis;
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(random.nextInt(most + 1)));
      taken.computeIfAbsent(recipient, r -> new AtomicInteger()).incrementAndGet();
      if (mood == Mood.DROPS_AFTER_DOT) {
        dropped.incrementAndGet();
        return false;
      }
      return say("250 2.0.0 taken");
    }

    private boolean say(String line) throws IOException {
      out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
      out.flush();
      return true;
    }
  }
}
