package app.jemble.carrier.mail;

import app.jemble.LoopbackServer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.SSLSocketFactory;

/**
 * A mail server (RFC 5321) that can want protection (RFC 3207) and a sign-in (RFC 4954, PLAIN), be
 * full, or take commands one by one alone; it keeps the texts that it took.
 */
public final class HouseMailServer implements AutoCloseable {

  /** What it is like at present. */
  public enum Temper {
    FINE,
    FULL,
    WANTS_PROTECTION,
    WANTS_SIGN_IN
  }

  /** From user "orla" with the password "quay". */
  static final String SIGN_IN = "AUTH PLAIN AG9ybGEAcXVheQ==";

  private final LoopbackServer server;
  private final SSLSocketFactory protection;
  private final boolean groups;
  private final List<String> texts = Collections.synchronizedList(new ArrayList<>());
  public volatile Temper temper = Temper.FINE;

  /**
   * @param protection null when it has none to offer
   * @param fromTheFirst whether TLS begins with the connection (RFC 8314)
   * @param groups whether it takes commands in groups (RFC 2920)
   */
  public HouseMailServer(SSLSocketFactory protection, boolean fromTheFirst, boolean groups)
      throws IOException {
    this(0, protection, fromTheFirst, groups);
  }

  public HouseMailServer(
      int port, SSLSocketFactory protection, boolean fromTheFirst, boolean groups)
      throws IOException {
    this.protection = protection;
    this.groups = groups;
    this.server =
        new LoopbackServer(
            port, client -> new Talk(fromTheFirst ? protectedSocket(client) : client).go());
  }

  public int port() {
    return server.port();
  }

  /** The texts it took, as they came over the wire. */
  public List<String> texts() {
    synchronized (texts) {
      return new ArrayList<>(texts);
    }
  }

  @Override
  public void close() throws IOException {
    server.close();
  }

  private Socket protectedSocket(Socket client) throws IOException {
    SSLSocket socket = (SSLSocket) protection.createSocket(client, null, client.getPort(), true);
    socket.setUseClientMode(false);
    return socket;
  }

  /** One connection. */
  private final class Talk {
    private Socket socket;
    private BufferedReader in;
    private OutputStream out;
    private boolean signedIn;

    Talk(Socket client) throws IOException {
      over(client);
    }

    private void over(Socket wire) throws IOException {
      socket = wire;
      in =
          new BufferedReader(
              new InputStreamReader(wire.getInputStream(), StandardCharsets.ISO_8859_1));
      out = wire.getOutputStream();
    }

    void go() throws IOException {
      say("220 house.test");
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        String verb = line.toUpperCase(Locale.ROOT).split("[ :]")[0];
        switch (verb) {
          case "EHLO" ->
              say(
                  "250-house.test\r\n250-AUTH PLAIN\r\n"
                      + (groups ? "250-PIPELINING\r\n" : "")
                      + (protection == null ? "250 SIZE" : "250 STARTTLS"));
          case "STARTTLS" -> {
            say("220 2.0.0 go on");
            over(protectedSocket(socket));
          }
          case "AUTH" -> {
            signedIn = line.equals(SIGN_IN);
            say(signedIn ? "235 2.7.0 welcome" : "535 5.7.8 wrong user or password");
          }
          case "MAIL" -> say(mail());
          case "DATA" -> text();
          case "QUIT" -> {
            say("221 2.0.0 bye");
            return;
          }
          default -> say("250 2.0.0 fine");
        }
      }
    }

    private String mail() {
      return switch (temper) {
        case FINE -> "250 2.1.0 go on";
        case FULL -> "452 4.3.1 the disk is full";
        case WANTS_PROTECTION ->
            socket instanceof SSLSocket
                ? "250 2.1.0 go on"
                : "530 5.7.0 must issue a STARTTLS command first";
        case WANTS_SIGN_IN -> signedIn ? "250 2.1.0 go on" : "530 5.7.0 authentication required";
      };
    }

    private void text() throws IOException {
      if (!mail().startsWith("250")) {
        say("503 5.5.1 from whom?");
        return;
      }
      say("354 go on");
      StringBuilder text = new StringBuilder();
      for (String line = in.readLine(); !".".equals(line); line = in.readLine()) {
        if (line == null) {
          return;
        }
        text.append(line).append("\r\n");
      }
      texts.add(text.toString());
      say("250 2.0.0 taken");
    }

    private void say(String line) throws IOException {
      out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
      out.flush();
    }
  }
}
