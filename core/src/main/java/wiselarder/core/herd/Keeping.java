package wiselarder.core.herd;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * How a group is kept, as far as its intake, energy and water hang on it.
 *
 * @param byEnergy true to reckon what it eats from its need of energy and the worth of the feed, up
 *     to the fibre it can hold; false to go by percent of weight and stage. A flat figure stands
 *     above both
 * @param windKmPerHour mean wind where it stands in the cold, for animals in the open
 * @param walkKmPerDay way to water, parlour or far feed that its class does not walk anyhow
 * @param deathsPerYearShare share of the group that dies in a year, spread evenly
 * @param conditionFloor lowest condition score that the keeper accepts, or null
 * @param snowAsWater true where the keeper accepts that it drinks by eating snow
 * @param besidesKgPerDay feed that does not come from this plan, kg DM a head and day: in the
 *     parlour or the creep. It counts in the diet, not in what they ask for
 * @param conditionAtStart score on the plan's first day, or null for the last one that was seen
 *     before it, else the usual one
 */
public record Keeping(
    boolean byEnergy,
    Shelter shelter,
    double windKmPerHour,
    double walkKmPerDay,
    double deathsPerYearShare,
    Double conditionFloor,
    boolean snowAsWater,
    double besidesKgPerDay,
    Double conditionAtStart) {
  public static final Stated.Figure CONDITION_FLOOR =
      Stated.number("keeping.conditionFloor", 1, 9).orNone();
  public static final Stated.Figure CONDITION_AT_START =
      Stated.number("keeping.conditionAtStart", 1, 9).orNone();
  public static final Stated.Figure WIND_KM_PER_HOUR =
      Stated.number("keeping.windKmPerHour", 0, 100);
  public static final Stated.Figure WALK_KM_PER_DAY = Stated.number("keeping.walkKmPerDay", 0, 30);
  public static final Stated.Figure DEATHS_PER_YEAR_SHARE =
      Stated.number("keeping.deathsPerYearShare", 0, 0.5);
  public static final Stated.Figure BESIDES_KG_PER_DAY =
      Stated.number("keeping.besidesKgPerDay", 0, 15);

  /** What keeps off wind and rain. */
  public enum Shelter {
    /** Cold and heat do not reach it. */
    HOUSED,
    /** Coat stays dry and the wind off: trees, a windbreak and a dry lie. */
    SHELTERED,
    /** Rain and wind reach it. */
    OPEN
  }

  /** A sheltered group that walks no further than any other. */
  public static final Keeping USUAL =
      new Keeping(false, Shelter.SHELTERED, 0, 0, 0, null, false, 0);

  /** In the condition that was seen last, or the usual one. */
  public Keeping(
      boolean byEnergy,
      Shelter shelter,
      double windKmPerHour,
      double walkKmPerDay,
      double deathsPerYearShare,
      Double conditionFloor,
      boolean snowAsWater,
      double besidesKgPerDay) {
    this(
        byEnergy,
        shelter,
        windKmPerHour,
        walkKmPerDay,
        deathsPerYearShare,
        conditionFloor,
        snowAsWater,
        besidesKgPerDay,
        null);
  }

  /** The same in such a condition on the plan's first day. */
  public Keeping from(Double score) {
    return new Keeping(
        byEnergy,
        shelter,
        windKmPerHour,
        walkKmPerDay,
        deathsPerYearShare,
        conditionFloor,
        snowAsWater,
        besidesKgPerDay,
        score);
  }

  public Keeping {
    Check.present("keeping.shelter", shelter);
    WIND_KM_PER_HOUR.check(windKmPerHour);
    WALK_KM_PER_DAY.check(walkKmPerDay);
    DEATHS_PER_YEAR_SHARE.check(deathsPerYearShare);
    CONDITION_FLOOR.check(conditionFloor);
    BESIDES_KG_PER_DAY.check(besidesKgPerDay);
    CONDITION_AT_START.check(conditionAtStart);
  }

  /** A group that is fed from this plan alone. */
  public Keeping(
      boolean byEnergy,
      Shelter shelter,
      double windKmPerHour,
      double walkKmPerDay,
      double deathsPerYearShare,
      Double conditionFloor,
      boolean snowAsWater) {
    this(
        byEnergy,
        shelter,
        windKmPerHour,
        walkKmPerDay,
        deathsPerYearShare,
        conditionFloor,
        snowAsWater,
        0);
  }
}
