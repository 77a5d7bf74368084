package app.jemble.check;

import app.jemble.carrier.Carriers;
import app.jemble.core.check.NoticeCheck;
import app.jemble.core.check.ReleaseCheck;
import app.jemble.core.check.TextCheck;
import app.jemble.core.pace.Plan;
import app.jemble.core.reach.Channel;
import app.jemble.core.text.Allowance;
import app.jemble.core.text.Allowance.Over;
import app.jemble.message.Letter;
import app.jemble.sending.PhoneRuleService;
import app.jemble.workspace.WorkspaceService;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.ZoneId;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** What ways beside e-mail ask before release: a service, words, and money. */
@Component
class WaysCheck {

  private final PhoneRuleService phones;
  private final Carriers carriers;
  private final WorkspaceService workspace;

  WaysCheck(PhoneRuleService phones, Carriers carriers, WorkspaceService workspace) {
    this.phones = phones;
    this.carriers = carriers;
    this.workspace = workspace;
  }

  TextCheck beginTexts(Letter letter) {
    return new TextCheck(phones.current().prices(), letter.textWording().words());
  }

  NoticeCheck beginNotices(Letter letter) {
    return new NoticeCheck(!letter.noticeWording().link().isBlank());
  }

  /** Looks at what is the same for all. */
  void look(ReleaseCheck check, Letter letter) {
    if (letter.ways().has(Channel.TEXT)) {
      check.lookAtText(letter.textWording().words(), letter.textErrors());
    }
    if (letter.ways().has(Channel.APP)) {
      check.lookAtNotice(letter.noticeWording(), letter.noticeErrors());
    }
    if (letter.ways().has(Channel.POST)) {
      check.lookAtPaper(letter.paperWording(), letter.documentBlanks(), letter.paperErrors());
    }
    letter.ways().inOrder().stream()
        .filter(way -> !carriers.serve(way))
        .forEach(way -> check.noServiceFor(way.words().toLowerCase(Locale.ROOT)));
  }

  /** The dearest day of the plan must be within the day's allowance, all within the month's. */
  void lookAtCost(RunningCheck look, Plan plan) {
    TextCheck.TextSum texts = look.texts().sum();
    if (texts.cost().signum() == 0) {
      return;
    }
    ZoneId house = workspace.current().zoneId();
    Allowance left = phones.left(house);
    BigDecimal ofDay = texts.cost().multiply(BigDecimal.valueOf(plan.shareOfFullestDay(house)));
    left.exceededBy(texts.cost(), ofDay)
        .map(
            over ->
                over == Over.MONTH
                    ? over("The texts cost ", texts.cost(), left.month(), "this month")
                    : over("On one day the texts cost ", ofDay, left.today(), "a day; spread them"))
        .ifPresent(look.check()::overAllowance);
  }

  private String over(String what, BigDecimal cost, BigDecimal left, String of) {
    String currency = workspace.current().currency();
    return what
        + currency
        + " "
        + money(cost)
        + ", and "
        + currency
        + " "
        + money(left)
        + " is left for "
        + of
        + ".";
  }

  private static String money(BigDecimal amount) {
    return amount.setScale(2, RoundingMode.HALF_UP).toPlainString();
  }
}
