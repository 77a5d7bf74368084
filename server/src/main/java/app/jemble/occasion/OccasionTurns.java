package app.jemble.occasion;

import app.jemble.audience.About;
import app.jemble.audience.ComingTurns;
import app.jemble.cause.Cause;
import app.jemble.core.occasion.TurnLook;
import app.jemble.core.pace.Clocks;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.occasion.OccasionMapper.TurnRow;
import app.jemble.outbox.LastLook;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What others ask of days that come round: the next one, and whether its day is over. */
@Component
class OccasionTurns implements ComingTurns, LastLook {

  private final OccasionMapper mapper;
  private final ComingRound coming;
  private final TurnValues values;
  private final PeopleService people;
  private final OccasionHouse house;
  private final Clock clock;

  OccasionTurns(
      OccasionMapper mapper,
      ComingRound coming,
      TurnValues values,
      PeopleService people,
      OccasionHouse house,
      Clock clock) {
    this.mapper = mapper;
    this.coming = coming;
    this.values = values;
    this.people = people;
    this.house = house;
    this.clock = clock;
  }

  @Override
  public Optional<About> next(Cause cause, PersonRecord person, Values known) {
    if (cause.kind() != Cause.Kind.OCCASION) {
      return Optional.empty();
    }
    StandingMailing of = mapper.ofCause(cause.id());
    return coming
        .next(of, person, house.today())
        .map(
            turn ->
                values.about(
                    values.ready(of),
                    person.id(),
                    turn.day().getYear(),
                    turn.years(),
                    known,
                    Locale.forLanguageTag(person.language())));
  }

  /** A word on somebody's day does not leave on another, unless a colleague sends it late. */
  @Override
  public Map<PersonId, String> notTo(long causeId, List<PersonId> whom) {
    StandingMailing of = mapper.ofCause(causeId);
    Map<PersonId, String> not = new HashMap<>();
    if (of == null) {
      return not;
    }
    Map<PersonId, String> zones = people.timeZones(whom);
    for (PersonId person : whom) {
      TurnRow turn = mapper.sentLast(of.id(), person);
      boolean over =
          turn != null
              && TurnLook.at(
                      clock.instant(),
                      turn.saidOn(),
                      of.saidAt(),
                      Clocks.zone(zones.get(person), house.zone()))
                  == TurnLook.OVER;
      if (over) {
        mapper.turn(new Long[] {turn.id()}, "MISSED", "it could not leave before the day was over");
        not.put(person, "its day is over; it waits under days to remember");
      }
    }
    return not;
  }
}
