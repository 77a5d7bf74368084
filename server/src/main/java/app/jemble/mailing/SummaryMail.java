package app.jemble.mailing;

import app.jemble.core.message.Mailbox;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.ThreadPlace;
import app.jemble.outbox.Handover;
import app.jemble.outbox.HandoverResult;
import app.jemble.workspace.JembleSettings;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/**
 * Tells the sender, after the last message of a mailing, what became of it. It is noted before the
 * mail leaves, so that nobody is told twice, whatever dies in between.
 */
@Component
class SummaryMail {

  private final SummaryMapper mapper;
  private final Handover handover;
  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final Clock clock;

  SummaryMail(
      SummaryMapper mapper,
      Handover handover,
      WorkspaceService workspace,
      JembleSettings settings,
      Clock clock) {
    this.mapper = mapper;
    this.handover = handover;
    this.workspace = workspace;
    this.settings = settings;
    this.clock = clock;
  }

  @Bean
  RecurringTask<Void> sumUpMailings() {
    return Tasks.recurring("sum-up-mailings", FixedDelay.ofSeconds(3))
        .execute((instance, context) -> mapper.toSumUp().forEach(this::sumUp));
  }

  void sumUp(long mailingId) {
    if (mapper.summedUp(mailingId, clock.instant()) == 0) {
      return;
    }
    HandoverResult result = handover.sendOnce(message(mailingId, mapper.sums(mailingId)));
    boolean later =
        result instanceof HandoverResult.Unreachable
            || result instanceof HandoverResult.NotTried
            || result instanceof HandoverResult.PutOff;
    if (later) {
      mapper.notSummedUp(mailingId);
    }
  }

  private OutgoingMessage message(long mailingId, SummaryMapper.Sums sums) {
    Workspace house = workspace.current();
    Mailbox sender = new Mailbox(sums.sender(), sums.address());
    String link = settings.publicUrl() + "/responses/" + mailingId;
    String words = words(sums);
    String text = words + "\n\nResponses: " + link + "\n";
    String html =
        "<!DOCTYPE html><html><body><p>%s</p><p><a href=\"%s\">Responses</a></p></body></html>\n"
            .formatted(HtmlUtils.htmlEscape(words), HtmlUtils.htmlEscape(link));
    String id = "summary." + mailingId;
    return new OutgoingMessage(
        "<" + id + "@" + house.returnDomain() + ">",
        clock.instant(),
        house.houseEmail() == null ? sender : new Mailbox(house.name(), house.houseEmail()),
        Optional.empty(),
        sender,
        "“" + sums.name() + "” has gone",
        html,
        text,
        List.of(),
        List.of(),
        ThreadPlace.NEW,
        List.of(),
        Optional.empty(),
        "return+" + id + "@" + house.returnDomain(),
        true);
  }

  /** Such as: “July news” has gone: 412 sent, 3 refused, 1 in doubt. 2 came back so far. */
  static String words(SummaryMapper.Sums sums) {
    List<String> parts = new ArrayList<>();
    parts.add("%,d sent".formatted(sums.sent()));
    add(parts, sums.refused(), "refused");
    add(parts, sums.inDoubt(), "in doubt, for you to settle in the outbox");
    add(parts, sums.withdrawn(), "withdrawn");
    String back = sums.returned() == 0 ? "" : " %,d came back so far.".formatted(sums.returned());
    return "“" + sums.name() + "” has gone: " + String.join(", ", parts) + "." + back;
  }

  private static void add(List<String> parts, long count, String what) {
    if (count > 0) {
      parts.add("%,d %s".formatted(count, what));
    }
  }
}
