package wiselarder.core.forage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.reference.CsvTable;

/**
 * Feed value of every forage by stage: crude protein, total digestible nutrients, neutral detergent
 * fibre, calcium and phosphorus, percent of DM. Product defaults: protein +/-2 to 3 points, TDN and
 * fibre +/-4.
 */
public final class QualityTable {
  /** Growth stages in order, at maturity 0, 0.25, 0.5, 0.75 and 1. */
  private static final List<String> STAGES =
      List.of("vegetative", "late_vegetative", "boot_or_bud", "heading_or_bloom", "mature");

  private static final List<String> NUTRIENTS =
      List.of("cp_pct", "tdn_pct", "ndf_pct", "ca_pct", "p_pct");

  /** Days from early to late for what is not kept standing on purpose. Assumption. */
  private static final double OTHERWISE_LATE_DAYS = 120;

  private final Map<String, Values> byForage = new HashMap<>();

  /**
   * What one forage is worth. Values by nutrient: 0 protein, 1 TDN, 2 fibre, 3 calcium, 4
   * phosphorus. Every piece of every field asks it several times a day: what does not change is
   * worked out once.
   */
  public static final class Values {
    private final double[][] green;
    private final double[] early;
    private final double[] late;
    private final double latePerDay;

    /** From early to late; and how low, or of what rises how high, what is kept may come. */
    private final double[] falls = new double[COUNT];

    private final double[] least = new double[COUNT];
    private final double[] most = new double[COUNT];

    /**
     * Values of a forage.
     *
     * @param green by nutrient and stage, gaps filled from the neighbours
     * @param early standing dead or kept when growth has just stopped
     * @param late the same near its use-by day
     * @param latePerDay share of the way from early to late that a day goes
     */
    private Values(double[][] green, double[] early, double[] late, double latePerDay) {
      this.green = green;
      this.early = early;
      this.late = late;
      this.latePerDay = latePerDay;
      for (int n = 0; n < COUNT; n++) {
        double ripe = green[n][STAGES.size() - 1];
        falls[n] = early[n] - late[n];
        least[n] = Math.max(LEAST_KEPT[n], Math.min(late[n], ripe) - falls[n]);
        most[n] = Math.min(MOST_PCT, Math.max(late[n], ripe) - falls[n]);
      }
    }

    public static final int PROTEIN = 0;
    public static final int TDN = 1;
    public static final int FIBRE = 2;
    public static final int CALCIUM = 3;
    public static final int PHOSPHORUS = 4;
    public static final int COUNT = 5;

    /** Beside the nutrients a mass carries how ripe it is, 0 leafy to 1 ripe. */
    public static final int RIPENESS = 5;

    public static final int FIGURES = 6;

    /** By nutrient, percent of DM: standing dead or kept when growth has just stopped. */
    public double[] early() {
      return early.clone();
    }

    /** The same near its use-by day. */
    public double[] late() {
      return late.clone();
    }

    /** Value of living leaf and stem at a maturity from 0 (leafy) to 1 (ripe), in percent of DM. */
    public double green(int nutrient, double maturity) {
      double at = along(maturity);
      int below = stage(at);
      return between(nutrient, below, at - below);
    }

    private static double along(double maturity) {
      return Math.max(0, Math.min(1, maturity)) * (STAGES.size() - 1);
    }

    private static int stage(double along) {
      return Math.min(STAGES.size() - 2, (int) along);
    }

    private double between(int nutrient, int below, double part) {
      double[] points = green[nutrient];
      return points[below] + part * (points[below + 1] - points[below]);
    }

    /**
     * New growth joins a mass.
     *
     * @param worth of the mass, percent of DM by nutrient, then ripeness; changed
     * @param mass of it, kg DM
     * @param maturity of the growth
     * @param grown kg DM
     */
    public void join(double[] worth, double mass, double maturity, double grown) {
      double share = grown / (mass + grown);
      double at = along(maturity);
      int below = stage(at);
      for (int n = 0; n < COUNT; n++) {
        worth[n] += share * (between(n, below, at - below) - worth[n]);
      }
      worth[RIPENESS] += share * (maturity - worth[RIPENESS]);
    }

    /**
     * What grows ripens from one maturity to a later one. A mass that is as ripe as its growth
     * follows the stages of the table; what is older goes the same share of its way to ripe.
     */
    public void ripen(double[] worth, double from, double to) {
      for (int n = 0; n < COUNT; n++) {
        double ripe = green[n][STAGES.size() - 1];
        double left = green(n, from) - ripe;
        double change = green(n, to) - green(n, from);
        double share = left == 0 ? -1 : 1 + change / left;
        // where the table turns on the way, as with grain that fills, it moves by the table's step
        worth[n] = share >= 0 && share <= 1 ? ripe + (worth[n] - ripe) * share : worth[n] + change;
      }
      if (from < 1) {
        worth[RIPENESS] += (1 - worth[RIPENESS]) * (to - from) / (1 - from);
      }
    }

    /**
     * What is kept standing without growing weathers for a day: as from the early to the late row
     * of a stockpile over its use-by days, faster while it is still better than that, and no lower
     * than as far below the late row, or the ripe one, as that is below the early one.
     *
     * @param weathering of the day, 1 in ordinary weather
     */
    public void keep(double[] worth, double weathering) {
      double share = Math.min(1, latePerDay * weathering);
      for (int n = 0; n < COUNT; n++) {
        double is = worth[n];
        double falling = falls[n];
        double over = is - late[n];
        if (falling > 0) {
          double then = is - share * (falling > over ? falling : over);
          double floor = is < least[n] ? is : least[n];
          worth[n] = floor > then ? floor : then;
        } else if (falling < 0) {
          double then = is - share * (falling < over ? falling : over);
          double roof = is > most[n] ? is : most[n];
          worth[n] = roof < then ? roof : then;
        }
      }
    }

    /**
     * Stock pick the best of a residue first, grain and husk before leaf and leaf before stalk:
     * with so much of it gone the next mouthful is worth no more than as far from the early to the
     * late row. The table's late row is what is left after a first pass and some weeks of weather,
     * so the worse of the two holds and both are not added up.
     *
     * @param worth of it, percent of DM by nutrient; changed
     * @param gone share of what can be eaten that is
     */
    public void picked(double[] worth, double gone) {
      for (int n = 0; n < COUNT; n++) {
        double then = early[n] + gone * (late[n] - early[n]);
        worth[n] = late[n] < early[n] ? Math.min(worth[n], then) : Math.max(worth[n], then);
      }
    }

    /** No dead feed is worth less than this, percent of DM, of a nutrient that falls with time. */
    public double leastKept(int nutrient) {
      return least[nutrient];
    }

    /** Worth of what has been kept standing for so many days, into percent of DM by nutrient. */
    public void kept(double days, double[] worth) {
      for (int n = 0; n < COUNT; n++) {
        worth[n] = dead(n, days);
      }
      worth[RIPENESS] = KEPT_RIPENESS;
    }

    /**
     * Value of what stands dead for so many days, in percent of DM; no worse than twice as late.
     */
    public double dead(int nutrient, double days) {
      double share = Math.min(2, days * latePerDay);
      return Math.max(
          LEAST_KEPT[nutrient], early[nutrient] + share * (late[nutrient] - early[nutrient]));
    }

    /** Bleached straw: no feed is worth less, percent of DM by nutrient. Assumption. */
    private static final double[] LEAST_KEPT = {3, 38, 0, 0.05, 0.03};

    private static final double MOST_PCT = 85;

    /** What was kept has stopped short of heading. */
    private static final double KEPT_RIPENESS = 0.5;
  }

  private QualityTable() {}

  public static QualityTable load(Map<String, Forage> forages) {
    Map<String, Map<String, double[]>> rows = new HashMap<>();
    CsvTable.load(
        "quality.csv",
        r ->
            rows.computeIfAbsent(r.text("forage_id"), id -> new HashMap<>())
                .put(
                    r.text("stage"),
                    NUTRIENTS.stream().mapToDouble(n -> r.number(n, 0.001, 95)).toArray()));
    QualityTable table = new QualityTable();
    rows.forEach((id, stages) -> table.byForage.put(id, values(forages.get(id), stages)));
    return table;
  }

  /**
   * The same table with the keeper's own forages: means of their parts by share, moved by what own
   * tests showed. Parts that the table lacks are left out.
   */
  public QualityTable with(List<OwnForage> own, Map<String, Forage> forages) {
    QualityTable table = new QualityTable();
    table.byForage.putAll(byForage);
    for (OwnForage forage : own) {
      Values mean = blend(forage);
      if (mean != null) {
        double useBy = forages.get(forage.id()).stockpileUseByDays();
        double days = Double.isNaN(useBy) ? OTHERWISE_LATE_DAYS : Math.max(30, useBy);
        table.byForage.put(forage.id(), new Values(mean.green, mean.early, mean.late, 1 / days));
      }
    }
    return table;
  }

  private Values blend(OwnForage forage) {
    double[][] green = new double[NUTRIENTS.size()][STAGES.size()];
    double[] early = new double[NUTRIENTS.size()];
    double[] late = new double[NUTRIENTS.size()];
    double known = 0;
    for (OwnForage.Part part : forage.parts()) {
      Values v = byForage.get(part.forageId());
      if (v == null) {
        continue;
      }
      double share = forage.shareOf(part);
      known += share;
      for (int n = 0; n < NUTRIENTS.size(); n++) {
        early[n] += share * v.early[n];
        late[n] += share * v.late[n];
        for (int s = 0; s < STAGES.size(); s++) {
          green[n][s] += share * v.green[n][s];
        }
      }
    }
    if (known <= 0) {
      return null;
    }
    double[] moved = {forage.figures().proteinPoints(), forage.figures().tdnPoints(), 0, 0, 0};
    for (int n = 0; n < NUTRIENTS.size(); n++) {
      early[n] = within(early[n] / known + moved[n]);
      late[n] = within(late[n] / known + moved[n]);
      for (int s = 0; s < STAGES.size(); s++) {
        green[n][s] = within(green[n][s] / known + moved[n]);
      }
    }
    return new Values(green, early, late, 0);
  }

  private static double within(double percent) {
    return Math.max(0.01, Math.min(95, percent));
  }

  /** Values of a forage; null for ground on which nothing stands. */
  public Values of(String forageId) {
    return byForage.get(forageId);
  }

  private static Values values(Forage f, Map<String, double[]> stages) {
    double[][] green = new double[NUTRIENTS.size()][STAGES.size()];
    double[] first = stages.getOrDefault("vegetative", stages.get("residue_early"));
    double[] last = stages.getOrDefault("mature", stages.get("residue_late"));
    for (int n = 0; n < NUTRIENTS.size(); n++) {
      for (int s = 0; s < STAGES.size(); s++) {
        double[] row = stages.get(STAGES.get(s));
        double between = (double) s / (STAGES.size() - 1);
        green[n][s] = row != null ? row[n] : first[n] + between * (last[n] - first[n]);
      }
    }
    boolean residue = stages.containsKey("residue_late");
    double[] early = stages.getOrDefault("stockpiled_early", residue ? first : last);
    double[] late = stages.getOrDefault("stockpiled_late", residue ? last : aged(f, last));
    boolean kept = !Double.isNaN(f.stockpileUseByDays());
    return new Values(
        green,
        early,
        late,
        1 / (kept ? Math.max(30, f.stockpileUseByDays()) : OTHERWISE_LATE_DAYS));
  }

  /**
   * Without a row for it: four months of the forage's own loss, a quarter as much protein as
   * energy.
   */
  private static double[] aged(Forage f, double[] mature) {
    double lost = 4 * f.standingTdnLossPerMonth();
    return new double[] {
      Math.max(3, mature[0] - lost / 4),
      Math.max(38, mature[1] - lost),
      Math.min(85, mature[2] + lost),
      mature[3],
      mature[4]
    };
  }
}
