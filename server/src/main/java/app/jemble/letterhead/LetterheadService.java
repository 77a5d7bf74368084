package app.jemble.letterhead;

import app.jemble.account.AccountService;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.message.Letterhead;
import app.jemble.core.message.SafeHtml;
import app.jemble.picture.PictureService;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Letterheads by name. */
@Service
public class LetterheadService {

  /**
   * A letterhead on record.
   *
   * @param used by how many templates and mailings
   */
  public record SavedLetterhead(
      long id,
      String name,
      String band,
      String bandInk,
      String page,
      String paper,
      String ink,
      String accent,
      Letterhead.Typeface typeface,
      @Schema(nullable = true) String logoKey,
      String header,
      String footer,
      int version,
      long used) {

    Letterhead toLetterhead() {
      return new Letterhead(
          band,
          bandInk,
          page,
          paper,
          ink,
          accent,
          typeface,
          Optional.ofNullable(logoKey),
          header,
          footer);
    }
  }

  /** What a writer saves. */
  public record LetterheadDraft(
      String name,
      String band,
      String bandInk,
      String page,
      String paper,
      String ink,
      String accent,
      Letterhead.Typeface typeface,
      @Schema(nullable = true) String logoKey,
      String header,
      String footer,
      int version) {}

  private final LetterheadMapper mapper;
  private final PictureService pictures;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  LetterheadService(
      LetterheadMapper mapper,
      PictureService pictures,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.pictures = pictures;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  public List<SavedLetterhead> all() {
    return mapper.all();
  }

  /** A letterhead to write on; none for null, and for one that is gone. */
  public Optional<Letterhead> of(Long id) {
    return id == null
        ? Optional.empty()
        : Optional.ofNullable(mapper.find(id)).map(SavedLetterhead::toLetterhead);
  }

  /** A letterhead that is not saved yet; a problem that names what is wrong with it. */
  public Letterhead drafted(LetterheadDraft draft) {
    LetterheadDraft d = sound(draft);
    return new SavedLetterhead(
            0,
            "",
            d.band(),
            d.bandInk(),
            d.page(),
            d.paper(),
            d.ink(),
            d.accent(),
            d.typeface(),
            d.logoKey(),
            d.header(),
            d.footer(),
            0,
            0)
        .toLetterhead();
  }

  /** Whether there is such a letterhead; null is the empty one, which there always is. */
  public boolean exists(Long id) {
    return id == null || mapper.find(id) != null;
  }

  /** The letterhead that new mailings begin with: the first; null when there is none. */
  public Long first() {
    return mapper.all().stream().findFirst().map(SavedLetterhead::id).orElse(null);
  }

  SavedLetterhead find(long id) {
    SavedLetterhead letterhead = mapper.find(id);
    if (letterhead == null) {
      throw Problem.notFound("There is no such letterhead any more.");
    }
    return letterhead;
  }

  @Transactional
  SavedLetterhead create(LetterheadDraft draft) {
    long by = accounts.currentWriter().id();
    return find(mapper.create(named(draft, 0), clock.instant(), by));
  }

  @Transactional
  SavedLetterhead save(long id, LetterheadDraft draft) {
    long by = accounts.currentWriter().id();
    find(id);
    if (mapper.save(id, named(draft, id), clock.instant(), by) == 0) {
      throw Problem.conflict("Somebody changed this letterhead in the meantime.");
    }
    return find(id);
  }

  @Transactional
  void remove(long id) {
    accounts.currentWriter();
    if (find(id).used() > 0) {
      throw Problem.conflict("Templates or mailings are written on this letterhead.");
    }
    mapper.remove(id);
  }

  private LetterheadDraft named(LetterheadDraft d, long id) {
    String name = d.name() == null ? "" : d.name().strip();
    if (name.isEmpty()) {
      throw Problem.wrong("name", "Give the letterhead a name.");
    }
    if (mapper.named(name, id) > 0) {
      throw Problem.wrong("name", "Another letterhead is already named “" + name + "”.");
    }
    return sound(d);
  }

  /** A draft as it would be on record; a problem that names what is wrong. */
  private LetterheadDraft sound(LetterheadDraft d) {
    if (d.typeface() == null) {
      throw Problem.wrong("typeface", "Choose letters with or without serifs.");
    }
    if (d.logoKey() != null && pictures.find(d.logoKey()).isEmpty()) {
      throw Problem.wrong("logoKey", "There is no such picture; choose the logo again.");
    }
    return new LetterheadDraft(
        d.name() == null ? "" : d.name().strip(),
        colour("band", d.band()),
        colour("bandInk", d.bandInk()),
        colour("page", d.page()),
        colour("paper", d.paper()),
        colour("ink", d.ink()),
        colour("accent", d.accent()),
        d.typeface(),
        d.logoKey(),
        text("header", d.header()),
        text("footer", d.footer()),
        d.version());
  }

  private static String colour(String field, String given) {
    if (!Letterhead.isColour(given)) {
      throw Problem.wrong(field, "“" + given + "” is not a colour; write it as #1f474b.");
    }
    return given.toLowerCase(Locale.ROOT);
  }

  private String text(String field, String given) {
    String html = SafeHtml.clean(given == null ? "" : given);
    List<TemplateError> errors =
        TemplateParser.parse(html, TemplateParser.Kind.HTML, workspace.fields()).errors();
    if (!errors.isEmpty()) {
      throw Problem.wrong(field, errors.get(0).sentence());
    }
    return html;
  }
}
