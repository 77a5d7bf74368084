package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Related;
import app.jemble.core.record.Words;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A filter as people type what they seek: "members last visit before may", "in list Choir or list
 * Board", "plan full not lapsed", "accepted quotes total over 500". The sentence that {@link
 * FilterSentence} writes is read to its very tree; other words are read as far as they make sense,
 * and what does not is said.
 *
 * @param filter what was made out; everyone when nothing was
 * @param unknown the words nothing could be made of, in their order
 */
public record TypedFilter(Filter.Group filter, List<String> unknown) {

  private static final int LONGEST = 500;

  public TypedFilter {
    unknown = List.copyOf(unknown);
  }

  /** Reads what was typed. */
  public static TypedFilter read(String typed, TypedHouse house) {
    String text = Words.tidy(typed);
    if (text.length() > LONGEST) {
      throw new FilterException("", "What you seek is typed in at most " + LONGEST + " letters.");
    }
    return sentence(text, house)
        .map(filter -> new TypedFilter(filter, List.of()))
        .orElseGet(() -> new Reader(text, house).read());
  }

  private static Optional<Filter.Group> sentence(String text, TypedHouse house) {
    try {
      return house.isOfPeople()
          ? Optional.of(FilterSentenceReader.read(text, house.fields()))
          : Optional.empty();
    } catch (FilterException otherwise) {
      return Optional.empty();
    }
  }

  /** Reads word by word. */
  private static final class Reader {

    /** Words between conditions that change nothing. */
    private static final List<String> BETWEEN =
        List.of(
            ",",
            "and",
            "but",
            "whose",
            "who",
            "where",
            "that",
            "which",
            "the",
            "in",
            "on",
            "of",
            "a",
            "an",
            "is",
            "are",
            "were",
            "was",
            "all",
            "show",
            "for",
            "people",
            "everyone",
            "from",
            "at");

    private static final List<String> HAVING = List.of("with", "have", "has", "having");
    private static final List<String> NOT =
        List.of("not", "without", "no", "except", "excluding", "have no", "has no", "but not");
    private static final List<String> JOINING = List.of("in the", "in", "on the", "on", "a", "an");
    private static final List<String> MINE = List.of("mine", "my own", "my");

    private final TypedCursor at;
    private final TypedHouse house;
    private final TypedFields fields;
    private final TypedCondition conditions;
    private final List<String> unknown = new ArrayList<>();

    /** Runs of conditions that all hold; any of the runs is enough. */
    private final List<List<Filter>> runs = new ArrayList<>(List.of(new ArrayList<>()));

    private final List<Filter.Condition> kinds = new ArrayList<>();

    /** Of which records something is being said; null for what is sought itself. */
    private Related scope;

    Reader(String text, TypedHouse house) {
      this.at = new TypedCursor(text);
      this.house = house;
      this.fields = new TypedFields(house);
      this.conditions = new TypedCondition(at, house, this::begins);
    }

    TypedFilter read() {
      int lost = -1;
      while (!at.isDone()) {
        int begun = at.position();
        if (next()) {
          lost = said(lost, begun);
        } else {
          at.moveTo(begun + 1);
          lost = lost < 0 ? begun : lost;
        }
      }
      said(lost, at.position());
      return new TypedFilter(whole(), unknown);
    }

    /** Notes the words that were lost up to here; -1, since none are now. */
    private int said(int lost, int until) {
      if (lost >= 0) {
        unknown.add(at.between(lost, until));
      }
      return -1;
    }

    /** Reads on by one thing; false, when nothing can be made of the word here. */
    private boolean next() {
      if (at.take("or")) {
        startRun();
        return true;
      }
      if (isSubject() || at.takeAny(BETWEEN)) {
        return true;
      }
      int begun = at.position();
      boolean not = not();
      boolean having = !not && at.takeAny(HAVING);
      if (kind(not) || part(not, having)) {
        return true;
      }
      at.moveTo(begun);
      return having && at.takeAny(HAVING);
    }

    /** "not in list Choir": what joins a field to the rest of the sentence goes with it. */
    private boolean not() {
      boolean not = at.takeAny(NOT);
      return not && (at.takeAny(JOINING) || not);
    }

    private boolean isSubject() {
      return house.subject() != null
          && (at.take(house.subject().many()) || at.take(house.subject().one()));
    }

    private void startRun() {
      if (!runs.get(runs.size() - 1).isEmpty()) {
        runs.add(new ArrayList<>());
      }
    }

    private boolean kind(boolean not) {
      Field kind = house.isOfPeople() ? house.fields().find("kind").orElseThrow() : null;
      String typed = kind == null ? null : at.longest(1, word -> singular(kind, word));
      if (typed == null) {
        return false;
      }
      Operator operator = not ? Operator.NONE_OF : Operator.ANY_OF;
      List<String> all = new ArrayList<>();
      kinds.stream()
          .filter(before -> before.operator() == operator)
          .findFirst()
          .ifPresent(
              before -> {
                kinds.remove(before);
                all.addAll(((Operand.Words) before.operand()).words());
              });
      if (!all.contains(typed)) {
        all.add(typed);
      }
      kinds.add(new Filter.Condition(kind, operator, new Operand.Words(all)));
      return true;
    }

    private boolean isKind(TypedCursor cursor) {
      return house.isOfPeople()
          && !cursor.isDone()
          && singular(house.fields().find("kind").orElseThrow(), cursor.here().raw()) != null;
    }

    private static String singular(Field kind, String word) {
      String folded = Words.fold(word);
      return kind.choices().stream()
          .filter(k -> folded.equals(k) || folded.equals(k + "s"))
          .findFirst()
          .orElse(null);
    }

    private boolean part(boolean not, boolean having) {
      if (house.isOfPeople() && related(not)) {
        return true;
      }
      Filter read = condition(null, having, not);
      if (read == null) {
        read = kept();
      }
      if (read == null) {
        return false;
      }
      add(not && !isAbsence(read) ? negated(read) : read);
      return true;
    }

    private void add(Filter filter) {
      runs.get(runs.size() - 1).add(filter);
    }

    /** A bare field after "no" was read as one that is empty. */
    private static boolean isAbsence(Filter filter) {
      return filter instanceof Filter.Condition c && c.operator() == Operator.EMPTY;
    }

    /** "no quotes", "at least 2 quotes total over 500", "accepted quotes", "an open task". */
    private boolean related(boolean not) {
      int begun = at.position();
      at.takeAny(List.of("a", "an"));
      Integer least = at.take("at least") ? at.longest(1, Reader::few) : Integer.valueOf(1);
      Related kind = least == null ? null : relatedHere();
      List<Filter> where = new ArrayList<>();
      if (kind == null && least != null) {
        kind = adjective(where);
      }
      if (kind == null) {
        at.moveTo(begun);
        return false;
      }
      scope = kind;
      where(kind, where);
      scope = null;
      Filter.Group all = new Filter.Group(Filter.Match.ALL, where);
      add(not ? new Filter.HasNo(kind, all) : new Filter.Has(kind, least, all));
      return true;
    }

    private static Integer few(String word) {
      return word.matches("[1-9]\\d{0,2}") ? Integer.valueOf(word) : null;
    }

    private Related relatedHere() {
      for (Related kind : Related.values()) {
        if (at.take(kind.many()) || at.take(kind.one())) {
          return kind;
        }
      }
      return null;
    }

    /** "open quotes": a choice of a record's, said before the record. */
    private Related adjective(List<Filter> where) {
      int begun = at.position();
      for (Related kind : Related.values()) {
        Filter choice = bareChoice(kind);
        if (choice != null && (at.take(kind.many()) || at.take(kind.one()))) {
          where.add(choice);
          return kind;
        }
        at.moveTo(begun);
      }
      return null;
    }

    /** What is asked of records, until something is said of their people. */
    private void where(Related kind, List<Filter> where) {
      while (!at.isDone()) {
        int begun = at.position();
        at.takeAny(BETWEEN);
        boolean not = not();
        boolean having = !not && at.takeAny(HAVING);
        Filter read = condition(kind, having, not);
        if (read == null) {
          at.moveTo(begun);
          return;
        }
        where.add(not && !isAbsence(read) ? negated(read) : read);
      }
    }

    /** A condition on a field that is named, or a value that says its field itself. */
    private Filter condition(Related scope, boolean having, boolean not) {
      int begun = at.position();
      Field field = fields.take(at, scope);
      if (field != null) {
        Filter read = conditions.read(field);
        if (read == null) {
          read = bare(field, having, not);
        }
        if (read != null) {
          return read;
        }
        at.moveTo(begun);
      }
      Filter choice = bareChoice(scope);
      return choice == null ? numbered(scope) : choice;
    }

    /** A field alone: a flag is set, a sum is owed; after "with" and "no" whether it is there. */
    private static Filter bare(Field field, boolean having, boolean not) {
      if (field.type() == FieldType.FLAG) {
        return TypedCondition.bare(field, Operator.YES);
      }
      boolean owed = field.type() == FieldType.MONEY;
      if (owed && !not) {
        return new Filter.Condition(
            field, Operator.MORE, new Operand.Numbers(BigDecimal.ZERO, BigDecimal.ZERO));
      }
      return having || not
          ? TypedCondition.bare(field, not ? Operator.EMPTY : Operator.FILLED)
          : null;
    }

    /** "lapsed", "mine", the name of a list: a value that only one field has. */
    private Filter bareChoice(Related scope) {
      Optional<Field> owner = house.fields(scope).find("owner");
      if (owner.isPresent() && at.takeAny(MINE)) {
        return TypedCondition.bare(owner.get(), Operator.IS_ME);
      }
      int begun = at.position();
      Filter.Condition found = null;
      int end = begun;
      for (Field field : house.fields(scope).all(FieldUse.FILTER)) {
        at.moveTo(begun);
        Filter.Condition read = isNamed(field) ? conditions.value(field) : null;
        if (read != null && at.position() > end) {
          found = read;
          end = at.position();
        }
      }
      at.moveTo(found == null ? begun : end);
      return found;
    }

    private boolean isNamed(Field field) {
      return !house.isKindOfPerson(field) && !house.named(field).isEmpty();
    }

    private Filter numbered(Related scope) {
      return house.fields(scope).find("number").<Filter>map(conditions::numbered).orElse(null);
    }

    /** The name of a kept filter stands for what it holds. */
    private Filter kept() {
      return at.longest(
          TypedCondition.LONGEST_NAME,
          typed ->
              house.kept().stream()
                  .filter(k -> Words.fold(k.name()).equals(Words.fold(typed)))
                  .findFirst()
                  .map(TypedHouse.Kept::filter)
                  .orElse(null));
    }

    private static Filter negated(Filter filter) {
      if (filter instanceof Filter.Condition c) {
        Operator other = opposite(c.operator());
        if (other != null) {
          return new Filter.Condition(c.field(), other, c.operand());
        }
      }
      return new Filter.Group(Filter.Match.NONE, List.of(filter));
    }

    private static Operator opposite(Operator operator) {
      return switch (operator) {
        case ANY_OF -> Operator.NONE_OF;
        case HAS_ANY -> Operator.HAS_NONE;
        case YES -> Operator.NO;
        case IS -> Operator.IS_NOT;
        case EQUALS -> Operator.DIFFERS;
        default -> null;
      };
    }

    /** Whether a value ends before what stands here. */
    private boolean begins(TypedCursor cursor) {
      int begun = cursor.position();
      boolean ends =
          cursor.takeAny(List.of(",", ";", "(", ")", "and", "or", "whose", "who"))
              || cursor.takeAny(NOT)
              || cursor.takeAny(HAVING)
              || isKind(cursor)
              || (scope != null && fields.take(cursor, scope) != null)
              || fields.take(cursor, null) != null;
      cursor.moveTo(begun);
      return ends;
    }

    /** The kinds, and any of the runs. */
    private Filter.Group whole() {
      runs.removeIf(List::isEmpty);
      List<Filter> parts = new ArrayList<>(kinds);
      if (runs.size() == 1) {
        parts.addAll(runs.get(0));
      } else if (runs.size() > 1) {
        List<Filter> any =
            runs.stream()
                .map(r -> r.size() == 1 ? r.get(0) : new Filter.Group(Filter.Match.ALL, r))
                .toList();
        if (parts.isEmpty()) {
          return new Filter.Group(Filter.Match.ANY, any);
        }
        parts.add(new Filter.Group(Filter.Match.ANY, any));
      }
      if (parts.size() == 1 && parts.get(0) instanceof Filter.Group only) {
        return only;
      }
      return new Filter.Group(Filter.Match.ALL, parts);
    }
  }
}
