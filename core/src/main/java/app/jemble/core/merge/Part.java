package app.jemble.core.merge;

import java.util.List;
import java.util.Optional;

/** A piece of a parsed template. */
public sealed interface Part {

  /** Text that is the same for everyone. */
  record Fixed(String text) implements Part {}

  /**
   * A merge field.
   *
   * @param sources what is tried, first to last: the first that has a value is shown
   * @param format how a value is shown
   * @param place where it stands
   * @param position where it was written
   */
  record MergeField(List<Source> sources, Optional<Format> format, Place place, Position position)
      implements Part {
    public MergeField {
      sources = List.copyOf(sources);
    }
  }

  /**
   * A passage that shows only when the field has a value, or (inverted) only when it has none.
   *
   * @param field the field's name
   * @param inverted whether it shows when there is no value
   * @param parts what is inside
   * @param position where it was opened
   */
  record Section(String field, boolean inverted, List<Part> parts, Position position)
      implements Part {
    public Section {
      parts = List.copyOf(parts);
    }
  }

  /**
   * Another text that is put in here, such as the sender's signature.
   *
   * @param name what it is put in by
   * @param parts that text's own pieces
   */
  record Partial(String name, List<Part> parts) implements Part {
    public Partial {
      parts = List.copyOf(parts);
    }
  }

  /** A note for writers; prints nothing. */
  record Note(String text) implements Part {}

  /** One of the things a merge field tries. */
  sealed interface Source {}

  /** The value of a field. */
  record FieldSource(String name) implements Source {}

  /** The fallback: a text that always has a value. */
  record Fallback(String text) implements Source {}

  /** How a value is shown. */
  sealed interface Format {}

  /** {@code as "d MMMM yyyy"}: a pattern of java.time.format.DateTimeFormatter. */
  record DatePattern(String pattern) implements Format {}

  /** {@code as money}, {@code as capitals}. */
  enum NamedFormat implements Format {
    MONEY,
    CAPITALS
  }
}
