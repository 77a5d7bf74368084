package app.jemble.outbox;

import app.jemble.storage.CopyIn;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Component;

/** Writes new messages by COPY, in the caller's transaction. */
@Component
class NewMessages {

  private final DataSource database;

  NewMessages(DataSource database) {
    this.database = database;
  }

  void write(long causeId, List<NewMessage> messages) {
    Connection connection = DataSourceUtils.getConnection(database);
    try (CopyIn copy =
        new CopyIn(
            connection,
            "public.message (cause_id, person_id, channel, address, recipient, token, frozen, "
                + "follows_id, thread_id, in_reply_to, reference_ids, record_id, due_at, "
                + "planned_at)")) {
      for (NewMessage m : messages) {
        copy.row(
            causeId,
            m.personId(),
            m.address().channel(),
            m.address().stored(),
            m.recipient(),
            m.token(),
            m.frozen(),
            m.followsId(),
            m.threadId(),
            m.thread().inReplyTo(),
            m.thread().references(),
            m.recordId(),
            m.due(),
            m.due());
      }
    } catch (SQLException e) {
      throw new UncategorizedSQLException("writing new messages", null, e);
    } finally {
      DataSourceUtils.releaseConnection(connection, database);
    }
  }
}
