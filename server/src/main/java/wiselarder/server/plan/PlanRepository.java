package wiselarder.server.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.JavaType;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.json.Json;
import wiselarder.server.json.Lift;
import wiselarder.server.json.PlanDocument;
import wiselarder.server.people.Role;

/**
 * The tables {@code plan} and {@code plan_revision}. Whatever reads or finds a plan is bound to the
 * farms of one person.
 */
@Repository
public class PlanRepository {
  /** The newest revisions, all of which are kept as the plan stood. */
  static final int KEPT_WHOLE = 200;

  /** Of older ones each of these. */
  static final int EACH_KEPT = 20;

  /** Changes since, told at once: the newest. */
  private static final int MOST_TOLD = 50;

  private final JdbcClient jdbc;

  PlanRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A plan without its content. */
  public record Row(
      String id,
      String farm,
      String farmName,
      boolean demo,
      Role role,
      int revision,
      String planName,
      String start,
      String note,
      OffsetDateTime changedAt) {}

  /** Every plan of farms that the person may see, by farm and age. */
  public List<Row> list(long personId, List<String> farms) {
    return jdbc.sql(
            """
            select p.slug, f.slug as farm, f.name as farm_name, f.is_demo, m.role, p.revision,
                   p.name as plan_name, p.start, p.note, p.changed_at
            from plan p
            join farm f on f.id = p.farm_id
            join farm_member m on m.farm_id = f.id and m.person_id = :person
            where f.slug = any(string_to_array(:farms, ','))
            order by f.id, p.id
            """)
        .param("person", personId)
        .param("farms", String.join(",", farms))
        .query(
            (rs, n) ->
                new Row(
                    rs.getString("slug"),
                    rs.getString("farm"),
                    rs.getString("farm_name"),
                    rs.getBoolean("is_demo"),
                    Role.valueOf(rs.getString("role")),
                    rs.getInt("revision"),
                    rs.getString("plan_name"),
                    rs.getString("start"),
                    rs.getString("note"),
                    rs.getObject("changed_at", OffsetDateTime.class)))
        .list();
  }

  private static final String SELECT =
      """
      select p.id, p.slug, p.farm_id, f.slug as farm, f.is_demo, m.role, p.revision
      from plan p
      join farm f on f.id = p.farm_id
      join farm_member m on m.farm_id = f.id and m.person_id = :person
      where p.slug = :slug
      """;

  Optional<StoredPlan> find(String slug, long personId) {
    return jdbc.sql(SELECT)
        .param("slug", slug)
        .param("person", personId)
        .query(this::stored)
        .optional();
  }

  /** What a view of a plan for a person goes by. */
  Optional<Plans.Stamp> stamp(String slug, long personId) {
    return jdbc.sql(
            """
            select p.id, p.revision, f.slug as farm, m.role,
              (select string_agg(q.id || '.' || q.revision, ' ' order by q.id)
               from plan q where q.farm_id = p.farm_id) as plans,
              (select coalesce(max(r.number), 0)
               from farm_record r where r.farm_id = p.farm_id) as record
            from plan p
            join farm f on f.id = p.farm_id
            join farm_member m on m.farm_id = f.id and m.person_id = :person
            where p.slug = :slug
            """)
        .param("slug", slug)
        .param("person", personId)
        .query(
            (rs, n) ->
                new Plans.Stamp(
                    rs.getLong("id"),
                    rs.getInt("revision"),
                    rs.getString("farm"),
                    Role.valueOf(rs.getString("role")),
                    rs.getString("plans"),
                    rs.getLong("record")))
        .optional();
  }

  /** As {@link #find}, and nobody else may change the row until the transaction ends. */
  Optional<StoredPlan> lock(String slug, long personId) {
    return jdbc.sql(SELECT + " for update of p")
        .param("slug", slug)
        .param("person", personId)
        .query(this::stored)
        .optional();
  }

  /** Contents of every plan of a farm, oldest first. The caller has checked who asks. */
  public List<FarmPlan> ofFarm(long farmId) {
    return jdbc.sql("select content, content_version from plan where farm_id = :farm order by id")
        .param("farm", farmId)
        .query((rs, n) -> content(rs))
        .list();
  }

  /** The other plans of a farm, oldest first. The caller has checked who asks. */
  List<Plans.OtherPlan> others(long farmId, long planId) {
    return jdbc.sql(
            """
            select slug, name from plan
            where farm_id = :farm and id <> :plan
            order by id
            """)
        .param("farm", farmId)
        .param("plan", planId)
        .query((rs, n) -> new Plans.OtherPlan(rs.getString("slug"), rs.getString("name")))
        .list();
  }

  /** Adds a plan at revision 1. The caller has checked who asks. */
  public void insert(String slug, long farmId, Long personId, FarmPlan content, Told told) {
    String json = PlanDocument.write(content);
    long id =
        jdbc.sql(
                """
                insert into plan (slug, farm_id, revision, content, content_version)
                values (:slug, :farm, 1, :content::jsonb, :version)
                returning id
                """)
            .param("version", Lift.PRESENT)
            .param("slug", slug)
            .param("farm", farmId)
            .param("content", json)
            .query(Long.class)
            .single();
    insertRevision(
        id, personId, new Revision.Step(1, Revision.Kind.BEGAN, told, null, null), List.of(), json);
  }

  /** Stores the next revision of a locked plan. */
  void update(
      StoredPlan before,
      long personId,
      FarmPlan content,
      Revision.Step step,
      List<PlanEdit> edits) {
    String json = PlanDocument.write(content);
    jdbc.sql(
            """
            update plan
            set revision = :next, content = :content::jsonb, content_version = :version,
                changed_at = now()
            where id = :id
            """)
        .param("version", Lift.PRESENT)
        .param("id", before.id())
        .param("next", step.number())
        .param("content", json)
        .update();
    insertRevision(before.id(), personId, step, edits, json);
    thin(before.id(), step.number());
  }

  /**
   * Of changes that are long past every so many is kept as the plan stood then, and of the others
   * what was edited: history grows by what is done, not by the size of the plan.
   */
  private void thin(long planId, int newest) {
    jdbc.sql(
            """
            update plan_revision set content = null
            where plan_id = :id and number between :from and :to and number > 1
              and number % :each <> 0 and content is not null
            """)
        .param("id", planId)
        .param("from", newest - KEPT_WHOLE - EACH_KEPT)
        .param("to", newest - KEPT_WHOLE)
        .param("each", EACH_KEPT)
        .update();
  }

  /** The farm is listed under the name it was last given. */
  void renameFarm(long farmId, String name) {
    jdbc.sql("update farm set name = :name where id = :id")
        .param("name", name)
        .param("id", farmId)
        .update();
  }

  void delete(long planId) {
    jdbc.sql("delete from plan where id = :id").param("id", planId).update();
  }

  /** Plans of a farm. */
  public int countOfFarm(long farmId) {
    return jdbc.sql("select count(*) from plan where farm_id = :farm")
        .param("farm", farmId)
        .query(Integer.class)
        .single();
  }

  /** The number of a farm's plans stays as it is until the transaction ends. */
  public void lockFarm(long farmId) {
    jdbc.sql("select id from farm where id = :id for update")
        .param("id", farmId)
        .query(Long.class)
        .single();
  }

  /** Revisions below {@code before}, newest first, at most {@code most}. */
  List<Revision> history(long planId, int before, int most) {
    return jdbc.sql(
            REVISION + " where plan_id = :id and number < :before order by number desc limit :most")
        .param("id", planId)
        .param("before", before)
        .param("most", most)
        .query(PlanRepository::revision)
        .list();
  }

  /** Every revision after {@code revision}, oldest first. */
  List<Revision> since(long planId, int revision) {
    List<Revision> newest =
        jdbc.sql(
                REVISION
                    + " where plan_id = :id and number > :revision order by number desc limit :most")
            .param("id", planId)
            .param("revision", revision)
            .param("most", MOST_TOLD)
            .query(PlanRepository::revision)
            .list();
    List<Revision> inOrder = new ArrayList<>(newest);
    Collections.reverse(inOrder);
    return inOrder;
  }

  /** A revision of a plan, which never changes. */
  private record At(long planId, int revision) {}

  /** Contents that were read last: plans are looked at far more often than they are changed. */
  private final Cache<At, FarmPlan> contents = Caffeine.newBuilder().maximumSize(64).build();

  private FarmPlan content(At at) {
    return contents.get(at, a -> readContent(a.planId, a.revision).orElseThrow());
  }

  /** The plan as it stood at a revision. */
  Optional<FarmPlan> contentAt(long planId, int revision) {
    FarmPlan known = contents.getIfPresent(new At(planId, revision));
    return known != null ? Optional.of(known) : readContent(planId, revision);
  }

  private Optional<FarmPlan> readContent(long planId, int revision) {
    return jdbc.sql(
            """
            select content, content_version from plan_revision
            where plan_id = :id and number = :number and content is not null
            """)
        .param("id", planId)
        .param("number", revision)
        .query((rs, n) -> content(rs))
        .optional();
  }

  /** The edits that made a revision of what stood before it. */
  List<PlanEdit> editsOf(long planId, int revision) {
    return jdbc.sql("select edits from plan_revision where plan_id = :id and number = :number")
        .param("id", planId)
        .param("number", revision)
        .query((rs, n) -> Json.MAPPER.<List<PlanEdit>>readValue(rs.getString("edits"), EDITS))
        .single();
  }

  /**
   * The revisions that undo and redo need: from the one before the edit that is carried now, and
   * every edit undone since the last.
   */
  Trail trail(long planId) {
    return new Trail(
        jdbc.sql(
                """
                with last as (
                  select coalesce(restores, number) as carried
                  from plan_revision where plan_id = :id order by number desc limit 1),
                last_edit as (
                  select max(number) as number from plan_revision
                  where plan_id = :id and kind in ('BEGAN', 'EDIT'))
                select r.number, r.kind, r.told, r.restores, r.undid
                from plan_revision r, last, last_edit
                where r.plan_id = :id
                  and (r.number >= last_edit.number or r.number in (last.carried, last.carried - 1)
                    or r.number in (select undid from plan_revision u, last_edit e
                                    where u.plan_id = :id and u.number > e.number))
                order by r.number
                """)
            .param("id", planId)
            .query(
                (rs, n) ->
                    new Revision.Step(
                        rs.getInt("number"),
                        Revision.Kind.valueOf(rs.getString("kind")),
                        Json.MAPPER.readValue(rs.getString("told"), Told.class),
                        rs.getObject("restores", Integer.class),
                        rs.getObject("undid", Integer.class)))
            .list());
  }

  private static final JavaType EDITS =
      Json.MAPPER.getTypeFactory().constructCollectionType(List.class, PlanEdit.class);

  private void insertRevision(
      long planId, Long personId, Revision.Step step, List<PlanEdit> edits, String json) {
    jdbc.sql(
            """
            insert into plan_revision
              (plan_id, number, person_id, kind, told, restores, undid, edits, content,
               content_version)
            values
              (:id, :number, :person, :kind, :told::jsonb, :restores, :undid, :edits::jsonb,
               :content::jsonb, :version)
            """)
        .param("version", Lift.PRESENT)
        .param("id", planId)
        .param("number", step.number())
        .param("person", personId)
        .param("kind", step.kind().name())
        .param("told", Json.MAPPER.writeValueAsString(step.told()))
        .param("restores", step.restores())
        .param("undid", step.undid())
        .param("edits", Json.MAPPER.writerFor(EDITS).writeValueAsString(edits))
        .param("content", json)
        .update();
  }

  private static final String REVISION =
      """
      select r.number, r.kind, r.told, coalesce(who.name, '') as who, r.made_at,
        r.content is not null as whole
      from plan_revision r left join person who on who.id = r.person_id
      """;

  private static Revision revision(ResultSet rs, int row) throws SQLException {
    return new Revision(
        rs.getInt("number"),
        Revision.Kind.valueOf(rs.getString("kind")),
        Json.MAPPER.readValue(rs.getString("told"), Told.class),
        rs.getString("who"),
        rs.getObject("made_at", OffsetDateTime.class),
        rs.getBoolean("whole"));
  }

  private StoredPlan stored(ResultSet rs, int row) throws SQLException {
    return new StoredPlan(
        rs.getLong("id"),
        rs.getString("slug"),
        rs.getLong("farm_id"),
        rs.getString("farm"),
        rs.getBoolean("is_demo"),
        Role.valueOf(rs.getString("role")),
        rs.getInt("revision"),
        content(new At(rs.getLong("id"), rs.getInt("revision"))));
  }

  private static FarmPlan content(ResultSet rs) throws SQLException {
    return PlanDocument.read(rs.getString("content"), rs.getInt("content_version"));
  }
}
