package app.jemble.outside.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.house.DomainName;
import app.jemble.core.house.DomainRecord;
import app.jemble.core.house.DomainRecordRule;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.outside.DomainLookUp;
import app.jemble.outside.OutsideServices;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the records of the mail domain should say, and what they do. */
@RestController
@RequestMapping("/api/mail-domain")
class MailDomainController {

  /**
   * A record.
   *
   * @param name under which it should stand
   * @param text what it should say, to be copied
   * @param found what stands there
   * @param words a sentence on it
   */
  record DomainRecordSeen(
      DomainRecord.Kind kind,
      String name,
      String text,
      DomainRecordRule.State state,
      List<String> found,
      String words) {}

  /**
   * The domain.
   *
   * @param said whether the house has said it; else nothing is looked up
   * @param selector by which the key of the mail server is found; empty when nobody has said it
   */
  record MailDomain(String domain, boolean said, String selector, List<DomainRecordSeen> records) {}

  record SelectorDraft(String selector) {}

  private final WorkspaceService workspace;
  private final OutsideServices services;
  private final DomainLookUp lookUp;
  private final HouseHistory history;

  MailDomainController(
      WorkspaceService workspace,
      OutsideServices services,
      DomainLookUp lookUp,
      HouseHistory history) {
    this.workspace = workspace;
    this.services = services;
    this.lookUp = lookUp;
    this.history = history;
  }

  /** Asks the name servers now; that may take some seconds. */
  @Needs(Right.SETTINGS)
  @GetMapping
  MailDomain look() {
    String domain = workspace.current().returnDomain();
    String selector = workspace.keySelector();
    if (!workspace.hasMailDomain()) {
      return new MailDomain(domain, false, selector, List.of());
    }
    String sender = services.mailServer().host();
    List<DomainRecordSeen> records =
        DomainRecord.of(domain, sender, services.mailbox().host(), selector).parallelStream()
            .map(record -> seen(record, sender))
            .toList();
    return new MailDomain(domain, true, selector, records);
  }

  private DomainRecordSeen seen(DomainRecord wanted, String sender) {
    Optional<List<String>> found = lookUp.ask(wanted);
    DomainRecordRule.Found judged = DomainRecordRule.judge(wanted, found, sender);
    return new DomainRecordSeen(
        wanted.kind(),
        wanted.name(),
        wanted.text(),
        judged.state(),
        found.orElse(List.of()),
        judged.words());
  }

  @Needs(Right.SETTINGS)
  @Noted("Named the key of the mail server")
  @PutMapping
  MailDomain name(@RequestBody SelectorDraft draft) {
    String before = workspace.keySelector();
    String selector =
        draft.selector() == null ? "" : draft.selector().strip().toLowerCase(Locale.ROOT);
    if (!selector.isEmpty() && !DomainName.isOne(selector)) {
      throw Problem.wrong("selector", "This takes a name such as mail2026.");
    }
    workspace.nameKey(selector);
    history.tell("", before, selector);
    return look();
  }
}
