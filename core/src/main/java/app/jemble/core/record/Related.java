package app.jemble.core.record;

/** Records around a person that a filter can ask for. */
public enum Related {
  QUOTE("quote", "quotes"),
  TASK("task", "tasks"),
  EVENT("event", "events"),
  OFFICE("office", "offices"),
  MESSAGE("message", "messages");

  private final String one;
  private final String many;

  Related(String one, String many) {
    this.one = one;
    this.many = many;
  }

  /** The word for one of them: "quote". */
  public String one() {
    return one;
  }

  /** The word for several: "quotes". */
  public String many() {
    return many;
  }
}
