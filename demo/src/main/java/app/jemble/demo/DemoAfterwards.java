package app.jemble.demo;

import org.springframework.stereotype.Component;

/** What came after the past mailings: answers, drafts, what waits, and rules. */
@Component
class DemoAfterwards {

  private final DemoOpenEnds openEnds;
  private final DemoReplies replies;
  private final DemoRules rules;

  DemoAfterwards(DemoOpenEnds openEnds, DemoReplies replies, DemoRules rules) {
    this.openEnds = openEnds;
    this.replies = replies;
    this.rules = rules;
  }

  void add() {
    openEnds.add();
    replies.add();
    rules.add();
  }
}
