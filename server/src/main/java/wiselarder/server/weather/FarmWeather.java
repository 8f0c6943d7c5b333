package wiselarder.server.weather;

import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.Seen;
import wiselarder.core.records.Struck;
import wiselarder.core.records.WeatherMeasured;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Slugs;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.problem.ServerReason;
import wiselarder.server.records.Records;
import wiselarder.server.watch.Deadline;

/** Recorded weather of farms, and engines that know a farm, in the season somebody looks at. */
@Component
public class FarmWeather {
  private static final int MOST_RECORDS = 30;

  private final Records records;
  private final Plans plans;
  private final Engine engine;

  FarmWeather(Records records, Plans plans, Engine engine) {
    this.records = records;
    this.plans = plans;
    this.engine = engine;
  }

  /**
   * An engine that knows what was written down of a farm, in a season, for as long as this request
   * takes. A scenario or record that is no longer there gives the normal year, which the answer
   * then names.
   *
   * @throws Refused when the key is none
   */
  @Transactional(readOnly = true)
  public Engine engine(String key, long farmId, FarmPlan stated) {
    Season season = Season.parse(key);
    FarmRecords known = season.needsRecords(stated) ? records.allOf(farmId) : records.of(farmId);
    Engine knowing = engine.knowing(known).until(Deadline.over());
    return season.isThere(stated, known.weather()) ? knowing.in(season) : knowing;
  }

  /** As {@link #engine(String, long, FarmPlan)}, for a stored plan. */
  public Engine engine(String key, StoredPlan plan) {
    return engine(key, plan.farmId(), plan.content());
  }

  /** As {@link #engine(String, StoredPlan)} in the normal year, knowing measured weather too. */
  @Transactional(readOnly = true)
  public Engine engineWithWeather(StoredPlan plan) {
    return engine.knowing(records.allOf(plan.farmId()));
  }

  /** The recorded weather of a plan's farm by the id of its record. */
  @Transactional(readOnly = true)
  public Map<String, RecordedWeather> recorded(StoredPlan plan) {
    return records.allOf(plan.farmId()).weather();
  }

  /** Adds a record to the farm of a plan; its address. */
  @Transactional
  public String add(String planSlug, Person person, RecordedWeather weather) {
    StoredPlan plan = plans.get(planSlug, person);
    NotAllowed.unless(plan.role(), Role.PLANNER);
    int there = recorded(plan).size();
    if (there >= MOST_RECORDS) {
      throw new Refused(ServerReason.TOO_MANY_WEATHERS, "weather", MOST_RECORDS);
    }
    String id = Slugs.fresh(weather.name());
    Seen seen = new Seen(weather.start(), new WeatherMeasured(weather));
    records.write(planSlug, person, new Records.Command(id, "", List.of(seen)));
    return id;
  }

  /** Strikes a record of a plan's farm out. */
  @Transactional
  public void remove(String planSlug, Person person, String record) {
    StoredPlan plan = plans.get(planSlug, person);
    NotAllowed.unless(plan.role(), Role.PLANNER);
    RecordedWeather weather = recorded(plan).get(record);
    if (weather == null) {
      throw new NoSuchElementException(record);
    }
    Seen struck = new Seen(weather.start(), new Struck(record, ""));
    records.write(
        planSlug, person, new Records.Command(Slugs.fresh("struck"), "", List.of(struck)));
  }
}
