package app.jemble.occasion;

import app.jemble.audience.About;
import app.jemble.audience.ComingTurns;
import app.jemble.cause.Cause;
import app.jemble.core.occasion.TurnLook;
import app.jemble.core.pace.Clocks;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.departure.LastLook;
import app.jemble.occasion.OccasionMapper.TurnRow;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What others ask of days that come round: the next one, and whether its day is over. */
@Component
class OccasionTurns implements ComingTurns, LastLook {

  private static final String OVER = "its day was over before it could leave";

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
    if (of == null) {
      return Map.of();
    }
    Map<PersonId, String> zones = people.timeZones(whom);
    Instant now = clock.instant();
    return mapper.last(of.id(), whom.toArray(PersonId[]::new)).stream()
        .filter(turn -> turn.late() == 0)
        .filter(turn -> isOver(of, turn, zones.get(turn.personId()), now))
        .collect(Collectors.toMap(TurnRow::personId, turn -> OVER));
  }

  private boolean isOver(StandingMailing of, TurnRow turn, String zone, Instant now) {
    ZoneId theirs = Clocks.zone(zone, house.zone());
    return TurnLook.at(now, turn.saidOn(), of.saidAt(), theirs) == TurnLook.OVER;
  }
}
