package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Readiness;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;

/**
 * A {@link Walk} with what the tables have to be looked at on it.
 *
 * @param signs by field, in the walk's order: ids of what is to be looked at there
 * @param known every sign that is named
 * @param young rules of the young stands among the fields
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
    List<YoungView> young) {
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

  public Round {
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
    Catalogue tables = engine.catalogue().on(stated.farm());
    List<List<String>> signs = new ArrayList<>();
    List<SwardSigns.Sign> named = new ArrayList<>();
    List<YoungView> young = new ArrayList<>();
    for (FieldToWalk f : walk.fields()) {
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
        young);
  }
}
