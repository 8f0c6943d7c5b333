package wiselarder.server.people;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code person}. */
@Repository
class PeopleRepository {
  private final JdbcClient jdbc;

  PeopleRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  record Known(Person person, String passwordHash) {}

  Optional<Known> byEmail(String email) {
    return jdbc.sql(
            """
            select id, email, name, runs_product, password_hash from person where email = :email
            """)
        .param("email", email)
        .query((rs, n) -> new Known(person(rs), rs.getString("password_hash")))
        .optional();
  }

  Optional<Person> byId(long id) {
    return jdbc.sql(
            """
            select id, coalesce(email, '') as email, name, runs_product from person where id = :id
            """)
        .param("id", id)
        .query((rs, n) -> person(rs))
        .optional();
  }

  boolean anyWithPassword() {
    return jdbc.sql("select exists (select 1 from person where password_hash is not null)")
        .query(Boolean.class)
        .single();
  }

  /** Adds a person, or nobody when the e-mail address is taken. */
  Optional<Person> insert(String email, String name, String passwordHash, boolean runsProduct) {
    return jdbc.sql(
            """
            insert into person (email, name, password_hash, runs_product)
            values (:email, :name, :hash, :runs)
            on conflict (email) do nothing
            returning id, email, name, runs_product
            """)
        .param("email", email)
        .param("name", name)
        .param("hash", passwordHash)
        .param("runs", runsProduct)
        .query((rs, n) -> person(rs))
        .optional();
  }

  void setPassword(long id, String passwordHash) {
    jdbc.sql("update person set password_hash = :hash where id = :id")
        .param("hash", passwordHash)
        .param("id", id)
        .update();
  }

  /** Replaces a hash by another of the same password, unless it was changed meanwhile. */
  void replacePassword(long id, String before, String after) {
    jdbc.sql("update person set password_hash = :after where id = :id and password_hash = :before")
        .param("after", after)
        .param("before", before)
        .param("id", id)
        .update();
  }

  /** Only one may make the first owner: others wait here and then find somebody there. */
  void lockFirst() {
    jdbc.sql("lock table person in share row exclusive mode").update();
  }

  /** The visitor, made when there is none. */
  Person visitor() {
    String select =
        """
        select id, '' as email, name, runs_product from person
        where email is null order by id limit 1
        """;
    return jdbc.sql(select)
        .query((rs, n) -> person(rs))
        .optional()
        .orElseGet(
            () -> {
              jdbc.sql("insert into person (name) values ('Visitor')").update();
              return jdbc.sql(select).query((rs, n) -> person(rs)).single();
            });
  }

  private static Person person(ResultSet rs) throws SQLException {
    return new Person(
        rs.getLong("id"),
        rs.getString("email"),
        rs.getString("name"),
        rs.getBoolean("runs_product"));
  }
}
