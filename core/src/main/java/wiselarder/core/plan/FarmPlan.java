package wiselarder.core.plan;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.Heads;
import wiselarder.core.land.Field;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/**
 * A farm with one plan: what the engine is given. Every id is unique and everything named is there;
 * that is checked here, so nothing below has to.
 */
public record FarmPlan(Farm farm, Plan plan) {
  public FarmPlan(Farm farm, Plan plan) {
    this.farm = Check.present("farm", farm);
    this.plan = Check.present("plan", plan);
    Items.check(this);
    for (AnimalGroup group : farm.groups()) {
      Heads.check(group, farm.groups());
    }
    plan.sowings().forEach(sowing -> refuseShutAndSown(farm, plan, sowing));
    plan.steps().forEach(step -> refuseGrazingOfShut(farm, plan, step));
  }

  /** A field shut for stockpile cannot be prepared and sown at the same time. */
  private static void refuseShutAndSown(Farm farm, Plan plan, Sowing sowing) {
    for (Closing c : plan.closings()) {
      boolean both =
          c.fieldId().equals(sowing.fieldId())
              && c.fromInclusive().isBefore(sowing.sowOn().plusDays(1))
              && sowing.preparedFrom().isBefore(c.toExclusive());
      if (both) {
        String name =
            farm.fields().stream()
                .filter(f -> f.id().equals(c.fieldId()))
                .map(Field::name)
                .findFirst()
                .orElse(c.fieldId());
        throw new Refused(
            CoreReason.SHUT_AND_SOWN,
            "sowing.sowOn",
            name,
            c.fromInclusive(),
            c.toExclusive().minusDays(1),
            sowing.sowOn(),
            sowing.preparedFrom());
      }
    }
  }

  /** A dated step whose fields are all shut for its whole time can never be done. */
  private static void refuseGrazingOfShut(Farm farm, Plan plan, FeedStep step) {
    if (step.kind() != FeedStep.Kind.GRAZE
        || step.fromInclusive() == null
        || step.toExclusive() == null
        || step.sourceIds().isEmpty()) {
      return;
    }
    for (String fieldId : step.sourceIds()) {
      boolean shut =
          plan.closings().stream()
              .anyMatch(
                  c ->
                      c.fieldId().equals(fieldId)
                          && !c.fromInclusive().isAfter(step.fromInclusive())
                          && !c.toExclusive().isBefore(step.toExclusive()));
      if (!shut) {
        return;
      }
    }
    String names =
        farm.fields().stream()
            .filter(f -> step.sourceIds().contains(f.id()))
            .map(Field::name)
            .collect(java.util.stream.Collectors.joining(", "));
    throw new Refused(
        CoreReason.SHUT_AND_GRAZED,
        "step.dates",
        names,
        step.fromInclusive(),
        step.toExclusive().minusDays(1));
  }

  /** Every lot that is there or comes in: the store's, then what is cut, then what is bought. */
  public List<Lot> allLots() {
    return allLots(farm, plan);
  }

  public Field field(String id) {
    return farm.fields().stream()
        .filter(f -> f.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "field.id", id));
  }

  private static List<Lot> allLots(Farm farm, Plan plan) {
    List<Lot> lots = new ArrayList<>(farm.lots());
    plan.cuts().forEach(c -> lots.add(c.lot()));
    plan.purchases().forEach(p -> lots.add(p.lot()));
    return lots;
  }
}
