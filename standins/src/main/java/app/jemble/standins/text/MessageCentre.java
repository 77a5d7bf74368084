package app.jemble.standins.text;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import org.jsmpp.InvalidResponseException;
import org.jsmpp.PDUException;
import org.jsmpp.SMPPConstant;
import org.jsmpp.bean.DataCodings;
import org.jsmpp.bean.ESMClass;
import org.jsmpp.bean.GSMSpecificFeature;
import org.jsmpp.bean.GeneralDataCoding;
import org.jsmpp.bean.NumberingPlanIndicator;
import org.jsmpp.bean.RegisteredDelivery;
import org.jsmpp.bean.SubmitSm;
import org.jsmpp.bean.TypeOfNumber;
import org.jsmpp.extra.NegativeResponseException;
import org.jsmpp.extra.ProcessRequestException;
import org.jsmpp.extra.ResponseTimeoutException;
import org.jsmpp.session.BindRequest;
import org.jsmpp.session.SMPPServerSession;
import org.jsmpp.session.SMPPServerSessionListener;
import org.jsmpp.session.SubmitSmResult;
import org.jsmpp.util.MessageId;

/**
 * A pretend message centre: it lets in who knows the password, takes texts part by part and puts
 * them together as phones do, says what became of them, and gives what people write back.
 */
public final class MessageCentre implements AutoCloseable {

  /** A text as its reader's phone shows it. */
  public record Text(String from, String to, String words, int parts) {}

  /** What is told when one has arrived whole, with what its parts were called. */
  public interface Phones {
    void rings(Text text, List<String> parts);
  }

  /** A part that it took. */
  private record Part(String id, String from, String to, String words) {}

  private static final long BIND_LIMIT_MILLIS = 10_000;
  private static final int HEADER = 6;
  private static final int RECEIPT = 0x04;
  private static final String UNDELIVERABLE = "UNDELIV";

  private final SMPPServerSessionListener door;
  private final String user;
  private final String password;
  private final List<SMPPServerSession> sessions = new CopyOnWriteArrayList<>();
  private final List<Text> arrived = new CopyOnWriteArrayList<>();
  private final List<Part> taken = new CopyOnWriteArrayList<>();
  private final Map<String, Map<Integer, Part>> waiting = new ConcurrentHashMap<>();
  private final AtomicInteger submits = new AtomicInteger();
  private final String begun = Long.toString(System.currentTimeMillis(), Character.MAX_RADIX);
  private volatile Phones phones = (text, parts) -> {};
  private volatile IntFunction<Fault> faults = number -> Fault.NONE;
  private volatile boolean open = true;

  /**
   * @param port 0 takes a free one
   */
  public MessageCentre(int port, String user, String password) {
    this.user = user;
    this.password = password;
    try {
      door = new SMPPServerSessionListener(port == 0 ? freePort() : port);
      door.setMessageReceiverListener(new Submits(this));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    Thread porter = new Thread(this::letIn, "message-centre");
    porter.setDaemon(true);
    porter.start();
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    }
  }

  public int port() {
    return door.getPort();
  }

  /**
   * @param wanted what it does wrong with a submit, by its number from 1 on
   */
  public void fails(IntFunction<Fault> wanted) {
    faults = wanted;
  }

  /** Who is told of texts that arrive. */
  public void tells(Phones readers) {
    phones = readers;
  }

  /** Texts that have arrived whole, in order. */
  public List<Text> arrived() {
    return List.copyOf(arrived);
  }

  /** How many parts it took. */
  public int parts() {
    return taken.size();
  }

  private void letIn() {
    while (open) {
      try {
        SMPPServerSession session = door.accept();
        Thread porter = new Thread(() -> letIn(session), "message-centre-bind");
        porter.setDaemon(true);
        porter.start();
      } catch (IOException closed) {
        open = false;
      }
    }
  }

  private void letIn(SMPPServerSession session) {
    try {
      BindRequest asked = session.waitForBind(BIND_LIMIT_MILLIS);
      if (asked.getSystemId().equals(user) && asked.getPassword().equals(password)) {
        sessions.add(session);
        asked.accept("centre");
      } else {
        asked.reject(SMPPConstant.STAT_ESME_RINVPASWD);
      }
    } catch (IOException | PDUException | TimeoutException | IllegalStateException gone) {
      session.close();
    }
  }

  SubmitSmResult take(SubmitSm submit, SMPPServerSession session) throws ProcessRequestException {
    int number = submits.incrementAndGet();
    Fault fault = faults.apply(number);
    switch (fault) {
      case THROTTLES ->
          throw new ProcessRequestException("slower", SMPPConstant.STAT_ESME_RTHROTTLED);
      case REFUSES ->
          throw new ProcessRequestException("unknown", SMPPConstant.STAT_ESME_RINVDSTADR);
      case DROPS_BEFORE -> {
        drop(session);
        throw new ProcessRequestException("gone", SMPPConstant.STAT_ESME_RSYSERR);
      }
      default -> keep(id(number), submit);
    }
    if (fault == Fault.DROPS_AFTER) {
      drop(session);
    }
    try {
      return new SubmitSmResult(new MessageId(id(number)), null);
    } catch (PDUException e) {
      throw new IllegalStateException("a number is an id", e);
    }
  }

  /** Told apart from those of another day. */
  private String id(int number) {
    return begun + "-" + number;
  }

  private void drop(SMPPServerSession session) {
    sessions.remove(session);
    session.close();
  }

  private void keep(String id, SubmitSm submit) {
    byte[] octets = submit.getShortMessage();
    String from = submit.getSourceAddr();
    String to = "+" + submit.getDestAddress();
    boolean several = GSMSpecificFeature.UDHI.containedIn(submit.getEsmClass());
    byte[] said = several ? Arrays.copyOfRange(octets, HEADER, octets.length) : octets;
    String words = PhoneWords.of(said, submit.getDataCoding());
    Part part = new Part(id, from, to, words);
    taken.add(part);
    if (!several) {
      arrives(List.of(part));
      return;
    }
    int of = octets[4] & 0xff;
    String text = to + " " + from + " " + (octets[3] & 0xff);
    Map<Integer, Part> there = waiting.computeIfAbsent(text, key -> new TreeMap<>());
    synchronized (there) {
      there.put(octets[5] & 0xff, part);
      if (there.size() == of) {
        waiting.remove(text);
        arrives(List.copyOf(there.values()));
      }
    }
  }

  private void arrives(List<Part> parts) {
    Part first = parts.get(0);
    String words = parts.stream().map(Part::words).collect(Collectors.joining());
    Text text = new Text(first.from(), first.to(), words, parts.size());
    arrived.add(text);
    phones.rings(text, parts.stream().map(Part::id).toList());
  }

  /** Says that all parts that a number got were delivered, or could not be. */
  public void receipts(String number, boolean delivered) {
    String stat = delivered ? "DELIVRD" : UNDELIVERABLE;
    taken.stream()
        .filter(part -> part.to().equals(number))
        .forEach(part -> receipt(part.id(), number, part.from(), stat));
  }

  /**
   * Says what became of one part.
   *
   * @param stat seven letters, such as {@code DELIVRD} (SMPP v3.4, appendix B)
   */
  void receipt(String id, String number, String house, String stat) {
    boolean delivered = stat.equals("DELIVRD");
    String words =
        String.format(
            Locale.ROOT,
            "id:%s sub:001 dlvrd:%s submit date:2611280900 done date:2611280901 stat:%s err:%s"
                + " text:",
            id,
            delivered ? "001" : "000",
            stat,
            delivered ? "000" : "001");
    give(number, house, words.getBytes(StandardCharsets.US_ASCII), RECEIPT, 0);
  }

  /** Somebody writes to the house, in as many parts as their phone makes of it. */
  public void writes(String number, String to, List<String> parts) {
    for (int i = 0; i < parts.size(); i++) {
      byte[] words = parts.get(i).getBytes(StandardCharsets.UTF_16BE);
      if (parts.size() == 1) {
        give(number, to, words, 0, 8);
      } else {
        byte[] headed = new byte[HEADER + words.length];
        byte[] header = {5, 0, 3, (byte) number.hashCode(), (byte) parts.size(), (byte) (i + 1)};
        System.arraycopy(header, 0, headed, 0, HEADER);
        System.arraycopy(words, 0, headed, HEADER, words.length);
        give(number, to, headed, 0x40, 8);
      }
    }
  }

  private void give(String from, String to, byte[] words, int kind, int coding) {
    List<SMPPServerSession> there = new ArrayList<>(sessions);
    for (SMPPServerSession session : there) {
      try {
        session.deliverShortMessage(
            "",
            TypeOfNumber.INTERNATIONAL,
            NumberingPlanIndicator.ISDN,
            from.substring(1),
            TypeOfNumber.UNKNOWN,
            NumberingPlanIndicator.UNKNOWN,
            to,
            new ESMClass(kind),
            (byte) 0,
            (byte) 0,
            new RegisteredDelivery(0),
            coding == 0 ? new GeneralDataCoding() : DataCodings.newInstance((byte) coding),
            words);
        return;
      } catch (IOException
          | PDUException
          | ResponseTimeoutException
          | InvalidResponseException
          | NegativeResponseException notTaken) {
        sessions.remove(session);
      }
    }
    throw new IllegalStateException("nobody who is bound takes it");
  }

  @Override
  public void close() {
    open = false;
    sessions.forEach(SMPPServerSession::close);
    try {
      door.close();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
