package app.jemble.response;

import app.jemble.core.house.Kept;
import app.jemble.storage.GrowsOld;
import app.jemble.storage.Sql;
import java.time.Instant;
import org.springframework.stereotype.Component;

/**
 * What was noted with responses: that they came goes on counting, and so does which link it was.
 */
@Component
class OldResponses implements GrowsOld {

  private static final Sql NOTED =
      Sql.of("detail <> '' and kind not in ('CLICKED', 'MACHINE_CLICKED')");

  @Override
  public Kept kind() {
    return Kept.RESPONSES;
  }

  @Override
  public Sql older(Instant before) {
    return Sql.of("select count(*) from response where at < %s and %s", Sql.param(before), NOTED);
  }

  @Override
  public Sql letGo(Instant before, int most) {
    return Sql.of(
        """
        update response set detail = ''
        where id in (select id from response where at < %s and %s limit %s)""",
        Sql.param(before), NOTED, Sql.param(most));
  }
}
