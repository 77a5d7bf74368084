package app.jemble.core.act;

import java.util.Locale;

/** What is done about people after something, by a rule or whatever else asks for it. */
public sealed interface Act {

  /** What is to be done, such as “task “Call” (call)”. */
  String words();

  /** What was done, as the history says it. */
  String done();

  /** Whether it changes what is on record. */
  default boolean isChange() {
    return false;
  }

  /** Another message, in the thread of the one before. */
  record Send() implements Act {
    @Override
    public String words() {
      return "another message in the thread";
    }

    @Override
    public String done() {
      return "another message";
    }
  }

  /**
   * A task for a colleague.
   *
   * @param kind call, write or to do
   * @param dueDays due so many working days later; null for no day
   * @param owner a colleague by login; null for the owner of each person
   */
  record MakeTask(String kind, String title, Integer dueDays, String owner) implements Act {
    @Override
    public String words() {
      return "task “" + title + "” (" + kind + ")";
    }

    @Override
    public String done() {
      return "the task “" + title + "”";
    }

    @Override
    public boolean isChange() {
      return true;
    }
  }

  record AddTag(String tag) implements Act {
    @Override
    public String words() {
      return "tag “" + tag + "”";
    }

    @Override
    public String done() {
      return "the tag “" + tag + "”";
    }

    @Override
    public boolean isChange() {
      return true;
    }
  }

  /**
   * A field of each person.
   *
   * @param field its name
   * @param value as people write it; empty empties it
   */
  record SetField(String field, String value) implements Act {
    @Override
    public String words() {
      return value.isBlank() ? spoken() + ": empty" : spoken() + ": " + value;
    }

    @Override
    public String done() {
      return value.isBlank() ? spoken() + " emptied" : spoken() + " set to “" + value + "”";
    }

    @Override
    public boolean isChange() {
      return true;
    }

    private String spoken() {
      return field.replace('_', ' ').replace('.', ' ').toLowerCase(Locale.ROOT);
    }
  }

  /**
   * They come into a series.
   *
   * @param series its id
   * @param name what it was called when that was said
   */
  record EnterSeries(long series, String name) implements Act {
    @Override
    public String words() {
      return "enters the series “" + name + "”";
    }

    @Override
    public String done() {
      return "let into the series “" + name + "”";
    }

    @Override
    public boolean isChange() {
      return true;
    }
  }

  /** A mail to whoever sent what it comes after. */
  record Tell() implements Act {
    @Override
    public String words() {
      return "a mail to the sender";
    }

    @Override
    public String done() {
      return "told the sender";
    }
  }
}
