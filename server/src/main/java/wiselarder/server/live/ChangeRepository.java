package wiselarder.server.live;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.stereotype.Component;

/** Changes as PostgreSQL tells them, of this and of every other instance on the same database. */
@Component
class ChangeRepository {
  /** How long a call waits before it looks whether it is still wanted, ms. */
  private static final int LOOK_UP_MS = 1000;

  private final DataSource source;

  ChangeRepository(DataSource source) {
    this.source = source;
  }

  /**
   * Listens on a connection of its own until it is no longer wanted.
   *
   * @param began called once it listens: what is stored from now on will be told
   * @param between called about once a second
   * @throws DataAccessResourceFailureException when the connection is lost
   */
  void listen(BooleanSupplier wanted, Runnable began, Consumer<Change> change, Runnable between) {
    try (Connection connection = source.getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute("listen " + channel(connection));
      try {
        PGConnection there = connection.unwrap(PGConnection.class);
        began.run();
        while (wanted.getAsBoolean()) {
          PGNotification[] told = there.getNotifications(LOOK_UP_MS);
          if (told != null) {
            for (PGNotification one : told) {
              change.accept(Change.read(one.getParameter()));
            }
          }
          between.run();
        }
      } finally {
        // the pool may give it to somebody else
        statement.execute("unlisten *");
      }
    } catch (SQLException e) {
      throw new DataAccessResourceFailureException("not listening", e);
    }
  }

  private static String channel(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet row =
            statement.executeQuery("select quote_ident('larder_' || current_schema())")) {
      row.next();
      return row.getString(1);
    }
  }
}
