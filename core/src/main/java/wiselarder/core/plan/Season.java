package wiselarder.core.plan;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.Overlay;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.core.weather.WeatherGenerator;
import wiselarder.core.weather.WeatherYear;

/**
 * Which weather a plan is looked at in. Written as a key: {@code normal}, {@code dry}, {@code wet},
 * {@code seed:17}, {@code recorded:ID:2019-09-01} (the day the plan's first day is laid on) or
 * {@code scenario:ID}.
 */
public record Season(Kind kind, String id, LocalDate first, long seed) {
  public static final Season NORMAL = new Season(Kind.NORMAL, "", null, 0);

  private static final long LARGEST_SEED = 999_999;
  private static final int EARLIEST_YEAR = 1700;
  private static final int LATEST_YEAR = 2200;

  /** Where the weather comes from. */
  public enum Kind {
    NORMAL,
    DRY,
    WET,
    SEED,
    RECORDED,
    SCENARIO
  }

  /**
   * Reads a key.
   *
   * @throws Refused where it is none
   */
  public static Season parse(String key) {
    String[] parts = key == null ? new String[0] : key.split(":", 3);
    try {
      if (parts.length == 1) {
        switch (parts[0]) {
          case "normal" -> {
            return NORMAL;
          }
          case "dry" -> {
            return new Season(Kind.DRY, "", null, 0);
          }
          case "wet" -> {
            return new Season(Kind.WET, "", null, 0);
          }
          default -> {}
        }
      }
      if (parts.length == 2 && parts[0].equals("seed")) {
        long seed = Long.parseLong(parts[1]);
        if (seed >= 0 && seed <= LARGEST_SEED) {
          return new Season(Kind.SEED, "", null, seed);
        }
      }
      if (parts.length == 2 && parts[0].equals("scenario") && !parts[1].isBlank()) {
        return new Season(Kind.SCENARIO, parts[1], null, 0);
      }
      if (parts.length == 3 && parts[0].equals("recorded")) {
        LocalDate first = LocalDate.parse(parts[2]);
        if (first.getYear() >= EARLIEST_YEAR && first.getYear() <= LATEST_YEAR) {
          return new Season(Kind.RECORDED, parts[1], first, 0);
        }
      }
    } catch (NumberFormatException | DateTimeParseException e) {
      throw unknown(key);
    }
    throw unknown(key);
  }

  /** A simulated year of the place. */
  public static Season simulated(long seed) {
    return new Season(Kind.SEED, "", null, seed);
  }

  /** The key that {@link #parse} reads. */
  public String key() {
    return switch (kind) {
      case NORMAL, DRY, WET -> kind.name().toLowerCase(java.util.Locale.ROOT);
      case SEED -> "seed:" + seed;
      case RECORDED -> "recorded:" + id + ":" + first;
      case SCENARIO -> "scenario:" + id;
    };
  }

  private static Refused unknown(String key) {
    return new Refused(CoreReason.UNKNOWN_SEASON, "season", key);
  }

  /**
   * The weather of this season over the plan's days.
   *
   * @param recorded the farm's recorded weather by id
   * @throws Refused when a scenario or record is not there
   */
  public WeatherYear weather(
      FarmPlan stated, Catalogue catalogue, Map<String, RecordedWeather> recorded) {
    Climate climate = catalogue.climate(stated.farm().climateId());
    PlanYear year = stated.plan().year();
    return switch (kind) {
      case NORMAL -> NormalYear.of(climate, year);
      case DRY -> catalogue.drySeasons().dry(climate, year);
      case WET -> catalogue.drySeasons().wet(climate, year);
      case SEED -> WeatherGenerator.of(climate, year).year(seed);
      case RECORDED -> record(recorded).on(year, first, climate).weather();
      case SCENARIO -> {
        Scenario scenario = scenario(stated.plan().scenarios());
        WeatherYear weather = parse(scenario.over()).weather(stated, catalogue, recorded);
        for (Overlay overlay : scenario.overlays()) {
          weather = overlay.over(weather, climate);
        }
        yield weather;
      }
    };
  }

  /** True when it, or the scenario's season below it, is a record. */
  public boolean needsRecords(FarmPlan stated) {
    return kind == Kind.RECORDED
        || (kind == Kind.SCENARIO
            && stated.plan().scenarios().stream()
                .anyMatch(s -> s.id().equals(id) && parse(s.over()).kind == Kind.RECORDED));
  }

  /** True when the scenario or record that it names is there. */
  public boolean isThere(FarmPlan stated, Map<String, RecordedWeather> recorded) {
    return switch (kind) {
      case RECORDED -> recorded.containsKey(id);
      case SCENARIO ->
          stated.plan().scenarios().stream()
              .anyMatch(s -> s.id().equals(id) && parse(s.over()).isThere(stated, recorded));
      default -> true;
    };
  }

  private RecordedWeather record(Map<String, RecordedWeather> recorded) {
    RecordedWeather found = recorded.get(id);
    if (found == null) {
      throw new Refused(CoreReason.UNKNOWN_ID, "season", id);
    }
    return found;
  }

  private Scenario scenario(List<Scenario> scenarios) {
    return scenarios.stream()
        .filter(s -> s.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "season", id));
  }
}
