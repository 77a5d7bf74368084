package app.jemble.inbound;

import app.jemble.core.house.Kept;
import app.jemble.storage.GrowsOld;
import app.jemble.storage.Sql;
import java.time.Instant;
import org.springframework.stereotype.Component;

/**
 * Mails and texts that came: that they did goes on counting, and they do not come a second time.
 */
@Component
class OldMails implements GrowsOld {

  private static final Sql THERE = Sql.of("(mime <> '' or words <> '')");

  @Override
  public Kept kind() {
    return Kept.MAILS;
  }

  @Override
  public Sql older(Instant before) {
    return Sql.of(
        "select count(*) from inbound_mail where received_at < %s and %s",
        Sql.param(before), THERE);
  }

  @Override
  public Sql letGo(Instant before, int most) {
    return Sql.of(
        """
        update inbound_mail
        set sender = '', subject = '', words = '', authentication = '', trouble = '', mime = '',
            placed_at = coalesce(placed_at, received_at)
        where id in (select id from inbound_mail where received_at < %s and %s limit %s)""",
        Sql.param(before), THERE, Sql.param(most));
  }
}
