package app.jemble.occasion;

import app.jemble.audience.AudienceParts;
import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.Filter;
import app.jemble.core.filter.Operator;
import app.jemble.core.occasion.Occasion;
import app.jemble.core.occasion.Occasion.Turn;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.filter.FilterBody;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.workspace.WorkspaceService;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** To whom a day comes round, and when. */
@Component
class ComingRound {

  private final PeopleService people;
  private final PersonValues values;
  private final AudienceParts parts;
  private final WorkspaceService workspace;

  ComingRound(
      PeopleService people, PersonValues values, AudienceParts parts, WorkspaceService workspace) {
    this.people = people;
    this.values = values;
    this.parts = parts;
    this.workspace = workspace;
  }

  /** By person, what is said from one day to another, both included. */
  Map<PersonId, Turn> between(StandingMailing of, LocalDate from, LocalDate to, AsOf asOf) {
    FieldCatalogue fields = workspace.fields();
    Occasion occasion = of.occasion();
    Map<PersonId, Turn> turns = new LinkedHashMap<>();
    people.eachRecord(
        whom(of, from, to),
        List.of(),
        asOf,
        person ->
            day(of, person, fields)
                .flatMap(first -> occasion.next(first, from))
                .filter(turn -> !turn.said().isAfter(to))
                .ifPresent(turn -> turns.put(person.id(), turn)));
    return turns;
  }

  /** The next time for somebody, on a day or after it. */
  Optional<Turn> next(StandingMailing of, PersonRecord person, LocalDate from) {
    return day(of, person, workspace.fields()).flatMap(first -> of.occasion().next(first, from));
  }

  /** Whether it is still said to people, now that it is to be said. */
  final class Today {
    private final StandingMailing of;
    private final Occasion occasion;
    private final FieldCatalogue fields = workspace.fields();

    private Today(StandingMailing of) {
      this.of = of;
      this.occasion = of.occasion();
    }

    boolean isSaid(PersonRecord person, LocalDate said) {
      return day(of, person, fields).flatMap(first -> occasion.saidOn(first, said)).isPresent();
    }
  }

  Today today(StandingMailing of) {
    return new Today(of);
  }

  private Optional<LocalDate> day(StandingMailing of, PersonRecord p, FieldCatalogue fields) {
    return values.of(p, fields).get(of.field()) instanceof FieldValue.Day day
        ? Optional.of(day.day())
        : Optional.empty();
  }

  /** Few have their day in such a week: where the database can find them, it does. */
  private FilterBody whom(StandingMailing of, LocalDate from, LocalDate to) {
    FilterBody meant = parts.any(of.whom());
    FilterBody everyone = meant == null ? FilterBody.EVERYONE : meant;
    if (of.offsetDays() > 0 || of.kind() != Occasion.Kind.YEARLY) {
      return everyone;
    }
    long ahead = to.toEpochDay() - from.toEpochDay() - of.offsetDays() + 1;
    FilterBody near =
        FilterBody.all(
            List.of(
                new FilterBody.ConditionBody(
                    of.field(), Operator.COMES_ROUND, List.of(String.valueOf(ahead)))));
    return new FilterBody(Filter.Match.ALL, List.of(), List.of(), List.of(everyone, near));
  }
}
