package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrainStages;
import wiselarder.core.forage.Readiness;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.Noticed;
import wiselarder.core.resolved.HeldByHand;
import wiselarder.core.resolved.Moves;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * A {@link Walk} with what the tables have to be looked at on it.
 *
 * @param signs by field, in the walk's order: ids of what is to be looked at there
 * @param known every sign that is named
 * @param young rules of the young stands among the fields
 * @param grains fields on which a small grain stands, whose stems can be split; {@code stages} what
 *     they may show, none where there are no such fields
 * @param herds where each group is
 * @param held fields that are shut by hand this day
 * @param stakes as they were read last
 * @param rain what the gauge had so far in this plan, and what usually falls; null without any
 */
public record Round(
    LocalDate on,
    List<FieldToWalk> fields,
    List<String> first,
    double needKgPerDay,
    double paceShare,
    FeedAhead ahead,
    List<List<String>> signs,
    List<SignView> known,
    List<YoungView> young,
    List<Grain> grains,
    List<StageView> stages,
    List<HerdPlace> herds,
    List<Held> held,
    List<StakeLine> stakes,
    Rain rain) {
  /** Families of signs that are looked at on a round; of bare ground one sign is enough. */
  private static final Set<String> LOOKED_AT = Set.of("tips", "leaf_stage", "bare_ground");

  private static final String BARE = "bare_ground";

  /** What is tried on young stands, and again where it failed. */
  private static final String PULL = "anchorage_new";

  /** What is to be seen of a sign, and what it means. */
  public record SignValue(String id, String meaning, SwardSigns.Effect effect) {}

  /** A sign of the table. */
  public record SignView(String id, String what, List<SignValue> values, String note) {
    private static SignView of(SwardSigns.Sign s) {
      return new SignView(
          s.id(),
          s.what(),
          s.values().stream().map(v -> new SignValue(v.id(), v.meaning(), v.effect())).toList(),
          s.note());
    }
  }

  /**
   * When a young stand may be opened; see {@link Readiness}.
   *
   * @param openCm least height on its soil
   * @param onSand how sand is stricter; empty on other soil
   */
  public record YoungView(
      String fieldId,
      double lookCm,
      double openCm,
      String test,
      String leaves,
      String onSand,
      double downToCm,
      String note) {
    private static YoungView of(FieldToWalk f, Readiness r) {
      return new YoungView(
          f.fieldId(),
          r.lookCm(),
          r.openCm(f.sandy()),
          r.test(),
          r.leaves(),
          f.sandy() ? r.onSand() : "",
          r.downToCm(),
          r.note());
    }
  }

  /**
   * A small grain that stands on a field.
   *
   * @param cutCm height at which it is usually mown
   */
  public record Grain(String fieldId, String forageId, double cutCm) {}

  /** A stage of small grains, as a split stem shows it. */
  public record StageView(
      String id,
      String outside,
      String inside,
      double pointCm,
      double goesOnIfLeft,
      double comesBackIfTaken) {
    private static StageView of(GrainStages.Stage s) {
      return new StageView(
          s.id(), s.outside(), s.inside(), s.pointCm(), s.goesOnIfLeft(), s.comesBackIfTaken());
    }
  }

  /**
   * Where a group is on the day.
   *
   * @param fieldId most of what it grazes is there; null where it is fed
   * @param written as somebody wrote down; otherwise as the plan has it
   * @param since first day of its being there without a break
   */
  public record HerdPlace(
      String groupId, double head, String fieldId, boolean written, LocalDate since) {}

  /**
   * A field that is shut by hand.
   *
   * @param until first day on which it is open; null where nobody said
   */
  public record Held(String recordId, String fieldId, LocalDate since, LocalDate until, String why) {}

  /**
   * Rain in the gauge since the first day that was written down.
   *
   * @param usualMm what falls in those days in a normal year
   */
  public record Rain(LocalDate from, int readings, double mm, double usualMm) {}

  public Round {
    stakes = List.copyOf(stakes);
    grains = List.copyOf(grains);
    stages = List.copyOf(stages);
    herds = List.copyOf(herds);
    held = List.copyOf(held);
    fields = List.copyOf(fields);
    first = List.copyOf(first);
    signs = List.copyOf(signs);
    known = List.copyOf(known);
    young = List.copyOf(young);
  }

  /**
   * What is to be walked and looked at.
   *
   * @throws Refused where the day lies outside of the plan
   */
  public static Round of(Engine engine, FarmPlan stated, LocalDate on) {
    Walk walk = Walk.of(engine, stated, on);
    YearBalance year = engine.simulate(stated);
    int day = Walk.dayOf(year, on);
    Ground ground = Walk.ground(engine, year, day);
    List<Grain> grains = new ArrayList<>();
    Catalogue tables = engine.catalogue().on(stated.farm());
    List<List<String>> signs = new ArrayList<>();
    List<SwardSigns.Sign> named = new ArrayList<>();
    List<YoungView> young = new ArrayList<>();
    for (FieldToWalk f : walk.fields()) {
      Forage grain = ground.grain(signs.size());
      if (grain != null) {
        grains.add(new Grain(f.fieldId(), grain.id(), grain.cutHeightCm()));
      }
      List<SwardSigns.Sign> here =
          new ArrayList<>(
              tables.signs().of(tables.forage(f.forageId()), LOOKED_AT).stream()
                  .filter(s -> !s.what().equals(BARE) || s.id().equals(BARE))
                  .toList());
      if (f.young() || f.plantsLift()) {
        here.add(0, tables.signs().sign(PULL));
        Readiness rule = tables.readinessOf(stated.farm(), f.forageId());
        if (rule != null) {
          young.add(YoungView.of(f, rule));
        }
      }
      signs.add(here.stream().map(SwardSigns.Sign::id).toList());
      here.stream().filter(s -> !named.contains(s)).forEach(named::add);
    }
    return new Round(
        walk.on(),
        walk.fields(),
        walk.first(),
        walk.needKgPerDay(),
        walk.paceShare(),
        walk.ahead(),
        signs,
        named.stream().map(SignView::of).toList(),
        young,
        grains,
        grains.isEmpty() ? List.of() : tables.stages().all().stream().map(StageView::of).toList(),
        herds(year, day),
        held(engine, year, day),
        StakeLine.of(engine.records(), year, ground, on),
        rain(engine, year, day));
  }

  private static List<HerdPlace> herds(YearBalance year, int day) {
    List<HerdPlace> herds = new ArrayList<>();
    for (int g = 0; g < year.resolved().groups.length; g++) {
      double head = year.resolved().groups[g].year.head(day);
      if (head > 0) {
        herds.add(herd(year, g, day, head));
      }
    }
    return herds;
  }

  private static HerdPlace herd(YearBalance year, int g, int day, double head) {
    ResolvedPlan plan = year.resolved();
    int f = place(year, g, day);
    int since = day;
    while (since > 0 && place(year, g, since - 1) == f) {
      since--;
    }
    boolean written = plan.moves.on(g, day) != Moves.AS_PLANNED;
    return new HerdPlace(
        plan.groups[g].group.id(),
        head,
        f < 0 ? null : plan.fields[f].field.id(),
        written,
        year.year().date(since));
  }

  /** Where it was seen, else where it grazes most; below zero for none. */
  private static int place(YearBalance year, int g, int day) {
    int written = year.resolved().moves.on(g, day);
    return written == Moves.AS_PLANNED
        ? year.onField(g, day)
        : written == Moves.OFF_FIELDS ? -1 : written;
  }

  private static Rain rain(Engine engine, YearBalance year, int day) {
    Map<Integer, Double> mm = new TreeMap<>();
    engine
        .records()
        .each(
            Noticed.class,
            (r, n) -> {
              int on = year.year().day(r.on());
              if (n.what() == Noticed.What.RAIN && on >= 0 && on <= day) {
                mm.put(on, n.amount());
              }
            });
    if (mm.isEmpty()) {
      return null;
    }
    int from = mm.keySet().iterator().next();
    double usual = 0;
    for (int d = from; d <= day; d++) {
      usual += year.resolved().normal().rainMm(d);
    }
    double sum = mm.values().stream().mapToDouble(Double::doubleValue).sum();
    return new Rain(year.year().date(from), mm.size(), sum, usual);
  }

  private static List<Held> held(Engine engine, YearBalance year, int day) {
    return HeldByHand.of(engine.records(), year.year()).stream()
        .filter(h -> h.fromDay() <= day && h.toDay() > day)
        .map(
            h ->
                new Held(
                    h.recordId(),
                    h.fieldId(),
                    year.year().date(h.fromDay()),
                    h.toDay() >= year.days() ? null : year.year().date(h.toDay()),
                    h.why()))
        .toList();
  }
}
