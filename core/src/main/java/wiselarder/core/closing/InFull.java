package wiselarder.core.closing;

import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.cost.Bill;
import wiselarder.core.cost.FeedCosts;
import wiselarder.core.day.Shelf;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.gap.Missing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.store.Lot;

/**
 * What one way out of a gap, or several together, do to the whole year: what they bring into the
 * gap, what they take or add in every month, in other seasons, what they cost and what they save.
 *
 * @param edits what is done, one after the other
 * @param gapKgBefore what is missing in the gap as the plan stands, as {@link Missing} counts it
 * @param gapKgAfter what stays missing in it
 * @param shortDaysAfter days of the gap that stay short of it
 * @param bareKgAfter what stays bare over the plan
 * @param bareDaysAfter days that stay short
 * @param months the other side
 * @param seasons the same in other weather, beside doing nothing there
 * @param bill what is paid more, in the season that is looked at
 * @param storeKgMore stored feed left on the plan's last day more than without it, kg DM
 * @param standingKgMore what stands on the fields then more
 * @param handledHoursMore hours of feeding out by tractor and moving stock more
 * @param tractorDaysMore days on which a tractor starts more
 * @param partsKg what each of the ways brings alone over the plan: together they bring less where
 *     they serve the same days, or more where one makes room for another
 */
public record InFull(
    List<PlanEdit> edits,
    double gapKgBefore,
    double gapKgAfter,
    double bringsKg,
    int shortDaysAfter,
    double bareKgAfter,
    int bareDaysAfter,
    List<Month> months,
    List<InSeason> seasons,
    Bill bill,
    double storeKgMore,
    double standingKgMore,
    double handledHoursMore,
    int tractorDaysMore,
    List<Double> partsKg) {

  /**
   * One month beside the plan as it stands, kg DM.
   *
   * @param bareKg what is bare in it afterwards
   * @param bareKgLess how much less that is; negative where it got worse
   * @param grazedKgMore how much more is grazed
   * @param storedKgMore how much more stored or bought feed is eaten
   * @param needKgLess how much less the animals ask for
   * @param standingKgMore how much more stands on the last day
   */
  public record Month(
      YearMonth month,
      double bareKg,
      double bareKgLess,
      double grazedKgMore,
      double storedKgMore,
      double needKgLess,
      double standingKgMore) {}

  /**
   * What is bare over the plan in another season, without and with it, kg DM; where dry matter does
   * not count, what the gap counts.
   */
  public record InSeason(Season season, double bareKgBefore, double bareKgAfter) {}

  /**
   * Tries some ways together.
   *
   * @param elsewhere engines that know the farm in the other seasons to be looked at
   */
  public static InFull of(
      Engine engine, List<Engine> elsewhere, FarmPlan stated, Gap gap, List<List<PlanEdit>> ways) {
    List<PlanEdit> edits = Together.of(stated, ways);
    YearBalance before = engine.simulate(stated);
    YearBalance after = engine.tryOut(stated, edits);
    Missing was = Missing.of(before, gap.kind());
    Missing is = Missing.of(after, gap.kind());
    FeedCosts costWas = FeedCosts.of(before, engine.catalogue());
    FeedCosts costIs = FeedCosts.of(after, engine.catalogue());
    int end = before.days() - 1;
    return new InFull(
        edits,
        was.within(gap),
        is.within(gap),
        was.allKg() - is.allKg(),
        is.shortDays(gap),
        after.totalBareKg(),
        after.bareDays(GapFinder.SHORT_SHARE),
        months(before, after),
        elsewhere.parallelStream().map(e -> inSeason(e, stated, gap.kind(), edits)).toList(),
        Bill.of(before, after, engine.catalogue(), isDry(engine)),
        storedKg(after, end) - storedKg(before, end),
        after.standingKg(end) - before.standingKg(end),
        costIs.hours() - costWas.hours(),
        costIs.tractorDays() - costWas.tractorDays(),
        parts(engine, stated, was, gap.kind(), ways));
  }

  private static boolean isDry(Engine engine) {
    return engine.season().kind() == Season.Kind.DRY;
  }

  /** Of a gap of bulk what is bare, of any other what it counts. */
  private static InSeason inSeason(
      Engine engine, FarmPlan stated, Gap.Kind kind, List<PlanEdit> edits) {
    Gap.Kind counted = kind.isBulk() ? Gap.Kind.STORE : kind;
    return new InSeason(
        engine.season(),
        Missing.of(engine.simulate(stated), counted).allKg(),
        Trial.missing(engine, stated, counted, edits).allKg());
  }

  private static List<Double> parts(
      Engine engine, FarmPlan stated, Missing before, Gap.Kind kind, List<List<PlanEdit>> ways) {
    if (ways.size() < 2) {
      return List.of();
    }
    return ways.stream()
        .map(w -> before.allKg() - Trial.missing(engine, stated, kind, w).allKg())
        .toList();
  }

  private static double storedKg(YearBalance b, int day) {
    List<Lot> lots = b.stated().allLots();
    return IntStream.range(0, lots.size()).mapToDouble(l -> b.lotKg(l, day)).sum();
  }

  private static List<Month> months(YearBalance before, YearBalance after) {
    List<Month> months = new ArrayList<>();
    for (PlanYear.MonthSpan m : before.year().monthSpans()) {
      double bareAfter = 0;
      double bareBefore = 0;
      double grazed = 0;
      double stored = 0;
      double need = 0;
      for (int d = m.startInclusive(); d < m.endExclusive(); d++) {
        bareAfter += after.bareKg(d);
        bareBefore += before.bareKg(d);
        grazed += grazedKg(after, d) - grazedKg(before, d);
        stored += storeKg(after, d) - storeKg(before, d);
        need += before.needKg(d) - after.needKg(d);
      }
      int last = m.endExclusive() - 1;
      months.add(
          new Month(
              m.month(),
              bareAfter,
              bareBefore - bareAfter,
              grazed,
              stored,
              need,
              after.standingKg(last) - before.standingKg(last)));
    }
    return months;
  }

  private static double grazedKg(YearBalance b, int d) {
    return b.eatenKg(Shelf.GROWING, d) + b.eatenKg(Shelf.STANDING, d);
  }

  private static double storeKg(YearBalance b, int d) {
    return b.eatenKg(Shelf.PUT_BY, d) + b.eatenKg(Shelf.BOUGHT_IN, d);
  }
}
