package app.jemble.print;

import app.jemble.core.document.DocumentValue;
import app.jemble.core.document.Filling;
import app.jemble.core.message.MessageId;
import app.jemble.core.message.PaperWording;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectMapper;

/** Letters that are printed together, as far as they are kept with other print runs. */
@Service
public class LetterItems {

  /**
   * A letter to be printed.
   *
   * @param address as it is stored
   */
  public record ToPrint(MessageId messageId, PersonId personId, String address) {}

  /**
   * A letter as it was printed.
   *
   * @param words the subject, an empty line, the text
   * @param firstPage in the file, from 0; of documents the letter, from 0
   * @param pages how many; 1 of documents
   */
  public record Printed(
      MessageId messageId, String subject, String words, int firstPage, int pages) {}

  /**
   * Whose letter lies where.
   *
   * @param firstPage from 0; of documents the letter, from 0
   */
  public record Lying(PersonId personId, int firstPage, int pages) {}

  /**
   * A run of letters that is begun.
   *
   * @param paper what its letters say and what they are made of
   */
  public record NewRun(
      String name, long causeId, PaperWording paper, boolean duplex, long madeBy) {}

  /**
   * What a letter's document was filled with.
   *
   * @param language as a tag (BCP 47)
   */
  private record Filled(String language, Map<String, DocumentValue> values) {}

  private final LetterItemMapper mapper;
  private final PrintMapper runs;
  private final ItemMapper items;
  private final ObjectMapper json;
  private final Clock clock;

  LetterItems(
      LetterItemMapper mapper, PrintMapper runs, ItemMapper items, ObjectMapper json, Clock clock) {
    this.mapper = mapper;
    this.runs = runs;
    this.items = items;
    this.json = json;
    this.clock = clock;
  }

  /** A run of letters; a problem when there is none. */
  public PrintRun find(long id) {
    PrintRun run = runs.find(id);
    if (run == null || !run.isOfLetters()) {
      throw none();
    }
    return run;
  }

  /** The same for what is another's and for what is not there. */
  public static Problem none() {
    return Problem.notFound("There is no such print run.");
  }

  /** The runs of a cause, the latest first. */
  public List<PrintRun> ofCause(long causeId) {
    return mapper.ofCause(causeId);
  }

  /** Which of a cause's letters are being printed, or were. */
  public List<MessageId> taken(long causeId) {
    return mapper.taken(causeId);
  }

  /**
   * Notes what is to be printed, in this order.
   *
   * @return the run
   */
  public long begin(NewRun run, List<ToPrint> letters) {
    long id = mapper.create(run, clock.instant());
    items.begin(id, letters.size(), clock.instant());
    mapper.note(
        id,
        letters.stream().map(ToPrint::messageId).toArray(MessageId[]::new),
        letters.stream().map(ToPrint::personId).toArray(PersonId[]::new),
        letters.stream().map(ToPrint::address).toList());
    return id;
  }

  /** The messages of a run, in the order of printing. */
  public List<MessageId> messages(long run, int from, int most) {
    return mapper.messages(run, from, most);
  }

  /** Notes how letters were printed. */
  public void printed(long run, List<Printed> letters) {
    mapper.printed(
        run,
        letters.stream().map(Printed::messageId).toArray(MessageId[]::new),
        letters.stream().map(Printed::subject).toList(),
        letters.stream().map(Printed::words).toList(),
        letters.stream().map(l -> (long) l.firstPage()).toArray(Long[]::new),
        letters.stream().map(l -> (long) l.pages()).toArray(Long[]::new));
  }

  /** Notes what the documents of letters were filled with. */
  public void filled(long run, List<MessageId> letters, List<Filling> fillings) {
    mapper.filled(
        run,
        letters.toArray(MessageId[]::new),
        fillings.stream()
            .map(f -> json.writeValueAsString(new Filled(f.language().toLanguageTag(), f.values())))
            .toList());
  }

  /**
   * What the documents of a run were filled with.
   *
   * @param from the first letter, from 0
   */
  public List<Filling> fillings(long run, int from, int most) {
    return mapper.fillings(run, from, most).stream()
        .map(filled -> json.readValue(filled, Filled.class))
        .map(f -> new Filling(f.values(), Locale.forLanguageTag(f.language())))
        .toList();
  }

  /**
   * Where letters lie in the file of their run, in order.
   *
   * @param from how many are passed over
   */
  public List<Lying> lying(long run, int from, int most) {
    return mapper.lying(run, from, most);
  }

  /** What was noted of letters that were printed by whoever did not come to the end. */
  public void forgetPrinted(long run) {
    mapper.forgetPrinted(run);
  }

  /** All letters of a run, as they were printed. */
  public List<Printed> all(long run) {
    return mapper.all(run);
  }

  /** One letter of a run; a problem when it is not in it. */
  public Printed one(long run, MessageId message) {
    Printed printed = mapper.one(run, message);
    if (printed == null) {
      throw Problem.notFound("There is no such letter in it.");
    }
    return printed;
  }

  /** Lets go of what is not posted: its letters are to be printed again. */
  public void drop(long id) {
    if (mapper.drop(id) == 0) {
      throw Problem.conflict("What was posted stays as it is.");
    }
    items.dropItems(id);
    items.dropFile(id);
  }

  public void post(long id, LocalDate day, long by) {
    if (runs.post(id, day, by) == 0) {
      throw Problem.conflict("Print it first.");
    }
  }

  /** Notes that somebody's came back. */
  public void returned(long id, PersonId personId, LocalDate day) {
    if (items.returned(id, personId, day) == 0) {
      throw Problem.notFound("There is nothing for this person in it.");
    }
  }
}
