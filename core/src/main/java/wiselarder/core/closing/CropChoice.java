package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.cost.Bill;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.CropUses;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.gap.Gap;
import wiselarder.core.land.CropCalibration;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
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
    if (inTime.isEmpty()) {
      against.add(Fitting.Reason.NOT_IN_TIME);
    }
    List<PlanEdit> edits = inTime.isEmpty() ? List.of() : SowCrop.sow(trial, f, w, at, day);
    CropUses.Gain gain =
        catalogue.crops().uses().gain(f).orElse(new CropUses.Gain(Double.NaN, Double.NaN));
    LocalDate sown = trial.year().date(day);
    LocalDate centre = sown.minusDays(around(sown.getDayOfYear() - w.middle()));
    return new CropChoice(
        f.id(),
        w.purpose(),
        centre.plusDays(around(w.bestFrom() - w.middle())),
        centre.plusDays(around(w.bestTo() - w.middle())),
        centre.plusDays(around(w.latest() - w.middle())),
        sown.plusDays((w.useFromDays() + w.useToDays()) / 2),
        likely * Math.min(1, w.yieldLow() / w.yieldLikely()),
        likely,
        likely * Math.max(1, w.yieldHigh() / w.yieldLikely()),
        Math.max(0, years.get(1).at(MIDDLE) - years.get(2).at(MIDDLE)),
        Math.min(1, w.fails(0) + (1 - w.fails(0)) * (1 - middle.comesUpShare())),
        gain.lowKg(),
        gain.highKg(),
        against.isEmpty() ? costPerHa(trial, edits, field) : Double.NaN,
        against,
        edits);
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
