package app.jemble.standins;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.xbill.DNS.DClass;
import org.xbill.DNS.Flags;
import org.xbill.DNS.MXRecord;
import org.xbill.DNS.Message;
import org.xbill.DNS.Name;
import org.xbill.DNS.Rcode;
import org.xbill.DNS.Record;
import org.xbill.DNS.Section;
import org.xbill.DNS.TXTRecord;
import org.xbill.DNS.Type;

/** A name server (RFC 1035) over UDP that knows what it was told, and nothing else. */
public final class NameServer implements AutoCloseable {

  private static final int LARGEST = 4096;
  private static final int PIECE = 255;
  private static final long SECONDS = 1;

  private final DatagramSocket socket;
  private final Map<String, List<String>> texts = new ConcurrentHashMap<>();
  private final Map<String, String> exchanges = new ConcurrentHashMap<>();

  /**
   * @param port 0 for any that is free
   */
  public NameServer(int port) {
    try {
      socket = new DatagramSocket(port, InetAddress.getLoopbackAddress());
    } catch (IOException e) {
      throw new IllegalStateException("no port for the name server", e);
    }
    Thread thread = new Thread(this::serve, "name-server");
    thread.setDaemon(true);
    thread.start();
  }

  public int port() {
    return socket.getLocalPort();
  }

  /** What stands under a name (TXT). */
  public void say(String name, String... said) {
    texts.put(key(name), List.of(said));
  }

  /** Where mail to a domain goes (MX). */
  public void sendMailTo(String domain, String host) {
    exchanges.put(key(domain), host);
  }

  private static String key(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("\\.$", "");
  }

  private void serve() {
    byte[] room = new byte[LARGEST];
    while (!socket.isClosed()) {
      try {
        DatagramPacket asked = new DatagramPacket(room, room.length);
        socket.receive(asked);
        byte[] octets = Arrays.copyOf(asked.getData(), asked.getLength());
        byte[] answer = answer(new Message(octets)).toWire();
        socket.send(new DatagramPacket(answer, answer.length, asked.getSocketAddress()));
      } catch (IOException brokenOrClosed) {
        // Whoever asked asks again; when it is closed the loop ends.
      }
    }
  }

  private Message answer(Message question) throws IOException {
    Record asked = question.getQuestion();
    Message answer = new Message(question.getHeader().getID());
    answer.getHeader().setFlag(Flags.QR);
    answer.getHeader().setFlag(Flags.RA);
    answer.addRecord(asked, Section.QUESTION);
    String name = key(asked.getName().toString());
    if (!texts.containsKey(name) && !exchanges.containsKey(name)) {
      answer.getHeader().setRcode(Rcode.NXDOMAIN);
      return answer;
    }
    if (asked.getType() == Type.TXT) {
      for (String text : texts.getOrDefault(name, List.of())) {
        answer.addRecord(
            new TXTRecord(asked.getName(), DClass.IN, SECONDS, pieces(text)), Section.ANSWER);
      }
    }
    if (asked.getType() == Type.MX && exchanges.containsKey(name)) {
      Name host = Name.fromString(exchanges.get(name), Name.root);
      answer.addRecord(new MXRecord(asked.getName(), DClass.IN, SECONDS, 10, host), Section.ANSWER);
    }
    return answer;
  }

  private static List<String> pieces(String text) {
    return Arrays.asList(text.split("(?<=\\G.{" + PIECE + "})"));
  }

  @Override
  public void close() {
    socket.close();
  }
}
