package wiselarder.server.people;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code known_device}. */
@Repository
class DeviceRepository {
  private final JdbcClient jdbc;

  DeviceRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  boolean knows(String tokenHash, String email) {
    return jdbc.sql(
            """
            select exists (
              select 1 from known_device d join person p on p.id = d.person_id
              where d.token_hash = :hash and p.email = :email)
            """)
        .param("hash", tokenHash)
        .param("email", email)
        .query(Boolean.class)
        .single();
  }

  /** Keeps a device, and of one person the newest ones only. */
  void keep(String tokenHash, long personId, int most) {
    jdbc.sql(
            """
            insert into known_device (token_hash, person_id) values (:hash, :person)
            on conflict (token_hash) do update set person_id = excluded.person_id, seen_at = now()
            """)
        .param("hash", tokenHash)
        .param("person", personId)
        .update();
    jdbc.sql(
            """
            delete from known_device where token_hash in (
              select token_hash from known_device where person_id = :person
              order by seen_at desc offset :most)
            """)
        .param("person", personId)
        .param("most", most)
        .update();
  }

  void forgetAllOf(long personId) {
    jdbc.sql("delete from known_device where person_id = :person")
        .param("person", personId)
        .update();
  }
}
