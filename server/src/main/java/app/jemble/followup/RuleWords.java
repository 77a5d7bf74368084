package app.jemble.followup;

import app.jemble.core.act.Act;

/** Rules as sentences. */
final class RuleWords {

  private RuleWords() {}

  /** The whole rule, such as “No reply in 4 working days → another message in the thread”. */
  static String of(FollowRule rule, Act act, Integer afterPlace) {
    String does = " → " + act.words();
    if (rule.isAtOnce()) {
      return "As soon as somebody " + rule.sign().orElseThrow().words() + does;
    }
    String since = afterPlace == null ? "" : " after " + afterPlace + ".";
    return rule.whom().words() + " in " + rule.after().words() + since + does;
  }
}
