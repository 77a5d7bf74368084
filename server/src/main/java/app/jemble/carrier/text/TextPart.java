package app.jemble.carrier.text;

import app.jemble.core.text.DefaultAlphabet;
import app.jemble.core.text.TextParts;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.jsmpp.InvalidResponseException;
import org.jsmpp.PDUException;
import org.jsmpp.bean.Alphabet;
import org.jsmpp.bean.DataCoding;
import org.jsmpp.bean.ESMClass;
import org.jsmpp.bean.GeneralDataCoding;
import org.jsmpp.bean.NumberingPlanIndicator;
import org.jsmpp.bean.RegisteredDelivery;
import org.jsmpp.bean.SMSCDeliveryReceipt;
import org.jsmpp.bean.TypeOfNumber;
import org.jsmpp.extra.NegativeResponseException;
import org.jsmpp.extra.ResponseTimeoutException;
import org.jsmpp.session.SMPPSession;

/**
 * A part of a text as it is submitted.
 *
 * @param octets with the header that puts the parts together, where there are several (3GPP TS
 *     23.040, 9.2.3.24.1)
 */
record TextPart(byte[] octets, boolean hasHeader, Alphabet alphabet) {

  /** The user data header indicator (SMPP v3.4, 5.2.12). */
  private static final int HEADER = 0x40;

  private static final byte[] CONCATENATION = {5, 0, 3};

  /** The parts of one text, which all have one reference. */
  static List<TextPart> of(TextParts text, int reference) {
    boolean alone = text.count() == 1;
    boolean plain = text.alphabet() == TextParts.Alphabet.DEFAULT;
    Alphabet alphabet = plain ? Alphabet.ALPHA_DEFAULT : Alphabet.ALPHA_UCS2;
    List<TextPart> parts = new ArrayList<>();
    for (String words : text.parts()) {
      byte[] octets =
          plain ? DefaultAlphabet.octets(words) : words.getBytes(StandardCharsets.UTF_16BE);
      int number = parts.size() + 1;
      parts.add(
          new TextPart(
              alone ? octets : headed(octets, reference, text.count(), number), !alone, alphabet));
    }
    return parts;
  }

  private static byte[] headed(byte[] octets, int reference, int of, int number) {
    return ByteBuffer.allocate(CONCATENATION.length + 3 + octets.length)
        .put(CONCATENATION)
        .put((byte) reference)
        .put((byte) of)
        .put((byte) number)
        .put(octets)
        .array();
  }

  /** Submits it, and waits for the answer: what the message centre calls it. */
  String submit(SMPPSession session, String from, String to)
      throws PDUException,
          ResponseTimeoutException,
          InvalidResponseException,
          NegativeResponseException,
          IOException {
    DataCoding coding = new GeneralDataCoding(alphabet);
    boolean number = from.startsWith("+");
    return session
        .submitShortMessage(
            "",
            number ? TypeOfNumber.INTERNATIONAL : TypeOfNumber.ALPHANUMERIC,
            number ? NumberingPlanIndicator.ISDN : NumberingPlanIndicator.UNKNOWN,
            number ? from.substring(1) : from,
            TypeOfNumber.INTERNATIONAL,
            NumberingPlanIndicator.ISDN,
            to.substring(1),
            hasHeader ? new ESMClass(HEADER) : new ESMClass(),
            (byte) 0,
            (byte) 0,
            null,
            null,
            new RegisteredDelivery(SMSCDeliveryReceipt.SUCCESS_FAILURE),
            (byte) 0,
            coding,
            (byte) 0,
            octets)
        .getMessageId();
  }
}
