package app.jemble.carrier.text;

import app.jemble.core.text.DefaultAlphabet;
import app.jemble.core.text.ReceiptState;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsmpp.SMPPConstant;
import org.jsmpp.bean.AlertNotification;
import org.jsmpp.bean.DataSm;
import org.jsmpp.bean.DeliverSm;
import org.jsmpp.bean.GSMSpecificFeature;
import org.jsmpp.extra.ProcessRequestException;
import org.jsmpp.session.DataSmResult;
import org.jsmpp.session.MessageReceiverListener;
import org.jsmpp.session.Session;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Reads what a message centre gives us: receipts, and what people write. */
final class TextReceiver implements MessageReceiverListener {

  private static final Logger LOG = LoggerFactory.getLogger(TextReceiver.class);

  /** SMPP v3.4, appendix B; centres leave out what they like, and write what they like between. */
  private static final Pattern ID = Pattern.compile("\\bid:([^ ]+)");

  private static final Pattern STAT = Pattern.compile("\\bstat:([A-Za-z]+)");
  private static final Pattern ERR = Pattern.compile("\\berr:([^ ]+)");

  private static final int UCS2 = 0x08;
  private static final int LATIN1 = 0x03;
  private static final int CODING = 0x0F;

  private final TextArrivals arrivals;

  TextReceiver(TextArrivals arrivals) {
    this.arrivals = arrivals;
  }

  @Override
  public void onAcceptDeliverSm(DeliverSm given) throws ProcessRequestException {
    try {
      if (given.isSmscDeliveryReceipt()) {
        receipt(given);
      } else {
        arrivals.take(answer(given));
      }
    } catch (RuntimeException trouble) {
      LOG.error("What the text service gave could not be kept; it gives it again.", trouble);
      throw new ProcessRequestException("not kept", SMPPConstant.STAT_ESME_RX_T_APPN);
    }
  }

  private void receipt(DeliverSm given) {
    String text = new String(given.getShortMessage(), StandardCharsets.ISO_8859_1);
    Matcher id = ID.matcher(text);
    if (!id.find()) {
      LOG.warn("A receipt names no message: {}", text.replaceAll("\\p{Cntrl}", " "));
      return;
    }
    ReceiptState state = ReceiptState.of(found(STAT, text));
    String error = found(ERR, text);
    boolean known = error.isEmpty() || error.matches("0+");
    arrivals.take(
        new TextArrivals.Receipt(
            id.group(1),
            number(given.getSourceAddr()),
            state,
            known ? state.words() : state.words() + " (" + error + ")"));
  }

  private static String found(Pattern pattern, String text) {
    Matcher matcher = pattern.matcher(text);
    return matcher.find() ? matcher.group(1) : "";
  }

  private static TextArrivals.Answer answer(DeliverSm given) {
    byte[] octets = given.getShortMessage();
    TextArrivals.Place place = TextArrivals.Place.ALONE;
    if (GSMSpecificFeature.UDHI.containedIn(given.getEsmClass()) && octets.length > 0) {
      int header = 1 + (octets[0] & 0xFF);
      place = place(octets, header);
      octets = Arrays.copyOfRange(octets, Math.min(header, octets.length), octets.length);
    }
    return new TextArrivals.Answer(
        number(given.getSourceAddr()),
        number(given.getDestAddress()),
        words(octets, given.getDataCoding()),
        place);
  }

  /** Looks for the header that puts parts together: reference, how many, which. */
  private static TextArrivals.Place place(byte[] octets, int header) {
    int at = 1;
    while (at + 1 < Math.min(header, octets.length)) {
      int length = octets[at + 1] & 0xFF;
      if (octets[at] == 0 && length == 3 && at + 4 < octets.length) {
        return new TextArrivals.Place(
            octets[at + 2] & 0xFF, octets[at + 4] & 0xFF, octets[at + 3] & 0xFF);
      }
      at += 2 + length;
    }
    return TextArrivals.Place.ALONE;
  }

  private static String words(byte[] octets, byte coding) {
    return switch (coding & CODING) {
      case UCS2 -> new String(octets, StandardCharsets.UTF_16BE);
      case LATIN1 -> new String(octets, StandardCharsets.ISO_8859_1);
      default -> DefaultAlphabet.text(octets);
    };
  }

  private static String number(String address) {
    return address.startsWith("+") || !address.matches("\\d+") ? address : "+" + address;
  }

  @Override
  public void onAcceptAlertNotification(AlertNotification alert) {
    // A phone is there again: the centre tries by itself.
  }

  @Override
  public DataSmResult onAcceptDataSm(DataSm data, Session source) throws ProcessRequestException {
    throw new ProcessRequestException("not offered", SMPPConstant.STAT_ESME_RINVCMDID);
  }
}
