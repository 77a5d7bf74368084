package app.jemble.followup;

import java.util.Locale;

/** Rules as sentences. */
final class RuleWords {

  private RuleWords() {}

  /** What is to be done, such as “task “Call” (call)”. */
  static String deed(RuleAct act) {
    return switch (act.kind()) {
      case SEND -> "another message in the thread";
      case TASK -> "task “" + act.title() + "” (" + act.taskKind() + ")";
      case TAG -> "tag “" + act.tag() + "”";
      case SET ->
          act.value() == null || act.value().isBlank()
              ? field(act) + ": empty"
              : field(act) + ": " + act.value();
      case TELL -> "a mail to the sender";
    };
  }

  /** What was done, as the history says it. */
  static String done(RuleAct act) {
    return switch (act.kind()) {
      case SEND -> "another message";
      case TASK -> "the task “" + act.title() + "”";
      case TAG -> "the tag “" + act.tag() + "”";
      case SET ->
          act.value() == null || act.value().isBlank()
              ? field(act) + " emptied"
              : field(act) + " set to “" + act.value() + "”";
      case TELL -> "told the sender";
    };
  }

  private static String field(RuleAct act) {
    return act.field().replace('_', ' ').replace('.', ' ').toLowerCase(Locale.ROOT);
  }

  /** The whole rule, such as “No reply in 4 working days → another message in the thread”. */
  static String of(FollowRule rule, RuleAct act, Integer afterPlace) {
    String does = " → " + deed(act);
    if (rule.isAtOnce()) {
      return "As soon as somebody " + rule.sign().orElseThrow().words() + does;
    }
    String since = afterPlace == null ? "" : " after " + afterPlace + ".";
    return rule.whom().words() + " in " + rule.after().words() + since + does;
  }
}
