package app.jemble.occasion;

import app.jemble.account.AccountService;
import app.jemble.audience.About;
import app.jemble.audience.AudienceParts;
import app.jemble.card.Cards;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.workspace.WorkspaceService;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Cards for those whose names need the most room and the least. */
@Component
class CardProofs {

  /**
   * A card as somebody would get it.
   *
   * @param name whose it is
   * @param picture a data address (RFC 2397) of a JPEG
   * @param missing fields without a value and without a fallback: nobody gets such a card
   */
  record CardProof(String name, String picture, String words, Set<String> missing) {}

  /** Where nobody knows better how many years it is. */
  private static final int SOME_YEARS = 25;

  private final Cards cards;
  private final PeopleService people;
  private final PersonValues values;
  private final AudienceParts parts;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final AskedNow asked;

  CardProofs(
      Cards cards,
      PeopleService people,
      PersonValues values,
      AudienceParts parts,
      WorkspaceService workspace,
      AccountService accounts,
      AskedNow asked) {
    this.cards = cards;
    this.people = people;
    this.values = values;
    this.parts = parts;
    this.workspace = workspace;
    this.accounts = accounts;
    this.asked = asked;
  }

  /** The longest name first; none when there is no card, or nobody. */
  List<CardProof> of(OccasionBody wanted) {
    if (wanted.card() == null) {
      return List.of();
    }
    cards.check(wanted.card());
    PersonRecord[] found = new PersonRecord[2];
    FilterBody whom = parts.any(parts.write(wanted.whom()));
    people.eachRecord(
        whom == null ? FilterBody.EVERYONE : whom,
        List.of(),
        asked.byMe(),
        person -> {
          if (found[0] == null || length(person) > length(found[0])) {
            found[0] = person;
          }
          if (found[1] == null || length(person) < length(found[1])) {
            found[1] = person;
          }
        });
    List<CardProof> proofs = new ArrayList<>();
    for (PersonRecord person : found) {
      if (person != null) {
        proofs.add(proof(wanted, person));
      }
    }
    return proofs;
  }

  private static int length(PersonRecord person) {
    return person.name() == null ? 0 : person.name().length();
  }

  private CardProof proof(OccasionBody wanted, PersonRecord person) {
    FieldCatalogue fields = workspace.fields();
    var me = accounts.current();
    About about =
        new About(
            1,
            person.id(),
            "",
            Map.of(
                "years",
                new FieldValue.Amount(BigDecimal.valueOf(SOME_YEARS)),
                "sender.name",
                FieldValue.text(me.name()),
                "workspace.name",
                FieldValue.text(workspace.current().name())));
    Values known = about.over(values.of(person, fields));
    Cards.Drawn drawn =
        cards.draw(cards.prepare(wanted.card()), known, Locale.forLanguageTag(person.language()));
    return new CardProof(
        person.name() == null ? "" : person.name(),
        "data:image/jpeg;base64," + Base64.getEncoder().encodeToString(drawn.jpeg()),
        drawn.words(),
        drawn.missing());
  }
}
