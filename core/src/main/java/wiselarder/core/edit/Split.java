package wiselarder.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Survey;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/**
 * Parts a field in two. Both pieces keep stand, soil and lie; what is planned on the field is
 * planned on both, and who grazes one grazes the other.
 */
final class Split {
  private final FarmPlan before;
  private final String id;
  private final String newId;

  private Split(FarmPlan before, String id, String newId) {
    this.before = before;
    this.id = id;
    this.newId = newId;
  }

  static FarmPlan of(FarmPlan before, PlanEdit.SplitField edit) {
    Field field = before.field(edit.id());
    if (field.outline() == null) {
      throw new Refused(CoreReason.NO_OUTLINE, "field.outline", field.name());
    }
    List<Outline> pieces = Survey.split(field.outline(), edit.line());
    return new Split(before, edit.id(), edit.newId())
        .into(
            field.shaped(field.id(), field.name(), pieces.get(0)),
            field.shaped(edit.newId(), edit.newName(), pieces.get(1)));
  }

  static FarmPlan of(FarmPlan before, PlanEdit.PartField edit) {
    Field field = before.field(edit.id());
    Split split = new Split(before, edit.id(), edit.newId());
    if (field.outline() == null) {
      return split.into(
          fenced(field.part(field.id(), field.name(), 1 - edit.share()), 1 - edit.share()),
          fenced(field.part(edit.newId(), edit.newName(), edit.share()), edit.share()));
    }
    List<Outline> pieces = Survey.part(field.outline(), edit.share());
    return split.into(
        fenced(field.shaped(field.id(), field.name(), pieces.get(0)), 1 - edit.share()),
        fenced(field.shaped(edit.newId(), edit.newName(), pieces.get(1)), edit.share()));
  }

  /** Of the pieces that fences make of a field each part has its share. */
  private static Field fenced(Field part, double share) {
    Integer pieces =
        part.paddocks() == null
            ? null
            : Integer.valueOf((int) Math.max(1, Math.round(part.paddocks() * share)));
    return part.grazedBy(pieces, part.heights());
  }

  private FarmPlan into(Field kept, Field piece) {
    List<Field> fields = new ArrayList<>();
    for (Field f : before.farm().fields()) {
      if (f.id().equals(id)) {
        fields.add(kept);
        fields.add(piece);
      } else {
        fields.add(f);
      }
    }
    return new FarmPlan(before.farm().withFields(fields), plan(before.plan()));
  }

  private Plan plan(Plan p) {
    return p.withSteps(p.steps().stream().map(this::step).toList())
        .withClosings(both(p.closings(), Closing::fieldId, this::closing))
        .withCuts(both(p.cuts(), HayCut::fieldId, this::cut))
        .withSowings(both(p.sowings(), Sowing::fieldId, this::sowing))
        .withDressings(
            both(
                p.dressings(),
                Dressing::fieldId,
                d ->
                    new Dressing(
                        copyId(d.id()), newId, d.date(), d.nitrogenKgPerHa(), d.pricePerKg())))
        .withIrrigations(
            both(
                p.irrigations(),
                Irrigation::fieldId,
                i -> new Irrigation(copyId(i.id()), newId, i.date(), i.waterMm())))
        .withPasses(both(p.passes(), LightPass::fieldId, this::pass));
  }

  private Closing closing(Closing c) {
    return new Closing(
        copyId(c.id()),
        newId,
        c.fromInclusive(),
        c.toExclusive(),
        c.grazedBy(),
        c.grazeUntilExclusive());
  }

  private Sowing sowing(Sowing s) {
    return s.on(copyId(s.id()), newId);
  }

  private LightPass pass(LightPass l) {
    return new LightPass(
        copyId(l.id()),
        newId,
        l.groupId(),
        l.fromInclusive(),
        l.toExclusive(),
        l.whenKgPerHa(),
        l.leaveKgPerHa());
  }

  private <T> List<T> both(List<T> items, Function<T, String> fieldId, Function<T, T> copy) {
    List<T> all = new ArrayList<>();
    for (T item : items) {
      all.add(item);
      if (fieldId.apply(item).equals(id)) {
        all.add(copy.apply(item));
      }
    }
    return all;
  }

  private HayCut cut(HayCut c) {
    Lot l = c.lot();
    Lot lot = l.like(copyId(l.id()), l.name(), l.units());
    return new HayCut(copyId(c.id()), newId, c.date(), c.harvestMethodId(), lot);
  }

  /** A step names the piece beside the field, and the cut lots of both. */
  private FeedStep step(FeedStep s) {
    List<String> sources = new ArrayList<>();
    for (String source : s.sourceIds()) {
      sources.add(source);
      if (s.kind() == FeedStep.Kind.GRAZE && source.equals(id)) {
        sources.add(newId);
      } else if (s.kind() == FeedStep.Kind.STORE && cutHere(source)) {
        sources.add(copyId(source));
      }
    }
    return s.from(sources);
  }

  private boolean cutHere(String lotId) {
    return before.plan().cuts().stream()
        .anyMatch(c -> c.fieldId().equals(id) && c.lot().id().equals(lotId));
  }

  private String copyId(String of) {
    String copy = of + "-" + newId;
    return copy.length() <= 80 ? copy : copy.substring(copy.length() - 80);
  }
}
