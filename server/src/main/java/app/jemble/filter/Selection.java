package app.jemble.filter;

import app.jemble.core.reach.Reach;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * Records that are meant, as the screens say it.
 *
 * @param filter what they must hold
 * @param reach only people of this reach; null for all
 * @param picks only these; null for all
 * @param leftOut without these; null for none
 * @param archived people who were put away, instead of the others
 */
@Schema(name = "Selection")
public record Selection(
    FilterBody filter,
    @Schema(nullable = true) Reach reach,
    @Schema(nullable = true) List<Long> picks,
    @Schema(nullable = true) List<Long> leftOut,
    @Schema(nullable = true) Boolean archived) {

  public ListService.Which which() {
    return new ListService.Which(reach, picks, leftOut, Boolean.TRUE.equals(archived));
  }
}
