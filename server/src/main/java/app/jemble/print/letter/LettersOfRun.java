package app.jemble.print.letter;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.OutgoingSheet;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.departure.OutgoingTexts;
import app.jemble.departure.OutgoingTexts.ToWrite;
import app.jemble.outbox.PaperMessages;
import app.jemble.outbox.PaperMessages.Waiting;
import app.jemble.print.LetterItems;
import app.jemble.print.LetterItems.Printed;
import app.jemble.print.PrintRun;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The letters of a run that is being printed, some at a time, so that no process holds them all.
 */
@Component
class LettersOfRun {

  private static final int CHUNK = 40;

  /**
   * Some letters of a run.
   *
   * @param taken how many were looked at: those that were withdrawn since are among them
   */
  record Some(int taken, List<Ready> letters) {
    Some {
      letters = List.copyOf(letters);
    }
  }

  /** A letter that can be laid on its sheets. */
  record Ready(MessageId id, OutgoingSheet sheet) {

    /**
     * As it is noted.
     *
     * @param firstPage from 0
     */
    Printed printed(int firstPage, int pages) {
      String words = (sheet.subject() + "\n\n" + sheet.text()).strip();
      return new Printed(id, sheet.subject(), words, firstPage, pages);
    }
  }

  private final LetterItems items;
  private final PaperMessages messages;
  private final OutgoingTexts texts;

  LettersOfRun(LetterItems items, PaperMessages messages, OutgoingTexts texts) {
    this.items = items;
    this.messages = messages;
    this.texts = texts;
  }

  /**
   * The next letters.
   *
   * @param from how many were taken before
   */
  Some from(PrintRun run, int from) {
    List<MessageId> ids = items.messages(run.id(), from, CHUNK);
    Map<MessageId, Waiting> waiting =
        messages.of(ids).stream().collect(Collectors.toMap(Waiting::id, Function.identity()));
    return new Some(
        ids.size(), ready(run, ids.stream().map(waiting::get).filter(Objects::nonNull).toList()));
  }

  /** Dated on the day on which the printing was begun, whoever ends it. */
  private List<Ready> ready(PrintRun run, List<Waiting> letters) {
    if (letters.isEmpty()) {
      return List.of();
    }
    OutgoingTexts.Writing writing =
        texts.begin(letters.stream().map(l -> toWrite(run, l)).toList());
    return letters.stream()
        .map(
            l ->
                new Ready(
                    l.id(), (OutgoingSheet) writing.write(toWrite(run, l), run.printingSince())))
        .toList();
  }

  private static ToWrite toWrite(PrintRun run, Waiting letter) {
    return new ToWrite(
        run.causeId(),
        letter.personId(),
        new Address.Postal(letter.address()),
        letter.recipient(),
        letter.token(),
        letter.frozen(),
        ThreadPlace.NEW);
  }
}
