package wiselarder.server.watch;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionSystemException;
import wiselarder.server.problem.ServerReason;

/** Faults of the database that are nobody's mistake, in plain words. */
record DatabaseTrouble(HttpStatus status, ServerReason reason) {
  private static final String DISK_FULL = "53100";

  /** What the pool says of a connection that broke before; it gives no state. */
  private static final String POOL_CLOSED = "Connection is closed";

  private static final String TOO_MANY_CONNECTIONS = "53300";

  /** What a fault comes from, where it is the database that is gone, ending, or out of room. */
  static Optional<DatabaseTrouble> of(Throwable fault) {
    for (Throwable t = fault; t != null; t = t.getCause()) {
      if (t instanceof TransactionSystemException e && e.getApplicationException() != null) {
        return of(e.getApplicationException()); // which could not be rolled back either
      }
      if (t instanceof SQLTransientConnectionException) {
        return down();
      }
      if (t instanceof SQLException e && POOL_CLOSED.equals(e.getMessage())) {
        return down();
      }
      if (t instanceof SQLException e && e.getSQLState() != null) {
        String state = e.getSQLState();
        if (state.equals(DISK_FULL)) {
          return Optional.of(
              new DatabaseTrouble(HttpStatus.INSUFFICIENT_STORAGE, ServerReason.DISK_FULL));
        }
        // 08: the connection; 57P: the database is ending or starting
        if (state.startsWith("08")
            || state.startsWith("57P")
            || state.equals(TOO_MANY_CONNECTIONS)) {
          return down();
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<DatabaseTrouble> down() {
    return Optional.of(
        new DatabaseTrouble(HttpStatus.SERVICE_UNAVAILABLE, ServerReason.DATABASE_DOWN));
  }
}
