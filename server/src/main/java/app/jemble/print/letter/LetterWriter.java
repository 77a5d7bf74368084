package app.jemble.print.letter;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.OutgoingSheet;
import app.jemble.core.message.Pictures;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.departure.OutgoingTexts;
import app.jemble.departure.OutgoingTexts.ToWrite;
import app.jemble.outbox.PaperMessages;
import app.jemble.outbox.PaperMessages.Waiting;
import app.jemble.paper.LettersPdf;
import app.jemble.paper.PaperFonts;
import app.jemble.print.LetterItems;
import app.jemble.print.LetterItems.Printed;
import app.jemble.print.PrintRun;
import app.jemble.print.RunWriter;
import app.jemble.workspace.WorkspaceService;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Writes the letters of a run, some at a time, so that no process holds them all. */
@Component
class LetterWriter implements RunWriter {

  private static final int CHUNK = 40;

  private final LetterItems items;
  private final PaperMessages messages;
  private final OutgoingTexts texts;
  private final PaperFonts fonts;
  private final Pictures pictures;
  private final WorkspaceService workspace;

  LetterWriter(
      LetterItems items,
      PaperMessages messages,
      OutgoingTexts texts,
      PaperFonts fonts,
      Pictures pictures,
      WorkspaceService workspace) {
    this.items = items;
    this.messages = messages;
    this.texts = texts;
    this.fonts = fonts;
    this.pictures = pictures;
    this.workspace = workspace;
  }

  @Override
  public boolean writes(PrintRun run) {
    return run.isOfLetters();
  }

  @Override
  public int write(PrintRun run, Path file, Progress progress) throws IOException {
    try (LettersPdf pdf =
        LettersPdf.forPrinter(fonts, pictures, run.name(), workspace.current().locale())) {
      int done = 0;
      while (done < run.toPrint()) {
        List<MessageId> chunk = items.messages(run.id(), done, CHUNK);
        add(run, chunk, pdf);
        done += chunk.size();
        if (chunk.isEmpty() || !progress.at(done)) {
          return STOPPED;
        }
      }
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
        pdf.save(out);
      }
      return pdf.pages();
    }
  }

  /** What was withdrawn since is left out. */
  private void add(PrintRun run, List<MessageId> chunk, LettersPdf pdf) throws IOException {
    Map<MessageId, Waiting> waiting =
        messages.of(chunk).stream().collect(Collectors.toMap(Waiting::id, Function.identity()));
    List<Waiting> letters = chunk.stream().map(waiting::get).filter(Objects::nonNull).toList();
    if (letters.isEmpty()) {
      return;
    }
    List<OutgoingSheet> sheets = sheets(run, letters);
    List<LettersPdf.Laid> laid = pdf.add(sheets, run.duplex());
    List<Printed> printed = new ArrayList<>();
    for (int i = 0; i < letters.size(); i++) {
      OutgoingSheet sheet = sheets.get(i);
      String words = (sheet.subject() + "\n\n" + sheet.text()).strip();
      LettersPdf.Laid at = laid.get(i);
      printed.add(new Printed(letters.get(i).id(), sheet.subject(), words, at.page(), at.pages()));
    }
    items.printed(run.id(), printed);
  }

  /** Dated on the day on which the printing was begun, whoever ends it. */
  private List<OutgoingSheet> sheets(PrintRun run, List<Waiting> letters) {
    List<ToWrite> toWrite =
        letters.stream()
            .map(
                l ->
                    new ToWrite(
                        run.causeId(),
                        l.personId(),
                        new Address.Postal(l.address()),
                        l.recipient(),
                        l.token(),
                        l.frozen(),
                        ThreadPlace.NEW))
            .toList();
    OutgoingTexts.Writing writing = texts.begin(toWrite);
    return toWrite.stream()
        .map(letter -> (OutgoingSheet) writing.write(letter, run.printingSince()))
        .toList();
  }
}
