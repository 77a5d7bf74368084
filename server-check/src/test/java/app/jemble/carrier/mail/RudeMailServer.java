package app.jemble.carrier.mail;

import app.jemble.LoopbackServer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

/**
 * A mail server (RFC 5321) that misbehaves as the recipient's name asks: {@code defer@}, {@code
 * refuse@}, {@code spurn@} (after the text), {@code vanish@} (before the text), {@code mute@}
 * (takes the message and breaks off before it answers), {@code last@} (takes it, and ends the
 * connection with a word before anything more is said). All others are taken well.
 */
public final class RudeMailServer implements AutoCloseable {

  private final LoopbackServer server;
  private final List<String> taken = Collections.synchronizedList(new ArrayList<>());
  private volatile String politeTo = "nobody";

  public RudeMailServer() throws IOException {
    server = new LoopbackServer(this::talk);
  }

  public int port() {
    return server.port();
  }

  /** From now on everything to this domain is taken well. */
  public void mendManners(String domain) {
    politeTo = domain;
  }

  /** The recipients whose messages were taken over, in order; one entry a message. */
  public List<String> taken() {
    synchronized (taken) {
      return new ArrayList<>(taken);
    }
  }

  private void talk(Socket client) throws IOException {
    BufferedReader in =
        new BufferedReader(
            new InputStreamReader(client.getInputStream(), StandardCharsets.ISO_8859_1));
    Writer out = new OutputStreamWriter(client.getOutputStream(), StandardCharsets.US_ASCII);
    say(out, "220 rude.test");
    String recipient = "";
    for (String line = in.readLine(); line != null; line = in.readLine()) {
      String verb = line.toUpperCase(Locale.ROOT);
      if (verb.startsWith("RCPT TO:")) {
        recipient = line.substring(line.indexOf('<') + 1, line.indexOf('>'));
        say(out, rcptAnswer(recipient));
      } else if (verb.equals("DATA")) {
        if (is(recipient, "vanish@")) {
          return;
        }
        say(out, "354 go on");
        readText(in);
        if (is(recipient, "mute@")) {
          taken.add(recipient);
          return;
        }
        say(out, textAnswer(recipient));
        if (is(recipient, "last@")) {
          say(out, "421 4.4.2 unused for too long");
          return;
        }
      } else if (verb.equals("QUIT")) {
        say(out, "221 bye");
        return;
      } else {
        say(out, "250 fine");
      }
    }
  }

  private String rcptAnswer(String recipient) {
    if (is(recipient, "defer@")) {
      return "451 4.2.1 come back later";
    }
    return is(recipient, "refuse@") ? "550 5.1.1 no such mailbox" : "250 fine";
  }

  private String textAnswer(String recipient) {
    if (is(recipient, "spurn@")) {
      return "554 5.7.1 not wanted here";
    }
    taken.add(recipient);
    return "250 2.0.0 taken";
  }

  private boolean is(String recipient, String sort) {
    return !recipient.endsWith("@" + politeTo) && recipient.startsWith(sort);
  }

  private static void readText(BufferedReader in) throws IOException {
    String line = in.readLine();
    while (line != null && !line.equals(".")) {
      line = in.readLine();
    }
  }

  private static void say(Writer out, String line) throws IOException {
    out.write(line + "\r\n");
    out.flush();
  }

  @Override
  public void close() throws IOException {
    server.close();
  }
}
