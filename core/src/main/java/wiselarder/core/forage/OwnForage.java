package wiselarder.core.forage;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * A forage of the keeper's own: one of the product's with figures changed, or a mixture of several
 * by their share of the dry matter. Where nothing is changed a figure is the mean of the parts by
 * share; what can hurt holds as soon as one part can.
 *
 * @param id begins with {@code own-}
 * @param parts at least one; shares need not add up to one
 * @param figures what the keeper knows better
 */
public record OwnForage(String id, String name, List<Part> parts, Figures figures, String note) {
  public static final Stated.Text NAME = Stated.text("ownForage.name", 60);
  public static final Stated.Text NOTE = Stated.note("ownForage.note", 1000);

  private static final String PREFIX = "own-";

  /** With this much of the dry matter a use or a habit of a part is the whole's. */
  private static final double MAIN = 0.5;

  /**
   * One part.
   *
   * @param share of the dry matter over the year, by weight
   */
  public record Part(String forageId, double share) {
    public static final Stated.Figure SHARE = Stated.number("part.share", 0.01, 1);

    public Part {
      Check.text("part.forageId", forageId, 60);
      SHARE.check(share);
    }
  }

  /**
   * Figures that the keeper sets; null leaves the mean of the parts. Named as in {@link Forage}.
   *
   * @param annualTypicalKgPerHa yield of a crop that is sown each time
   * @param proteinPoints added to crude protein at every stage, points of percent
   * @param tdnPoints added to total digestible nutrients at every stage
   */
  public record Figures(
      Double minResidualKgPerHa,
      Double ceilingKgPerHa,
      Double dmPerCmKgPerHa,
      Double entryHeightCm,
      Double exitHeightCm,
      Double regrazeHeightCm,
      Double winterLeaveHeightCm,
      Double cutHeightCm,
      Double utilizationSetStocked,
      Double utilizationRotational,
      Double utilizationStrip,
      Double senescencePerDay,
      Double standingLossPerMonth,
      Double rootDepthCm,
      Double droughtHold,
      Double winterHardyC,
      Double annualTypicalKgPerHa,
      double proteinPoints,
      double tdnPoints) {
    public static final Stated.Figure MIN_RESIDUAL_KG_PER_HA =
        Stated.number("figures.minResidualKgPerHa", 100, 8000).orNone();
    public static final Stated.Figure CEILING_KG_PER_HA =
        Stated.number("figures.ceilingKgPerHa", 1000, 30000).orNone();
    public static final Stated.Figure DM_PER_CM_KG_PER_HA =
        Stated.number("figures.dmPerCmKgPerHa", 5, 400).orNone();
    public static final Stated.Figure ENTRY_HEIGHT_CM =
        Stated.number("figures.entryHeightCm", 3, 200).orNone();
    public static final Stated.Figure EXIT_HEIGHT_CM =
        Stated.number("figures.exitHeightCm", 2, 100).orNone();
    public static final Stated.Figure REGRAZE_HEIGHT_CM =
        Stated.number("figures.regrazeHeightCm", 3, 200).orNone();
    public static final Stated.Figure WINTER_LEAVE_HEIGHT_CM =
        Stated.number("figures.winterLeaveHeightCm", 1, 100).orNone();
    public static final Stated.Figure CUT_HEIGHT_CM =
        Stated.number("figures.cutHeightCm", 2, 100).orNone();
    public static final Stated.Figure UTILIZATION_SET_STOCKED =
        Stated.number("figures.utilizationSetStocked", 0.05, 0.95).orNone();
    public static final Stated.Figure UTILIZATION_ROTATIONAL =
        Stated.number("figures.utilizationRotational", 0.05, 0.95).orNone();
    public static final Stated.Figure UTILIZATION_STRIP =
        Stated.number("figures.utilizationStrip", 0.05, 0.95).orNone();
    public static final Stated.Figure SENESCENCE_PER_DAY =
        Stated.number("figures.senescencePerDay", 0, 0.1).orNone();
    public static final Stated.Figure STANDING_LOSS_PER_MONTH =
        Stated.number("figures.standingLossPerMonth", 0, 0.9).orNone();
    public static final Stated.Figure ROOT_DEPTH_CM =
        Stated.number("figures.rootDepthCm", 10, 300).orNone();
    public static final Stated.Figure DROUGHT_HOLD =
        Stated.number("figures.droughtHold", 0, 1).orNone();
    public static final Stated.Figure WINTER_HARDY_C =
        Stated.number("figures.winterHardyC", -60, 20).orNone();
    public static final Stated.Figure ANNUAL_TYPICAL_KG_PER_HA =
        Stated.number("figures.annualTypicalKgPerHa", 200, 40000).orNone();
    public static final Stated.Figure PROTEIN_POINTS =
        Stated.number("figures.proteinPoints", -10, 10);
    public static final Stated.Figure TDN_POINTS = Stated.number("figures.tdnPoints", -15, 15);

    public Figures {
      MIN_RESIDUAL_KG_PER_HA.check(minResidualKgPerHa);
      CEILING_KG_PER_HA.check(ceilingKgPerHa);
      DM_PER_CM_KG_PER_HA.check(dmPerCmKgPerHa);
      ENTRY_HEIGHT_CM.check(entryHeightCm);
      EXIT_HEIGHT_CM.check(exitHeightCm);
      REGRAZE_HEIGHT_CM.check(regrazeHeightCm);
      WINTER_LEAVE_HEIGHT_CM.check(winterLeaveHeightCm);
      CUT_HEIGHT_CM.check(cutHeightCm);
      UTILIZATION_SET_STOCKED.check(utilizationSetStocked);
      UTILIZATION_ROTATIONAL.check(utilizationRotational);
      UTILIZATION_STRIP.check(utilizationStrip);
      SENESCENCE_PER_DAY.check(senescencePerDay);
      STANDING_LOSS_PER_MONTH.check(standingLossPerMonth);
      ROOT_DEPTH_CM.check(rootDepthCm);
      DROUGHT_HOLD.check(droughtHold);
      WINTER_HARDY_C.check(winterHardyC);
      ANNUAL_TYPICAL_KG_PER_HA.check(annualTypicalKgPerHa);
      PROTEIN_POINTS.check(proteinPoints);
      TDN_POINTS.check(tdnPoints);
    }

    /** Nothing changed. */
    public static Figures none() {
      return new Figures(
          null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
          null, null, 0, 0);
    }
  }

  public OwnForage {
    id = Check.text("ownForage.id", id, 60);
    if (!isOwn(id)) {
      throw new Refused(CoreReason.OWN_FORAGE_ID, "ownForage.id", id);
    }
    name = NAME.check(name);
    parts = List.copyOf(Check.present("ownForage.parts", parts));
    Check.range("ownForage.parts", parts.size(), 1, 12);
    Check.present("ownForage.figures", figures);
    note = NOTE.check(note);
    Set<String> seen = new HashSet<>();
    for (Part part : parts) {
      if (isOwn(part.forageId()) || !seen.add(part.forageId())) {
        throw new Refused(CoreReason.PART_TWICE, "part.forageId", part.forageId());
      }
    }
  }

  /** True for the id of a forage that is some keeper's own. */
  public static boolean isOwn(String forageId) {
    return forageId.startsWith(PREFIX);
  }

  /** Share of a part when all parts together are one. */
  public double shareOf(Part part) {
    return part.share() / parts.stream().mapToDouble(Part::share).sum();
  }

  /**
   * The forage that it makes.
   *
   * @param table the product's forages
   * @throws Refused where parts do not go together, or figures contradict each other
   */
  public Forage of(Map<String, Forage> table) {
    Part main = parts.stream().max(Comparator.comparingDouble(Part::share)).orElseThrow();
    Forage most = table.get(main.forageId());
    Blend blend = new Blend(this, table, most);
    if (parts.size() > 1 && parts.stream().anyMatch(p -> !table.get(p.forageId()).grows())) {
      throw new Refused(CoreReason.NO_MIXTURE, "part.forageId", name);
    }
    Forage made = blend.made();
    if (made.grows() && made.entryMassKgPerHa() <= made.minResidualKgPerHa()) {
      throw new Refused(
          CoreReason.ENTRY_BELOW_LEAVE,
          "figures.entryHeightCm",
          name,
          made.entryHeightCm(),
          made.exitHeightCm());
    }
    return made;
  }

  /** Puts a forage together, figure by figure. */
  private record Blend(OwnForage own, Map<String, Forage> table, Forage most) {
    Forage made() {
      Figures set = own.figures;
      return new Forage(
          own.id,
          own.name,
          mixed() ? "mixed_sward" : most.group(),
          figure(set.minResidualKgPerHa(), Forage::minResidualKgPerHa),
          figure(set.ceilingKgPerHa(), Forage::ceilingKgPerHa),
          figure(set.dmPerCmKgPerHa(), Forage::dmPerCmKgPerHa),
          figure(set.entryHeightCm(), Forage::entryHeightCm),
          figure(set.exitHeightCm(), Forage::exitHeightCm),
          figure(set.regrazeHeightCm(), Forage::regrazeHeightCm),
          figure(set.cutHeightCm(), Forage::cutHeightCm),
          figure(set.utilizationSetStocked(), Forage::utilizationSetStocked),
          figure(set.utilizationRotational(), Forage::utilizationRotational),
          figure(set.utilizationStrip(), Forage::utilizationStrip),
          figure(set.senescencePerDay(), Forage::senescencePerDay),
          figure(set.standingLossPerMonth(), Forage::standingLossPerMonth),
          mean(Forage::stockpileUseByDays),
          most.frostResponse(),
          mean(Forage::winterGreenShare),
          highest(Forage::prussicMinHeightCm),
          any(Forage::toxicEndophyte),
          uses(),
          anyPerennial() ? Forage.Life.PERENNIAL : most.life(),
          most.warmSeason(),
          any(Forage::fixesNitrogen),
          mean(Forage::baseC),
          mean(Forage::optimumLowC),
          mean(Forage::optimumHighC),
          mean(Forage::maximumC),
          mean(Forage::peakKgPerHaDay),
          mean(Forage::annualLowKgPerHa),
          figure(set.annualTypicalKgPerHa(), Forage::annualTypicalKgPerHa),
          mean(Forage::annualHighKgPerHa),
          figure(set.rootDepthCm(), Forage::rootDepthCm),
          figure(set.droughtHold(), Forage::droughtHold),
          figure(set.winterHardyC(), Forage::winterHardyC),
          figure(set.winterLeaveHeightCm(), Forage::winterLeaveHeightCm),
          mean(Forage::daysToFirstUseLow),
          mean(Forage::daysToFirstUseHigh),
          mean(Forage::sowAboveC),
          mean(Forage::sowBelowC),
          any(Forage::regrows),
          mean(Forage::kgNPerTonne),
          mean(Forage::standingTdnLossPerMonth),
          most.lodging(),
          own.note.isEmpty() && own.parts.size() == 1 ? most.note() : own.note,
          shareWhere(Forage::bloats) >= MAIN,
          mean(Forage::mostShareCattle),
          mean(Forage::mostShareSheep),
          any(Forage::thickStems),
          shareWhere(Forage::hayEatenAsIs) >= MAIN,
          most.heatNeed(),
          most.waterNeed(),
          mean(Forage::seedRateKgPerHa),
          mean(Forage::seedCostUsdPerHa),
          mean(Forage::legumeShare),
          madeOf());
    }

    private boolean mixed() {
      return own.parts.size() > 1;
    }

    /** As the keeper has set it, or as the parts have it. */
    private double figure(Double set, ToDoubleFunction<Forage> of) {
      return set != null ? set : mean(of);
    }

    /** By the shares of those parts that have the figure at all. */
    private double mean(ToDoubleFunction<Forage> of) {
      double sum = 0;
      double known = 0;
      for (Part part : own.parts) {
        double one = of.applyAsDouble(table.get(part.forageId()));
        if (!Double.isNaN(one)) {
          sum += own.shareOf(part) * one;
          known += own.shareOf(part);
        }
      }
      return known == 0 ? Double.NaN : sum / known;
    }

    private double highest(Function<Forage, Double> of) {
      double highest = Double.NaN;
      for (Part part : own.parts) {
        double one = of.apply(table.get(part.forageId()));
        highest =
            Double.isNaN(highest) ? one : Double.isNaN(one) ? highest : Math.max(highest, one);
      }
      return highest;
    }

    private boolean any(Function<Forage, Boolean> of) {
      return own.parts.stream().anyMatch(p -> of.apply(table.get(p.forageId())));
    }

    private boolean anyPerennial() {
      return any(f -> f.life() == Forage.Life.PERENNIAL);
    }

    private double shareWhere(Function<Forage, Boolean> of) {
      return own.parts.stream()
          .filter(p -> of.apply(table.get(p.forageId())))
          .mapToDouble(own::shareOf)
          .sum();
    }

    private Set<String> uses() {
      Set<String> uses = new HashSet<>();
      for (Part part : own.parts) {
        for (String use : table.get(part.forageId()).uses()) {
          if (shareWhere(f -> f.uses().contains(use)) >= MAIN) {
            uses.add(use);
          }
        }
      }
      return Set.copyOf(uses);
    }

    private Set<String> madeOf() {
      Set<String> all = new HashSet<>();
      own.parts.forEach(p -> all.addAll(table.get(p.forageId()).madeOf()));
      return Set.copyOf(all);
    }
  }
}
