package wiselarder.server.records;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.WeatherMeasured;
import wiselarder.server.json.Facts;
import wiselarder.server.json.Json;

/** The table {@code farm_record}. Callers have checked who asks for the farm. */
@Repository
public class RecordRepository {
  private static final String WEATHER = Facts.name(WeatherMeasured.class);

  private final JdbcClient jdbc;

  RecordRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private static final String SELECT =
      """
      select id, happened_on, fact, who, device, written_at
      from farm_record
      where farm_id = :farm
      """;

  /** A farm with the number of the newest record that is committed, and how many there are. */
  private record Upto(long farmId, long newest, long count) {}

  /** What was read last; what is only ever added to is the same while its newest is. */
  private final Cache<Upto, FarmRecords> read = Caffeine.newBuilder().maximumSize(64).build();

  /** What a farm knows but measured weather, which is large. */
  FarmRecords known(long farmId) {
    Upto now =
        jdbc.sql(
                """
                select coalesce(max(number), 0) as newest, count(*) as count
                from farm_record where farm_id = :farm
                """)
            .param("farm", farmId)
            .query((rs, n) -> new Upto(farmId, rs.getLong("newest"), rs.getLong("count")))
            .single();
    return read.get(now, u -> FarmRecords.of(ofFarm(farmId)));
  }

  /** Every record of a farm but measured weather, which is large, in the order of writing. */
  List<FarmRecord> ofFarm(long farmId) {
    return jdbc.sql(SELECT + " and kind <> :weather order by number")
        .param("farm", farmId)
        .param("weather", WEATHER)
        .query(RecordRepository::record)
        .list();
  }

  /** Every record of a farm in the order of writing, with its measured weather. */
  public List<FarmRecord> allOfFarm(long farmId) {
    return jdbc.sql(SELECT + " order by number")
        .param("farm", farmId)
        .query(RecordRepository::record)
        .list();
  }

  Optional<FarmRecord> find(long farmId, String id) {
    return jdbc.sql(SELECT + " and id = :id")
        .param("farm", farmId)
        .param("id", id)
        .query(RecordRepository::record)
        .optional();
  }

  /** What a command brought, in the order of writing; empty when it never came. */
  List<FarmRecord> ofCommand(long farmId, String command) {
    return jdbc.sql(SELECT + " and command = :command order by number")
        .param("farm", farmId)
        .param("command", command)
        .query(RecordRepository::record)
        .list();
  }

  int count(long farmId, String kind) {
    return jdbc.sql("select count(*) from farm_record where farm_id = :farm and kind = :kind")
        .param("farm", farmId)
        .param("kind", kind)
        .query(Integer.class)
        .single();
  }

  /**
   * Adds a record; one whose id the farm has already is left as it is.
   *
   * @param personId who wrote it, or null
   * @return true when it was added
   */
  boolean insert(long farmId, String command, Long personId, FarmRecord r) {
    return jdbc.sql(
                """
                insert into farm_record
                  (farm_id, id, command, happened_on, fact, person_id, who, device, written_at)
                values
                  (:farm, :id, :command, :on, :fact::jsonb, :person, :who, :device,
                   coalesce(:at::timestamptz, now()))
                on conflict (farm_id, id) do nothing
                """)
            .param("farm", farmId)
            .param("id", r.id())
            .param("command", command)
            .param("on", r.on())
            .param("fact", Json.MAPPER.writerFor(Fact.class).writeValueAsString(r.fact()))
            .param("person", personId)
            .param("who", r.written().who())
            .param("device", r.written().device())
            .param(
                "at", r.written().at() == null ? null : r.written().at().atOffset(ZoneOffset.UTC))
            .update()
        == 1;
  }

  private static FarmRecord record(ResultSet rs, int row) throws SQLException {
    return new FarmRecord(
        rs.getString("id"),
        rs.getObject("happened_on", LocalDate.class),
        Json.MAPPER.readValue(rs.getString("fact"), Fact.class),
        new FarmRecord.Written(
            rs.getString("who"),
            rs.getObject("written_at", OffsetDateTime.class).toInstant(),
            rs.getString("device")));
  }
}
