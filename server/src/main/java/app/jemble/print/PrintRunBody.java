package app.jemble.print;

import app.jemble.audience.AudienceParts;
import app.jemble.core.record.PersonId;
import app.jemble.print.sheet.DesignBody;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;

/**
 * What a colleague changed of a print run.
 *
 * @param version that they saw
 * @param start the first label that is still on the first page, from 0
 */
record PrintRunBody(
    int version,
    @NotNull String name,
    @NotNull List<AudienceParts.Part> parts,
    @NotNull List<PersonId> picks,
    @NotNull List<PersonId> leftOut,
    @NotNull @Valid DesignBody design,
    int start,
    int copies,
    double offsetAcross,
    double offsetDown) {}
