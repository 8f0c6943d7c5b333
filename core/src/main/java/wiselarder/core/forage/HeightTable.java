package wiselarder.core.forage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.reference.CsvTable;

/**
 * How much stands at a height, by forage and season: not a straight line, as sods are densest at
 * the ground and tall stands gain weight as stems come. Product defaults; see docs/model.md for how
 * sure they are.
 */
public final class HeightTable {
  /** Season of the place, by what the plant does rather than by date. */
  public enum Season {
    SPRING,
    SUMMER,
    AUTUMN,
    /** Held after growth stopped: some leaf lost or laid over. */
    WINTER_STANDING
  }

  /** How thick a stand is: about one in ten is thinner than thin, one in ten thicker than dense. */
  public enum Density {
    THIN,
    ORDINARY,
    DENSE
  }

  /** One point of a curve: height cm, masses kg DM/ha by density. */
  private record Point(double heightCm, double[] kgPerHa) {}

  private record Row(String forageId, String season, Point point) {}

  private static final String ALL_YEAR = "all";

  /** By forage and season. */
  private final Map<String, Map<String, List<Point>>> curves;

  private final Map<String, OwnForage> own;
  private final Map<String, Forage> forages;
  private final Map<String, Own> calibrated;

  /**
   * What frames that were clipped on a farm say of a forage there.
   *
   * @param times its mass over the table's, {@code errorShare} standard error of that
   */
  public record Own(double times, double errorShare) {}

  private HeightTable(
      Map<String, Map<String, List<Point>>> curves,
      Map<String, OwnForage> own,
      Map<String, Forage> forages,
      Map<String, Own> calibrated) {
    this.curves = curves;
    this.own = own;
    this.forages = forages;
    this.calibrated = calibrated;
  }

  /** The table as clipped frames have it, by forage. */
  public HeightTable calibrated(Map<String, Own> byForage) {
    return new HeightTable(curves, own, forages, Map.copyOf(byForage));
  }

  /** What clipped frames say of a forage, or null. */
  public Own own(Forage f) {
    return calibrated.get(f.id());
  }

  /** Loads and checks the table. */
  public static HeightTable load(Map<String, Forage> forages) {
    Map<String, Map<String, List<Point>>> curves = new HashMap<>();
    for (Row r : CsvTable.load("height_mass.csv", HeightTable::row)) {
      curves
          .computeIfAbsent(r.forageId(), id -> new HashMap<>())
          .computeIfAbsent(r.season(), s -> new ArrayList<>())
          .add(r.point());
    }
    for (Map<String, List<Point>> seasons : curves.values()) {
      seasons.values().forEach(c -> c.sort(Comparator.comparingDouble(Point::heightCm)));
    }
    return new HeightTable(curves, Map.of(), forages, Map.of());
  }

  private static Row row(CsvTable.Row r) {
    double[] kgPerHa = {
      r.number("mass_low_kg_ha", 0, 40000),
      r.number("mass_likely_kg_ha", 0, 40000),
      r.number("mass_high_kg_ha", 0, 40000)
    };
    return new Row(
        r.text("forage_id"), r.text("season"), new Point(r.number("height_cm", 1, 400), kgPerHa));
  }

  /** The table as it holds on a farm with forages of its own. */
  public HeightTable with(List<OwnForage> ofFarm, Map<String, Forage> all) {
    Map<String, OwnForage> byId = new HashMap<>();
    ofFarm.forEach(o -> byId.put(o.id(), o));
    return new HeightTable(curves, byId, all, calibrated);
  }

  /**
   * Mass at a height, kg DM/ha: a straight line between the points of the season's curve, down to
   * nothing below the first, and no more above the last. A mixture stands at the mean of its parts
   * by share; one of the keeper's own whose masses were changed, and a forage without a curve, at
   * the straight line of its figures. Where frames were clipped, so many times of that.
   */
  public double massKgPerHa(Forage f, Season season, Density density, double heightCm) {
    Own frames = calibrated.get(f.id());
    double kg = tableKgPerHa(f, season, density, heightCm);
    return frames == null ? kg : frames.times * kg;
  }

  private double tableKgPerHa(Forage f, Season season, Density density, double heightCm) {
    if (!f.grows()) {
      return f.minResidualKgPerHa();
    }
    OwnForage mixture = own.get(f.id());
    if (mixture != null && !changed(mixture.figures())) {
      double sum = 0;
      double shares = 0;
      for (OwnForage.Part part : mixture.parts()) {
        Forage of = forages.get(part.forageId());
        sum += part.share() * tableKgPerHa(of, season, density, heightCm);
        shares += part.share();
      }
      return sum / shares;
    }
    Map<String, List<Point>> seasons = curves.get(f.id());
    return seasons == null
        ? f.massAtHeightKgPerHa(heightCm)
        : at(curve(seasons, season), density, heightCm);
  }

  private static boolean changed(OwnForage.Figures f) {
    return f.minResidualKgPerHa() != null || f.dmPerCmKgPerHa() != null || f.exitHeightCm() != null;
  }

  /** Mass at a height while it grows: the mean of its growing seasons, of an ordinary stand. */
  public double growingKgPerHa(Forage f, double heightCm) {
    double sum = 0;
    for (Season s : GROWING) {
      sum += massKgPerHa(f, s, Density.ORDINARY, heightCm);
    }
    return sum / GROWING.size();
  }

  /** Mass at a height once growth has stopped, of an ordinary stand. */
  public double wintersKgPerHa(Forage f, double heightCm) {
    return massKgPerHa(f, Season.WINTER_STANDING, Density.ORDINARY, heightCm);
  }

  private static final List<Season> GROWING = List.of(Season.SPRING, Season.SUMMER, Season.AUTUMN);

  /** Where a season has no curve of its own: that of any growth, else of the nearest season. */
  private static final Map<Season, List<Season>> NEAREST =
      new EnumMap<>(
          Map.of(
              Season.SPRING, List.of(Season.SUMMER, Season.AUTUMN),
              Season.SUMMER, List.of(Season.SPRING, Season.AUTUMN),
              Season.AUTUMN, List.of(Season.SUMMER, Season.SPRING),
              Season.WINTER_STANDING, List.of(Season.AUTUMN, Season.SUMMER, Season.SPRING)));

  private static List<Point> curve(Map<String, List<Point>> seasons, Season season) {
    List<Point> found = seasons.get(name(season));
    if (found == null) {
      found = seasons.get(ALL_YEAR);
    }
    for (int i = 0; found == null; i++) {
      found = seasons.get(name(NEAREST.get(season).get(i)));
    }
    return found;
  }

  private static String name(Season season) {
    return season.name().toLowerCase(java.util.Locale.ROOT);
  }

  private static double at(List<Point> curve, Density density, double heightCm) {
    int column = density.ordinal();
    double fromCm = 0;
    double fromKg = 0;
    for (Point p : curve) {
      double kg = p.kgPerHa()[column];
      if (heightCm <= p.heightCm()) {
        return fromKg + (kg - fromKg) * (heightCm - fromCm) / (p.heightCm() - fromCm);
      }
      fromCm = p.heightCm();
      fromKg = kg;
    }
    return fromKg;
  }
}
