package app.jemble.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.jsmpp.InvalidResponseException;
import org.jsmpp.PDUException;
import org.jsmpp.bean.Alphabet;
import org.jsmpp.bean.BindType;
import org.jsmpp.bean.ESMClass;
import org.jsmpp.bean.GeneralDataCoding;
import org.jsmpp.bean.NumberingPlanIndicator;
import org.jsmpp.bean.RegisteredDelivery;
import org.jsmpp.bean.SMSCDeliveryReceipt;
import org.jsmpp.bean.TypeOfNumber;
import org.jsmpp.extra.NegativeResponseException;
import org.jsmpp.extra.ResponseTimeoutException;
import org.jsmpp.session.BindParameter;
import org.jsmpp.session.SMPPSession;

/** Texts of one part by SMPP, next to a bare loop of jsmpp with the same window. */
final class TextsBench {

  private static final byte[] WORDS =
      "Dear friend, the slipway opens on Saturday at ten.".getBytes(StandardCharsets.US_ASCII);

  private static final int MESSAGES = 5000;

  private TextsBench() {}

  static void run() throws Exception {
    try (TextSink sink = new TextSink();
        RunningApp app =
            new RunningApp(
                9000,
                "--jemble.smtp.port=1",
                "--jemble.text.host=127.0.0.1",
                "--jemble.text.port=" + sink.port(),
                "--jemble.text.user=bench",
                "--jemble.text.password=bench",
                "--jemble.text.sender=+447700900999",
                "--jemble.text.window=" + WaysBench.IN_FLIGHT,
                "--jemble.text.per-second=1000000",
                "--jemble.outbox.poll-every=50ms")) {
      WaysBench.settle(app);
      app.sql
          .sql(
              """
              update person
              set asked_not = false, phone = '+4477009' || lpad(id::text, 5, '0')
              """)
          .update();
      app.sql.sql("delete from topic_left").update();
      SMPPSession session = bound(sink.port());
      try {
        sink.answersAfterMillis = WaysBench.ON_A_NETWORK;
        compare(app, "text", sink, session);
        sink.answersAfterMillis = 0;
        compare(app, "text.at_once", sink, session);
      } finally {
        session.unbindAndClose();
      }
    }
  }

  private static void compare(RunningApp app, String name, TextSink sink, SMPPSession session)
      throws Exception {
    WaysBench.compare(
        app,
        name,
        MESSAGES,
        "TEXT",
        sink.taken::get,
        () -> WaysBench.atOnce(() -> submit(session)));
  }

  private static SMPPSession bound(int port) throws IOException {
    SMPPSession session = new SMPPSession();
    session.setTransactionTimer(20_000);
    session.connectAndBind(
        "127.0.0.1",
        port,
        new BindParameter(
            BindType.BIND_TRX,
            "bench",
            "bench",
            "",
            TypeOfNumber.UNKNOWN,
            NumberingPlanIndicator.UNKNOWN,
            null));
    return session;
  }

  /** One place in the window: its share of all texts, one after another. */
  private static void submit(SMPPSession session) {
    try {
      for (int i = 0; i < MESSAGES / WaysBench.IN_FLIGHT; i++) {
        session.submitShortMessage(
            "",
            TypeOfNumber.INTERNATIONAL,
            NumberingPlanIndicator.ISDN,
            "447700900999",
            TypeOfNumber.INTERNATIONAL,
            NumberingPlanIndicator.ISDN,
            "447700900123",
            new ESMClass(),
            (byte) 0,
            (byte) 0,
            null,
            null,
            new RegisteredDelivery(SMSCDeliveryReceipt.SUCCESS_FAILURE),
            (byte) 0,
            new GeneralDataCoding(Alphabet.ALPHA_DEFAULT),
            (byte) 0,
            WORDS);
      }
    } catch (PDUException
        | ResponseTimeoutException
        | InvalidResponseException
        | NegativeResponseException
        | IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
