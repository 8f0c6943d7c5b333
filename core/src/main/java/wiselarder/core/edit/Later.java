package wiselarder.core.edit;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.OwnJob;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Thing;

/** Things of a plan some days later, or earlier. */
public final class Later {
  private Later() {}

  /**
   * What is put, begun so many days later; what ends, ends when it did. As it is where it has no
   * day of its own; what is bought is no part of a way that waits.
   */
  public static PlanEdit put(PlanEdit.Put<?> put, int days) {
    Record item = put.item();
    if (item instanceof Closing c) {
      return new PlanEdit.Put<>(Items.CLOSINGS, begun(c, days));
    } else if (item instanceof Sowing s) {
      return new PlanEdit.Put<>(Items.SOWINGS, s.sownOn(s.sowOn().plusDays(days)));
    } else if (item instanceof Dressing d) {
      return new PlanEdit.Put<>(Items.DRESSINGS, on(d, days));
    } else if (item instanceof HayCut c) {
      return new PlanEdit.Put<>(Items.CUTS, on(c, days));
    }
    return put;
  }

  /**
   * The edit that moves a thing of a plan by so many days; empty where it is not there, or has no
   * day.
   *
   * @param on for what has several days: the one that is moved
   * @throws wiselarder.core.quantity.Refused where it would end before it begins
   */
  public static Optional<PlanEdit> moved(
      FarmPlan plan, Thing thing, String id, LocalDate on, int days) {
    return switch (thing) {
      case CLOSING -> one(plan, Items.CLOSINGS, id, c -> begun(c, days));
      case SOWING -> one(plan, Items.SOWINGS, id, s -> s.sownOn(s.sowOn().plusDays(days)));
      case DRESSING -> one(plan, Items.DRESSINGS, id, d -> on(d, days));
      case CUT -> one(plan, Items.CUTS, id, c -> on(c, days));
      case PURCHASE ->
          one(
              plan,
              Items.PURCHASES,
              id,
              p -> new Purchase(p.id(), p.date().plusDays(days), p.lot(), p.forGroups()));
      case IRRIGATION ->
          one(
              plan,
              Items.IRRIGATIONS,
              id,
              i -> new Irrigation(i.id(), i.fieldId(), i.date().plusDays(days), i.waterMm()));
      case PASS -> one(plan, Items.PASSES, id, p -> begun(p, days));
      case GROUP -> one(plan, Items.GROUPS, id, g -> changed(g, on, days));
      case JOB -> one(plan, Items.JOBS, id, j -> on(j, days));
      default -> Optional.empty();
    };
  }

  private static <T extends Record> Optional<PlanEdit> one(
      FarmPlan plan, Items<T> items, String id, UnaryOperator<T> move) {
    return items.in(plan).stream()
        .filter(t -> items.id(t).equals(id))
        .findFirst()
        .map(t -> new PlanEdit.Put<>(items, move.apply(t)));
  }

  private static Closing begun(Closing c, int days) {
    return new Closing(
        c.id(),
        c.fieldId(),
        c.fromInclusive().plusDays(days),
        c.toExclusive(),
        c.grazedBy(),
        c.grazeUntilExclusive());
  }

  private static LightPass begun(LightPass p, int days) {
    return new LightPass(
        p.id(),
        p.fieldId(),
        p.groupId(),
        p.fromInclusive().plusDays(days),
        p.toExclusive(),
        p.whenKgPerHa(),
        p.leaveKgPerHa());
  }

  private static Dressing on(Dressing d, int days) {
    return new Dressing(
        d.id(), d.fieldId(), d.date().plusDays(days), d.nitrogenKgPerHa(), d.pricePerKg());
  }

  private static HayCut on(HayCut c, int days) {
    return new HayCut(c.id(), c.fieldId(), c.date().plusDays(days), c.harvestMethodId(), c.lot());
  }

  private static OwnJob on(OwnJob j, int days) {
    return j.between(j.on().plusDays(days), j.by() == null ? null : j.by().plusDays(days));
  }

  /** Comings and goings of that day. */
  private static AnimalGroup changed(AnimalGroup g, LocalDate on, int days) {
    return g.withChanges(
        List.copyOf(
            g.changes().stream().map(c -> c.date().equals(on) ? c.movedBy(days) : c).toList()));
  }
}
