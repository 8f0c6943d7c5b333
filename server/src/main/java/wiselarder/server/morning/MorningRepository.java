package wiselarder.server.morning;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import wiselarder.core.morning.Morning;
import wiselarder.core.morning.Verdict;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.seasons.YearsAhead;
import wiselarder.server.json.PlanDocument;
import wiselarder.server.people.Role;

/** The tables {@code morning} and {@code morning_years}, and what waits to be reckoned. */
@Repository
class MorningRepository {
  /** The name under which it waits. */
  static final String TASK = "morning";

  private final JdbcClient jdbc;

  MorningRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * How far a farm is.
   *
   * @param changes edits and records so far
   * @param ofChanges how many there were when it was last reckoned; null where it never was
   */
  record State(long changes, Long ofChanges, LocalDate day) {
    boolean is(LocalDate today) {
      return ofChanges != null && ofChanges == changes && today.equals(day);
    }
  }

  /** Empty where the farm is gone. */
  Optional<State> state(long farmId) {
    return jdbc.sql("select changes, of_changes, day from morning where farm_id = :farm")
        .param("farm", farmId)
        .query(
            (rs, n) ->
                new State(
                    rs.getLong("changes"),
                    rs.getObject("of_changes", Long.class),
                    rs.getObject("day", LocalDate.class)))
        .optional();
  }

  /** A plan of a farm. */
  record PlanOf(long id, FarmPlan content) {}

  /**
   * The plan that runs on a day, of several the one that was changed last; where none does the one
   * that begins next; none where all are over.
   */
  Optional<PlanOf> planOn(long farmId, LocalDate day) {
    return jdbc.sql(
            """
            select id, content, content_version from plan
            where farm_id = :farm
              and nullif(start, '')::date + make_interval(months => months) > :day
            order by start::date > :day,
              case when start::date > :day then start::date end, changed_at desc, id
            limit 1
            """)
        .param("farm", farmId)
        .param("day", day)
        .query(
            (rs, n) ->
                new PlanOf(
                    rs.getLong("id"),
                    PlanDocument.read(rs.getString("content"), rs.getInt("content_version"))))
        .optional();
  }

  /**
   * The simulated years that are kept under a key.
   *
   * @param day of the plan; the years were run from it on, or for a day not long before it
   */
  Optional<YearsAhead> years(long farmId, String key, int day) {
    return jdbc.sql(
            """
            select years, begun, fed, in_ten from morning_years
            where farm_id = :farm and key = :key and asked between :day - :good and :day
            """)
        .param("farm", farmId)
        .param("key", key)
        .param("day", day)
        .param("good", YEARS_GOOD_DAYS)
        .query(
            (rs, n) ->
                new YearsAhead(
                    rs.getInt("years"), rs.getInt("begun"), ints(rs, "fed"), ints(rs, "in_ten")))
        .optional();
  }

  /** Where nothing was written down so long, the years are begun on a later state. Assumption. */
  private static final int YEARS_GOOD_DAYS = 27;

  private static int[] ints(ResultSet rs, String column) throws SQLException {
    return Arrays.stream((Object[]) rs.getArray(column).getArray())
        .mapToInt(n -> ((Number) n).intValue())
        .toArray();
  }

  private static String text(int[] values) {
    return Arrays.stream(values)
        .mapToObj(Integer::toString)
        .collect(Collectors.joining(",", "{", "}"));
  }

  void keepYears(long farmId, String key, int day, YearsAhead ahead) {
    jdbc.sql(
            """
            insert into morning_years (farm_id, key, years, asked, begun, fed, in_ten)
            select f.id, :key, :years, :day, :begun, :fed::smallint[], :inTen::smallint[]
            from farm f where f.id = :farm
            on conflict (farm_id) do update set key = excluded.key, years = excluded.years,
              asked = excluded.asked, begun = excluded.begun, fed = excluded.fed,
              in_ten = excluded.in_ten
            """)
        .param("farm", farmId)
        .param("key", key)
        .param("day", day)
        .param("begun", ahead.from())
        .param("years", ahead.years())
        .param("fed", text(ahead.fed()))
        .param("inTen", text(ahead.inTen()))
        .update();
  }

  /**
   * What a farm came to, in words where there are any.
   *
   * @param plan null where none reaches to the day
   * @param morning null then
   */
  record Told(PlanOf plan, Morning morning, String next, String late) {}

  /** Keeps a morning; where another worker was first it stays as that one left it. */
  void keep(long farmId, long changes, LocalDate today, Told told) {
    Morning m = told.morning();
    Verdict verdict = m == null ? Verdict.NO_PLAN : m.verdict();
    Morning.Due newest = m == null || m.late().isEmpty() ? null : m.late().get(0);
    jdbc.sql(
            """
            update morning set of_changes = :changes, times = times + 1, day = :day,
              reckoned_at = now(), failed = false, plan_id = (select id from plan where id = :plan),
              units = :units, looked_from = :from, verdict = :verdict, verdict_rank = :rank, bare_on = :bareOn,
              missing_kg = :missing, bare_in_ten_on = :inTenOn, fed = :fed, years = :years,
              until = :until, next_on = :nextOn, next_last = :nextLast, next_job = :next,
              late = :late, late_job = :lateJob, late_since = :lateSince, last_seen = :lastSeen
            where farm_id = :farm and (of_changes is distinct from :changes or day is distinct from :day)
            """)
        .param("farm", farmId)
        .param("changes", changes)
        .param("day", today)
        .param("plan", told.plan() == null ? null : told.plan().id())
        .param("units", told.plan() == null ? null : told.plan().content().farm().units().name())
        .param("from", m == null ? null : m.day())
        .param("verdict", verdict.name())
        .param("rank", verdict.ordinal())
        .param("bareOn", m == null ? null : m.bareOn())
        .param("missing", m == null ? null : m.missingKg())
        .param("inTenOn", m == null ? null : m.bareInTenOn())
        .param("fed", m == null ? null : m.fed())
        .param("years", m == null ? null : m.years())
        .param("until", m == null ? null : m.until())
        .param("nextOn", m == null || m.next() == null ? null : m.next().on())
        .param("nextLast", m == null || m.next() == null ? null : m.next().last())
        .param("next", told.next())
        .param("late", m == null ? null : m.late().size())
        .param("lateJob", told.late())
        .param("lateSince", newest == null ? null : newest.last())
        .param("lastSeen", m == null ? null : m.lastSeen())
        .update();
  }

  /** It could not be reckoned as it stands: it is tried again when it changes, or tomorrow. */
  void failed(long farmId, LocalDate today) {
    jdbc.sql(
            """
            update morning set failed = true, of_changes = changes, day = :day, reckoned_at = now(),
              verdict = null, verdict_rank = null
            where farm_id = :farm
            """)
        .param("farm", farmId)
        .param("day", today)
        .update();
  }

  private static final String LINE_UP =
      """
      insert into scheduled_tasks
        (task_name, task_instance, execution_time, picked, version, priority)
      select :task, g.farm_id::text, now(), false, 1, :priority
      from morning g %s
      where (g.of_changes is distinct from g.changes or g.day is distinct from :today)
      on conflict (task_name, task_instance) do update
        set priority = greatest(scheduled_tasks.priority, excluded.priority)
        where not scheduled_tasks.picked
      """;

  /** Lets every farm that is not of today wait for a worker; how many do. */
  int lineUp(LocalDate today) {
    return jdbc.sql(LINE_UP.formatted(""))
        .param("task", TASK)
        .param("priority", 0)
        .param("today", today)
        .update();
  }

  private static final int SOON = 10;

  /** Those of one person, before others. */
  int lineUp(LocalDate today, long personId) {
    return jdbc.sql(
            LINE_UP.formatted(
                "join farm_member m on m.farm_id = g.farm_id and m.person_id = :person"))
        .param("task", TASK)
        .param("priority", SOON)
        .param("today", today)
        .param("person", personId)
        .update();
  }

  private static final String MINE =
      """
      from farm_member m
      join farm f on f.id = m.farm_id
      join morning g on g.farm_id = f.id
      """;

  private static final String WAITS =
      """
      left join scheduled_tasks t on t.task_name = 'morning' and t.task_instance = f.id::text
      """;

  private static final String WHERE =
      """
      where m.person_id = :person
        and (:find = '' or position(lower(:find) in lower(f.name)) > 0)
        and (:all or g.verdict = any(string_to_array(:verdicts, ',')))
        and (not :late or g.late > 0)
      """;

  /** Farms of a person, so many from a place on. */
  List<FarmMorning> of(long personId, Wanted wanted, LocalDate today, int from, int most) {
    return bound(
            jdbc.sql(
                "select f.slug, f.name, f.is_demo, m.role, p.slug as plan, p.name as plan_name, g.*,"
                    + " t.task_name is not null as waiting "
                    + MINE
                    + WAITS
                    + "left join plan p on p.id = g.plan_id "
                    + WHERE
                    + " order by "
                    + wanted.order().sql(wanted.back())
                    + ", f.id limit :most offset :from"),
            personId,
            wanted)
        .param("from", from)
        .param("most", most)
        .query((rs, n) -> farm(rs, today))
        .list();
  }

  private static JdbcClient.StatementSpec bound(
      JdbcClient.StatementSpec statement, long personId, Wanted wanted) {
    return statement
        .param("person", personId)
        .param("find", wanted.find())
        .param("all", wanted.verdicts().isEmpty())
        .param(
            "verdicts",
            wanted.verdicts().stream().map(Verdict::name).collect(Collectors.joining(",")))
        .param("late", wanted.late());
  }

  /** How many there are of those that are wanted. */
  int count(long personId, Wanted wanted) {
    return bound(jdbc.sql("select count(*) " + MINE + WHERE), personId, wanted)
        .query(Integer.class)
        .single();
  }

  /**
   * How many farms of a person stand so, and how far they are.
   *
   * @param verdict null for those not reckoned
   * @param late farms with a late job
   * @param changed not of today, or changed since
   * @param waiting of them wait for a worker
   */
  record Standing(Verdict verdict, int farms, int late, int changed, int waiting) {}

  /** All farms of a person, the worst first. */
  List<Standing> standing(long personId, LocalDate today) {
    return jdbc.sql(
            """
            select g.verdict, count(*) as farms, count(*) filter (where g.late > 0) as late,
              count(*) filter
                (where g.of_changes is distinct from g.changes or g.day is distinct from :today) as changed,
              count(t.task_name) as waiting
            """
                + MINE
                + WAITS
                + " where m.person_id = :person group by g.verdict, g.verdict_rank"
                + " order by g.verdict_rank nulls last")
        .param("person", personId)
        .param("today", today)
        .query(
            (rs, n) ->
                new Standing(
                    verdict(rs),
                    rs.getInt("farms"),
                    rs.getInt("late"),
                    rs.getInt("changed"),
                    rs.getInt("waiting")))
        .list();
  }

  private static Verdict verdict(ResultSet rs) throws SQLException {
    String verdict = rs.getString("verdict");
    return verdict == null ? null : Verdict.valueOf(verdict);
  }

  private static FarmMorning farm(ResultSet rs, LocalDate today) throws SQLException {
    String units = rs.getString("units");
    LocalDate day = day(rs, "day");
    Long of = rs.getObject("of_changes", Long.class);
    return new FarmMorning(
        rs.getString("slug"),
        rs.getString("name"),
        rs.getBoolean("is_demo"),
        Role.valueOf(rs.getString("role")),
        rs.getString("plan"),
        rs.getString("plan_name"),
        units == null ? null : Farm.UnitSystem.valueOf(units),
        verdict(rs),
        day,
        day(rs, "looked_from"),
        day(rs, "bare_on"),
        rs.getObject("missing_kg", Double.class),
        day(rs, "bare_in_ten_on"),
        rs.getObject("fed", Integer.class),
        rs.getObject("years", Integer.class),
        day(rs, "until"),
        day(rs, "next_on"),
        day(rs, "next_last"),
        rs.getString("next_job"),
        rs.getObject("late", Integer.class),
        rs.getString("late_job"),
        day(rs, "late_since"),
        day(rs, "last_seen"),
        rs.getObject("reckoned_at", OffsetDateTime.class),
        of == null || of != rs.getLong("changes") || !today.equals(day),
        rs.getBoolean("waiting"),
        rs.getBoolean("failed"));
  }

  private static LocalDate day(ResultSet rs, String column) throws SQLException {
    return rs.getObject(column, LocalDate.class);
  }
}
