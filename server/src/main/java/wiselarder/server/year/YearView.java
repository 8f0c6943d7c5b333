package wiselarder.server.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.balance.HaySum;
import wiselarder.core.balance.Ledger;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Caution;
import wiselarder.core.conflict.Conflict;
import wiselarder.core.cost.FeedCosts;
import wiselarder.core.day.Shelf;
import wiselarder.core.day.SowingYear;
import wiselarder.core.diet.BlockDiet;
import wiselarder.core.diet.ByShelf;
import wiselarder.core.diet.ShelfDiet;
import wiselarder.core.diet.WaterYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Doubt;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.WeatherYear;

/**
 * A simulated year as the web client draws it: one value a day, day 0 the plan's first. Amounts kg
 * DM a day, covers kg DM/ha, as finely as {@link Series} says. {@code grownKg} is what all fields
 * grow, {@code offeredKg} what stands above what must be left and would be eaten, {@code lostKg}
 * what age and weather take of what stands.
 */
public record YearView(
    String season,
    LocalDate start,
    int days,
    Series needKg,
    Series growingKg,
    Series standingKg,
    Series putByKg,
    Series boughtInKg,
    Series bareKg,
    Series storeKg,
    Series grownKg,
    Series offeredKg,
    Series lostKg,
    List<FieldYear> fields,
    List<HerdView.GroupCurve> groups,
    List<StoreView.LotYear> lots,
    CostView costs,
    List<HerdView.FieldWater> water,
    List<LedgerLine> ledger,
    LedgerLine total,
    List<Gap> gaps,
    List<Gap> needs,
    List<CautionView> cautions,
    List<Conflict> conflicts,
    List<Doubt> doubts,
    List<HaySumView> haySums,
    List<Band> bands,
    List<int[]> frosts,
    List<WeatherMonth> weather,
    List<SowingOutcome> sowings,
    List<PassYear> passes,
    ShelvesView shelves,
    double massError) {

  /**
   * What each shelf gave of a measure, and what lacks; kg DM, MJ or kg protein a day. Only where
   * asked for.
   */
  public record ShelvesView(
      Series need,
      Series growing,
      Series standing,
      Series putBy,
      Series boughtIn,
      Series lacking) {}

  /**
   * Shelves that are asked for: of a group, or of what a block of fields gives to all; null for
   * all.
   */
  public record Shelves(ShelfDiet.Measure measure, String groupId, String block) {
    ByShelf of(YearBalance balance) {
      return block == null
          ? ShelfDiet.of(balance, measure, groupId)
          : BlockDiet.of(balance, measure, block);
    }
  }

  /** Passes for light that a season asked for, and what stock ate on them. */
  public record PassYear(String passId, int count, double eatenKg) {}

  /** One month of the season's weather beside the normal one. Days half-open. */
  public record WeatherMonth(
      String month,
      int startDay,
      int endDay,
      double rainMm,
      double normalRainMm,
      double meanC,
      double normalMeanC) {}

  /**
   * What became of a sowing; days -1 where it never came to that; null where nothing is simulated.
   * Heads, dough and grain are those of what stands since it was last taken down.
   */
  public record SowingOutcome(
      String sowingId,
      int emergedDay,
      int readyDay,
      int headedDay,
      int doughDay,
      int grainDay,
      int endedDay,
      boolean skipped,
      boolean failed,
      double grownKgPerHa,
      double lowKgPerHa,
      double highKgPerHa,
      Double chanceOfFailing,
      Double daysLate,
      Double waterPercentAtSowing,
      Series coverKgPerHa) {}

  /** The store is said in words to a tenth of a ton. */
  private static final double STORE_STEP_KG = 10;

  /**
   * One field's year. {@code grazedKg} is what stock ate there each day, whole field; protein and
   * TDN are those of all that stands, -1 where nothing does; {@code breakHa} is the piece given
   * each day where the field is opened in strips, empty elsewhere. Water, worth and piece are empty
   * where nobody asks about the field. {@code pieces} are those it is grazed in, {@code inRound}
   * those of the whole round that it belongs to, {@code eatenPercent} what is eaten of what stock
   * take down there.
   */
  public record FieldYear(
      String id,
      Series coverKgPerHa,
      Series grazedKg,
      Series waterPercent,
      Series proteinPercent,
      Series tdnPercent,
      Series breakHa,
      int soilCapacityMm,
      int residualKgPerHa,
      int ceilingKgPerHa,
      int pieces,
      int inRound,
      int eatenPercent,
      double grownKg,
      double eatenKg,
      double wastedKg,
      double weatheredKg,
      double cutKg) {}

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

  /** A caution with the day window it holds in; on a field, a lot, or neither. */
  public record CautionView(
      String hazardId,
      String title,
      String action,
      String severity,
      String whoToAsk,
      String fieldId,
      String groupId,
      String lotId,
      int fromDay,
      int toDay,
      boolean blocks,
      boolean everyday) {}

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

  /** Simulates a plan in the engine's season. */
  static YearView of(FarmPlan stated, Engine engine) {
    return of(engine.simulate(stated), engine);
  }

  /**
   * What of a year weighs most, day by day for each of many: left out where no picture shows it.
   */
  public enum Part {
    /** Of each field what stands and is grazed. */
    FIELDS,
    /** Of each group its head and need; and the water of fields. */
    GROUPS,
    /** Where energy, protein, condition or water of a group falls short. */
    NEEDS
  }

  /**
   * What of a year is asked for.
   *
   * @param about field or group of which the soil water and the worth of what stands, or the diet,
   *     condition and water are wanted too; null for all of those whose part is wanted
   * @param shelves in another measure or of one group; null for none
   */
  record Asked(Set<Part> parts, String about, Shelves shelves) {
    static final Asked ALL = new Asked(EnumSet.allOf(Part.class), null, null);

    boolean whole(String id) {
      return about == null || about.equals(id);
    }
  }

  static YearView of(YearBalance b, Engine engine) {
    return of(b, engine, Asked.ALL);
  }

  /** A year that the engine has simulated; the list of a part that is not asked for is empty. */
  static YearView of(YearBalance b, Engine engine, Asked asked) {
    Set<Part> parts = asked.parts;
    WaterYear water = parts.contains(Part.GROUPS) ? WaterYear.of(b) : null;
    FarmPlan stated = b.stated();
    Climate climate = engine.catalogue().climate(stated.farm().climateId());
    FeedCosts costs = FeedCosts.of(b, engine.catalogue());
    return new YearView(
        engine.season().key(),
        b.year().start(),
        b.days(),
        Series.flow(b.days(), b::needKg),
        Series.flow(b.days(), d -> b.eatenKg(Shelf.GROWING, d)),
        Series.flow(b.days(), d -> b.eatenKg(Shelf.STANDING, d)),
        Series.flow(b.days(), d -> b.eatenKg(Shelf.PUT_BY, d)),
        Series.flow(b.days(), d -> b.eatenKg(Shelf.BOUGHT_IN, d)),
        Series.flow(b.days(), b::bareKg),
        Series.exact(b.days(), STORE_STEP_KG, d -> storeKg(b, d)),
        Series.flow(b.days(), d -> overFields(b, d, b::grownKg)),
        Series.amounts(b.days(), d -> overFields(b, d, b::offeredKg)),
        Series.flow(b.days(), d -> overFields(b, d, b::weatheredKg)),
        parts.contains(Part.FIELDS) ? fields(b, asked) : List.of(),
        water == null ? List.of() : HerdView.groups(b, costs, water, asked),
        StoreView.lots(b, engine.catalogue()),
        CostView.of(b, costs),
        water == null ? List.of() : HerdView.water(water),
        Ledger.months(b).stream().map(l -> line(l.month().toString(), l)).toList(),
        line("", Ledger.total(b)),
        engine.gaps(b),
        parts.contains(Part.NEEDS) ? engine.needs(b) : List.of(),
        b.resolved().cautions().stream().map(YearView::caution).toList(),
        engine.conflicts(b),
        engine.doubts(stated),
        haySums(b),
        bands(b, climate),
        frosts(b),
        weather(b),
        sowings(b),
        passes(b),
        shelves(b, asked.shelves),
        b.massBalance().error());
  }

  static ShelvesView shelves(YearBalance b, Shelves asked) {
    if (asked == null) {
      return null;
    }
    ByShelf of = asked.of(b);
    return new ShelvesView(
        Series.amounts(b.days(), of::need),
        Series.amounts(b.days(), d -> of.given(Shelf.GROWING, d)),
        Series.amounts(b.days(), d -> of.given(Shelf.STANDING, d)),
        Series.amounts(b.days(), d -> of.given(Shelf.PUT_BY, d)),
        Series.amounts(b.days(), d -> of.given(Shelf.BOUGHT_IN, d)),
        Series.amounts(b.days(), of::lacking));
  }

  private static List<PassYear> passes(YearBalance b) {
    List<PassYear> views = new ArrayList<>();
    for (int n = 0; n < b.stated().plan().passes().size(); n++) {
      views.add(
          new PassYear(b.stated().plan().passes().get(n).id(), b.passes(n), b.passEatenKg(n)));
    }
    return views;
  }

  private static List<int[]> frosts(YearBalance b) {
    List<int[]> runs = new ArrayList<>();
    for (int d = 0; d < b.days(); d++) {
      boolean frosty = b.resolved().weather().frostSeason(d);
      if (frosty && (d == 0 || !b.resolved().weather().frostSeason(d - 1))) {
        runs.add(new int[] {d, d + 1});
      } else if (frosty) {
        runs.get(runs.size() - 1)[1] = d + 1;
      }
    }
    return runs;
  }

  private static List<WeatherMonth> weather(YearBalance b) {
    WeatherYear now = b.resolved().weather();
    WeatherYear normal = b.resolved().normal();
    return b.year().monthSpans().stream()
        .map(
            s ->
                new WeatherMonth(
                    s.month().toString(),
                    s.startInclusive(),
                    s.endExclusive(),
                    total(s, now::rainMm),
                    total(s, normal::rainMm),
                    total(s, now::tmeanC) / s.days(),
                    total(s, normal::tmeanC) / s.days()))
        .toList();
  }

  private static double total(PlanYear.MonthSpan span, IntToDoubleFunction value) {
    double sum = 0;
    for (int d = span.startInclusive(); d < span.endExclusive(); d++) {
      sum += value.applyAsDouble(d);
    }
    return sum;
  }

  private static List<SowingOutcome> sowings(YearBalance b) {
    List<SowingOutcome> views = new ArrayList<>();
    for (int n = 0; n < b.stated().plan().sowings().size(); n++) {
      int i = n;
      SowingYear s = b.sowing(i);
      views.add(
          new SowingOutcome(
              s.sowingId(),
              s.emergedDay(),
              s.readyDay(),
              s.headedDay(),
              s.doughDay(),
              s.grainDay(),
              s.endedDay(),
              s.skipped(),
              s.failed(),
              s.grownKgPerHa(),
              s.lowKgPerHa(),
              s.highKgPerHa(),
              orNull(s.chanceOfFailing()),
              orNull(s.daysLate()),
              orNull(100 * s.waterShareAtSowing()),
              Series.whole(b.days(), d -> b.sownCoverKgPerHa(i, d))));
    }
    return views;
  }

  static double orNone(double value) {
    return Double.isNaN(value) ? -1 : value;
  }

  public static Double orNull(double value) {
    return Double.isNaN(value) ? null : value;
  }

  private static double storeKg(YearBalance b, int day) {
    double kg = 0;
    for (int l = 0; l < b.stated().allLots().size(); l++) {
      kg += b.lotKg(l, day);
    }
    return kg;
  }

  /** A value of a field on a day. */
  private interface OfField {
    double on(int field, int day);
  }

  private static double overFields(YearBalance b, int day, OfField value) {
    double kg = 0;
    for (int f = 0; f < b.stated().farm().fields().size(); f++) {
      kg += value.on(f, day);
    }
    return kg;
  }

  static double sum(YearBalance b, IntToDoubleFunction value) {
    double sum = 0;
    for (int d = 0; d < b.days(); d++) {
      sum += value.applyAsDouble(d);
    }
    return Math.round(sum * 1000) / 1000.0;
  }

  private static List<FieldYear> fields(YearBalance b, Asked asked) {
    List<FieldYear> views = new ArrayList<>();
    List<Field> fields = b.stated().farm().fields();
    for (int f = 0; f < fields.size(); f++) {
      views.add(field(b, f, fields.get(f), asked.whole(fields.get(f).id())));
    }
    return views;
  }

  private static FieldYear field(YearBalance b, int f, Field field, boolean whole) {
    int days = whole ? b.days() : 0;
    return new FieldYear(
        field.id(),
        Series.whole(b.days(), d -> b.coverKgPerHa(f, d)),
        Series.whole(b.days(), d -> b.grazedKg(f, d)),
        Series.whole(days, d -> 100 * b.soilWaterMm(f, d) / b.soilCapacityMm(f)),
        Series.whole(days, d -> orNone(b.standingProteinPct(f, d))),
        Series.whole(days, d -> orNone(b.standingTdnPct(f, d))),
        field.grazing() == Field.Grazing.STRIP
            ? Series.amounts(days, d -> b.breakHa(f, d))
            : Series.NONE,
        (int) Math.round(b.soilCapacityMm(f)),
        (int) Math.round(b.residualKgPerHa(f)),
        (int) Math.round(b.ceilingKgPerHa(f)),
        b.resolved().pieces.of(f),
        (int) b.resolved().pieces.inRound(f),
        (int) Math.round(100 * b.resolved().pieces.utilization(f, 0, false)),
        sum(b, d -> b.grownKg(f, d)),
        sum(b, d -> b.grazedKg(f, d)),
        sum(b, d -> b.trampledKg(f, d)),
        sum(b, d -> b.weatheredKg(f, d)),
        sum(b, d -> b.cutKg(f, d)));
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
        c.lotId(),
        c.fromDay(),
        c.toDay(),
        c.blocks(),
        c.hazard().everyday());
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
