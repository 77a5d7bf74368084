package app.jemble.followup;

import io.swagger.v3.oas.annotations.media.Schema;

/**
 * What a rule does.
 *
 * @param taskKind of TASK: call, write or to do
 * @param title of TASK
 * @param dueDays of TASK: due so many working days later; null for no day
 * @param owner of TASK: a colleague by login; null for the owner of each person
 * @param tag of TAG
 * @param field of SET: the name of a field
 * @param value of SET: its value, as people write it
 */
record RuleAct(
    Kind kind,
    @Schema(nullable = true) String taskKind,
    @Schema(nullable = true) String title,
    @Schema(nullable = true) Integer dueDays,
    @Schema(nullable = true) String owner,
    @Schema(nullable = true) String tag,
    @Schema(nullable = true) String field,
    @Schema(nullable = true) String value) {

  /** What can be done. */
  @Schema(name = "RuleActKind")
  enum Kind {
    /** another message, in the thread of the one before */
    SEND,
    TASK,
    TAG,
    SET,
    /** a mail to the mailing's sender */
    TELL
  }
}
