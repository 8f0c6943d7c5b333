package wiselarder.server.http;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.balance.HaySum;
import wiselarder.core.balance.Ledger;
import wiselarder.core.balance.Shelf;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.caution.Caution;
import wiselarder.core.closing.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Doubt;
import wiselarder.core.plan.Doubts;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.store.Lot;
import wiselarder.core.weather.Climate;

/**
 * A simulated year as the web client draws it: one value a day, day 0 the plan's first. Amounts kg
 * DM a day to the gram; covers kg DM/ha to the kilogram.
 */
public record YearView(
    LocalDate start,
    int days,
    double[] needKg,
    double[] growingKg,
    double[] standingKg,
    double[] putByKg,
    double[] boughtInKg,
    double[] bareKg,
    double[] storeKg,
    List<FieldYear> fields,
    List<GroupCurve> groups,
    List<LotYear> lots,
    List<LedgerLine> ledger,
    LedgerLine total,
    List<Gap> gaps,
    List<CautionView> cautions,
    List<Doubt> doubts,
    List<HaySumView> haySums,
    List<Band> bands,
    double massError) {

  /** One field's year. {@code grazedKg} is what stock ate there each day, whole field. */
  public record FieldYear(
      String id,
      int[] coverKgPerHa,
      int[] grazedKg,
      int residualKgPerHa,
      int ceilingKgPerHa,
      double grownKg,
      double eatenKg,
      double wastedKg,
      double weatheredKg,
      double cutKg) {}

  /** One group's need, and the day windows of its births and weanings. */
  public record GroupCurve(
      String id, double[] needKg, List<int[]> births, List<Integer> weanings) {}

  /** One lot's level at the end of each day. */
  public record LotYear(
      String id,
      String name,
      String unitName,
      String origin,
      int[] levelKg,
      int[] units,
      double eatenKg,
      int opened) {}

  /** One line of the ledger; days half-open; store at the end of the last day. */
  public record LedgerLine(
      String month,
      int startDay,
      int endDay,
      double needKg,
      double growingKg,
      double standingKg,
      double putByKg,
      double boughtInKg,
      double bareKg,
      double grownKg,
      double storeKg,
      int unitsOpened) {}

  /** A caution with the day window it holds in. */
  public record CautionView(
      String hazardId,
      String title,
      String action,
      String severity,
      String whoToAsk,
      String fieldId,
      String groupId,
      int fromDay,
      int toDay,
      boolean blocks) {}

  /** How many units of a lot a group needs; group id empty for all groups together. */
  public record HaySumView(
      String groupId,
      String lotId,
      int days,
      int firstDay,
      int lastDay,
      double fedKg,
      double bareKg,
      int units) {}

  /** A frost band on the ruler: FIRST_FROST or LAST_FROST, from one year in ten to nine in ten. */
  public record Band(String kind, int fromDay, int midDay, int toDay) {}

  static YearView of(YearBalance b, Engine engine) {
    FarmPlan stated = b.stated();
    return new YearView(
        b.year().start(),
        b.days(),
        daily(b, b::needKg),
        daily(b, d -> b.eatenKg(Shelf.GROWING, d)),
        daily(b, d -> b.eatenKg(Shelf.STANDING, d)),
        daily(b, d -> b.eatenKg(Shelf.PUT_BY, d)),
        daily(b, d -> b.eatenKg(Shelf.BOUGHT_IN, d)),
        daily(b, b::bareKg),
        daily(b, d -> storeKg(b, d)),
        fields(b),
        groups(b),
        lots(b),
        Ledger.months(b).stream().map(l -> line(l.month().toString(), l)).toList(),
        line("", Ledger.total(b)),
        engine.gaps(b),
        b.resolved().cautions().stream().map(YearView::caution).toList(),
        Doubts.of(stated, engine.catalogue()),
        haySums(b),
        bands(b, engine.catalogue().climate(stated.farm().climateId())),
        b.massBalance().error());
  }

  private static double storeKg(YearBalance b, int day) {
    double kg = 0;
    for (int l = 0; l < b.stated().allLots().size(); l++) {
      kg += b.lotKg(l, day);
    }
    return kg;
  }

  private static double[] daily(YearBalance b, IntToDoubleFunction value) {
    double[] out = new double[b.days()];
    for (int d = 0; d < out.length; d++) {
      out[d] = Math.round(value.applyAsDouble(d) * 1000) / 1000.0;
    }
    return out;
  }

  private static int[] whole(YearBalance b, IntToDoubleFunction value) {
    int[] out = new int[b.days()];
    for (int d = 0; d < out.length; d++) {
      out[d] = (int) Math.round(value.applyAsDouble(d));
    }
    return out;
  }

  private static double sum(YearBalance b, IntToDoubleFunction value) {
    double sum = 0;
    for (int d = 0; d < b.days(); d++) {
      sum += value.applyAsDouble(d);
    }
    return Math.round(sum * 1000) / 1000.0;
  }

  private static List<FieldYear> fields(YearBalance b) {
    List<FieldYear> views = new ArrayList<>();
    List<Field> fields = b.stated().farm().fields();
    for (int i = 0; i < fields.size(); i++) {
      int f = i;
      views.add(
          new FieldYear(
              fields.get(f).id(),
              whole(b, d -> b.coverKgPerHa(f, d)),
              whole(b, d -> b.grazedKg(f, d)),
              (int) Math.round(b.residualKgPerHa(f)),
              (int) Math.round(b.ceilingKgPerHa(f)),
              sum(b, d -> b.grownKg(f, d)),
              sum(b, d -> b.grazedKg(f, d)),
              sum(b, d -> b.trampledKg(f, d)),
              sum(b, d -> b.weatheredKg(f, d)),
              sum(b, d -> b.cutKg(f, d))));
    }
    return views;
  }

  private static List<GroupCurve> groups(YearBalance b) {
    List<GroupCurve> views = new ArrayList<>();
    List<AnimalGroup> groups = b.stated().farm().groups();
    for (int i = 0; i < groups.size(); i++) {
      int g = i;
      GroupYear year = b.resolved().groupYear(g);
      views.add(
          new GroupCurve(
              groups.get(g).id(), daily(b, d -> b.needKg(g, d)), year.births(), year.weanings()));
    }
    return views;
  }

  private static List<LotYear> lots(YearBalance b) {
    List<LotYear> views = new ArrayList<>();
    List<Lot> lots = b.stated().allLots();
    int own = b.stated().farm().lots().size();
    int cut = own + b.stated().plan().cuts().size();
    for (int i = 0; i < lots.size(); i++) {
      int l = i;
      Lot lot = lots.get(l);
      views.add(
          new LotYear(
              lot.id(),
              lot.name(),
              lot.unitName(),
              l < own ? "STORE" : l < cut ? "CUT" : "BOUGHT",
              whole(b, d -> b.lotKg(l, d)),
              whole(b, d -> b.lotUnits(l, d)),
              sum(b, d -> b.lotEatenKg(l, d)),
              (int) sum(b, d -> b.lotOpened(l, d))));
    }
    return views;
  }

  private static LedgerLine line(String month, Ledger.Line l) {
    return new LedgerLine(
        month,
        l.startDay(),
        l.endDay(),
        l.needKg(),
        l.growingKg(),
        l.standingKg(),
        l.putByKg(),
        l.boughtInKg(),
        l.bareKg(),
        l.grownKg(),
        l.storeKg(),
        l.unitsOpened());
  }

  private static CautionView caution(Caution c) {
    return new CautionView(
        c.hazard().id(),
        c.hazard().title(),
        c.hazard().action(),
        c.hazard().severity(),
        c.hazard().whoToAsk(),
        c.fieldId(),
        c.groupId(),
        c.fromDay(),
        c.toDay(),
        c.blocks());
  }

  private static List<HaySumView> haySums(YearBalance b) {
    List<HaySumView> views = new ArrayList<>();
    for (int l = 0; l < b.stated().allLots().size(); l++) {
      List<HaySum> sums = new ArrayList<>(HaySum.ofAll(b, l));
      if (!sums.isEmpty()) {
        sums.add(HaySum.together(sums));
      }
      for (HaySum s : sums) {
        views.add(
            new HaySumView(
                s.groupId(),
                s.lotId(),
                s.days(),
                s.firstDay(),
                s.lastDay(),
                s.fedKg(),
                s.bareKg(),
                s.units()));
      }
    }
    return views;
  }

  private static List<Band> bands(YearBalance b, Climate climate) {
    List<Band> bands = new ArrayList<>();
    band("FIRST_FROST", climate.firstFrost(), b, climate, bands);
    band("LAST_FROST", climate.lastFrost(), b, climate, bands);
    return bands;
  }

  private static void band(
      String kind, Climate.Frost frost, YearBalance b, Climate climate, List<Band> to) {
    OptionalInt mid = climate.firstDay(b.year(), frost.doy50());
    if (mid.isPresent()) {
      int m = mid.getAsInt();
      to.add(
          new Band(
              kind,
              Math.max(0, m - frost.doy50() + frost.doy10()),
              m,
              Math.min(b.days(), m - frost.doy50() + frost.doy90())));
    }
  }
}
