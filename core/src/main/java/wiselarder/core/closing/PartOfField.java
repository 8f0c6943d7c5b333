package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Sowing;

/**
 * The same way on a part of its field, behind a wire: as little of it as still brings nearly all.
 * What is shut, sown or cut is gone from the round meanwhile, and the whole is often more than the
 * gap asks for.
 */
final class PartOfField {
  /** A wire parts a field into quarters or halves; nobody measures closer. */
  private static final List<Double> SHARES = List.of(0.25, 0.5, 0.75);

  /** So much of what the best share brings will do. */
  private static final double STILL = 0.9;

  /** A part of less is not worth the wire, ha. Assumption. */
  private static final double LEAST_HA = 0.4;

  /** So many fields of one lever are parted, those that bring most. */
  static final int TRIED_FIELDS = 2;

  private static final Set<LeverOption.Kind> OF_GROUND =
      EnumSet.of(
          LeverOption.Kind.STOCKPILE,
          LeverOption.Kind.SOW,
          LeverOption.Kind.CUT_SURPLUS,
          LeverOption.Kind.CUT_WRAPPED);

  private PartOfField() {}

  /** Whether a kind of way takes ground, so that less of it may do. */
  static boolean takesGround(LeverOption.Kind kind) {
    return OF_GROUND.contains(kind);
  }

  /** Where less than all of the ground does: that way, on the least of it that does. */
  static Optional<Lever.Candidate> of(Trial trial, Lever.Candidate whole) {
    Optional<Field> field =
        whole.edits().stream()
            .flatMap(e -> ground(e).stream())
            .findFirst()
            .map(trial.stated()::field);
    if (field.isEmpty() || isWorked(trial.stated(), field.get().id())) {
      return Optional.empty();
    }
    double most = trial.bringsKg(whole.edits());
    double[] brings = new double[SHARES.size()];
    for (int i = 0; i < brings.length; i++) {
      brings[i] = brings(trial, whole, field.get(), i);
      most = Math.max(most, brings[i]);
    }
    for (int i = 0; i < brings.length; i++) {
      if (trial.worthIt(brings[i]) && brings[i] >= STILL * most) {
        return Optional.of(new Lever.Candidate(on(trial, whole, field.get(), i), whole.decideBy()));
      }
    }
    return Optional.empty();
  }

  /** Where something is planned already, a wire would part that too. */
  private static boolean isWorked(FarmPlan stated, String field) {
    return stated.plan().sowings().stream().anyMatch(s -> s.fieldId().equals(field))
        || stated.plan().cuts().stream().anyMatch(c -> c.fieldId().equals(field))
        || stated.plan().dressings().stream().anyMatch(d -> d.fieldId().equals(field))
        || stated.plan().irrigations().stream().anyMatch(i -> i.fieldId().equals(field));
  }

  /** What a way on a share of its field brings; nothing where it is the wire alone that does. */
  private static double brings(Trial trial, Lever.Candidate whole, Field field, int share) {
    if (SHARES.get(share) * field.netAreaHa() < LEAST_HA) {
      return 0;
    }
    List<PlanEdit> edits = on(trial, whole, field, share);
    double kg = trial.bringsIfAllowed(edits);
    boolean bringsAny = trial.worthIt(kg);
    return bringsAny && trial.bringsKg(edits.subList(0, 1)) <= BY_WIRE_ALONE * kg ? kg : 0;
  }

  /** A field in two is grazed otherwise: no more than this share may come of that. */
  private static final double BY_WIRE_ALONE = 0.2;

  /** The field that an edit shuts, sows or cuts. */
  private static Optional<String> ground(PlanEdit edit) {
    if (!(edit instanceof PlanEdit.Put<?> put)) {
      return Optional.empty();
    }
    if (put.item() instanceof Closing c) {
      return Optional.of(c.fieldId());
    }
    if (put.item() instanceof Sowing s) {
      return Optional.of(s.fieldId());
    }
    return put.item() instanceof HayCut c ? Optional.of(c.fieldId()) : Optional.empty();
  }

  private static List<PlanEdit> on(Trial trial, Lever.Candidate whole, Field field, int share) {
    List<String> taken = trial.stated().farm().fields().stream().map(Field::id).toList();
    String id = Trial.freeId(shortened(field.id(), 36) + "-p", taken);
    PlanEdit parted =
        new PlanEdit.PartField(
            field.id(), SHARES.get(share), id, shortened(field.name(), 45) + NAMES.get(share));
    FarmPlan after = parted.apply(trial.stated());
    List<PlanEdit> edits = new ArrayList<>();
    edits.add(parted);
    for (PlanEdit edit : whole.edits()) {
      edits.add(moved(edit, trial.stated(), after, field.id(), id));
    }
    return edits;
  }

  private static final List<String> NAMES = List.of(" (a quarter)", " (half)", " (three quarters)");

  private static String shortened(String text, int most) {
    return text.length() <= most ? text : text.substring(0, most);
  }

  /** What is done to a field, done to the part of it. */
  private static PlanEdit moved(
      PlanEdit edit, FarmPlan before, FarmPlan after, String field, String part) {
    if (edit instanceof PlanEdit.SetFeeding feeding) {
      List<FeedStep> known = before.plan().steps();
      return new PlanEdit.SetFeeding(
          feeding.groupId(),
          feeding.steps().stream()
              .map(s -> known.contains(s) ? same(s, after) : s.from(on(s, field, part)))
              .toList());
    }
    if (!(edit instanceof PlanEdit.Put<?> put)) {
      return edit;
    }
    if (put.item() instanceof Closing c) {
      return new PlanEdit.Put<>(
          Items.CLOSINGS,
          new Closing(
              c.id(),
              part,
              c.fromInclusive(),
              c.toExclusive(),
              c.grazedBy(),
              c.grazeUntilExclusive()));
    }
    if (put.item() instanceof Sowing s) {
      return new PlanEdit.Put<>(Items.SOWINGS, s.on(s.id(), part));
    }
    if (put.item() instanceof HayCut c) {
      return new PlanEdit.Put<>(
          Items.CUTS, new HayCut(c.id(), part, c.date(), c.harvestMethodId(), c.lot()));
    }
    return edit;
  }

  private static FeedStep same(FeedStep step, FarmPlan after) {
    return Stream.of(step)
        .flatMap(s -> after.plan().steps().stream().filter(a -> a.id().equals(s.id())))
        .findFirst()
        .orElse(step);
  }

  private static List<String> on(FeedStep step, String field, String part) {
    return step.sourceIds().stream().map(s -> s.equals(field) ? part : s).toList();
  }
}
