package app.jemble.problem;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;

/** Whether trouble is that the database is away, and not what was asked of it. */
public final class Away {

  public static final String SENTENCE =
      "The house's records cannot be reached at the moment. Nothing was changed; try again soon.";

  private static final int DEEPEST = 20;

  private Away() {}

  public static boolean isDatabase(Throwable trouble) {
    Throwable cause = trouble;
    for (int i = 0; i < DEEPEST && cause != null; i++) {
      if (cause instanceof DataAccessResourceFailureException
          || cause instanceof RecoverableDataAccessException
          || cause instanceof CannotCreateTransactionException
          || cause instanceof TransactionSystemException
          || cause instanceof SQLTransientConnectionException) {
        return true;
      }
      // PostgreSQL, appendix A: class 08 is the connection, 57P the server as it stops or starts.
      if (cause instanceof SQLException sql && sql.getSQLState() != null) {
        String state = sql.getSQLState();
        return state.startsWith("08") || state.startsWith("57P") || state.startsWith("53");
      }
      cause = cause.getCause();
    }
    return false;
  }
}
