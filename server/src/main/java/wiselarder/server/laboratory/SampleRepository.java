package wiselarder.server.laboratory;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code feed_sample}. Callers have checked who asks for the plan. */
@Repository
class SampleRepository {
  private static final String COLUMNS =
      "slug, lot_id, lot_name, lot_json, sampled_on, due_at, due_at <= now() as due, taken";

  private final JdbcClient jdbc;

  SampleRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** One sample; {@code lotJson} is its lot as it stood when it was sent. */
  record Row(
      String slug,
      String lotId,
      String lotName,
      String lotJson,
      LocalDate sampledOn,
      Instant dueAt,
      boolean due,
      boolean taken) {}

  /** Every sample of a plan, newest first. */
  List<Row> ofPlan(long planId) {
    return jdbc.sql(
            "select "
                + COLUMNS
                + """
                 from feed_sample where plan_id = :plan order by id desc
                """)
        .param("plan", planId)
        .query((ResultSet rs, int n) -> row(rs))
        .list();
  }

  Optional<Row> find(long planId, String slug) {
    return jdbc.sql(
            "select "
                + COLUMNS
                + """
                 from feed_sample where plan_id = :plan and slug = :slug
                """)
        .param("plan", planId)
        .param("slug", slug)
        .query((ResultSet rs, int n) -> row(rs))
        .optional();
  }

  int countOpen(long planId) {
    return jdbc.sql("select count(*) from feed_sample where plan_id = :plan and not taken")
        .param("plan", planId)
        .query(Integer.class)
        .single();
  }

  void insert(
      long planId,
      String slug,
      String lotId,
      String lotName,
      String lotJson,
      LocalDate sampledOn,
      Duration turnaround) {
    jdbc.sql(
            """
            insert into feed_sample
              (plan_id, slug, lot_id, lot_name, lot_json, sampled_on, due_at)
            values
              (:plan, :slug, :lot, :name, :json::jsonb, :sampled,
               now() + make_interval(secs => :seconds))
            """)
        .param("plan", planId)
        .param("slug", slug)
        .param("lot", lotId)
        .param("name", lotName)
        .param("json", lotJson)
        .param("sampled", sampledOn)
        .param("seconds", (double) turnaround.toSeconds())
        .update();
  }

  void markTaken(long planId, String slug) {
    jdbc.sql("update feed_sample set taken = true where plan_id = :plan and slug = :slug")
        .param("plan", planId)
        .param("slug", slug)
        .update();
  }

  private static Row row(ResultSet rs) throws SQLException {
    return new Row(
        rs.getString("slug"),
        rs.getString("lot_id"),
        rs.getString("lot_name"),
        rs.getString("lot_json"),
        rs.getObject("sampled_on", LocalDate.class),
        rs.getObject("due_at", OffsetDateTime.class).toInstant(),
        rs.getBoolean("due"),
        rs.getBoolean("taken"));
  }
}
