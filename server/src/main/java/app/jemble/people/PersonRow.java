package app.jemble.people;

import app.jemble.core.reach.Reach;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;

/** A person as the list shows them. */
public record PersonRow(
    long id,
    String name,
    String nameKey,
    String kind,
    @Schema(nullable = true) String plan,
    @Schema(nullable = true) LocalDate joinedOn,
    @Schema(nullable = true) Instant lastVisitAt,
    @Schema(nullable = true) String place,
    @Schema(nullable = true) String owner,
    Reach reach,
    @Schema(nullable = true) String heardKind,
    @Schema(nullable = true) Instant heardAt) {}
