package wiselarder.server.weather;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import wiselarder.core.weather.RecordedWeather;

/** The table {@code recorded_weather}. Callers have checked who asks for the farm. */
@Repository
class WeatherRepository {
  private final JdbcClient jdbc;

  WeatherRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Every record of a farm by its address, oldest first. */
  Map<String, RecordedWeather> ofFarm(long farmId) {
    Map<String, RecordedWeather> found = new LinkedHashMap<>();
    jdbc.sql(
            """
            select slug, name, first_day, tmin_c, tmax_c, rain_mm, solar_mj_m2, et0_mm
            from recorded_weather where farm_id = :farm order by id
            """)
        .param("farm", farmId)
        .query(
            (ResultSet rs) -> {
              found.put(rs.getString("slug"), record(rs));
            });
    return found;
  }

  int countOfFarm(long farmId) {
    return jdbc.sql("select count(*) from recorded_weather where farm_id = :farm")
        .param("farm", farmId)
        .query(Integer.class)
        .single();
  }

  void insert(long farmId, String slug, RecordedWeather w) {
    jdbc.sql(
            """
            insert into recorded_weather
              (farm_id, slug, name, first_day, tmin_c, tmax_c, rain_mm, solar_mj_m2, et0_mm)
            values
              (:farm, :slug, :name, :first, :tmin, :tmax, :rain, :solar, :et0)
            """)
        .param("farm", farmId)
        .param("slug", slug)
        .param("name", w.name())
        .param("first", w.start())
        .param("tmin", w.tminC().toArray(Double[]::new))
        .param("tmax", w.tmaxC().toArray(Double[]::new))
        .param("rain", w.rainMm().toArray(Double[]::new))
        .param("solar", w.solarMjPerM2().toArray(Double[]::new))
        .param("et0", w.et0Mm().toArray(Double[]::new))
        .update();
  }

  /** True when there was one to delete. */
  boolean delete(long farmId, String slug) {
    return jdbc.sql("delete from recorded_weather where farm_id = :farm and slug = :slug")
            .param("farm", farmId)
            .param("slug", slug)
            .update()
        == 1;
  }

  private static RecordedWeather record(ResultSet rs) throws SQLException {
    return new RecordedWeather(
        rs.getString("name"),
        rs.getObject("first_day", LocalDate.class),
        column(rs.getArray("tmin_c")),
        column(rs.getArray("tmax_c")),
        column(rs.getArray("rain_mm")),
        column(rs.getArray("solar_mj_m2")),
        column(rs.getArray("et0_mm")));
  }

  private static List<Double> column(Array values) throws SQLException {
    return new ArrayList<>(List.of((Double[]) values.getArray()));
  }
}
