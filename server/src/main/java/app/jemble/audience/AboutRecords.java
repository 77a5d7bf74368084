package app.jemble.audience;

import app.jemble.cause.Cause;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.core.record.Values;
import app.jemble.people.PersonRecord;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What a mailing is about beside its people: the quotes, tasks or events it began from. */
@Component
class AboutRecords {

  private final RecordMapper mapper;
  private final ComingTurns turns;

  AboutRecords(RecordMapper mapper, ComingTurns turns) {
    this.mapper = mapper;
    this.turns = turns;
  }

  /** For a standing mailing, what the next day of somebody's gives; else nothing. */
  Optional<About> coming(Cause cause, PersonRecord person, Values values) {
    return turns.next(cause, person, values);
  }

  /**
   * By person, the records that person's messages are about: all of them, or the newest alone.
   * Empty for an audience that is about no records.
   */
  Map<PersonId, List<About>> of(Audience audience) {
    if (audience.recordKind() == null) {
      return Map.of();
    }
    Map<PersonId, List<About>> byPerson =
        all(audience.recordKind(), audience.recordIds()).stream()
            .collect(Collectors.groupingBy(About::personId));
    if (!audience.recordEach()) {
      byPerson.replaceAll((person, theirs) -> List.of(theirs.get(0)));
    }
    return byPerson;
  }

  private List<About> all(Related kind, Long[] ids) {
    return switch (kind) {
      case QUOTE -> list(mapper.quotes(ids), AboutRecords::quote);
      case TASK -> list(mapper.tasks(ids), AboutRecords::task);
      case EVENT -> list(mapper.events(ids), AboutRecords::event);
      default -> throw new IllegalArgumentException("no mailing is about " + kind.many());
    };
  }

  private static <T> List<About> list(List<T> rows, Function<T, About> about) {
    return rows.stream().map(about).toList();
  }

  private static About quote(RecordMapper.QuoteRow q) {
    Map<String, FieldValue> fields = new HashMap<>();
    fields.put("quote.number", FieldValue.text(q.number()));
    fields.put("quote.title", FieldValue.text(q.title()));
    fields.put("quote.total", FieldValue.money(q.total(), q.currency()));
    fields.put("quote.sent_on", FieldValue.day(q.sentOn()));
    fields.put("quote.valid_until", FieldValue.day(q.validUntil()));
    return new About(q.id(), q.personId(), q.number() + " " + q.title(), fields);
  }

  private static About task(RecordMapper.TaskRow t) {
    Map<String, FieldValue> fields = new HashMap<>();
    fields.put("task.title", FieldValue.text(t.title()));
    fields.put("task.due_on", FieldValue.day(t.dueOn()));
    return new About(t.id(), t.personId(), t.title(), fields);
  }

  private static About event(RecordMapper.EventRow e) {
    Map<String, FieldValue> fields = new HashMap<>();
    fields.put("event.name", FieldValue.text(e.name()));
    fields.put("event.starts", FieldValue.moment(e.startsAt()));
    fields.put("event.place", FieldValue.text(e.place()));
    fields.put("event.link", FieldValue.text(e.link()));
    return new About(e.id(), e.personId(), e.name(), fields);
  }
}
