package app.jemble.core.response;

import java.util.regex.Pattern;

/**
 * A mail by which software asks the sender to show that a person wrote, before it lets the message
 * through (common practice): neither a reply nor a return.
 */
final class Challenge {

  private static final int MOST_CHARACTERS = 4000;

  private static final Pattern ASKS =
      Pattern.compile(
          "(verify|confirm|prove|authenticate) (that )?(you are|you're|yourself|your identity|the sender|you (really )?sent)"
              + "|(message|mail|e-?mail)\\b[^.\\n]{0,80}\\b(held|quarantined|on hold|pending|awaiting|queued)\\b[^.]{0,160}"
              + "(confirm|verif|approv|authori[sz]|permission|click)"
              + "|(requires|needs|awaiting|pending|request for) (sender |your |a |one[- ]time ){0,2}"
              + "(confirmation|verification|authori[sz]ation|authentication|approval)"
              + "|one[- ]time (confirmation|verification)|challenge[- ]response|sender verification"
              + "|(add|added|put) (you|your address|yourself)? ?(to|on) (my|the|his|her|their|our)"
              + " (white ?list|allow(ed)? ?list|approved|allowed|list of (approved|known|accepted))",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern HOW =
      Pattern.compile(
          "https?://|(reply|respond) to this (message|mail|e-?mail)|(click|press|follow)\\b",
          Pattern.CASE_INSENSITIVE);

  private Challenge() {}

  static boolean isOne(InboundMail mail) {
    String words = mail.header("subject") + "\n" + mail.text();
    String read = words.substring(0, Math.min(words.length(), MOST_CHARACTERS));
    return ASKS.matcher(read).find() && HOW.matcher(read).find();
  }
}
