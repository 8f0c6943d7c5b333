package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.herd.AnimalClass;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Plan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.LossMethod;

/**
 * What a field becomes when nothing grazes or cuts it from a day on, tried on the engine: what
 * stands, how ripe, what a cut would make, and for how long it is good enough for whom. The same
 * stand wants another day for another purpose: early for regrowth, boot to heading for a single
 * cut, short for milkers, long for dry stock.
 *
 * @param rows one a week
 * @param enough one for each group
 * @param regrowthDay first day the stand can be used and come again: entry mass, still leafy; -1
 *     where it never comes to that
 * @param singleCutDay day of most digestible feed up to heading; -1 where nothing can be cut
 */
public record LetGrow(
    String fieldId, List<Row> rows, List<Enough> enough, int regrowthDay, int singleCutDay) {

  /** A field is watched for no longer than this. */
  private static final int MOST_DAYS = 210;

  private static final int WEEK = 7;
  private static final double BOOT = 0.5;
  private static final double HEADING = 0.75;

  /**
   * One day of it.
   *
   * @param ripeness 0 leafy, 0.5 boot or bud, 0.75 heading or bloom, 1 ripe
   * @param proteinPct of all that stands, percent of DM
   * @param cutKg dry matter that a cut would bring off the field, harvest loss taken
   * @param cutProteinPct of what is cut, loss of quality taken
   */
  public record Row(
      int day,
      double coverKgPerHa,
      double ripeness,
      double proteinPct,
      double tdnPct,
      double cutKg,
      double cutProteinPct,
      double cutTdnPct) {}

  /**
   * For how long the stand alone meets what a group's class asks for in energy and protein.
   *
   * @param lastDay last day it does, without a break from the first; -1 where it never does
   * @param tdnNeedPct asked for on that day, or on the first
   */
  public record Enough(
      String groupId, int lastDay, double tdnNeedPct, double proteinNeedPct, boolean toTheEnd) {}

  /**
   * Tries it.
   *
   * @param harvestMethodId how a cut would be made
   * @throws Refused when the day lies outside the plan
   */
  public static LetGrow of(
      Engine engine, FarmPlan stated, String fieldId, LocalDate from, String harvestMethodId) {
    Field field = stated.field(fieldId);
    PlanYear year = stated.plan().year();
    int first = year.day(Check.present("from", from));
    Check.range("from", first, 0, year.days() - 2);
    int last = Math.min(year.days() - 1, first + MOST_DAYS);
    Catalogue catalogue = engine.catalogue().on(stated.farm());
    LossMethod made =
        catalogue.loss("cut.harvestMethodId", harvestMethodId, LossMethod.Stage.HARVEST);
    FarmPlan alone = leftAlone(stated, fieldId, from, year.date(last).plusDays(1));
    YearBalance balance = engine.simulate(alone);
    int at = alone.farm().fields().indexOf(field);
    Forage forage = catalogue.forage(field.stand().forageId());
    List<Row> rows = new ArrayList<>();
    int regrowth = -1;
    int single = -1;
    double most = 0;
    for (int day = first; day <= last; day++) {
      Row row = row(balance, at, day, field.netAreaHa(), made);
      if ((day - first) % WEEK == 0) {
        rows.add(row);
      }
      boolean leafy = row.ripeness < BOOT && row.coverKgPerHa >= forage.entryMassKgPerHa();
      if (regrowth < 0 && forage.grows() && leafy) {
        regrowth = day;
      }
      double digestible = row.cutKg * row.cutTdnPct;
      if (row.ripeness <= HEADING && digestible > most) {
        most = digestible;
        single = day;
      }
    }
    List<Enough> enough = new ArrayList<>();
    for (AnimalGroup group : stated.farm().groups()) {
      enough.add(enough(balance, at, group, first, last, catalogue));
    }
    return new LetGrow(fieldId, rows, enough, regrowth, single);
  }

  private static FarmPlan leftAlone(
      FarmPlan stated, String fieldId, LocalDate from, LocalDate toExclusive) {
    Plan p = stated.plan();
    List<Closing> closings =
        new ArrayList<>(
            p.closings().stream()
                .filter(c -> !c.fieldId().equals(fieldId) || c.toExclusive().isBefore(from))
                .toList());
    closings.add(new Closing("let-grow", fieldId, from, toExclusive, List.of(), null));
    // a step that asks for nothing but this field in this time cannot stand beside the closing
    List<FeedStep> steps =
        p.steps().stream()
            .filter(
                s ->
                    s.kind() != FeedStep.Kind.GRAZE
                        || !s.sourceIds().equals(List.of(fieldId))
                        || s.fromInclusive() == null
                        || s.fromInclusive().isBefore(from))
            .toList();
    Plan left =
        p.withSteps(steps)
            .withClosings(closings)
            .withSowings(
                p.sowings().stream()
                    .filter(s -> !s.fieldId().equals(fieldId) || s.sowOn().isBefore(from))
                    .toList())
            .withPasses(
                p.passes().stream()
                    .filter(l -> !l.fieldId().equals(fieldId) || l.fromInclusive().isBefore(from))
                    .map(l -> l.fieldId().equals(fieldId) ? until(l, from) : l)
                    .toList());
    FarmPlan alone = new FarmPlan(stated.farm(), left);
    for (HayCut cut : p.cuts()) {
      if (cut.fieldId().equals(fieldId) && !cut.date().isBefore(from)) {
        alone = Items.CUTS.remove(alone, cut.id());
      }
    }
    return alone;
  }

  /** Passes for light end where the field is left alone. */
  private static LightPass until(LightPass l, LocalDate end) {
    return new LightPass(
        l.id(),
        l.fieldId(),
        l.groupId(),
        l.fromInclusive(),
        l.toExclusive().isBefore(end) ? l.toExclusive() : end,
        l.whenKgPerHa(),
        l.leaveKgPerHa());
  }

  private static Row row(YearBalance b, int field, int day, double areaHa, LossMethod made) {
    double cover = b.coverKgPerHa(field, day);
    double off = b.mownKgPerHa(field, day);
    return new Row(
        day,
        cover,
        b.ripeness(field, day),
        b.standingProteinPct(field, day),
        b.standingTdnPct(field, day),
        off * areaHa * (1 - made.share()),
        (off > 0 ? b.mownProteinPct(field, day) : b.standingProteinPct(field, day))
            - made.tdnLossPoints() / 2,
        (off > 0 ? b.mownTdnPct(field, day) : b.standingTdnPct(field, day)) - made.tdnLossPoints());
  }

  private static Enough enough(
      YearBalance b, int field, AnimalGroup group, int first, int last, Catalogue catalogue) {
    int until = -1;
    AnimalClass asked = null;
    for (int day = first; day <= last; day++) {
      AnimalClass now = GroupYear.classOn(group, day, b.year(), catalogue.herd());
      if (now == null) {
        continue;
      }
      boolean good =
          b.standingTdnPct(field, day) >= now.tdnNeedPct()
              && b.standingProteinPct(field, day) >= now.proteinNeedPct();
      asked = asked == null || good ? now : asked;
      if (!good) {
        break;
      }
      until = day;
    }
    return new Enough(
        group.id(),
        until,
        asked == null ? Double.NaN : asked.tdnNeedPct(),
        asked == null ? Double.NaN : asked.proteinNeedPct(),
        until == last);
  }
}
