package app.jemble.core.check;

import app.jemble.core.record.PersonId;
import java.util.List;

/**
 * Something the check before release found.
 *
 * @param severity whether it stops the release
 * @param code what it is, for programs
 * @param about the field or the text it is about; empty when it is about the whole mailing
 * @param sentence what is wrong and what mends it, for people
 * @param people whom it is about, in audience order; empty when it is not about single people
 */
public record Finding(
    Severity severity, Code code, String about, String sentence, List<PersonId> people) {
  public Finding {
    people = List.copyOf(people);
  }

  /** A blocker stops the release; a notice wants a look. */
  public enum Severity {
    BLOCKER,
    NOTICE
  }

  /** What was found. */
  public enum Code {
    NOBODY,
    TOO_MANY,
    EMPTY_SUBJECT,
    EMPTY_BODY,
    TEMPLATE_ERROR,
    BLANK_LEFT,
    START_PAST,
    PLAN_NEVER,
    DEADLINE_MISSED,
    FILES_TOO_LARGE,
    SENDER_NOT_ALLOWED,
    NEEDS_NOD,
    LINK_NOT_ALLOWED,
    VALUE_MISSING,
    NAME_CAPITALS,
    NAME_LOWER_CASE,
    NAME_ODD,
    NAME_OF_ORGANISATION,
    DOMAIN_MISTYPED,
    NO_TIME_ZONE,
    WRITTEN_LATELY,
    IN_ANOTHER_MAILING,
    OWN_WORDING_OLD,
    LONG_SUBJECT,
    PICTURE_WITHOUT_TEXT,
    ODD_LINK,
    /** a way is chosen that the house cannot go */
    NO_SERVICE,
    EMPTY_TEXT,
    OVER_ALLOWANCE,
    LARGER_ALPHABET,
    LONG_TEXT,
    NO_PRICE,
    EMPTY_NOTICE,
    EMPTY_PAPER,
    LONG_NOTICE,
    /** a letter on paper has more pages than most */
    LONG_LETTER,
    /** an address does not fit the window of its envelope */
    ADDRESS_TOO_LONG,
    /** characters that no font can print */
    NO_GLYPH
  }
}
