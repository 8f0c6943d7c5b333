package wiselarder.server.records;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code photo}. Callers have checked who asks for the farm. */
@Repository
class PhotoRepository {
  private final JdbcClient jdbc;

  PhotoRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  void put(long farmId, String id, byte[] jpeg) {
    jdbc.sql(
            """
            insert into photo (farm_id, id, jpeg) values (:farm, :id, :jpeg)
            on conflict (farm_id, id) do nothing
            """)
        .param("farm", farmId)
        .param("id", id)
        .param("jpeg", jpeg)
        .update();
  }

  Optional<byte[]> find(long farmId, String id) {
    return jdbc.sql("select jpeg from photo where farm_id = :farm and id = :id")
        .param("farm", farmId)
        .param("id", id)
        .query(byte[].class)
        .optional();
  }

  boolean has(long farmId, String id) {
    return jdbc.sql("select exists (select 1 from photo where farm_id = :farm and id = :id)")
        .param("farm", farmId)
        .param("id", id)
        .query(Boolean.class)
        .single();
  }

  int count(long farmId) {
    return jdbc.sql("select count(*) from photo where farm_id = :farm")
        .param("farm", farmId)
        .query(Integer.class)
        .single();
  }

  /** Removes a picture that no standing record names. */
  void removeUnlessNamed(long farmId, String id) {
    jdbc.sql(
            """
            delete from photo where farm_id = :farm and id = :id and not exists
              (select 1 from farm_record r
               where r.farm_id = :farm and r.kind = 'PHOTO_TAKEN' and r.fact ->> 'photoId' = :id
                 and not exists
                   (select 1 from farm_record s
                    where s.farm_id = :farm and s.kind = 'STRUCK' and s.fact ->> 'record' = r.id))
            """)
        .param("farm", farmId)
        .param("id", id)
        .update();
  }

  /** Pictures that came before a day and that no record names: their record was never sent. */
  int removeUnnamed() {
    return jdbc.sql(
            """
            delete from photo p
            where p.made_at < now() - interval '30 days' and not exists
              (select 1 from farm_record r
               where r.farm_id = p.farm_id and r.kind = 'PHOTO_TAKEN' and r.fact ->> 'photoId' = p.id)
            """)
        .update();
  }
}
