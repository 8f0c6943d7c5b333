package wiselarder.server.farm;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import wiselarder.server.people.Role;

/** The tables {@code farm}, {@code farm_member} and {@code invitation}. */
@Repository
class FarmRepository {
  private final JdbcClient jdbc;

  FarmRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A farm as one person may see it. */
  record Row(long id, String slug, String name, boolean demo, Role role) {}

  /** Somebody of a farm. */
  public record FarmMember(long id, String name, String email, Role role, OffsetDateTime since) {}

  /** An invitation that is open. */
  public record Invitation(
      long id, String name, Role role, String invitedBy, OffsetDateTime expiresAt) {}

  /** An invitation found by its token. */
  record Token(long id, long farmId, String farm, String name, Role role, String invitedBy) {}

  private static final String SELECT =
      """
      select f.id, f.slug, f.name, f.is_demo, m.role
      from farm f join farm_member m on m.farm_id = f.id and m.person_id = :person
      """;

  private static final String NAMED =
      " where :find = '' or position(lower(:find) in lower(f.name)) > 0";

  /** Farms with a part of their name, whatever its case; the first by name, demos after others. */
  List<Row> list(long personId, String find, int most) {
    return jdbc.sql(SELECT + NAMED + " order by f.is_demo, lower(f.name), f.id limit :most")
        .param("person", personId)
        .param("find", find)
        .param("most", most)
        .query(FarmRepository::row)
        .list();
  }

  /** How many farms there are with a part of their name. */
  int count(long personId, String find) {
    return jdbc.sql(
            "select count(*) from farm f join farm_member m on m.farm_id = f.id and m.person_id = :person"
                + NAMED)
        .param("person", personId)
        .param("find", find)
        .query(Integer.class)
        .single();
  }

  String slug(long farmId) {
    return jdbc.sql("select slug from farm where id = :id")
        .param("id", farmId)
        .query(String.class)
        .single();
  }

  Optional<Row> find(String slug, long personId) {
    return jdbc.sql(SELECT + " where f.slug = :slug")
        .param("person", personId)
        .param("slug", slug)
        .query(FarmRepository::row)
        .optional();
  }

  /** As {@link #find}; the farm's members stay as they are until the transaction ends. */
  Optional<Row> lock(String slug, long personId) {
    return jdbc.sql(SELECT + " where f.slug = :slug for update of f")
        .param("person", personId)
        .param("slug", slug)
        .query(FarmRepository::row)
        .optional();
  }

  long insert(String slug, String name, boolean demo) {
    return jdbc.sql(
            "insert into farm (slug, name, is_demo) values (:slug, :name, :demo) returning id")
        .param("slug", slug)
        .param("name", name)
        .param("demo", demo)
        .query(Long.class)
        .single();
  }

  int countOwned(long personId) {
    return jdbc.sql("select count(*) from farm_member where person_id = :id and role = 'OWNER'")
        .param("id", personId)
        .query(Integer.class)
        .single();
  }

  void delete(long farmId) {
    jdbc.sql("delete from farm where id = :id").param("id", farmId).update();
  }

  /** Only one process at a time loads the demo farms. */
  void lockDemos() {
    jdbc.sql("select pg_advisory_xact_lock(hashtext(current_schema() || ' demo farms'))")
        .query((rs, n) -> n)
        .list();
  }

  List<String> demoSlugs() {
    return jdbc.sql("select slug from farm where is_demo").query(String.class).list();
  }

  /** Lets a person in, or changes the role they have. */
  void put(long farmId, long personId, Role role) {
    jdbc.sql(
            """
            insert into farm_member (farm_id, person_id, role) values (:farm, :person, :role)
            on conflict (farm_id, person_id) do update set role = excluded.role
            """)
        .param("farm", farmId)
        .param("person", personId)
        .param("role", role.name())
        .update();
  }

  void letIntoDemos(long personId) {
    jdbc.sql(
            """
            insert into farm_member (farm_id, person_id, role)
            select id, :person, 'PLANNER' from farm where is_demo
            on conflict (farm_id, person_id) do nothing
            """)
        .param("person", personId)
        .update();
  }

  void removeMember(long farmId, long personId) {
    jdbc.sql("delete from farm_member where farm_id = :farm and person_id = :person")
        .param("farm", farmId)
        .param("person", personId)
        .update();
  }

  List<FarmMember> members(long farmId) {
    return jdbc.sql(
            """
            select p.id, p.name, coalesce(p.email, '') as email, m.role, m.since
            from farm_member m join person p on p.id = m.person_id
            where m.farm_id = :farm
            order by m.since, p.id
            """)
        .param("farm", farmId)
        .query(
            (rs, n) ->
                new FarmMember(
                    rs.getLong("id"),
                    rs.getString("name"),
                    rs.getString("email"),
                    Role.valueOf(rs.getString("role")),
                    rs.getObject("since", OffsetDateTime.class)))
        .list();
  }

  void invite(
      long farmId, Role role, String name, String tokenHash, long invitedBy, OffsetDateTime until) {
    jdbc.sql(
            """
            insert into invitation (farm_id, role, name, token_hash, invited_by, expires_at)
            values (:farm, :role, :name, :hash, :by, :until)
            """)
        .param("farm", farmId)
        .param("role", role.name())
        .param("name", name)
        .param("hash", tokenHash)
        .param("by", invitedBy)
        .param("until", until)
        .update();
  }

  List<Invitation> invitations(long farmId) {
    return jdbc.sql(
            """
            select i.id, i.name, i.role, coalesce(p.name, '') as invited_by, i.expires_at
            from invitation i left join person p on p.id = i.invited_by
            where i.farm_id = :farm and i.accepted_at is null and i.expires_at > now()
            order by i.id
            """)
        .param("farm", farmId)
        .query(
            (rs, n) ->
                new Invitation(
                    rs.getLong("id"),
                    rs.getString("name"),
                    Role.valueOf(rs.getString("role")),
                    rs.getString("invited_by"),
                    rs.getObject("expires_at", OffsetDateTime.class)))
        .list();
  }

  int withdraw(long farmId, long invitationId) {
    return jdbc.sql(
            """
            delete from invitation where id = :id and farm_id = :farm and accepted_at is null
            """)
        .param("id", invitationId)
        .param("farm", farmId)
        .update();
  }

  /** Withdraws every open invitation to a farm that somebody made. */
  void withdrawAllOf(long farmId, long personId) {
    jdbc.sql(
            """
            delete from invitation
            where farm_id = :farm and invited_by = :person and accepted_at is null
            """)
        .param("farm", farmId)
        .param("person", personId)
        .update();
  }

  /** The farm that an open invitation is to. */
  Optional<Long> farmOfToken(String tokenHash) {
    return jdbc.sql(
            """
            select farm_id from invitation
            where token_hash = :hash and accepted_at is null and expires_at > now()
            """)
        .param("hash", tokenHash)
        .query(Long.class)
        .optional();
  }

  /**
   * A farm's members, invitations and number of plans stay as they are until the transaction ends.
   */
  void lock(long farmId) {
    jdbc.sql("select id from farm where id = :id for update")
        .param("id", farmId)
        .query(Long.class)
        .optional();
  }

  /** The open invitation with this token. */
  Optional<Token> byToken(String tokenHash) {
    return jdbc.sql(
            """
            select i.id, i.farm_id, f.name as farm, i.name, i.role, coalesce(p.name, '') as invited_by
            from invitation i
            join farm f on f.id = i.farm_id
            left join person p on p.id = i.invited_by
            where i.token_hash = :hash and i.accepted_at is null and i.expires_at > now()
            for update of i
            """)
        .param("hash", tokenHash)
        .query(
            (rs, n) ->
                new Token(
                    rs.getLong("id"),
                    rs.getLong("farm_id"),
                    rs.getString("farm"),
                    rs.getString("name"),
                    Role.valueOf(rs.getString("role")),
                    rs.getString("invited_by")))
        .optional();
  }

  void accepted(long invitationId) {
    jdbc.sql("update invitation set accepted_at = now() where id = :id")
        .param("id", invitationId)
        .update();
  }

  private static Row row(ResultSet rs, int n) throws SQLException {
    return new Row(
        rs.getLong("id"),
        rs.getString("slug"),
        rs.getString("name"),
        rs.getBoolean("is_demo"),
        Role.valueOf(rs.getString("role")));
  }
}
