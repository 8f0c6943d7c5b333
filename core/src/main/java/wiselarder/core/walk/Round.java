package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrainStages;
import wiselarder.core.forage.PlateTable;
import wiselarder.core.forage.Readiness;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.forage.WeedKey;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.Clipped;

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
 * @param plates common lines of a plate, by field where the table has one
 * @param clipped what the farm's own frames say of heights, by forage
 * @param moves where groups were, as it was written down, up to this day
 * @param gauge rain as it was written down, up to this day
 * @param places where fields lie, where the farm's map has a place on the globe
 * @param weeds features that tell the weedy sorghum from what looks like it
 * @param births of groups whose season of births this is
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
    List<Plate> plates,
    List<Clipped> clipped,
    List<Stay> moves,
    List<Fallen> gauge,
    List<MapPlace> places,
    List<WeedKey.Feature> weeds,
    List<Births> births,
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
  public record Held(
      String recordId, String fieldId, LocalDate since, LocalDate until, String why) {}

  /** A common line of a plate for the sward of a field in this season; see {@link PlateTable}. */
  public record Plate(String fieldId, PlateTable.Line line) {}

  /** A group that was on a field, as it was written down, from a day to the last one. */
  public record Stay(String groupId, String fieldId, LocalDate from, LocalDate to) {}

  /** About the middle of a field, degrees of WGS 84. */
  public record MapPlace(String fieldId, double longitudeDeg, double latitudeDeg) {}

  /** Rain in the gauge on a day, of the days that it had stood. */
  public record Fallen(LocalDate on, int days, double mm) {}

  /**
   * Rain in the gauge since the first day that was written down.
   *
   * @param days on which it was measured
   * @param usualMm what falls on these days in a normal year
   */
  public record Rain(LocalDate from, int readings, int days, double mm, double usualMm) {}

  /**
   * How the births of a group go, as they were written down, in the season that this day is in.
   *
   * @param dams in the group
   * @param born of them that gave birth so far; by the day's end
   * @param plannedBorn of them by the plan
   * @param young that live of those
   * @param lastOn day of the last that was written down; null where none was
   */
  public record Births(
      String groupId, int dams, int born, double plannedBorn, int young, LocalDate lastOn) {}

  public Round {
    stakes = List.copyOf(stakes);
    plates = List.copyOf(plates);
    clipped = List.copyOf(clipped);
    moves = List.copyOf(moves);
    gauge = List.copyOf(gauge);
    places = List.copyOf(places);
    weeds = List.copyOf(weeds);
    births = List.copyOf(births);
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
    List<Plate> plates = new ArrayList<>();
    for (FieldToWalk f : walk.fields()) {
      PlateTable.Line line = tables.plates().of(tables.forage(f.forageId()), f.season());
      if (line != null) {
        plates.add(new Plate(f.fieldId(), line));
      }
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
        Besides.herds(year, day),
        Besides.held(engine, year, day),
        StakeLine.of(engine.records(), year, ground, on),
        plates,
        Clipped.of(engine.records(), tables.heights(), tables.forages()),
        Besides.stays(year, day),
        Besides.gauge(year, day),
        Besides.places(stated.farm()),
        tables.weeds().features(),
        Besides.births(year, day),
        Besides.rain(year, day));
  }
}
