package wiselarder.server.instruments;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import wiselarder.server.people.Person;

/** The table {@code instrument}. Callers have checked who asks for the plan. */
@Repository
class InstrumentRepository {
  private final JdbcClient jdbc;

  InstrumentRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** What an instrument measures. */
  enum Kind {
    PLATE,
    STATION
  }

  /** An instrument; {@code lastAt} is null where it never sent anything. */
  record Instrument(
      long id, Kind kind, String name, boolean simulated, String who, Instant lastAt) {}

  /** Whose readings come under an address. */
  record Sender(Instrument instrument, String planSlug, Person person) {}

  private static final String SELECT =
      """
      select i.id, i.kind, i.name, i.simulated, i.last_at, p.slug,
             h.id as person_id, coalesce(h.email, '') as email, h.name as who, h.runs_product
      from instrument i
      join plan p on p.id = i.plan_id
      join person h on h.id = i.person_id
      """;

  List<Instrument> ofPlan(long planId) {
    return jdbc.sql(SELECT + " where i.plan_id = :plan order by i.id")
        .param("plan", planId)
        .query(InstrumentRepository::instrument)
        .list();
  }

  Optional<Sender> sender(String hash) {
    return jdbc.sql(SELECT + " where i.secret_hash = :hash")
        .param("hash", hash)
        .query(
            (rs, n) ->
                new Sender(
                    instrument(rs, n),
                    rs.getString("slug"),
                    new Person(
                        rs.getLong("person_id"),
                        rs.getString("email"),
                        rs.getString("who"),
                        rs.getBoolean("runs_product"))))
        .optional();
  }

  void add(long planId, long personId, Kind kind, String name, boolean simulated, String hash) {
    jdbc.sql(
            """
            insert into instrument (plan_id, person_id, kind, name, simulated, secret_hash)
            values (:plan, :person, :kind, :name, :simulated, :hash)
            """)
        .param("plan", planId)
        .param("person", personId)
        .param("kind", kind.name())
        .param("name", name)
        .param("simulated", simulated)
        .param("hash", hash)
        .update();
  }

  void sent(long id) {
    jdbc.sql("update instrument set last_at = now() where id = :id").param("id", id).update();
  }

  boolean remove(long planId, long id) {
    return jdbc.sql("delete from instrument where plan_id = :plan and id = :id")
            .param("plan", planId)
            .param("id", id)
            .update()
        == 1;
  }

  private static Instrument instrument(ResultSet rs, int row) throws SQLException {
    OffsetDateTime last = rs.getObject("last_at", OffsetDateTime.class);
    return new Instrument(
        rs.getLong("id"),
        Kind.valueOf(rs.getString("kind")),
        rs.getString("name"),
        rs.getBoolean("simulated"),
        rs.getString("who"),
        last == null ? null : last.toInstant());
  }
}
