package app.jemble.followup;

import app.jemble.core.act.Act;
import io.swagger.v3.oas.annotations.media.Schema;

/**
 * What a rule does, as it is sent and stored.
 *
 * @param taskKind of TASK: what kind of task it makes
 * @param title of TASK
 * @param dueDays of TASK: due so many working days later; null for no day
 * @param owner of TASK: a colleague by login; null for the owner of each person
 * @param tag of TAG
 * @param field of SET: the name of a field
 * @param value of SET: its value, as people write it
 * @param series of SERIES: its id
 * @param seriesName of SERIES: what it was called when that was said
 */
record RuleAct(
    Kind kind,
    @Schema(nullable = true) String taskKind,
    @Schema(nullable = true) String title,
    @Schema(nullable = true) Integer dueDays,
    @Schema(nullable = true) String owner,
    @Schema(nullable = true) String tag,
    @Schema(nullable = true) String field,
    @Schema(nullable = true) String value,
    @Schema(nullable = true) Long series,
    @Schema(nullable = true) String seriesName) {

  /** What can be done. */
  @Schema(name = "RuleActKind")
  enum Kind {
    /** another message, in the thread of the one before */
    SEND,
    TASK,
    TAG,
    SET,
    /** they come into a series */
    SERIES,
    /** a mail to the mailing's sender */
    TELL
  }

  static RuleAct of(Act act) {
    if (act instanceof Act.MakeTask task) {
      return new RuleAct(
          Kind.TASK,
          task.kind(),
          task.title(),
          task.dueDays(),
          task.owner(),
          null,
          null,
          null,
          null,
          null);
    }
    if (act instanceof Act.AddTag add) {
      return new RuleAct(Kind.TAG, null, null, null, null, add.tag(), null, null, null, null);
    }
    if (act instanceof Act.SetField set) {
      return new RuleAct(
          Kind.SET, null, null, null, null, null, set.field(), set.value(), null, null);
    }
    if (act instanceof Act.EnterSeries in) {
      return new RuleAct(
          Kind.SERIES, null, null, null, null, null, null, null, in.series(), in.name());
    }
    Kind kind = act instanceof Act.Send ? Kind.SEND : Kind.TELL;
    return new RuleAct(kind, null, null, null, null, null, null, null, null, null);
  }

  /** What it says; whether that can be done is for others to ask. */
  Act act() {
    return switch (kind) {
      case SEND -> new Act.Send();
      case TASK -> new Act.MakeTask(taskKind, title, dueDays, owner);
      case TAG -> new Act.AddTag(tag);
      case SET -> new Act.SetField(field, value == null ? "" : value.strip());
      case SERIES ->
          new Act.EnterSeries(series == null ? 0 : series, seriesName == null ? "" : seriesName);
      case TELL -> new Act.Tell();
    };
  }
}
