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
   * phosphorus.
   *
   * @param green by nutrient and stage, gaps filled from the neighbours
   * @param early standing dead or kept when growth has just stopped
   * @param late the same near its use-by day
   * @param latePerDay share of the way from early to late that a day goes
   */
  public record Values(double[][] green, double[] early, double[] late, double latePerDay) {
    public static final int PROTEIN = 0;
    public static final int TDN = 1;
    public static final int FIBRE = 2;
    public static final int CALCIUM = 3;
    public static final int PHOSPHORUS = 4;
    public static final int COUNT = 5;

    /** Value of living leaf and stem at a maturity from 0 (leafy) to 1 (ripe), in percent of DM. */
    public double green(int nutrient, double maturity) {
      double at = Math.max(0, Math.min(1, maturity)) * (STAGES.size() - 1);
      int below = Math.min(STAGES.size() - 2, (int) at);
      double[] points = green[nutrient];
      return points[below] + (at - below) * (points[below + 1] - points[below]);
    }

    /** Place of a maturity among the stages, for {@link #kg}. */
    public double stageAt(double maturity) {
      return Math.max(0, Math.min(1, maturity)) * (STAGES.size() - 1);
    }

    /** How far from early to late what has stood dead so many days is, for {@link #kg}. */
    public double agedAt(double days) {
      return Math.min(2, days * latePerDay);
    }

    /** kg of a nutrient in so many kg of living and of dead feed. */
    public double kg(int nutrient, double livingKg, double stage, double deadKg, double aged) {
      int below = Math.min(STAGES.size() - 2, (int) stage);
      double[] points = green[nutrient];
      double living = points[below] + (stage - below) * (points[below + 1] - points[below]);
      double gone = early[nutrient] + aged * (late[nutrient] - early[nutrient]);
      return (livingKg * living + deadKg * gone) * 0.01;
    }

    /**
     * Value of what stands dead for so many days, in percent of DM; no worse than twice as late.
     */
    public double dead(int nutrient, double days) {
      double share = Math.min(2, days * latePerDay);
      return early[nutrient] + share * (late[nutrient] - early[nutrient]);
    }
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

  /** Without a row for it: four months of the forage's own loss, half as much protein as energy. */
  private static double[] aged(Forage f, double[] mature) {
    double lost = 4 * f.standingTdnLossPerMonth();
    return new double[] {
      Math.max(2, mature[0] - lost / 2),
      Math.max(30, mature[1] - lost),
      mature[2] + lost,
      mature[3],
      mature[4]
    };
  }
}
