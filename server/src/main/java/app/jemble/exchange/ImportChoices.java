package app.jemble.exchange;

import app.jemble.core.record.DayOrder;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What was chosen for an import.
 *
 * @param columns the name of the field that each column is; null for a column that stays out
 * @param sameBy how a row is found to be somebody already on record
 * @param kind the kind of people who are new, where no column says it
 * @param days in which order days are written in digits
 * @param list the list they are all put on, or null
 * @param series the series they all come into, or null
 */
@Schema(name = "ImportChoices")
record ImportChoices(
    @ArraySchema(schema = @Schema(nullable = true)) @JsonSetter(contentNulls = Nulls.SET)
        List<String> columns,
    SameBy sameBy,
    String kind,
    DayOrder days,
    @Schema(nullable = true) Long list,
    @Schema(nullable = true) Long series) {

  /** By what two records are the same person. */
  enum SameBy {
    EMAIL,
    NUMBER,
    NAME_AND_POSTCODE
  }
}
