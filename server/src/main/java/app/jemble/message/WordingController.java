package app.jemble.message;

import app.jemble.access.Needs;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.Wordings;
import app.jemble.core.access.Right;
import app.jemble.core.message.LetterText.Written;
import app.jemble.core.message.MailWording;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.message.OwnWordings.OwnWording;
import app.jemble.template.TemplateService;
import app.jemble.template.TemplateService.Template;
import app.jemble.template.TemplateService.TemplateDraft;
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

/** A mailing's words: those of one person alone, and those that go back to a template. */
@RestController
@RequestMapping("/api/mailings/{id}")
class WordingController {

  /**
   * One person's own words.
   *
   * @param channel the way they are for; the subject of a notice is its title, a text has none
   * @param old whether the shared words have changed since
   * @param version counts up with each change
   */
  record OwnWords(
      PersonId personId,
      String personName,
      Channel channel,
      String subject,
      String body,
      String sharedSubject,
      String sharedBody,
      boolean old,
      int version) {}

  /**
   * @param channel the way they are for; null: e-mail
   * @param version of the words that these are written over, 0 where the person had none
   */
  record Words(
      @Schema(nullable = true) Channel channel, String subject, String body, int version) {}

  /**
   * @param version of the words that stand now, 0 where they are the shared ones
   */
  record WordsSaved(int version) {}

  /**
   * @param name of the new template; null saves back to the one the mailing began from
   */
  record SaveTemplate(@Schema(nullable = true) String name) {}

  private final OpenCauses mailings;
  private final Wordings wordings;
  private final OwnWordings ownWordings;
  private final TemplateService templates;

  WordingController(
      OpenCauses mailings, Wordings wordings, OwnWordings ownWordings, TemplateService templates) {
    this.mailings = mailings;
    this.wordings = wordings;
    this.ownWordings = ownWordings;
    this.templates = templates;
  }

  @Needs(Right.SEE)
  @GetMapping("/own-words")
  List<OwnWords> all(@PathVariable long id) {
    SharedWords shared = ownWordings.shared(mailings.find(id));
    return ownWordings.all(id).stream().map(w -> ownWords(w, shared)).toList();
  }

  @Needs(Right.WRITE_TO_ONE)
  @PutMapping("/own-words/{personId}")
  WordsSaved put(@PathVariable long id, @PathVariable PersonId personId, @RequestBody Words words) {
    Written written = new Written(words.subject(), words.body());
    Channel channel = words.channel() == null ? Channel.EMAIL : words.channel();
    return new WordsSaved(ownWordings.put(id, personId, channel, written, words.version()));
  }

  /** Goes back to the shared words for one person. */
  @Needs(Right.WRITE_TO_ONE)
  @DeleteMapping("/own-words/{personId}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@PathVariable long id, @PathVariable PersonId personId) {
    ownWordings.drop(id, personId);
  }

  /** Goes back to the shared words for everyone. */
  @Needs(Right.WRITE_TO_ONE)
  @DeleteMapping("/own-words")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dropAll(@PathVariable long id) {
    ownWordings.drop(id, null);
  }

  /** Keeps the mailing's words as a template, the one they began from or a new one. */
  @Needs(Right.TEMPLATES)
  @PostMapping("/template")
  Template saveTemplate(@PathVariable long id, @RequestBody SaveTemplate save) {
    Cause mailing = mailings.find(id);
    MailWording m = wordings.of(mailing);
    if (save.name() != null || m.templateId() == null) {
      String name = save.name() == null ? mailing.name() : save.name();
      return templates.create(
          new TemplateDraft(
              name,
              "",
              "person",
              false,
              m.subject(),
              m.body(),
              mailing.topicId(),
              m.letterheadId(),
              m.promotional(),
              0));
    }
    Template t = templates.find(m.templateId());
    return templates.save(
        t.id(),
        new TemplateDraft(
            t.name(),
            t.label(),
            t.startsFrom(),
            t.isPrivate(),
            m.subject(),
            m.body(),
            t.topicId(),
            m.letterheadId(),
            m.promotional(),
            t.version()));
  }

  private static OwnWords ownWords(OwnWording w, SharedWords shared) {
    return new OwnWords(
        w.personId(),
        w.personName(),
        w.channel(),
        w.subject(),
        w.body(),
        w.sharedSubject(),
        w.sharedBody(),
        w.isOlderThan(shared.of(w.channel())),
        w.version());
  }
}
