package wiselarder.core.land;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * How a field lies: what a walk over it tells, apart from soil and stand.
 *
 * @param slopeDeg slope of most of the field; null where nobody said
 * @param water where stock drink there
 * @param access when a tractor gets there
 * @param exposure how wind and snow reach it; sets what goes down under heavy snow, and exposed
 *     stockpiles are eaten before sheltered ones
 * @param shade true where stock find shade
 * @param distanceM from the yard, by the way stock or bales go; null where nobody said
 * @param onlyGroups groups that may graze here, as the fence holds no others; empty for all
 * @param formerly what grew there before
 * @param soilTest the last one, or null
 * @param waterLPerDay most that its troughs, pond or tank give a day, litres; null where nobody
 *     said
 * @param waterCostPerM3 cost of bringing a cubic metre, in the farm's currency; null for none
 */
public record Lie(
    Double slopeDeg,
    Water water,
    Access access,
    Exposure exposure,
    boolean shade,
    Double distanceM,
    List<String> onlyGroups,
    String formerly,
    SoilTest soilTest,
    Double waterLPerDay,
    Double waterCostPerM3) {
  public static final Stated.Figure SLOPE_DEG = Stated.number("lie.slopeDeg", 0, 60).orNone();
  public static final Stated.Figure DISTANCE_M =
      Stated.number("lie.distanceM", 0, 100_000).orNone();
  public static final Stated.Figure WATER_LPER_DAY =
      Stated.number("lie.waterLPerDay", 0, 1_000_000).orNone();
  public static final Stated.Figure WATER_COST_PER_M3 =
      Stated.number("lie.waterCostPerM3", 0, 1000).orNone();

  public static final Stated.Text FORMERLY = Stated.note("lie.formerly", 400);

  /** Where stock drink. */
  public enum Water {
    NOT_SAID,
    NONE,
    HAULED,
    TROUGH,
    POND_OR_STREAM
  }

  /** When a tractor gets there. */
  public enum Access {
    ANY_WEATHER,
    DRY_GROUND,
    FROZEN_OR_DRY,
    ON_FOOT
  }

  /** How wind and snow reach a field. */
  public enum Exposure {
    SHELTERED,
    ORDINARY,
    EXPOSED
  }

  /**
   * A soil test.
   *
   * @param ph in water
   * @param phosphorusMgPerKg plant-available, as the laboratory gives it
   * @param potassiumMgPerKg plant-available
   */
  public record SoilTest(
      LocalDate date, Double ph, Double phosphorusMgPerKg, Double potassiumMgPerKg) {
    public static final Stated.Figure PH = Stated.number("soilTest.ph", 3, 10).orNone();
    public static final Stated.Figure PHOSPHORUS_MG_PER_KG =
        Stated.number("soilTest.phosphorusMgPerKg", 0, 1000).orNone();
    public static final Stated.Figure POTASSIUM_MG_PER_KG =
        Stated.number("soilTest.potassiumMgPerKg", 0, 5000).orNone();

    public SoilTest {
      Check.present("soilTest.date", date);
      PH.check(ph);
      PHOSPHORUS_MG_PER_KG.check(phosphorusMgPerKg);
      POTASSIUM_MG_PER_KG.check(potassiumMgPerKg);
    }
  }

  /** Steeper than this no tractor should cut or turn across. Assumption, on the careful side. */
  public static final double STEEPEST_TO_CUT_DEG = 16;

  public Lie {
    SLOPE_DEG.check(slopeDeg);
    Check.present("lie.water", water);
    Check.present("lie.access", access);
    Check.present("lie.exposure", exposure);
    DISTANCE_M.check(distanceM);
    onlyGroups = List.copyOf(Check.present("lie.onlyGroups", onlyGroups));
    formerly = FORMERLY.check(formerly);
    WATER_LPER_DAY.check(waterLPerDay);
    WATER_COST_PER_M3.check(waterCostPerM3);
  }

  /** A field of whose water no more is said. */
  public Lie(
      Double slopeDeg,
      Water water,
      Access access,
      Exposure exposure,
      boolean shade,
      Double distanceM,
      List<String> onlyGroups,
      String formerly,
      SoilTest soilTest) {
    this(
        slopeDeg,
        water,
        access,
        exposure,
        shade,
        distanceM,
        onlyGroups,
        formerly,
        soilTest,
        null,
        null);
  }

  /** The same with other water: brought, or as much a day as is said. */
  public Lie watered(Water other, Double litresPerDay) {
    return new Lie(
        slopeDeg,
        other,
        access,
        exposure,
        shade,
        distanceM,
        onlyGroups,
        formerly,
        soilTest,
        litresPerDay,
        waterCostPerM3);
  }

  /** A field of which nothing is said. */
  public static Lie unsaid() {
    return new Lie(
        null,
        Water.NOT_SAID,
        Access.ANY_WEATHER,
        Exposure.ORDINARY,
        false,
        null,
        List.of(),
        "",
        null);
  }
}
