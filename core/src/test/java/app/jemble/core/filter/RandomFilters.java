package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Related;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Filter trees at random, over all fields, operators and records around people. */
public final class RandomFilters {

  private static final int DEEPEST = 2;

  /** Words that somebody may have in a field, or that are hard to quote. */
  private final List<String> words;

  private final FieldCatalogue people;
  private final Random random;

  public RandomFilters(FieldCatalogue people, List<String> words, long seed) {
    this.people = people;
    this.words = words;
    this.random = new Random(seed);
  }

  public Filter.Group next() {
    return group(people, 0, true);
  }

  private Filter.Group group(FieldCatalogue fields, int depth, boolean aroundPeople) {
    List<Filter> parts = new ArrayList<>();
    IntStream.range(0, random.nextInt(4)).forEach(i -> parts.add(condition(fields)));
    if (aroundPeople) {
      IntStream.range(0, random.nextInt(2)).forEach(i -> parts.add(related()));
    }
    if (depth < DEEPEST) {
      IntStream.range(0, random.nextInt(3))
          .forEach(i -> parts.add(group(fields, depth + 1, aroundPeople)));
    }
    return new Filter.Group(any(List.of(Filter.Match.values())), parts);
  }

  private Filter related() {
    Related kind = any(List.of(Related.values()));
    Filter.Group where = group(people.around(kind), 1, false);
    return random.nextInt(3) == 0
        ? new Filter.HasNo(kind, where)
        : new Filter.Has(kind, 1 + random.nextInt(2), where);
  }

  private Filter condition(FieldCatalogue fields) {
    Field field = any(fields.all(FieldUse.FILTER));
    Operator operator = any(Operator.of(field.type()));
    return new Filter.Condition(
        field, operator, Operand.read(field, operator, values(field, operator)));
  }

  private List<String> values(Field field, Operator operator) {
    return switch (operator.takes()) {
      case NOTHING -> List.of();
      case ONE -> List.of(value(field));
      case TWO -> List.of(value(field), value(field));
      case SOME -> Stream.generate(() -> word(field)).limit(1 + random.nextInt(3)).toList();
      case DAYS -> List.of(Integer.toString(random.nextInt(90)));
      case SPAN ->
          List.of(Integer.toString(random.nextInt(60)), any(List.of("days", "weeks", "months")));
      case MONTH ->
          List.of(
              random.nextBoolean()
                  ? "" + (1 + random.nextInt(12))
                  : any(List.of("last", "this", "next")));
      case PERIOD -> List.of(any(List.of(Period.values())).words());
      case STEPS ->
          List.of(
              random.nextBoolean() ? "me" : "" + (1 + random.nextInt(60)),
              "" + (1 + random.nextInt(4)));
    };
  }

  private String value(Field field) {
    return switch (field.type()) {
      case NUMBER, MONEY -> any(List.of("0", "3", "42.00", "60", "-1", "1e2", "1860"));
      case DAY, INSTANT ->
          any(List.of("2026-03-29", "2026-10-25", "2024-02-29", "2026-01-01", "1970-06-01"));
      default -> any(words);
    };
  }

  private String word(Field field) {
    if (field.type() == FieldType.TAGS) {
      return any(
          List.of(
              "slipway",
              "Racing",
              "YOUTH",
              "harbour supper",
              "no such tag",
              "or",
              "Yard news",
              "Wanted”, he said"));
    }
    if (field.type() == FieldType.REFERENCE) {
      return any(List.of("orla", "tomas", "nobody", "1", "2", "3", "[x]"));
    }
    if (field.choices().isEmpty()) {
      return any(words);
    }
    String choice = any(field.choices());
    return switch (random.nextInt(6)) {
      case 0 -> "no such choice";
      case 1 -> choice.toUpperCase(Locale.ROOT);
      default -> choice;
    };
  }

  private <T> T any(List<T> list) {
    return list.get(random.nextInt(list.size()));
  }
}
