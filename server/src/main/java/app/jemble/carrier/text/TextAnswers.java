package app.jemble.carrier.text;

import app.jemble.carrier.HandoverResult;
import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jsmpp.SMPPConstant;

/** What the answers of a message centre mean (command_status, SMPP v3.4, 5.1.3). */
final class TextAnswers {

  private static final Set<Integer> SLOW_DOWN =
      Set.of(SMPPConstant.STAT_ESME_RTHROTTLED, SMPPConstant.STAT_ESME_RMSGQFUL);

  /** It may be taken another time. */
  private static final Map<Integer, String> LATER =
      Map.of(
          SMPPConstant.STAT_ESME_RTHROTTLED, "the text service takes no more at present",
          SMPPConstant.STAT_ESME_RMSGQFUL, "the queue of the text service is full",
          SMPPConstant.STAT_ESME_RSYSERR, "the text service has a fault",
          SMPPConstant.STAT_ESME_RX_T_APPN, "the text service cannot at present");

  private static final Map<Integer, String> NEVER =
      Map.of(
          SMPPConstant.STAT_ESME_RINVDSTADR, "there is no such number",
          SMPPConstant.STAT_ESME_RINVSRCADR, "the text service does not know our sender",
          SMPPConstant.STAT_ESME_RINVMSGLEN, "the text service found it too long",
          SMPPConstant.STAT_ESME_RSUBMITFAIL, "the text service could not take it");

  private TextAnswers() {}

  static boolean asksToSlowDown(int status) {
    return SLOW_DOWN.contains(status);
  }

  static HandoverResult of(int status) {
    return LATER.containsKey(status)
        ? new HandoverResult.PutOff(LATER.get(status))
        : new HandoverResult.Refused(NEVER.getOrDefault(status, number(status)));
  }

  /** Why the centre did not let us in, as far as it said. */
  static String ofBinding(IOException unreachable) {
    String words = unreachable.getMessage();
    return words == null || words.isBlank()
        ? "the text service cannot be reached"
        : "the text service cannot be reached: " + words;
  }

  private static String number(int status) {
    return String.format(Locale.ROOT, "the text service refused it (0x%08X)", status);
  }
}
