package wiselarder.server.people;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What {@link Attempts} does with its table by itself. */
@Repository
class AttemptRepository {
  private final JdbcClient jdbc;

  AttemptRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  void forgetAll() {
    jdbc.sql("delete from guess_bucket").update();
  }
}
