package app.jemble.filter;

import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A record as a list shows it.
 *
 * @param id of the record
 * @param personId whose it is; a person's own id in a list of people
 * @param name the person's
 * @param reach the person's
 * @param key what it is sorted by, to ask for those who come after
 * @param cells the fields that were asked for, as text; null where there is no value
 */
public record ListRow(
    long id,
    @Schema(nullable = true) PersonId personId,
    @Schema(nullable = true) String name,
    @Schema(nullable = true) Reach reach,
    @Schema(nullable = true) String key,
    @ArraySchema(schema = @Schema(nullable = true)) List<String> cells) {}
