package wiselarder.core.closing;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.cost.Bill;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/**
 * What a year says beyond its gaps: what dies uneaten and could be stored, how many head the plan
 * would carry, and which fields lag behind.
 *
 * @param months what grows and what of it is lost
 * @param cuts of what is not eaten that make nobody go short, the cheapest a kg first
 * @param carries in the season that is looked at
 * @param carriesInDry in a dry one
 * @param fields what each gives
 */
public record Advice(
    List<Month> months,
    List<Cut> cuts,
    Carries carries,
    Carries carriesInDry,
    List<FieldUse> fields) {

  /**
   * Pasture in one month, kg DM of all fields.
   *
   * @param lostKg what dies or weathers uneaten
   * @param standsKg what stands on its last day
   */
  public record Month(
      YearMonth month,
      double grownKg,
      double grazedKg,
      double cutKg,
      double lostKg,
      double standsKg) {}

  /**
   * A cut of surplus.
   *
   * @param madeKg hay that comes of it, kg DM
   * @param cost in the farm's currency; null where a price is not known
   * @param edits that make it
   */
  public record Cut(
      String fieldId, LocalDate date, double madeKg, Double cost, List<PlanEdit> edits) {}

  /**
   * How large a herd of the same make would be fed all the year by the plan as it stands.
   *
   * @param share of the present one; NaN where even the smallest that is tried goes short
   */
  public record Carries(Season season, double share) {}

  /**
   * What a field gives over the plan, kg DM/ha.
   *
   * @param likeGrownKgPerHa what the other fields of the same stand grow on the mean; NaN where
   *     there are none
   */
  public record FieldUse(
      String fieldId,
      double grownKgPerHa,
      double grazedKgPerHa,
      double cutKgPerHa,
      double lostKgPerHa,
      double likeGrownKgPerHa) {}

  /**
   * Reads it off the year, and tries cuts and herds on it.
   *
   * @param dry the engine in a dry season
   */
  public static Advice of(Engine engine, Engine dry, FarmPlan stated) {
    YearBalance year = engine.simulate(stated);
    return new Advice(
        months(year),
        cuts(engine, stated, year),
        carries(engine, stated),
        carries(dry, stated),
        fields(year));
  }

  private static double sum(YearBalance year, int from, int to, FieldDay of) {
    double kg = 0;
    for (int f = 0; f < year.stated().farm().fields().size(); f++) {
      for (int d = from; d < to; d++) {
        kg += of.kg(f, d);
      }
    }
    return kg;
  }

  /** A figure of a field on a day. */
  private interface FieldDay {
    double kg(int field, int day);
  }

  private static List<Month> months(YearBalance year) {
    List<Month> months = new ArrayList<>();
    for (PlanYear.MonthSpan m : year.year().monthSpans()) {
      int from = m.startInclusive();
      int to = m.endExclusive();
      months.add(
          new Month(
              m.month(),
              sum(year, from, to, year::grownKg),
              sum(year, from, to, year::grazedKg),
              sum(year, from, to, year::cutKg),
              sum(year, from, to, year::weatheredKg),
              year.standingKg(to - 1)));
    }
    return months;
  }

  /** A cut that makes less is not worth the machine's way, kg DM. Assumption. */
  private static final double LEAST_CUT_KG = 1000;

  private static final int TRIED_FIELDS = 8;
  private static final int STEP_DAYS = 10;
  private static final int TRIED_DAYS = 4;

  /** What is no better than straw is not worth cutting: much is weighed by what it is above it. */
  private static final double STRAW_TDN_PCT = 45;

  /** Of what is made so much may be missed by stock: rounding of days and bales. Assumption. */
  private static final double MISSED_SHARE = 0.02;

  private static List<Cut> cuts(Engine engine, FarmPlan stated, YearBalance year) {
    List<Field> fields = stated.farm().fields();
    return IntStream.range(0, fields.size())
        .filter(f -> fields.get(f).hayable() && forage(engine, stated, f).canCut())
        .filter(f -> stated.plan().cuts().stream().noneMatch(c -> isOf(c, fields.get(f))))
        .boxed()
        .sorted(Comparator.comparingDouble(f -> -mostKg(year, f)))
        .limit(TRIED_FIELDS)
        .toList()
        .parallelStream()
        .flatMap(f -> cut(engine, stated, year, f).stream())
        .sorted(
            Comparator.comparingDouble(c -> c.cost == null ? Double.MAX_VALUE : c.cost / c.madeKg))
        .toList();
  }

  private static boolean isOf(HayCut cut, Field field) {
    return cut.fieldId().equals(field.id());
  }

  private static Forage forage(Engine engine, FarmPlan stated, int field) {
    String id = stated.farm().fields().get(field).stand().forageId();
    return engine.catalogue().on(stated.farm()).forage(id);
  }

  private static double mostKg(YearBalance year, int field) {
    double ha = year.stated().farm().fields().get(field).netAreaHa();
    return IntStream.range(0, year.days())
        .filter(d -> d % STEP_DAYS == 0)
        .mapToDouble(d -> year.mownKgPerHa(field, d) * ha)
        .max()
        .orElse(0);
  }

  /** On the day of those tried on which most is made and nobody misses it. */
  private static Optional<Cut> cut(Engine engine, FarmPlan stated, YearBalance year, int f) {
    Field field = stated.farm().fields().get(f);
    IntToDoubleFunction stands = d -> year.mownKgPerHa(f, d) * field.netAreaHa();
    List<Integer> days =
        IntStream.range(0, year.days())
            .filter(d -> d % STEP_DAYS == 0 && stands.applyAsDouble(d) >= LEAST_CUT_KG)
            .boxed()
            .sorted(
                Comparator.comparingDouble(
                    d -> -stands.applyAsDouble(d) * (year.mownTdnPct(f, d) - STRAW_TDN_PCT)))
            .limit(TRIED_DAYS)
            .toList();
    for (int day : days) {
      HayCut cut =
          CutSurplus.cut(stated, forage(engine, stated, f), field, year.year().date(day), false);
      List<PlanEdit> edits = List.of(new PlanEdit.Put<>(Items.CUTS, cut));
      YearBalance after;
      try {
        after = engine.tryOut(stated, edits);
      } catch (Refused promised) {
        continue;
      }
      double made = madeKg(after, cut.lot().id());
      double missed = after.totalBareKg() - year.totalBareKg();
      if (made >= LEAST_CUT_KG && missed <= MISSED_SHARE * made) {
        boolean isDry = engine.season().kind() == Season.Kind.DRY;
        Bill bill = Bill.of(year, after, engine.catalogue(), isDry);
        Double cost = bill.unpriced().isEmpty() ? Double.valueOf(bill.total()) : null;
        return Optional.of(new Cut(field.id(), cut.date(), made, cost, edits));
      }
    }
    return Optional.empty();
  }

  /** What is left of a lot on the last day and what was eaten or lost of it. */
  private static double madeKg(YearBalance year, String lotId) {
    List<Lot> lots = year.stated().allLots();
    int lot = IntStream.range(0, lots.size()).filter(l -> lots.get(l).id().equals(lotId)).sum();
    double kg = year.lotKg(lot, year.days() - 1) + year.lotLostKg(lot);
    for (int d = 0; d < year.days(); d++) {
      kg += year.lotEatenKg(lot, d);
    }
    return kg;
  }

  private static final double SMALLEST = 0.1;
  private static final double LARGEST = 3;
  private static final double CLOSE_ENOUGH = 0.02;

  /** Days of feed missing that count as none, over the plan. */
  private static final double DAYS_MISSED = 1;

  private static Carries carries(Engine engine, FarmPlan stated) {
    double fed = SMALLEST;
    double hungry = LARGEST;
    if (stated.farm().groups().isEmpty() || !feeds(engine, stated, fed)) {
      return new Carries(engine.season(), Double.NaN);
    }
    if (feeds(engine, stated, hungry)) {
      return new Carries(engine.season(), hungry);
    }
    while (hungry - fed > CLOSE_ENOUGH) {
      double middle = (fed + hungry) / 2;
      if (feeds(engine, stated, middle)) {
        fed = middle;
      } else {
        hungry = middle;
      }
    }
    return new Carries(engine.season(), fed);
  }

  private static boolean feeds(Engine engine, FarmPlan stated, double share) {
    try {
      List<AnimalGroup> groups = stated.farm().groups().stream().map(g -> g.times(share)).toList();
      FarmPlan herd = new FarmPlan(stated.farm().withGroups(groups), stated.plan());
      YearBalance year = engine.apart().simulate(herd);
      double need = IntStream.range(0, year.days()).mapToDouble(year::needKg).sum();
      return year.totalBareKg() <= DAYS_MISSED * need / year.days();
    } catch (Refused moreGoneThanThere) {
      return false;
    }
  }

  private static List<FieldUse> fields(YearBalance year) {
    List<Field> fields = year.stated().farm().fields();
    List<FieldUse> uses = new ArrayList<>();
    for (int f = 0; f < fields.size(); f++) {
      int field = f;
      String stand = fields.get(f).stand().forageId();
      double like =
          IntStream.range(0, fields.size())
              .filter(o -> o != field && fields.get(o).stand().forageId().equals(stand))
              .mapToDouble(o -> perHa(year, o, year::grownKg))
              .average()
              .orElse(Double.NaN);
      uses.add(
          new FieldUse(
              fields.get(f).id(),
              perHa(year, f, year::grownKg),
              perHa(year, f, year::grazedKg),
              perHa(year, f, year::cutKg),
              perHa(year, f, year::weatheredKg),
              like));
    }
    return uses;
  }

  private static double perHa(YearBalance year, int field, FieldDay of) {
    double kg = IntStream.range(0, year.days()).mapToDouble(d -> of.kg(field, d)).sum();
    return kg / year.stated().farm().fields().get(field).netAreaHa();
  }
}
