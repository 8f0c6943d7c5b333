package wiselarder.core.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Function;
import wiselarder.core.forage.OwnForage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.price.OwnPrice;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/**
 * A list of a farm or plan whose things are put and removed one by one: where it stands, what its
 * things are called, and to what they refer. What goes with a thing that is removed, and what may
 * not be named because it is not there, both follow from that. A new planned thing is one more of
 * these.
 *
 * @param <T> one of the list; its id is its own there
 */
public final class Items<T extends Record> {
  public static final Items<Field> FIELDS =
      new Items<>(
              Thing.FIELD,
              Field.class,
              p -> p.farm().fields(),
              (p, l) -> new FarmPlan(p.farm().withFields(l), p.plan()),
              Field::id,
              (p, f) -> f.name())
          .refers("lie.onlyGroups", Thing.GROUP, f -> f.lie().onlyGroups(), Field::withoutGroup)
          .needs("stand.forageId", f -> f.stand().forageId());

  public static final Items<AnimalGroup> GROUPS =
      new Items<>(
              Thing.GROUP,
              AnimalGroup.class,
              p -> p.farm().groups(),
              (p, l) -> new FarmPlan(p.farm().withGroups(l), p.plan()),
              AnimalGroup::id,
              (p, g) -> g.name())
          .refers(
              "headChange.toGroupId",
              Thing.GROUP,
              g -> g.changes().stream().map(c -> c.toGroupId()).filter(Objects::nonNull).toList(),
              Items::stays);

  public static final Items<Lot> LOTS =
      new Items<>(
          Thing.LOT,
          Lot.class,
          p -> p.farm().lots(),
          (p, l) -> new FarmPlan(p.farm().withLots(l), p.plan()),
          Lot::id,
          (p, l) -> l.name());

  /** Steps are replaced group by group, but go with what they name as other things do. */
  public static final Items<FeedStep> STEPS =
      new Items<>(
              Thing.FEEDING,
              FeedStep.class,
              p -> p.plan().steps(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withSteps(l)),
              FeedStep::id,
              (p, s) -> groupName(p, s.groupId()))
          .belongs("step.groupId", Thing.GROUP, FeedStep::groupId)
          .refers("step.sourceIds", Thing.FIELD, s -> sources(s, true), Items::withoutSource)
          .refers("step.sourceIds", Thing.LOT, s -> sources(s, false), Items::withoutSource);

  public static final Items<Closing> CLOSINGS =
      new Items<>(
              Thing.CLOSING,
              Closing.class,
              p -> p.plan().closings(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withClosings(l)),
              Closing::id,
              (p, c) -> fieldName(p, c.fieldId()))
          .belongs("closing.fieldId", Thing.FIELD, Closing::fieldId)
          .refers("closing.grazedBy", Thing.GROUP, Closing::grazedBy, Closing::withoutGroup);

  public static final Items<HayCut> CUTS =
      new Items<>(
              Thing.CUT,
              HayCut.class,
              p -> p.plan().cuts(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withCuts(l)),
              HayCut::id,
              (p, c) -> fieldName(p, c.fieldId()))
          .belongs("cut.fieldId", Thing.FIELD, HayCut::fieldId)
          .brings(HayCut::lot);

  public static final Items<Purchase> PURCHASES =
      new Items<>(
              Thing.PURCHASE,
              Purchase.class,
              p -> p.plan().purchases(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withPurchases(l)),
              Purchase::id,
              (p, b) -> b.lot().name())
          .refers("purchase.forGroups", Thing.GROUP, Purchase::forGroups, Purchase::withoutGroup)
          .brings(Purchase::lot);

  public static final Items<Sowing> SOWINGS =
      new Items<>(
              Thing.SOWING,
              Sowing.class,
              p -> p.plan().sowings(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withSowings(l)),
              Sowing::id,
              (p, s) -> fieldName(p, s.fieldId()))
          .belongs("sowing.fieldId", Thing.FIELD, Sowing::fieldId)
          .needs("sowing.forageId", Sowing::forageId);

  public static final Items<Dressing> DRESSINGS =
      new Items<>(
              Thing.DRESSING,
              Dressing.class,
              p -> p.plan().dressings(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withDressings(l)),
              Dressing::id,
              (p, d) -> fieldName(p, d.fieldId()))
          .belongs("dressing.fieldId", Thing.FIELD, Dressing::fieldId);

  public static final Items<Irrigation> IRRIGATIONS =
      new Items<>(
              Thing.IRRIGATION,
              Irrigation.class,
              p -> p.plan().irrigations(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withIrrigations(l)),
              Irrigation::id,
              (p, i) -> fieldName(p, i.fieldId()))
          .belongs("irrigation.fieldId", Thing.FIELD, Irrigation::fieldId);

  public static final Items<LightPass> PASSES =
      new Items<>(
              Thing.PASS,
              LightPass.class,
              p -> p.plan().passes(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withPasses(l)),
              LightPass::id,
              (p, l) -> fieldName(p, l.fieldId()))
          .belongs("pass.fieldId", Thing.FIELD, LightPass::fieldId)
          .belongs("pass.groupId", Thing.GROUP, LightPass::groupId);

  public static final Items<Scenario> SCENARIOS =
      new Items<>(
          Thing.SCENARIO,
          Scenario.class,
          p -> p.plan().scenarios(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withScenarios(l)),
          Scenario::id,
          (p, s) -> s.name());

  public static final Items<OwnPrice> PRICES =
      new Items<>(
          Thing.PRICE,
          OwnPrice.class,
          p -> p.farm().prices(),
          (p, l) -> new FarmPlan(p.farm().withPrices(l), p.plan()),
          OwnPrice::id,
          (p, o) -> o.id().replace('_', ' '));

  public static final Items<Seed> SEEDS =
      new Items<>(
              Thing.SEED,
              Seed.class,
              p -> p.farm().seeds(),
              (p, l) -> new FarmPlan(p.farm().withSeeds(l), p.plan()),
              Seed::forageId,
              (p, s) -> s.forageId().replace('_', ' '))
          .needs("seed.forageId", Seed::forageId);

  public static final Items<Policy> POLICIES =
      new Items<>(
          Thing.POLICY,
          Policy.class,
          p -> p.plan().policies(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withPolicies(l)),
          Policy::id,
          (p, o) -> o.side().name());

  public static final Items<OwnJob> JOBS =
      new Items<>(
          Thing.JOB,
          OwnJob.class,
          p -> p.plan().jobs(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withJobs(l)),
          OwnJob::id,
          (p, j) -> j.what());

  public static final Items<Rung> RUNGS =
      new Items<>(
          Thing.RUNG,
          Rung.class,
          p -> p.plan().rungs(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withRungs(l)),
          Rung::id,
          (p, r) -> r.doThis());

  public static final Items<BaleField> BALES =
      new Items<>(
              Thing.BALES,
              BaleField.class,
              p -> p.plan().bales(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withBales(l)),
              BaleField::id,
              (p, b) -> fieldName(p, b.fieldId()))
          .belongs("bales.fieldId", Thing.FIELD, BaleField::fieldId)
          .belongs("bales.lotId", Thing.LOT, BaleField::lotId)
          .refers(
              "mixed.lotId",
              Thing.LOT,
              b -> b.mixed() == null ? List.of() : List.of(b.mixed().lotId()),
              (b, gone) -> b.unmixed())
          .putOnlyIf(BaleField::refuseNearWater);

  public static final Items<BreakField> BREAKS =
      new Items<>(
              Thing.BREAKS,
              BreakField.class,
              p -> p.plan().breaks(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withBreaks(l)),
              BreakField::id,
              (p, b) -> fieldName(p, b.fieldId()))
          .belongs("breaks.fieldId", Thing.FIELD, BreakField::fieldId)
          .putOnlyIf(BreakField::refuseNearWater);

  /** A field has one, or none. */
  public static final Items<OpeningGround> GROUND =
      new Items<>(
              Thing.GROUND,
              OpeningGround.class,
              p -> p.plan().ground(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withGround(l)),
              OpeningGround::fieldId,
              (p, g) -> fieldName(p, g.fieldId()))
          .belongs("ground.fieldId", Thing.FIELD, OpeningGround::fieldId);

  public static final Items<OwnForage> FORAGES =
      new Items<>(
          Thing.FORAGE,
          OwnForage.class,
          p -> p.farm().forages(),
          (p, l) -> new FarmPlan(p.farm().withForages(l), p.plan()),
          OwnForage::id,
          (p, f) -> f.name());

  /** An anchor goes with what it dates, and with the field or group whose mark it is. */
  public static final Items<Anchor> ANCHORS =
      new Items<>(
              Thing.ANCHOR,
              Anchor.class,
              p -> p.plan().anchors(),
              (p, l) -> new FarmPlan(p.farm(), p.plan().withAnchors(l)),
              Anchor::key,
              Items::datedName)
          .belongsToDated()
          .refers("anchor.ofId", Thing.GROUP, a -> of(a, a.mark().ofGroup()), (a, gone) -> null)
          .refers(
              "anchor.ofId",
              Thing.FIELD,
              a -> of(a, a.mark() == Anchor.Mark.GREEN_UP),
              (a, gone) -> null);

  /** Every list, in the order in which changes are told: land, herd, store, what is intended. */
  public static final List<Items<?>> ALL =
      List.of(
          FIELDS,
          GROUPS,
          LOTS,
          STEPS,
          CLOSINGS,
          CUTS,
          PURCHASES,
          FORAGES,
          PRICES,
          SOWINGS,
          DRESSINGS,
          IRRIGATIONS,
          PASSES,
          SCENARIOS,
          ANCHORS,
          POLICIES,
          SEEDS,
          JOBS,
          RUNGS,
          BALES,
          BREAKS,
          GROUND);

  /**
   * Things named by those of a list.
   *
   * @param member where they are named, for refusals
   * @param ids the ids that one names
   * @param without one without an id, null where it goes with it; itself null where a thing that is
   *     named may not go
   */
  private record Reference<T>(
      String member, Thing to, Function<T, List<String>> ids, BiFunction<T, String, T> without) {

    T without(T item, String id) {
      return ids.apply(item).contains(id) ? without.apply(item, id) : item;
    }
  }

  private final Thing thing;
  private final Class<T> type;
  private final Function<FarmPlan, List<T>> in;
  private final BiFunction<FarmPlan, List<T>, FarmPlan> with;
  private final Function<T, String> id;
  private final BiFunction<FarmPlan, T, String> name;
  private final List<Reference<T>> references = new ArrayList<>();
  private Function<T, Lot> lot = item -> null;
  private BiConsumer<T, FarmPlan> refusal = (item, plan) -> {};

  private Items(
      Thing thing,
      Class<T> type,
      Function<FarmPlan, List<T>> in,
      BiFunction<FarmPlan, List<T>, FarmPlan> with,
      Function<T, String> id,
      BiFunction<FarmPlan, T, String> name) {
    this.thing = thing;
    this.type = type;
    this.in = in;
    this.with = with;
    this.id = id;
    this.name = name;
  }

  private Items<T> refers(
      String member, Thing to, Function<T, List<String>> ids, BiFunction<T, String, T> without) {
    references.add(new Reference<>(member, to, ids, without));
    return this;
  }

  /** It goes with the one that it names. */
  private Items<T> belongs(String member, Thing to, Function<T, String> one) {
    return refers(member, to, t -> List.of(one.apply(t)), (t, gone) -> null);
  }

  private Items<T> belongsToDated() {
    for (Thing thing : Anchor.DATED) {
      refers(
          "anchor.itemId",
          thing,
          t -> t instanceof Anchor a && a.what() == thing ? List.of(a.itemId()) : List.of(),
          (t, gone) -> null);
    }
    return this;
  }

  /** It grows a forage, and one of the keeper's own may not go while it does. */
  private Items<T> needs(String member, Function<T, String> forage) {
    Function<T, List<String>> own =
        t -> OwnForage.isOwn(forage.apply(t)) ? List.of(forage.apply(t)) : List.of();
    return refers(member, Thing.FORAGE, own, null);
  }

  /** Each brings a lot, which is there and goes with it. */
  private Items<T> brings(Function<T, Lot> one) {
    lot = one;
    return this;
  }

  /** What is refused of one that is put, where a plan that has it already stays as it is. */
  private Items<T> putOnlyIf(BiConsumer<T, FarmPlan> refuses) {
    refusal = refuses;
    return this;
  }

  public Thing thing() {
    return thing;
  }

  public Class<T> type() {
    return type;
  }

  /** One of them as it stands before the dot in a member's name, e.g. {@code closing}. */
  public String word() {
    return thing.name().toLowerCase(java.util.Locale.ROOT);
  }

  public List<T> in(FarmPlan of) {
    return in.apply(of);
  }

  public FarmPlan with(FarmPlan of, List<T> changed) {
    return with.apply(of, changed);
  }

  public String id(T item) {
    return id.apply(item);
  }

  /** What a person calls it: its own name, or its field's. */
  public String name(FarmPlan of, T item) {
    return name.apply(of, item);
  }

  /** The same plan with one more of them, in place of the one with its id. */
  public FarmPlan put(FarmPlan of, T item) {
    List<T> changed = new ArrayList<>(in(of));
    List<String> ids = changed.stream().map(id).toList();
    int at = ids.indexOf(id(item));
    if (at >= 0) {
      changed.set(at, item);
    } else {
      changed.add(item);
    }
    FarmPlan put = with(of, changed);
    refusal.accept(item, put);
    return put;
  }

  /**
   * The same plan without one of them and without what goes with it.
   *
   * @throws Refused when there is none, or it may not go
   */
  public FarmPlan remove(FarmPlan of, String gone) {
    List<T> all = in(of);
    T there =
        all.stream().filter(t -> id(t).equals(gone)).findFirst().orElseThrow(() -> unknown(gone));
    // What names it goes first: a plan is checked whenever it is made.
    FarmPlan left = withoutReferences(of, thing, gone);
    if (lot.apply(there) != null) {
      left = withoutReferences(left, Thing.LOT, lot.apply(there).id());
    }
    return with(left, in(left).stream().filter(t -> !id(t).equals(gone)).toList());
  }

  private Refused unknown(String wanted) {
    String member = word() + ".id";
    return new Refused(CoreReason.UNKNOWN_ID, member, wanted);
  }

  private static FarmPlan withoutReferences(FarmPlan of, Thing to, String gone) {
    FarmPlan left = of;
    // Who grazes and who moves where first, so that no step is left that names them.
    for (Items<?> items : ALL) {
      left = items.withoutReferencesTo(left, to, gone);
    }
    return left;
  }

  private FarmPlan withoutReferencesTo(FarmPlan of, Thing to, String gone) {
    List<T> kept = in(of);
    List<T> fallen = new ArrayList<>();
    for (Reference<T> r : references) {
      if (r.to == to && r.without != null) {
        kept.stream().filter(t -> r.without(t, gone) == null).forEach(fallen::add);
        kept = kept.stream().map(t -> r.without(t, gone)).filter(Objects::nonNull).toList();
      }
    }
    FarmPlan left = of;
    for (T t : fallen) {
      left = withoutReferences(left, thing, id(t));
      if (lot.apply(t) != null) {
        left = withoutReferences(left, Thing.LOT, lot.apply(t).id());
      }
    }
    return kept.equals(in(of)) ? left : with(left, kept);
  }

  /** Every id is there once, and everything named is there. */
  static void check(FarmPlan of) {
    for (Items<?> items : ALL) {
      items.checkIds(of);
    }
    for (Items<?> items : ALL) {
      items.checkReferences(of);
    }
  }

  private void checkIds(FarmPlan of) {
    Set<String> seen = new HashSet<>();
    for (T item : in(of)) {
      once(word() + ".id", seen, id(item));
    }
    if (thing == Thing.LOT) {
      Set<String> lots = new HashSet<>();
      of.allLots().forEach(l -> once("lot.id", lots, l.id()));
    }
  }

  private static void once(String member, Set<String> seen, String id) {
    if (!seen.add(id)) {
      throw new Refused(CoreReason.DUPLICATE_ID, member, id);
    }
  }

  private void checkReferences(FarmPlan of) {
    for (Reference<T> r : references) {
      Set<String> there = ids(of, r.to);
      for (T item : in(of)) {
        for (String named : r.ids.apply(item)) {
          if (!there.contains(named)) {
            throw missing(r, named);
          }
        }
      }
    }
  }

  private static Refused missing(Reference<?> r, String named) {
    return r.without == null
        ? new Refused(CoreReason.OWN_FORAGE_USED, r.member, named)
        : new Refused(CoreReason.UNKNOWN_ID, r.member, named);
  }

  private static Set<String> ids(FarmPlan of, Thing thing) {
    Set<String> ids = new HashSet<>();
    switch (thing) {
      case FIELD -> of.farm().fields().forEach(f -> ids.add(f.id()));
      case GROUP -> of.farm().groups().forEach(g -> ids.add(g.id()));
      case FORAGE -> of.farm().forages().forEach(f -> ids.add(f.id()));
      case LOT -> of.allLots().forEach(l -> ids.add(l.id()));
      default -> listOf(thing).addIds(of, ids);
    }
    return ids;
  }

  /** The same plan without the anchors of those that a new list has no more. */
  public FarmPlan undated(FarmPlan of, List<T> changed) {
    Set<String> left = new HashSet<>();
    changed.forEach(t -> left.add(id(t)));
    List<Anchor> anchors = of.plan().anchors();
    List<Anchor> kept =
        anchors.stream().filter(a -> a.what() != thing || left.contains(a.itemId())).toList();
    return kept.size() == anchors.size() ? of : ANCHORS.with(of, kept);
  }

  private void addIds(FarmPlan of, Set<String> ids) {
    in(of).forEach(t -> ids.add(id(t)));
  }

  private static Items<?> listOf(Thing thing) {
    return ALL.stream()
        .filter(i -> i.thing == thing)
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("nothing names a " + thing));
  }

  private static List<String> of(Anchor anchor, boolean such) {
    return such ? List.of(anchor.ofId()) : List.of();
  }

  /** What a person calls the thing that is dated. */
  private static String datedName(FarmPlan of, Anchor anchor) {
    return listOf(anchor.what()).nameOf(of, anchor.itemId());
  }

  private String nameOf(FarmPlan of, String itemId) {
    return in(of).stream()
        .filter(t -> id(t).equals(itemId))
        .map(t -> name(of, t))
        .findFirst()
        .orElse(itemId);
  }

  private static List<String> sources(FeedStep step, boolean grazed) {
    return (step.kind() == FeedStep.Kind.GRAZE) == grazed ? step.sourceIds() : List.of();
  }

  /** A step that named only that source goes with it. */
  private static FeedStep withoutSource(FeedStep step, String gone) {
    List<String> left = step.sourceIds().stream().filter(x -> !x.equals(gone)).toList();
    return left.isEmpty() ? null : step.from(left);
  }

  /** Animals that would have moved to a group that is gone stay where they are. */
  private static AnimalGroup stays(AnimalGroup group, String gone) {
    return group.withChanges(
        group.changes().stream().filter(c -> !gone.equals(c.toGroupId())).toList());
  }

  private static String groupName(FarmPlan of, String id) {
    return of.farm().groups().stream()
        .filter(g -> g.id().equals(id))
        .map(AnimalGroup::name)
        .findFirst()
        .orElse(id);
  }

  private static String fieldName(FarmPlan of, String id) {
    return of.farm().fields().stream()
        .filter(f -> f.id().equals(id))
        .map(Field::name)
        .findFirst()
        .orElse(id);
  }
}
