package wiselarder.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Grid;
import wiselarder.core.land.Outline;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/** One edit of a farm and its plan. Applying it gives a new, checked value or refuses. */
public sealed interface PlanEdit {

  FarmPlan apply(FarmPlan before);

  /** The edit in plain words, for the history; empty where it changes nothing. */
  String words(FarmPlan before);

  /** Adds a field, or replaces the one with its id. */
  record PutField(Field field) implements PlanEdit {
    public PutField {
      Check.present("field", field);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      List<Field> fields = put(b.farm().fields(), field, Field::id);
      return new FarmPlan(b.farm().withFields(fields), b.plan());
    }

    @Override
    public String words(FarmPlan before) {
      return put(
          "field", field.name(), field, before.farm().fields(), x -> x.id().equals(field.id()));
    }
  }

  /** Removes a field with all that is planned on it, and takes it out of every step. */
  record RemoveField(String id) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan b) {
      List<Field> fields = without(b.farm().fields(), id, Field::id, "field.id");
      Plan p = b.plan();
      p = p.withClosings(p.closings().stream().filter(c -> !c.fieldId().equals(id)).toList());
      p = withoutLots(p, p.cuts().stream().filter(c -> c.fieldId().equals(id)).toList());
      p = p.withSteps(withoutSource(p.steps(), FeedStep.Kind.GRAZE, id));
      p = p.withSowings(p.sowings().stream().filter(s -> !s.fieldId().equals(id)).toList());
      p = p.withDressings(p.dressings().stream().filter(d -> !d.fieldId().equals(id)).toList());
      p = p.withIrrigations(p.irrigations().stream().filter(i -> !i.fieldId().equals(id)).toList());
      p = p.withPasses(p.passes().stream().filter(l -> !l.fieldId().equals(id)).toList());
      return new FarmPlan(b.farm().withFields(fields), p);
    }

    @Override
    public String words(FarmPlan before) {
      return "Removed field " + before.field(id).name();
    }
  }

  /** Adds a group, or replaces the one with its id. */
  record PutGroup(AnimalGroup group) implements PlanEdit {
    public PutGroup {
      Check.present("group", group);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      return new FarmPlan(
          b.farm().withGroups(put(b.farm().groups(), group, AnimalGroup::id)), b.plan());
    }

    @Override
    public String words(FarmPlan before) {
      return put(
          "group", group.name(), group, before.farm().groups(), x -> x.id().equals(group.id()));
    }
  }

  /** Removes a group with its order of feeds. */
  record RemoveGroup(String id) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan b) {
      Plan p = b.plan();
      p = p.withSteps(p.steps().stream().filter(s -> !s.groupId().equals(id)).toList());
      p = p.withClosings(p.closings().stream().map(c -> withoutGroup(c, id)).toList());
      p = p.withPasses(p.passes().stream().filter(l -> !l.groupId().equals(id)).toList());
      p = p.withPurchases(p.purchases().stream().map(x -> withoutGroup(x, id)).toList());
      List<AnimalGroup> left =
          without(b.farm().groups(), id, AnimalGroup::id, "group.id").stream()
              .map(g -> stays(g, id))
              .toList();
      Farm farm = b.farm().withGroups(left);
      return new FarmPlan(
          farm.withFields(farm.fields().stream().map(f -> f.withoutGroup(id)).toList()), p);
    }

    @Override
    public String words(FarmPlan before) {
      return "Removed group "
          + before.farm().groups().stream()
              .filter(g -> g.id().equals(id))
              .map(AnimalGroup::name)
              .findFirst()
              .orElse(id);
    }
  }

  /** Adds a lot to the store, or replaces the one with its id. */
  record PutLot(Lot lot) implements PlanEdit {
    public PutLot {
      Check.present("lot", lot);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      return new FarmPlan(b.farm().withLots(put(b.farm().lots(), lot, Lot::id)), b.plan());
    }

    @Override
    public String words(FarmPlan before) {
      return put("lot", lot.name(), lot, before.farm().lots(), x -> x.id().equals(lot.id()));
    }
  }

  /** Removes a lot from the store and from every step. */
  record RemoveLot(String id) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan b) {
      Plan p = b.plan();
      p = p.withSteps(withoutSource(p.steps(), FeedStep.Kind.STORE, id));
      return new FarmPlan(b.farm().withLots(without(b.farm().lots(), id, Lot::id, "lot.id")), p);
    }

    @Override
    public String words(FarmPlan before) {
      return "Removed lot "
          + before.farm().lots().stream()
              .filter(l -> l.id().equals(id))
              .map(Lot::name)
              .findFirst()
              .orElse(id);
    }
  }

  /** Replaces a group's whole order of feeds. */
  record SetFeeding(String groupId, List<FeedStep> steps) implements PlanEdit {
    public SetFeeding {
      steps = List.copyOf(Check.present("steps", steps));
      for (FeedStep step : steps) {
        if (!step.groupId().equals(groupId)) {
          throw new Refused(
              "unknown_id", "step.groupId", step.groupId(), "step belongs to another group");
        }
      }
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      List<FeedStep> all = new ArrayList<>();
      b.plan().steps().stream().filter(s -> !s.groupId().equals(groupId)).forEach(all::add);
      all.addAll(steps);
      return new FarmPlan(b.farm(), b.plan().withSteps(all));
    }

    @Override
    public String words(FarmPlan before) {
      if (Difference.stepsOf(before, groupId).equals(steps)) {
        return "";
      }
      return "Changed the order of feeds of "
          + before.farm().groups().stream()
              .filter(g -> g.id().equals(groupId))
              .map(AnimalGroup::name)
              .findFirst()
              .orElse("a new group");
    }
  }

  /** Shuts a field, or moves the closing with that id. */
  record ShutField(Closing closing) implements PlanEdit {
    public ShutField {
      Check.present("closing", closing);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      b.plan().closings().stream()
          .filter(c -> c.fieldId().equals(closing.fieldId()) && !c.id().equals(closing.id()))
          .filter(
              c ->
                  c.fromInclusive().isBefore(closing.toExclusive())
                      && closing.fromInclusive().isBefore(c.toExclusive()))
          .findAny()
          .ifPresent(
              c -> {
                throw new Refused(
                    "already_shut",
                    "closing.dates",
                    c.fromInclusive() + "/" + c.toExclusive(),
                    "%s is already shut from %s to %s"
                        .formatted(
                            b.field(c.fieldId()).name(), c.fromInclusive(), c.toExclusive()));
              });
      return new FarmPlan(
          b.farm(), b.plan().withClosings(put(b.plan().closings(), closing, Closing::id)));
    }

    @Override
    public String words(FarmPlan before) {
      return "Shut %s from %s to %s"
          .formatted(
              before.field(closing.fieldId()).name(),
              closing.fromInclusive(),
              closing.toExclusive().minusDays(1));
    }
  }

  /** Opens a field again: removes a closing. */
  record RemoveClosing(String id) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan b) {
      return new FarmPlan(
          b.farm(),
          b.plan().withClosings(without(b.plan().closings(), id, Closing::id, "closing.id")));
    }

    @Override
    public String words(FarmPlan before) {
      return "Took back a closing";
    }
  }

  /** Adds a cut, or replaces the one with its id. */
  record PutCut(HayCut cut) implements PlanEdit {
    public PutCut {
      Check.present("cut", cut);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      return new FarmPlan(b.farm(), b.plan().withCuts(put(b.plan().cuts(), cut, HayCut::id)));
    }

    @Override
    public String words(FarmPlan before) {
      return "Cut %s on %s".formatted(before.field(cut.fieldId()).name(), cut.date());
    }
  }

  /** Removes a cut and its lot. */
  record RemoveCut(String id) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan b) {
      List<HayCut> gone = b.plan().cuts().stream().filter(c -> c.id().equals(id)).toList();
      without(b.plan().cuts(), id, HayCut::id, "cut.id");
      return new FarmPlan(b.farm(), withoutLots(b.plan(), gone));
    }

    @Override
    public String words(FarmPlan before) {
      return "Took back a cut";
    }
  }

  /** Buys hay, or replaces the purchase with its id. */
  record BuyHay(Purchase purchase) implements PlanEdit {
    public BuyHay {
      Check.present("purchase", purchase);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      return new FarmPlan(
          b.farm(), b.plan().withPurchases(put(b.plan().purchases(), purchase, Purchase::id)));
    }

    @Override
    public String words(FarmPlan before) {
      return "Bought %d x %s for %s"
          .formatted(purchase.lot().units(), purchase.lot().unitName(), purchase.date());
    }
  }

  /** Takes a purchase back. */
  record RemovePurchase(String id) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan b) {
      Plan p = b.plan();
      List<Purchase> kept = without(p.purchases(), id, Purchase::id, "purchase.id");
      for (Purchase gone : p.purchases()) {
        if (gone.id().equals(id)) {
          p = p.withSteps(withoutSource(p.steps(), FeedStep.Kind.STORE, gone.lot().id()));
        }
      }
      return new FarmPlan(b.farm(), p.withPurchases(kept));
    }

    @Override
    public String words(FarmPlan before) {
      return "Took back a purchase";
    }
  }

  /** Adds a thing to one of the lists, or replaces the one with its id. */
  record Put<T extends Record>(Items<T> items, T item) implements PlanEdit {
    public Put {
      Check.present(items.what(), item);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      return items.with(b, put(items.in(b), item, items::id));
    }

    @Override
    public String words(FarmPlan before) {
      return items.words(before, item);
    }
  }

  /** Removes a thing from one of the lists. */
  record Remove<T extends Record>(Items<T> items, String id) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan b) {
      return items.with(b, without(items.in(b), id, items::id, items.what() + ".id"));
    }

    @Override
    public String words(FarmPlan before) {
      return items.takenBack();
    }
  }

  /** Parts a field along a line; the smaller piece becomes a field of its own. */
  record SplitField(String id, List<Outline.Point> line, String newId, String newName)
      implements PlanEdit {
    public SplitField {
      line = List.copyOf(Check.present("split.line", line));
      Check.range("split.line", line.size(), 2, 100);
      Check.text("split.newId", newId, 40);
      Check.text("split.newName", newName, 60);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      return Split.of(b, this);
    }

    @Override
    public String words(FarmPlan before) {
      return "Parted %s; the piece is %s".formatted(before.field(id).name(), newName);
    }
  }

  /** Changes the plan's first day and length. */
  record SetYear(PlanYear year) implements PlanEdit {
    public SetYear {
      Check.present("year", year);
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      return new FarmPlan(b.farm(), b.plan().withYear(year));
    }

    @Override
    public String words(FarmPlan before) {
      return year.equals(before.plan().year())
          ? ""
          : "Set the plan year to %d months from %s".formatted(year.months(), year.start());
    }
  }

  /** Gives the plan another name. */
  record NamePlan(String name) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan b) {
      return new FarmPlan(b.farm(), b.plan().named(name));
    }

    @Override
    public String words(FarmPlan before) {
      return "Named the plan " + name;
    }
  }

  /** Changes what the farm is called, where it lies, and how it is shown. */
  record SetFarm(
      String name,
      String note,
      String climateId,
      Farm.UnitSystem units,
      String currency,
      double audKg,
      List<Farm.Machine> machines,
      Grid grid)
      implements PlanEdit {
    /** The settings of a farm as they stand. */
    static SetFarm of(Farm f) {
      return new SetFarm(
          f.name(),
          f.note(),
          f.climateId(),
          f.units(),
          f.currency(),
          f.audKg(),
          f.machines(),
          f.grid());
    }

    @Override
    public FarmPlan apply(FarmPlan b) {
      Farm f = b.farm();
      return new FarmPlan(
          new Farm(
              name,
              note,
              climateId,
              units,
              currency,
              audKg,
              f.fields(),
              f.groups(),
              f.lots(),
              f.forages(),
              machines,
              grid),
          b.plan());
    }

    @Override
    public String words(FarmPlan before) {
      return changed("Changed the farm's settings", of(before.farm()), this);
    }
  }

  /** "Added field Saddle" or "Changed field Saddle: area, residual"; empty when nothing changes. */
  private static <T extends Record> String put(
      String what, String name, T item, List<T> items, java.util.function.Predicate<T> same) {
    return items.stream()
        .filter(same)
        .findFirst()
        .map(was -> changed("Changed %s %s".formatted(what, name), was, item))
        .orElse("Added %s %s".formatted(what, name));
  }

  private static String changed(String sentence, Record was, Record is) {
    List<String> members =
        Members.differing(was, is).stream().map(m -> Members.words(m.member())).toList();
    return members.isEmpty() ? "" : sentence + ": " + String.join(", ", members);
  }

  private static <T> List<T> put(List<T> items, T item, Function<T, String> id) {
    List<T> changed = new ArrayList<>(items);
    for (int i = 0; i < changed.size(); i++) {
      if (id.apply(changed.get(i)).equals(id.apply(item))) {
        changed.set(i, item);
        return changed;
      }
    }
    changed.add(item);
    return changed;
  }

  private static <T> List<T> without(
      List<T> items, String id, Function<T, String> idOf, String field) {
    List<T> kept = items.stream().filter(i -> !idOf.apply(i).equals(id)).toList();
    if (kept.size() == items.size()) {
      throw new Refused("unknown_id", field, id, field + ": there is no " + id);
    }
    return kept;
  }

  /** Animals that would have moved to a group that is gone stay where they are. */
  private static AnimalGroup stays(AnimalGroup group, String gone) {
    return group.withChanges(
        group.changes().stream().filter(c -> !gone.equals(c.toGroupId())).toList());
  }

  private static Closing withoutGroup(Closing c, String id) {
    List<String> left = c.grazedBy().stream().filter(g -> !g.equals(id)).toList();
    return new Closing(
        c.id(), c.fieldId(), c.fromInclusive(), c.toExclusive(), left, c.grazeUntilExclusive());
  }

  private static Purchase withoutGroup(Purchase p, String id) {
    List<String> left = p.forGroups().stream().filter(g -> !g.equals(id)).toList();
    return new Purchase(p.id(), p.date(), p.lot(), left);
  }

  private static Plan withoutLots(Plan plan, List<HayCut> gone) {
    Plan p = plan;
    for (HayCut cut : gone) {
      p = p.withSteps(withoutSource(p.steps(), FeedStep.Kind.STORE, cut.lot().id()));
    }
    return p.withCuts(p.cuts().stream().filter(c -> !gone.contains(c)).toList());
  }

  /** Steps without a source; a step that named only that source goes with it. */
  private static List<FeedStep> withoutSource(List<FeedStep> steps, FeedStep.Kind kind, String id) {
    List<FeedStep> changed = new ArrayList<>();
    for (FeedStep s : steps) {
      if (s.kind() != kind || !s.sourceIds().contains(id)) {
        changed.add(s);
        continue;
      }
      List<String> left = s.sourceIds().stream().filter(x -> !x.equals(id)).toList();
      if (!left.isEmpty()) {
        changed.add(s.from(left));
      }
    }
    return changed;
  }
}
