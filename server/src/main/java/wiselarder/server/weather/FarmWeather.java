package wiselarder.server.weather;

import java.util.Map;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.closing.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Refused;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Slugs;
import wiselarder.server.plan.StoredPlan;

/** Recorded weather of farms, and engines for the season somebody looks at. */
@Component
public class FarmWeather {
  private static final int MOST_RECORDS = 30;

  private final WeatherRepository repository;
  private final Plans plans;
  private final Engine engine;

  FarmWeather(WeatherRepository repository, Plans plans, Engine engine) {
    this.repository = repository;
    this.plans = plans;
    this.engine = engine;
  }

  /**
   * An engine in a season. A scenario or record that is no longer there gives the normal year,
   * which the answer then names.
   *
   * @throws Refused when the key is none
   */
  @Transactional(readOnly = true)
  public Engine engine(String key, long farmId, FarmPlan stated) {
    Season season = Season.parse(key);
    if (season.equals(Season.NORMAL)) {
      return engine;
    }
    Map<String, RecordedWeather> records =
        season.needsRecords(stated) ? repository.ofFarm(farmId) : Map.of();
    return season.isThere(stated, records) ? engine.in(season, records) : engine;
  }

  /** As {@link #engine(String, long, FarmPlan)}, for a stored plan. */
  public Engine engine(String key, StoredPlan plan) {
    return engine(key, plan.farmId(), plan.content());
  }

  /** The records of a plan's farm. */
  @Transactional(readOnly = true)
  public Map<String, RecordedWeather> records(StoredPlan plan) {
    return repository.ofFarm(plan.farmId());
  }

  /** Adds a record to the farm of a plan; its address. */
  @Transactional
  public String add(String planSlug, Person person, RecordedWeather weather) {
    StoredPlan plan = plans.get(planSlug, person);
    NotAllowed.unless(plan.role(), Role.PLANNER);
    int there = repository.countOfFarm(plan.farmId());
    if (there >= MOST_RECORDS) {
      throw new Refused(
          "too_many_records",
          "weather",
          there,
          0.0,
          (double) MOST_RECORDS,
          "a farm keeps up to %d weather records; remove one first".formatted(MOST_RECORDS));
    }
    String slug = Slugs.fresh(weather.name());
    repository.insert(plan.farmId(), slug, weather);
    return slug;
  }

  /** Removes a record of a plan's farm. */
  @Transactional
  public void remove(String planSlug, Person person, String record) {
    StoredPlan plan = plans.get(planSlug, person);
    NotAllowed.unless(plan.role(), Role.PLANNER);
    if (!repository.delete(plan.farmId(), record)) {
      throw new NoSuchElementException(record);
    }
  }
}
