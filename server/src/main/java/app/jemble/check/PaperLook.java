package app.jemble.check;

import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.cause.Cause;
import app.jemble.check.CheckService.Progress;
import app.jemble.core.check.PaperCheck;
import app.jemble.core.check.PaperCheck.LaidLetter;
import app.jemble.core.message.OutgoingSheet;
import app.jemble.core.message.Pictures;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.paper.LettersPdf;
import app.jemble.paper.PaperFonts;
import app.jemble.problem.Problem;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Component;

/**
 * Lays everybody's letter on its pages, to tell before anything is printed how many they are and
 * whose is longer than most. It takes much longer than the check, and so is asked for by itself.
 */
@Component
class PaperLook {

  private static final int CHUNK = 40;

  /** However many ask, pages are laid for as many at once as there are processors. */
  private final Semaphore places = new Semaphore(Runtime.getRuntime().availableProcessors());

  private final CheckService checks;
  private final AudienceService audience;
  private final LetterService letters;
  private final PaperFonts fonts;
  private final Pictures pictures;
  private final WorkspaceService workspace;
  private final Clock clock;

  PaperLook(
      CheckService checks,
      AudienceService audience,
      LetterService letters,
      PaperFonts fonts,
      Pictures pictures,
      WorkspaceService workspace,
      Clock clock) {
    this.checks = checks;
    this.audience = audience;
    this.letters = letters;
    this.fonts = fonts;
    this.pictures = pictures;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** A problem when another program lays its letters on their pages. */
  void mustBeLaidHere(Cause mailing) {
    if (letters.of(mailing).document().isPresent()) {
      throw Problem.conflict(
          "Letters made of a document are laid on pages by the program that opens them.");
    }
  }

  /** The last check of a mailing, with what its letters come to on paper. */
  Checked look(Cause mailing, Progress progress) {
    Letter letter = letters.of(mailing);
    Checked checked = checks.lastCheck(mailing);
    long of =
        checked.ready().stream().filter(entry -> entry.way().channel() == Channel.POST).count();
    Workspace house = workspace.current();
    LocalDate today = LocalDate.ofInstant(clock.instant(), house.zoneId());
    PaperCheck paper = new PaperCheck();
    places.acquireUninterruptibly();
    try (LettersPdf pdf = LettersPdf.forPrinter(fonts, pictures, "", house.locale())) {
      Laying laying = new Laying(letter, today, pdf, paper, progress, of);
      audience.each(mailing, letter::values, laying::add);
      laying.layOut();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      places.release();
    }
    return checks.keep(mailing, checked.withPaper(paper));
  }

  /** Letters on their way to their pages, some at a time. */
  private static final class Laying {
    private final Letter letter;
    private final LocalDate today;
    private final LettersPdf pdf;
    private final PaperCheck paper;
    private final Progress progress;
    private final long of;
    private final List<PersonId> people = new ArrayList<>();
    private final List<OutgoingSheet> sheets = new ArrayList<>();
    private long laid;

    Laying(
        Letter letter,
        LocalDate today,
        LettersPdf pdf,
        PaperCheck paper,
        Progress progress,
        long of) {
      this.letter = letter;
      this.today = today;
      this.pdf = pdf;
      this.paper = paper;
      this.progress = progress;
      this.of = of;
    }

    void add(Reader reader) {
      if (reader.reach() != Reach.READY || reader.way().channel() != Channel.POST) {
        return;
      }
      reader
          .onPaper(today)
          .ifPresent(
              own -> {
                people.add(reader.person().id());
                sheets.add(letter.paper(reader.person().id(), own).message());
              });
      if (sheets.size() == CHUNK) {
        layOut();
      }
    }

    void layOut() {
      if (sheets.isEmpty()) {
        return;
      }
      try {
        List<LettersPdf.Laid> lie = pdf.add(sheets, false);
        for (int i = 0; i < lie.size(); i++) {
          LettersPdf.Laid one = lie.get(i);
          paper.add(
              people.get(i),
              new LaidLetter(one.pages(), one.addressFits(), pdf.lacking(sheets.get(i))));
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
      laid += sheets.size();
      progress.checked(laid, of);
      people.clear();
      sheets.clear();
    }
  }
}
