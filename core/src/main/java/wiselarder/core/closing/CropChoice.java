package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Hazard;
import wiselarder.core.cost.Bill;
import wiselarder.core.cost.SeedUse;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.CropUses;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.CropCalibration;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.weather.Climate;

/**
 * A crop that could be sown on a field for a gap, for one of its purposes: when, what it makes in
 * simulated years, what a week's delay costs, and what speaks against it.
 *
 * @param purpose of the table of sowings
 * @param firstUse usual day of first use when sown in the middle of its best days
 * @param likelyKgPerHa of the middle one of the simulated years
 * @param lowKgPerHa a poor season, {@code highKgPerHa} a good one, one in five or so each, as far
 *     from the likely one as the table of sowings has them: simulated years vary by weather alone
 * @param lostAWeekLateKgPerHa what the middle year loses where it is sown a week after its best
 *     days
 * @param failShare of sowings on time that fail
 * @param gainLowKg daily gain to expect of growing stock on it, kg a head; NaN where nothing is
 *     said
 * @param costPerHa seed and work by the farm's prices; NaN where one is not known
 * @param atHandHa ground that the seed in the shed is enough for, ha; that of sowings of the plan
 *     is taken off
 * @param nitrogenKgPerHa held in what the likely year makes, that of legumes off, which fix their
 *     own; soil, dung and the last crop give part of it
 * @param nitrogenCostPerHa of all of it, bought; NaN where no price is known
 * @param risks what it can do to those that are to eat it
 * @param against what speaks against it; empty where it fits
 * @param edits that sow it there, and open the field to those that go short; empty where it cannot
 */
public record CropChoice(
    String forageId,
    String purpose,
    LocalDate bestFrom,
    LocalDate bestTo,
    LocalDate latest,
    LocalDate firstUse,
    double lowKgPerHa,
    double likelyKgPerHa,
    double highKgPerHa,
    double lostAWeekLateKgPerHa,
    double failShare,
    double gainLowKg,
    double gainHighKg,
    double costPerHa,
    double atHandHa,
    double nitrogenKgPerHa,
    double nitrogenCostPerHa,
    List<Risk> risks,
    List<Fitting.Reason> against,
    List<PlanEdit> edits) {

  private static final double MIDDLE = 0.5;
  private static final int WEEK = 7;
  private static final int YEAR = 365;

  /** What a crop is wanted for. */
  public enum Use {
    GRAZE,
    STORE,
    BOTH
  }

  /** What a crop can do to stock; the cautions of a plan say when. */
  public enum Risk {
    /** Frost, drought and young growth make it deadly. */
    CYANIDE,
    NITRATE,
    BLOAT,
    /** A share of the diet only, built up slowly. */
    BRASSICA,
    /** Grain overload. */
    GRAIN
  }

  /**
   * A crop sown on a day.
   *
   * @param lowKgPerHa a poor season, {@code highKgPerHa} a good one, about the likely one as for
   *     the crop itself
   * @param failShare of sowings on that day that fail
   */
  public record SownOn(
      LocalDate sowOn,
      double lowKgPerHa,
      double likelyKgPerHa,
      double highKgPerHa,
      double failShare) {}

  private static final int MOST_DATES = 14;

  /**
   * What a crop makes by the day on which it is sown, week by week from its first best day to the
   * last at all.
   *
   * @throws Refused where it is not sown there for that purpose
   */
  public static List<SownOn> byDate(
      Engine engine, FarmPlan stated, Gap gap, int field, String forageId, String purpose) {
    Trial trial = new Trial(engine, stated, gap);
    Catalogue catalogue = engine.catalogue().on(stated.farm());
    Forage f = catalogue.forage(forageId);
    Climate climate = catalogue.climate(stated.farm().climateId());
    SowingTable.Window w =
        catalogue.crops().table().of(climate.id(), f).stream()
            .filter(x -> x.purpose().equals(purpose))
            .findFirst()
            .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "purpose", purpose));
    int day = inTime(trial, w).orElse(next(trial.year(), w));
    LocalDate sown = trial.year().date(day);
    LocalDate centre = sown.minusDays(around(sown.getDayOfYear() - w.middle()));
    LocalDate first = centre.plusDays(around(w.bestFrom() - w.middle()));
    LocalDate last = centre.plusDays(around(w.latest() - w.middle()));
    List<LocalDate> dates = new ArrayList<>();
    for (LocalDate d = first; !d.isAfter(last) && dates.size() < MOST_DATES; d = d.plusDays(WEEK)) {
      dates.add(d);
    }
    int[] doys = dates.stream().mapToInt(d -> Math.min(YEAR, d.getDayOfYear())).toArray();
    List<CropCalibration.Spread> years =
        catalogue.crops().spread(f, climate, w, trial.before().soilCapacityMm(field), doys);
    List<SownOn> found = new ArrayList<>();
    for (int i = 0; i < doys.length; i++) {
      CropCalibration.Spread s = years.get(i);
      found.add(
          new SownOn(
              dates.get(i),
              s.at(MIDDLE) * poorShare(w),
              s.at(MIDDLE),
              s.at(MIDDLE) * goodShare(w),
              fails(w, doys[i], s)));
    }
    return found;
  }

  private static double poorShare(SowingTable.Window w) {
    return Math.min(1, w.yieldLow() / w.yieldLikely());
  }

  private static double goodShare(SowingTable.Window w) {
    return Math.max(1, w.yieldHigh() / w.yieldLikely());
  }

  private static double fails(SowingTable.Window w, int doy, CropCalibration.Spread years) {
    double late = w.fails(w.daysLate(doy));
    return Math.min(1, late + (1 - late) * (1 - years.comesUpShare()));
  }

  /** Every crop of the place for a gap, those that fit first, the most feed first. */
  public static List<CropChoice> of(Engine engine, FarmPlan stated, Gap gap, int field, Use use) {
    Trial trial = new Trial(engine, stated, gap);
    Catalogue catalogue = engine.catalogue().on(stated.farm());
    List<CropChoice> all = new ArrayList<>();
    for (Forage f : catalogue.forages().values()) {
      if (f.sownYearly()) {
        for (SowingTable.Window w : catalogue.crops().table().of(stated.farm().climateId(), f)) {
          if (wanted(w, use)) {
            all.add(one(trial, catalogue, f, w, field));
          }
        }
      }
    }
    all.sort(
        Comparator.comparing((CropChoice c) -> !c.against.isEmpty())
            .thenComparing(c -> -c.likelyKgPerHa)
            .thenComparing(CropChoice::forageId));
    return all;
  }

  private static boolean wanted(SowingTable.Window w, Use use) {
    boolean stored = w.purpose().equals("hay_or_silage");
    return use == Use.BOTH || stored == (use == Use.STORE);
  }

  private static CropChoice one(
      Trial trial, Catalogue catalogue, Forage f, SowingTable.Window w, int at) {
    FarmPlan stated = trial.stated();
    Climate climate = catalogue.climate(stated.farm().climateId());
    Field field = stated.farm().fields().get(at);
    double capacity = trial.before().soilCapacityMm(at);
    int aWeekLate = (w.bestTo() - 1 + WEEK) % YEAR + 1;
    List<CropCalibration.Spread> years =
        catalogue.crops().spread(f, climate, w, capacity, w.middle(), w.bestTo(), aWeekLate);
    CropCalibration.Spread middle = years.get(0);
    double likely = middle.at(MIDDLE);
    Optional<Integer> inTime = inTime(trial, w);
    int day = inTime.orElse(next(trial.year(), w));
    boolean watered =
        stated.plan().irrigations().stream().anyMatch(i -> i.fieldId().equals(field.id()));
    boolean stored = w.purpose().equals("hay_or_silage");
    List<Fitting.Reason> against =
        new ArrayList<>(
            Fitting.against(f, stated, catalogue, trial.year().date(day), watered, stored));
    if (isShut(trial, f)) {
      against.add(Fitting.Reason.SHUT_TO_STOCK);
    }
    if (inTime.isEmpty()) {
      against.add(Fitting.Reason.NOT_IN_TIME);
    }
    List<PlanEdit> edits = inTime.isEmpty() ? List.of() : SowCrop.sow(trial, f, w, at, day);
    CropUses.Gain gain =
        catalogue.crops().uses().gain(f).orElse(new CropUses.Gain(Double.NaN, Double.NaN));
    LocalDate sown = trial.year().date(day);
    LocalDate centre = sown.minusDays(around(sown.getDayOfYear() - w.middle()));
    double nitrogenKg = likely / 1000 * f.kgNPerTonne() * (1 - f.legumeShare());
    return new CropChoice(
        f.id(),
        w.purpose(),
        centre.plusDays(around(w.bestFrom() - w.middle())),
        centre.plusDays(around(w.bestTo() - w.middle())),
        centre.plusDays(around(w.latest() - w.middle())),
        sown.plusDays((w.useFromDays() + w.useToDays()) / 2),
        likely * poorShare(w),
        likely,
        likely * goodShare(w),
        Math.max(0, years.get(1).at(MIDDLE) - years.get(2).at(MIDDLE)),
        fails(w, w.middle(), middle),
        gain.lowKg(),
        gain.highKg(),
        against.isEmpty() ? costPerHa(trial, edits, field) : Double.NaN,
        SeedUse.enoughForHa(stated, catalogue, f.id()),
        nitrogenKg,
        nitrogenCost(trial, nitrogenKg, sown),
        risks(trial, f),
        against,
        edits);
  }

  /** Feeds that the table shuts at every stage to a kind of those that go short. */
  static boolean isShut(Trial trial, Forage f) {
    return dangers(trial, f).stream().map(Hazard::id).anyMatch(SHUT::contains);
  }

  private static final Set<String> SHUT = Set.of("hz_not_for_horses", "hz_switchgrass_small_stock");

  private static List<Hazard> dangers(Trial trial, Forage f) {
    return trial.hungry().stream()
        .map(AnimalGroup::kind)
        .distinct()
        .flatMap(kind -> trial.engine().dangersOf(f, kind).stream())
        .distinct()
        .toList();
  }

  private static List<Risk> risks(Trial trial, Forage f) {
    Set<Risk> risks = EnumSet.noneOf(Risk.class);
    for (Hazard h : dangers(trial, f)) {
      String id = h.id();
      if (id.contains("cyanide") || id.endsWith("_sorghum") || id.contains("johnsongrass")) {
        risks.add(Risk.CYANIDE);
      } else if (id.contains("nitrate") || id.equals("hz_overfertilised")) {
        risks.add(Risk.NITRATE);
      } else if (id.contains("bloat")) {
        risks.add(Risk.BLOAT);
      } else if (id.startsWith("hz_brassica")) {
        risks.add(Risk.BRASSICA);
      } else if (id.equals("hz_grain_overload") || id.equals("hz_downed_ears")) {
        risks.add(Risk.GRAIN);
      }
    }
    return List.copyOf(risks);
  }

  private static double nitrogenCost(Trial trial, double kg, LocalDate sown) {
    return kg == 0
        ? 0
        : trial
            .engine()
            .catalogue()
            .pricesOn(trial.stated().farm())
            .find("nitrogen")
            .map(p -> kg * p.in(sown.getMonthValue(), false))
            .orElse(Double.NaN);
  }

  private static int around(int days) {
    return Math.floorMod(days + YEAR / 2, YEAR) - YEAR / 2;
  }

  /** The last middle of its season that gives first use before the gap ends. */
  private static Optional<Integer> inTime(Trial trial, SowingTable.Window w) {
    for (int d = trial.gap().lastDay() - w.useFromDays(); d >= 0; d--) {
      boolean begun = d == 0 && w.open(trial.year().date(0).getDayOfYear());
      if (trial.year().date(d).getDayOfYear() == w.middle() || begun) {
        return Optional.of(d);
      }
    }
    return Optional.empty();
  }

  private static int next(PlanYear year, SowingTable.Window w) {
    int d = 0;
    while (d < year.days() - 1 && year.date(d).getDayOfYear() != w.middle()) {
      d++;
    }
    return d;
  }

  private static double costPerHa(Trial trial, List<PlanEdit> edits, Field field) {
    if (edits.isEmpty()) {
      return Double.NaN;
    }
    try {
      Bill bill = trial.bill(edits);
      return bill.unpriced().isEmpty() ? bill.total() / field.netAreaHa() : Double.NaN;
    } catch (Refused refused) {
      return Double.NaN;
    }
  }
}
