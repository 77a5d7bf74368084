package app.jemble.carrier.text;

import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Parcel;
import app.jemble.carrier.UnreachableException;
import app.jemble.core.text.TextParts;
import app.jemble.settings.TextSettings;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import javax.net.ssl.SSLParameters;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.SSLSocketFactory;
import org.jsmpp.InvalidResponseException;
import org.jsmpp.PDUException;
import org.jsmpp.bean.BindType;
import org.jsmpp.bean.NumberingPlanIndicator;
import org.jsmpp.bean.TypeOfNumber;
import org.jsmpp.extra.NegativeResponseException;
import org.jsmpp.extra.ResponseTimeoutException;
import org.jsmpp.session.BindParameter;
import org.jsmpp.session.SMPPSession;
import org.jsmpp.session.connection.Connection;
import org.jsmpp.session.connection.ConnectionFactory;
import org.jsmpp.session.connection.socket.SocketConnection;
import org.jsmpp.session.connection.socket.SocketConnectionFactory;

/**
 * The session of this process with the message centre, bound both ways: texts leave by it, receipts
 * and answers come. For several threads.
 */
final class TextSession implements AutoCloseable {

  private static final Duration BIND_LIMIT = Duration.ofSeconds(10);
  private static final Duration ANSWER_LIMIT = Duration.ofSeconds(20);
  private static final Duration BETWEEN_SIGNS_OF_LIFE = Duration.ofSeconds(20);
  private static final int SOCKET_LIMIT_MILLIS = 60_000;

  /** While the centre asks us to slow down: longer than that the message waits in the outbox. */
  private static final int SLOWED = 5;

  private static final Duration SLOWER = Duration.ofMillis(500);

  private final TextSettings settings;
  private final TextArrivals arrivals;
  private final TextPace pace;

  /** Tells the texts of one reader apart whose parts come in any order. */
  private final AtomicInteger references = new AtomicInteger();

  private volatile SMPPSession session;

  /** It is not opened again: another, with other settings, is in its place. */
  private boolean ended;

  TextSession(TextSettings settings, TextArrivals arrivals) {
    this.settings = settings;
    this.arrivals = arrivals;
    this.pace = new TextPace(settings.perSecond());
  }

  /** Binds, unless it is bound; one attempt at a time. */
  synchronized void open() throws UnreachableException {
    if (isOpen()) {
      return;
    }
    if (ended) {
      throw new UnreachableException("the text service is set anew");
    }
    letGo();
    SMPPSession fresh = new SMPPSession(settings.secure() ? secured() : plain());
    fresh.setEnquireLinkTimer((int) BETWEEN_SIGNS_OF_LIFE.toMillis());
    fresh.setTransactionTimer(ANSWER_LIMIT.toMillis());
    fresh.setMessageReceiverListener(new TextReceiver(arrivals));
    try {
      fresh.connectAndBind(
          settings.host(),
          settings.port(),
          new BindParameter(
              BindType.BIND_TRX,
              settings.user(),
              settings.password(),
              "",
              TypeOfNumber.UNKNOWN,
              NumberingPlanIndicator.UNKNOWN,
              null),
          BIND_LIMIT.toMillis());
      session = fresh;
    } catch (IOException unreachable) {
      fresh.unbindAndClose();
      throw new UnreachableException(TextAnswers.ofBinding(unreachable));
    }
  }

  private static ConnectionFactory plain() {
    return SocketConnectionFactory.getInstance();
  }

  /** TLS whose certificate is of the host that is asked for. */
  private static ConnectionFactory secured() {
    return TextSession::secured;
  }

  private static Connection secured(String host, int port) throws IOException {
    SSLSocket socket = (SSLSocket) SSLSocketFactory.getDefault().createSocket(host, port);
    SSLParameters parameters = socket.getSSLParameters();
    parameters.setEndpointIdentificationAlgorithm("HTTPS");
    socket.setSSLParameters(parameters);
    socket.startHandshake();
    return new SocketConnection(socket, SOCKET_LIMIT_MILLIS);
  }

  boolean isOpen() {
    SMPPSession now = session;
    return now != null && now.getSessionState().isBound();
  }

  /**
   * Hands a text over, part by part.
   *
   * @param begin told right before the first part leaves
   */
  HandoverResult submit(Parcel parcel, Runnable begin) {
    SMPPSession now = session;
    if (now == null || !now.getSessionState().isTransmittable()) {
      return new HandoverResult.NotTried("the connection to the text service broke off");
    }
    TextParts text = TextParts.of(new String(parcel.octets(), StandardCharsets.UTF_8));
    List<TextPart> parts = TextPart.of(text, references.incrementAndGet());
    List<String> taken = new ArrayList<>();
    begin.run();
    for (TextPart part : parts) {
      HandoverResult result = submit(now, parcel, part);
      if (!(result instanceof HandoverResult.Accepted accepted)) {
        return taken.isEmpty() ? result : inPart(taken.size(), parts.size(), result);
      }
      taken.addAll(accepted.references());
    }
    return new HandoverResult.Accepted(taken);
  }

  /** A text of which only a part left is not sent once more: its reader would have that twice. */
  private static HandoverResult inPart(int left, int parts, HandoverResult why) {
    return new HandoverResult.InDoubt(
        "only " + left + " of " + parts + " parts left: " + why.words());
  }

  private HandoverResult submit(SMPPSession now, Parcel parcel, TextPart part) {
    HandoverResult result = null;
    for (int tries = 0; tries < SLOWED; tries++) {
      pace.waitForTurn();
      try {
        return new HandoverResult.Accepted(List.of(part.submit(now, parcel.from(), parcel.to())));
      } catch (NegativeResponseException refused) {
        result = TextAnswers.of(refused.getCommandStatus());
        if (!TextAnswers.asksToSlowDown(refused.getCommandStatus())) {
          return result;
        }
        LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(SLOWER.toMillis() << tries));
      } catch (ResponseTimeoutException silent) {
        return new HandoverResult.InDoubt("the text service did not answer");
      } catch (InvalidResponseException odd) {
        return new HandoverResult.InDoubt("the text service answered what cannot be read");
      } catch (PDUException wrong) {
        return new HandoverResult.Refused("the text cannot be written: " + wrong.getMessage());
      } catch (IOException broken) {
        return new HandoverResult.InDoubt("the connection to the text service broke off");
      }
    }
    return result;
  }

  @Override
  public synchronized void close() {
    ended = true;
    letGo();
  }

  private void letGo() {
    SMPPSession now = session;
    session = null;
    if (now != null) {
      now.unbindAndClose();
    }
  }
}
