package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.Related;
import java.util.List;
import java.util.Objects;

/** Conditions that pick people: a tree of groups and conditions. */
public sealed interface Filter {

  /** No condition: everyone. */
  Filter EVERYONE = new Group(Match.ALL, List.of());

  /** How the parts of a group hold together. */
  enum Match {
    ALL,
    ANY,
    NONE
  }

  /**
   * Several parts. With no part, ALL and NONE hold for everyone and ANY holds for nobody.
   *
   * @param match how the parts hold together
   * @param parts the parts, in the order in which they are read
   */
  record Group(Match match, List<Filter> parts) implements Filter {
    public Group {
      Objects.requireNonNull(match);
      parts = List.copyOf(parts);
    }
  }

  /**
   * One comparison.
   *
   * @param field a field that filters may use
   * @param operator an operator that suits the field's type
   * @param operand what the operator takes
   */
  record Condition(Field field, Operator operator, Operand operand) implements Filter {
    public Condition {
      if (!operator.suits(field.type())) {
        throw new FilterException(
            field.name(), field.label() + " cannot be compared with “" + operator.words() + "”.");
      }
      Objects.requireNonNull(operand);
    }
  }

  /**
   * Has records of a kind around it.
   *
   * @param kind which records
   * @param atLeast how many of them, 1 or more
   * @param where what each of those must hold; a group without parts takes any
   */
  record Has(Related kind, int atLeast, Group where) implements Filter {

    /** More than this nobody asks for, and each costs time. */
    public static final int MOST = 1000;

    public Has {
      Objects.requireNonNull(kind);
      Objects.requireNonNull(where);
      if (atLeast < 1 || atLeast > MOST) {
        throw new FilterException(
            kind.name(), "Ask for at least 1 and at most " + MOST + " " + kind.many() + ".");
      }
    }
  }

  /**
   * Has no such record around it.
   *
   * @param kind which records
   * @param where what none of them may hold; a group without parts stands for any
   */
  record HasNo(Related kind, Group where) implements Filter {
    public HasNo {
      Objects.requireNonNull(kind);
      Objects.requireNonNull(where);
    }
  }
}
