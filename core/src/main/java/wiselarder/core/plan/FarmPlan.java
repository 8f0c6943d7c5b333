package wiselarder.core.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import wiselarder.core.forage.OwnForage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.Heads;
import wiselarder.core.land.Field;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/**
 * A farm with one plan: what the engine is given. Every id is unique and everything named is there;
 * that is checked here, so nothing below has to.
 */
public record FarmPlan(Farm farm, Plan plan) {
  public FarmPlan {
    Check.present("farm", farm);
    Check.present("plan", plan);
    Set<String> fields = ids("field.id", farm.fields(), Field::id);
    Set<String> groups = ids("group.id", farm.groups(), AnimalGroup::id);
    Set<String> lots = ids("lot.id", allLots(farm, plan), Lot::id);
    for (AnimalGroup group : farm.groups()) {
      group.changes().stream()
          .filter(c -> c.toGroupId() != null)
          .forEach(c -> known("headChange.toGroupId", groups, c.toGroupId()));
      Heads.check(group, farm.groups());
    }
    ids("step.id", plan.steps(), FeedStep::id);
    ids("closing.id", plan.closings(), Closing::id);
    ids("cut.id", plan.cuts(), HayCut::id);
    ids("purchase.id", plan.purchases(), Purchase::id);
    ids("sowing.id", plan.sowings(), Sowing::id);
    ids("dressing.id", plan.dressings(), Dressing::id);
    ids("irrigation.id", plan.irrigations(), Irrigation::id);
    ids("scenario.id", plan.scenarios(), Scenario::id);
    ids("pass.id", plan.passes(), LightPass::id);
    Set<String> own = ids("ownForage.id", farm.forages(), OwnForage::id);
    farm.fields().forEach(f -> knownForage(own, "stand.forageId", f.stand().forageId()));
    plan.sowings().forEach(s -> knownForage(own, "sowing.forageId", s.forageId()));
    farm.fields()
        .forEach(f -> f.lie().onlyGroups().forEach(g -> known("lie.onlyGroups", groups, g)));
    plan.passes().forEach(p -> known("pass.fieldId", fields, p.fieldId()));
    plan.passes().forEach(p -> known("pass.groupId", groups, p.groupId()));
    plan.sowings().forEach(s -> known("sowing.fieldId", fields, s.fieldId()));
    plan.dressings().forEach(d -> known("dressing.fieldId", fields, d.fieldId()));
    plan.irrigations().forEach(i -> known("irrigation.fieldId", fields, i.fieldId()));
    plan.sowings().forEach(sowing -> refuseShutAndSown(farm, plan, sowing));
    for (FeedStep step : plan.steps()) {
      known("step.groupId", groups, step.groupId());
      Set<String> sources = step.kind() == FeedStep.Kind.GRAZE ? fields : lots;
      step.sourceIds().forEach(id -> known("step.sourceIds", sources, id));
    }
    for (Closing closing : plan.closings()) {
      known("closing.fieldId", fields, closing.fieldId());
      closing.grazedBy().forEach(id -> known("closing.grazedBy", groups, id));
    }
    plan.purchases().forEach(p -> p.forGroups().forEach(id -> known("purchase", groups, id)));
    plan.cuts().forEach(c -> known("cut.fieldId", fields, c.fieldId()));
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
            "shut_and_sown",
            "sowing.sowOn",
            sowing.sowOn(),
            "%s: shut from %s to %s and to be sown on %s (prepared from %s); choose another date or field"
                .formatted(
                    name,
                    c.fromInclusive(),
                    c.toExclusive().minusDays(1),
                    sowing.sowOn(),
                    sowing.preparedFrom()));
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
        "shut_and_grazed",
        "step.dates",
        step.fromInclusive() + "/" + step.toExclusive(),
        "%s: shut and to be grazed from %s to %s; take the step out of the order of feeds, or shut at another time"
            .formatted(names, step.fromInclusive(), step.toExclusive().minusDays(1)));
  }

  /** Every lot that is there or comes in: the store's, then what is cut, then what is bought. */
  public List<Lot> allLots() {
    return allLots(farm, plan);
  }

  public Field field(String id) {
    return farm.fields().stream()
        .filter(f -> f.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refused("unknown_id", "field.id", id, "there is no field " + id));
  }

  private static List<Lot> allLots(Farm farm, Plan plan) {
    List<Lot> lots = new ArrayList<>(farm.lots());
    plan.cuts().forEach(c -> lots.add(c.lot()));
    plan.purchases().forEach(p -> lots.add(p.lot()));
    return lots;
  }

  private static <T> Set<String> ids(String field, List<T> items, Function<T, String> id) {
    Set<String> seen = new HashSet<>();
    for (T item : items) {
      if (!seen.add(id.apply(item))) {
        throw new Refused("duplicate_id", field, id.apply(item), field + " is there twice");
      }
    }
    return seen;
  }

  /** A forage of the keeper's own must be there; those of the product the catalogue knows. */
  private static void knownForage(Set<String> own, String field, String id) {
    if (OwnForage.isOwn(id) && !own.contains(id)) {
      throw new Refused(
          "own_forage_used",
          field,
          id,
          "%s is grown here and is not among your own forages; take it off the fields and sowings first"
              .formatted(id));
    }
  }

  private static void known(String field, Set<String> ids, String id) {
    if (!ids.contains(id)) {
      throw new Refused("unknown_id", field, id, field + ": there is no " + id);
    }
  }
}
