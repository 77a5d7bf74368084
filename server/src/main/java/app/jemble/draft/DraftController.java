package app.jemble.draft;

import app.jemble.access.Needs;
import app.jemble.audience.AudienceParts;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.WaysBody;
import app.jemble.core.access.Right;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.RepliesTo;
import app.jemble.core.message.TextWording;
import app.jemble.core.message.Voice;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.filter.AskedNow;
import app.jemble.filter.ListService;
import app.jemble.filter.Selection;
import app.jemble.plan.SendPlan;
import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Mailings while they are written: begun, changed, put away. */
@RestController
@RequestMapping("/api/mailings")
class DraftController {

  /**
   * Begins a mailing.
   *
   * @param records the quotes, tasks or events it is about, or null; their people are written to
   * @param recordEach one message for each of them, instead of one about each person's newest
   * @param parts whoever is in any of these
   * @param picks people picked by hand
   * @param leftOut people of the parts who are not written to
   * @param mailingId the mailing to begin from once more; with no parts and picks, to the same
   *     audience
   * @param byPost whether it goes on paper alone, in the words that it begins with
   * @param documentId the document its letters are made of; it goes on paper then
   */
  record Begin(
      @Schema(nullable = true) BeginRecords records,
      @Schema(nullable = true) Boolean recordEach,
      List<AudienceParts.Part> parts,
      List<PersonId> picks,
      List<PersonId> leftOut,
      @Schema(nullable = true) Long templateId,
      @Schema(nullable = true) Long mailingId,
      @Schema(nullable = true) Boolean byPost,
      @Schema(nullable = true) Long documentId) {}

  /** Records of one kind. */
  record BeginRecords(Related kind, Selection which) {}

  record Begun(long id) {}

  /**
   * What the writer changed.
   *
   * @param parts null leaves the audience as it is, like {@code leftOutParts}, {@code picks} and
   *     {@code leftOut}
   * @param plan null leaves it as it is
   * @param ways on which it goes, in their order; null leaves them, as {@code text}
   * @param text what it says by text
   */
  record ChangeBody(
      int version,
      String name,
      String subject,
      String body,
      @Schema(nullable = true) Long templateId,
      long topicId,
      @Schema(nullable = true) Long letterheadId,
      boolean promotional,
      Voice voice,
      RepliesTo repliesTo,
      @Schema(nullable = true) Long replyColleague,
      @JsonProperty("private") boolean isPrivate,
      @Schema(nullable = true) Boolean recordEach,
      List<AudienceParts.Part> parts,
      List<AudienceParts.Part> leftOutParts,
      List<PersonId> picks,
      List<PersonId> leftOut,
      @Schema(nullable = true) SendPlan plan,
      boolean countOpens,
      boolean countClicks,
      @Schema(nullable = true) List<Channel> ways,
      @Schema(nullable = true) TextWording text,
      @Schema(nullable = true) NoticeWording notice,
      @Schema(nullable = true) PaperWording paper) {}

  private final OpenCauses causes;
  private final DraftService drafts;
  private final DraftWriting writing;
  private final WholeMailings whole;
  private final ListService lists;
  private final AskedNow asked;

  DraftController(
      OpenCauses causes,
      DraftService drafts,
      DraftWriting writing,
      WholeMailings whole,
      ListService lists,
      AskedNow asked) {
    this.causes = causes;
    this.drafts = drafts;
    this.writing = writing;
    this.whole = whole;
    this.lists = lists;
    this.asked = asked;
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping
  Begun begin(@RequestBody Begin begin) {
    BeginRecords about = begin.records();
    List<Long> records = about == null ? List.of() : ids(about);
    List<PersonId> picks = about == null ? orNone(begin.picks()) : people(about);
    return new Begun(
        drafts.begin(
            new DraftService.Beginning(
                about == null ? null : about.kind(),
                records,
                Boolean.TRUE.equals(begin.recordEach()),
                orNone(begin.parts()),
                picks,
                orNone(begin.leftOut()),
                begin.templateId(),
                begin.mailingId(),
                Boolean.TRUE.equals(begin.byPost()) || begin.documentId() != null,
                begin.documentId())));
  }

  private List<Long> ids(BeginRecords about) {
    return lists.ids(about.kind(), about.which().filter(), about.which().which(), asked.byMe());
  }

  private List<PersonId> people(BeginRecords about) {
    return lists.peopleOf(
        about.kind(), about.which().filter(), about.which().which(), asked.byMe());
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}")
  WholeMailing find(@PathVariable long id) {
    return whole(causes.find(id));
  }

  @Needs(Right.WRITE_TO_ONE)
  @PutMapping("/{id}")
  WholeMailing change(@PathVariable long id, @RequestBody ChangeBody b) {
    MailWording wording =
        new MailWording(
            b.subject(),
            b.body(),
            b.templateId(),
            null,
            b.letterheadId(),
            b.promotional(),
            b.voice() == null ? Voice.SENDER : b.voice(),
            b.repliesTo() == null ? RepliesTo.SENDER : b.repliesTo(),
            b.replyColleague(),
            b.countOpens(),
            b.countClicks());
    AudienceChange audience =
        new AudienceChange(b.recordEach(), b.parts(), b.leftOutParts(), b.picks(), b.leftOut());
    return whole(
        writing.change(
            id,
            b.version(),
            new DraftChange(
                b.name(),
                b.topicId(),
                b.isPrivate(),
                wording,
                audience,
                new WaysBody(b.ways(), b.text(), b.notice(), b.paper()),
                b.plan())));
  }

  @Needs(Right.WRITE_TO_ONE)
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void discard(@PathVariable long id) {
    drafts.discard(id);
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable long id) {
    drafts.restore(id);
  }

  private WholeMailing whole(Cause mailing) {
    Long follows = mailing.followsId();
    return whole.of(mailing, follows == null ? null : causes.nameOf(follows));
  }

  private static <T> List<T> orNone(List<T> given) {
    return given == null ? List.of() : given;
  }
}
