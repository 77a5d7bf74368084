package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Related;
import app.jemble.core.record.Words;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Fields by what people call them: their labels, one or many of them, and other common words. */
final class TypedFields {

  private static final int LONGEST_LABEL = 8;

  /** Common words, from memory, for fields every house has; a house's own labels go before. */
  private static final Map<String, String> OTHERWISE =
      Map.ofEntries(
          Map.entry("visited", "last_visit"),
          Map.entry("visit", "last_visit"),
          Map.entry("last visited", "last_visit"),
          Map.entry("member since", "joined_on"),
          Map.entry("joining day", "joined_on"),
          Map.entry("renewal", "renews_on"),
          Map.entry("due for renewal", "renews_on"),
          Map.entry("born", "birthday"),
          Map.entry("dues", "dues_owed"),
          Map.entry("owes", "dues_owed"),
          Map.entry("owing", "dues_owed"),
          Map.entry("tagged", "tags"),
          Map.entry("owned by", "owner"),
          Map.entry("heard from", "last_heard"),
          Map.entry("status", "status"),
          Map.entry("town", "address.place"),
          Map.entry("city", "address.place"),
          Map.entry("lives in", "address.place"),
          Map.entry("live in", "address.place"),
          Map.entry("company", "organisation.name"),
          Map.entry("works for", "organisation.name"),
          Map.entry("called", "name"),
          Map.entry("named", "name"),
          Map.entry("mail", "email"),
          Map.entry("email", "email"),
          Map.entry("phone number", "phone"),
          Map.entry("member number", "number"),
          Map.entry("app", "app_installed"),
          Map.entry("introduced by", "introduced_by"));

  private final TypedHouse house;
  private final Map<String, Field> own;
  private final Map<Related, Map<String, Field>> byWords = new EnumMap<>(Related.class);

  TypedFields(TypedHouse house) {
    this.house = house;
    own = words(house.fields());
    own.values().removeIf(house::isKindOfPerson);
  }

  /** Takes the field that is named here; null when none is. */
  Field take(TypedCursor at, Related scope) {
    Map<String, Field> called =
        scope == null ? own : byWords.computeIfAbsent(scope, s -> words(house.fields(s)));
    return at.longest(LONGEST_LABEL, typed -> called.get(Words.fold(typed)));
  }

  private static Map<String, Field> words(FieldCatalogue fields) {
    Map<String, Field> called = new HashMap<>();
    List<Field> all = fields.all(FieldUse.FILTER);
    OTHERWISE.forEach(
        (words, name) ->
            all.stream()
                .filter(f -> f.name().equals(name))
                .findFirst()
                .ifPresent(f -> called.put(words, f)));
    all.forEach(f -> called.put(Words.fold(f.label()) + "s", f));
    all.forEach(f -> called.put(f.name(), f));
    all.forEach(f -> called.put(Words.fold(f.label()), f));
    return called;
  }
}
