package wiselarder.server.plan;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.file.PlanFile;

/** The tables {@code plan} and {@code plan_revision}. */
@Repository
public class PlanRepository {
  private final JdbcClient jdbc;

  PlanRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Every plan's row without its content. */
  public record Row(String slug, boolean demo, int revision, String farmName, String planName) {}

  List<Row> list() {
    return jdbc.sql(
            """
            select slug, is_demo, revision,
                   content #>> '{farm,name}' as farm_name, content #>> '{plan,name}' as plan_name
            from plan
            order by id
            """)
        .query(
            (rs, n) ->
                new Row(
                    rs.getString("slug"),
                    rs.getBoolean("is_demo"),
                    rs.getInt("revision"),
                    rs.getString("farm_name"),
                    rs.getString("plan_name")))
        .list();
  }

  Optional<StoredPlan> find(String slug) {
    return jdbc.sql("select id, slug, is_demo, revision, content from plan where slug = :slug")
        .param("slug", slug)
        .query(PlanRepository::stored)
        .optional();
  }

  /** As {@link #find}, and nobody else may change the row until the transaction ends. */
  Optional<StoredPlan> lock(String slug) {
    return jdbc.sql(
            """
            select id, slug, is_demo, revision, content from plan where slug = :slug for update
            """)
        .param("slug", slug)
        .query(PlanRepository::stored)
        .optional();
  }

  /** Adds a plan at revision 1, unless its slug is taken. */
  void insert(String slug, boolean demo, FarmPlan content) {
    String json = PlanFile.write(content);
    Optional<Long> id =
        jdbc.sql(
                """
                insert into plan (slug, is_demo, revision, content)
                values (:slug, :demo, 1, :content::jsonb)
                on conflict (slug) do nothing
                returning id
                """)
            .param("slug", slug)
            .param("demo", demo)
            .param("content", json)
            .query(Long.class)
            .optional();
    id.ifPresent(i -> insertRevision(i, 1, "Began", "[]", json));
  }

  /** Stores the next revision of a locked plan. */
  void update(StoredPlan before, FarmPlan content, String words, String editsJson) {
    String json = PlanFile.write(content);
    int rows =
        jdbc.sql(
                """
                update plan
                set revision = revision + 1, content = :content::jsonb, changed_at = now()
                where id = :id and revision = :revision
                """)
            .param("id", before.id())
            .param("revision", before.revision())
            .param("content", json)
            .update();
    if (rows != 1) {
      throw new StaleRevision(before.revision() + 1, List.of());
    }
    insertRevision(before.id(), before.revision() + 1, words, editsJson, json);
  }

  /** Words of every revision after {@code revision}, oldest first. */
  List<String> wordsSince(long planId, int revision) {
    return jdbc.sql(
            """
            select words from plan_revision
            where plan_id = :id and number > :revision
            order by number
            """)
        .param("id", planId)
        .param("revision", revision)
        .query(String.class)
        .list();
  }

  private void insertRevision(long planId, int number, String words, String edits, String json) {
    jdbc.sql(
            """
            insert into plan_revision (plan_id, number, words, edits, content)
            values (:id, :number, :words, :edits::jsonb, :content::jsonb)
            """)
        .param("id", planId)
        .param("number", number)
        .param("words", words)
        .param("edits", edits)
        .param("content", json)
        .update();
  }

  private static StoredPlan stored(ResultSet rs, int row) throws SQLException {
    return new StoredPlan(
        rs.getLong("id"),
        rs.getString("slug"),
        rs.getBoolean("is_demo"),
        rs.getInt("revision"),
        PlanFile.read(rs.getString("content")));
  }
}
