package app.jemble.occasion;

import app.jemble.audience.About;
import app.jemble.card.CardBody;
import app.jemble.card.Cards;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** What a turn gives to merge fields: how many years, and the card drawn for its person. */
@Component
class TurnValues {

  private final Cards cards;
  private final OccasionHouse house;
  private final ObjectMapper json;

  TurnValues(Cards cards, OccasionHouse house, ObjectMapper json) {
    this.cards = cards;
    this.house = house;
    this.json = json;
  }

  CardBody card(StandingMailing of) {
    return of.card() == null ? null : json.readValue(of.card(), CardBody.class);
  }

  String write(CardBody card) {
    return card == null ? null : json.writeValueAsString(card);
  }

  /**
   * A standing mailing about to be said to some.
   *
   * @param card read once; null for none
   * @param by the id of its sender
   */
  record Ready(Cards.Prepared card, long by) {}

  Ready ready(StandingMailing of) {
    CardBody card = card(of);
    return new Ready(card == null ? null : cards.prepare(card), house.sender(of).id());
  }

  /**
   * @param year of the day; the number of the turn
   * @param values of the person, with those of the sender and the house
   */
  About about(Ready ready, PersonId person, int year, int years, Values values, Locale language) {
    Map<String, FieldValue> fields = new HashMap<>();
    if (years > 0) {
      fields.put("years", new FieldValue.Amount(BigDecimal.valueOf(years)));
    }
    if (ready.card() != null) {
      Values known = new About(year, person, "", Map.copyOf(fields)).over(values);
      fields.putAll(cards.fields(ready.card(), known, language, ready.by()));
    }
    return new About(year, person, "", fields);
  }
}
