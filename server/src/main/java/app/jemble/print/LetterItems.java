package app.jemble.print;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;

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
   * @param firstPage in the file, from 0
   */
  public record Printed(
      MessageId messageId, String subject, String words, int firstPage, int pages) {}

  /** A run of letters that is begun. */
  record NewRun(String name, long causeId, boolean duplex, long madeBy) {}

  private final LetterItemMapper mapper;
  private final PrintMapper runs;
  private final ItemMapper items;
  private final Clock clock;

  LetterItems(LetterItemMapper mapper, PrintMapper runs, ItemMapper items, Clock clock) {
    this.mapper = mapper;
    this.runs = runs;
    this.items = items;
    this.clock = clock;
  }

  /** A run of letters; a problem when there is none. */
  public PrintRun find(long id) {
    PrintRun run = runs.find(id);
    if (run == null || !run.isOfLetters()) {
      throw Problem.notFound("There is no such print run.");
    }
    return run;
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
  public long begin(String name, long causeId, boolean duplex, long madeBy, List<ToPrint> letters) {
    long id = mapper.create(new NewRun(name, causeId, duplex, madeBy), clock.instant());
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
