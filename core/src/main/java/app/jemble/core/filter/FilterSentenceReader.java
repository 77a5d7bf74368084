package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Related;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/** Reads the sentence that {@link FilterSentence} writes, to the same tree. */
public final class FilterSentenceReader {

  private static final List<String> PRONOUNS = List.of("whose ", "who were ", "who ", "for whom ");

  private final SentenceCursor at;
  private final FieldCatalogue people;

  private FilterSentenceReader(String sentence, FieldCatalogue people) {
    this.people = people;
    this.at = new SentenceCursor(sentence);
  }

  /**
   * @throws FilterException when it is no such sentence; the message shows where it stopped making
   *     sense
   */
  public static Filter.Group read(String sentence, FieldCatalogue fields) {
    FilterSentenceReader reader = new FilterSentenceReader(sentence.strip(), fields);
    Filter.Group root = reader.sentence(fields);
    if (!reader.at.isDone()) {
      throw reader.at.lost();
    }
    return root;
  }

  private Filter.Group sentence(FieldCatalogue fields) {
    if (at.take("everyone, nothing being ruled out")) {
      return group(Filter.Match.NONE, List.of());
    }
    if (at.take("everyone")) {
      return group(Filter.Match.ALL, List.of());
    }
    if (at.take("nobody")) {
      return group(Filter.Match.ANY, List.of());
    }
    if (at.take("people ")) {
      return body(fields);
    }
    List<Filter> parts = new ArrayList<>(List.of(kinds(fields)));
    if (at.take(" ")) {
      parts.add(phrase(fields));
      while (at.take(" and ")) {
        parts.add(phrase(fields));
      }
    }
    return group(Filter.Match.ALL, parts);
  }

  private Filter kinds(FieldCatalogue fields) {
    Field kind = fields.find("kind").orElseThrow(at::lost);
    List<String> kinds = new ArrayList<>();
    do {
      kinds.add(
          kind.choices().stream().filter(k -> at.take(k + "s")).findFirst().orElseThrow(at::lost));
    } while (at.takeIf(" and ", kind.choices().stream().map(k -> k + "s").toList()));
    return new Filter.Condition(kind, Operator.ANY_OF, new Operand.Words(kinds));
  }

  /** What {@link FilterSentence} calls a body: a group without brackets of its own. */
  private Filter.Group body(FieldCatalogue fields) {
    if (at.take("with at least one of (")) {
      return close(Filter.Match.ANY, List.of(phrase(fields)));
    }
    if (at.take("with none of (")) {
      return close(Filter.Match.NONE, parts(fields).parts());
    }
    return parts(fields);
  }

  /** Phrases joined by "and" or by "or"; a single one belongs to an "all". */
  private Filter.Group parts(FieldCatalogue fields) {
    List<Filter> parts = new ArrayList<>(List.of(phrase(fields)));
    String joint = at.sees(" or ") ? " or " : " and ";
    while (at.take(joint)) {
      parts.add(phrase(fields));
    }
    boolean any = joint.equals(" or ");
    return group(any ? Filter.Match.ANY : Filter.Match.ALL, parts);
  }

  private Filter.Group close(Filter.Match match, List<Filter> parts) {
    at.need(")");
    return group(match, parts);
  }

  private Filter phrase(FieldCatalogue fields) {
    PRONOUNS.stream().anyMatch(at::take);
    Filter condition = condition(fields);
    if (condition != null) {
      return condition;
    }
    if (at.take("have no ")) {
      Related kind = kind(false);
      return new Filter.HasNo(kind, where(kind));
    }
    if (at.take("have at least ")) {
      int least = at.whole();
      at.need(" ");
      Related kind = kind(true);
      return new Filter.Has(kind, least, where(kind));
    }
    if (at.take("have an ") || at.take("have a ")) {
      Related kind = kind(false);
      return new Filter.Has(kind, 1, where(kind));
    }
    return nested(fields);
  }

  private Related kind(boolean many) {
    for (Related kind : Related.values()) {
      if (at.take(many ? kind.many() : kind.one())) {
        return kind;
      }
    }
    throw at.lost();
  }

  private Filter.Group where(Related kind) {
    FieldCatalogue around = people.around(kind);
    if (at.take(" (that cannot be)")) {
      return group(Filter.Match.ANY, List.of());
    }
    if (at.take(" (nothing being ruled out)")) {
      return group(Filter.Match.NONE, List.of());
    }
    if (!at.take(" (")) {
      return group(Filter.Match.ALL, List.of());
    }
    Filter.Group body = body(around);
    at.need(")");
    return body;
  }

  private Filter.Group nested(FieldCatalogue fields) {
    if (at.take("anything fits")) {
      return group(Filter.Match.ALL, List.of());
    }
    if (at.take("nothing fits")) {
      return group(Filter.Match.ANY, List.of());
    }
    if (at.take("nothing is ruled out")) {
      return group(Filter.Match.NONE, List.of());
    }
    for (Map.Entry<String, Filter.Match> opening :
        Map.of(
                "all of (", Filter.Match.ALL,
                "any of (", Filter.Match.ANY,
                "not (", Filter.Match.NONE)
            .entrySet()) {
      if (at.take(opening.getKey())) {
        return close(opening.getValue(), parts(fields).parts());
      }
    }
    at.need("(");
    Filter.Group inside = parts(fields);
    at.need(")");
    return inside;
  }

  /** The longest label and the longest operator that make sense of what follows; else null. */
  private Filter condition(FieldCatalogue fields) {
    List<Field> named =
        fields.all(FieldUse.FILTER).stream()
            .filter(f -> at.sees(FilterSentence.label(f) + " "))
            .sorted(Comparator.comparing(f -> -f.label().length()))
            .toList();
    int begun = at.position();
    for (Field field : named) {
      for (Operator operator : byLength(field)) {
        at.moveTo(begun);
        at.need(FilterSentence.label(field) + " ");
        Filter.Condition read = compared(field, operator);
        if (read != null) {
          return read;
        }
      }
    }
    at.moveTo(begun);
    return null;
  }

  private static List<Operator> byLength(Field field) {
    return Operator.of(field.type()).stream()
        .sorted(Comparator.comparing(o -> -(o.words() + o.after()).length()))
        .toList();
  }

  /** Null when the operator or its operand does not stand here. */
  private Filter.Condition compared(Field field, Operator operator) {
    boolean introduced = operator == Operator.INTRODUCED;
    if (!introduced && !at.take(operator.words())) {
      return null;
    }
    if (operator.takes() != Operator.Takes.NOTHING && !introduced && !at.take(" ")) {
      return null;
    }
    List<String> values = new OperandWords(at).read(field.type(), operator.takes());
    if (values == null || (!operator.after().isEmpty() && !at.take(" " + operator.after()))) {
      return null;
    }
    return at.isBetweenWords()
        ? new Filter.Condition(field, operator, Operand.read(field, operator, values))
        : null;
  }

  private static Filter.Group group(Filter.Match match, List<Filter> parts) {
    return new Filter.Group(match, parts);
  }
}
