package app.jemble.bench;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import org.jsmpp.PDUException;
import org.jsmpp.SMPPConstant;
import org.jsmpp.bean.BroadcastSm;
import org.jsmpp.bean.CancelBroadcastSm;
import org.jsmpp.bean.CancelSm;
import org.jsmpp.bean.DataSm;
import org.jsmpp.bean.QueryBroadcastSm;
import org.jsmpp.bean.QuerySm;
import org.jsmpp.bean.ReplaceSm;
import org.jsmpp.bean.SubmitMulti;
import org.jsmpp.bean.SubmitSm;
import org.jsmpp.extra.ProcessRequestException;
import org.jsmpp.session.BindRequest;
import org.jsmpp.session.BroadcastSmResult;
import org.jsmpp.session.DataSmResult;
import org.jsmpp.session.QueryBroadcastSmResult;
import org.jsmpp.session.QuerySmResult;
import org.jsmpp.session.SMPPServerSession;
import org.jsmpp.session.SMPPServerSessionListener;
import org.jsmpp.session.ServerMessageReceiverListener;
import org.jsmpp.session.Session;
import org.jsmpp.session.SubmitMultiResult;
import org.jsmpp.session.SubmitSmResult;
import org.jsmpp.util.MessageId;

/** A message centre that takes every text, at once or after a moment, and keeps none. */
final class TextSink implements AutoCloseable {

  private static final long BIND_LIMIT_MILLIS = 10_000;

  final AtomicInteger taken = new AtomicInteger();
  volatile long answersAfterMillis;
  private final SMPPServerSessionListener door;

  TextSink() throws IOException {
    try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      free.setReuseAddress(true);
      door = new SMPPServerSessionListener(freed(free));
    }
    door.setMessageReceiverListener(new Taking());
    door.setPduProcessorDegree(WaysBench.IN_FLIGHT);
    Thread porter = new Thread(this::letIn, "text-sink");
    porter.setDaemon(true);
    porter.start();
  }

  private static int freed(ServerSocket free) throws IOException {
    int port = free.getLocalPort();
    free.close();
    return port;
  }

  int port() {
    return door.getPort();
  }

  private void letIn() {
    try {
      while (true) {
        SMPPServerSession session = door.accept();
        BindRequest asked = session.waitForBind(BIND_LIMIT_MILLIS);
        asked.accept("sink");
      }
    } catch (IOException | PDUException | TimeoutException closed) {
      // The bench is over.
    }
  }

  @Override
  public void close() throws IOException {
    door.close();
  }

  /** Only texts are taken. */
  private final class Taking implements ServerMessageReceiverListener {

    @Override
    public SubmitSmResult onAcceptSubmitSm(SubmitSm text, SMPPServerSession source)
        throws ProcessRequestException {
      WaysBench.rest(answersAfterMillis);
      try {
        return new SubmitSmResult(new MessageId(Integer.toString(taken.incrementAndGet())), null);
      } catch (PDUException e) {
        throw new IllegalStateException("a number is an id", e);
      }
    }

    private static ProcessRequestException notOffered() {
      return new ProcessRequestException("not offered", SMPPConstant.STAT_ESME_RINVCMDID);
    }

    @Override
    public SubmitMultiResult onAcceptSubmitMulti(SubmitMulti many, SMPPServerSession source)
        throws ProcessRequestException {
      throw notOffered();
    }

    @Override
    public QuerySmResult onAcceptQuerySm(QuerySm asked, SMPPServerSession source)
        throws ProcessRequestException {
      throw notOffered();
    }

    @Override
    public void onAcceptReplaceSm(ReplaceSm asked, SMPPServerSession source)
        throws ProcessRequestException {
      throw notOffered();
    }

    @Override
    public void onAcceptCancelSm(CancelSm asked, SMPPServerSession source)
        throws ProcessRequestException {
      throw notOffered();
    }

    @Override
    public BroadcastSmResult onAcceptBroadcastSm(BroadcastSm asked, SMPPServerSession source)
        throws ProcessRequestException {
      throw notOffered();
    }

    @Override
    public void onAcceptCancelBroadcastSm(CancelBroadcastSm asked, SMPPServerSession source)
        throws ProcessRequestException {
      throw notOffered();
    }

    @Override
    public QueryBroadcastSmResult onAcceptQueryBroadcastSm(
        QueryBroadcastSm asked, SMPPServerSession source) throws ProcessRequestException {
      throw notOffered();
    }

    @Override
    public DataSmResult onAcceptDataSm(DataSm data, Session source) throws ProcessRequestException {
      throw notOffered();
    }
  }
}
