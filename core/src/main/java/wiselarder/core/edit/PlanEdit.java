package wiselarder.core.edit;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.land.Grid;
import wiselarder.core.land.Outline;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * One edit of a farm and its plan. Applying it gives a new, checked value or refuses; nothing else
 * changes a plan. What is said of it follows from the {@link Difference} that it makes.
 */
public sealed interface PlanEdit {

  FarmPlan apply(FarmPlan before);

  /** Applies edits one after the other. */
  static FarmPlan all(FarmPlan before, List<PlanEdit> edits) {
    FarmPlan after = before;
    for (PlanEdit edit : edits) {
      after = edit.apply(after);
    }
    return after;
  }

  /** Adds a thing to one of the lists, or replaces the one with its id. */
  record Put<T extends Record>(Items<T> items, T item) implements PlanEdit {
    public Put {
      Check.present(items.word(), item);
    }

    @Override
    public FarmPlan apply(FarmPlan before) {
      if (item instanceof Closing closing) {
        refuseTwiceShut(before, closing);
      }
      return items.put(before, item);
    }

    /** A field is shut once at a time. */
    private static void refuseTwiceShut(FarmPlan before, Closing closing) {
      for (Closing c : before.plan().closings()) {
        boolean twice =
            c.fieldId().equals(closing.fieldId())
                && !c.id().equals(closing.id())
                && c.fromInclusive().isBefore(closing.toExclusive())
                && closing.fromInclusive().isBefore(c.toExclusive());
        if (twice) {
          throw new Refused(
              CoreReason.ALREADY_SHUT,
              "closing.dates",
              before.field(c.fieldId()).name(),
              c.fromInclusive(),
              c.toExclusive().minusDays(1));
        }
      }
    }
  }

  /** Removes a thing from one of the lists, with all that names it. */
  record Remove<T extends Record>(Items<T> items, String id) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan before) {
      return items.remove(before, id);
    }
  }

  /** Replaces a group's whole order of feeds. */
  record SetFeeding(String groupId, List<FeedStep> steps) implements PlanEdit {
    public SetFeeding {
      steps = List.copyOf(Check.present("steps", steps));
      for (FeedStep step : steps) {
        if (!step.groupId().equals(groupId)) {
          throw new Refused(CoreReason.STEP_OF_ANOTHER_GROUP, "step.groupId", step.groupId());
        }
      }
    }

    @Override
    public FarmPlan apply(FarmPlan before) {
      List<FeedStep> all = new ArrayList<>();
      before.plan().steps().stream().filter(s -> !s.groupId().equals(groupId)).forEach(all::add);
      all.addAll(steps);
      return Items.STEPS.with(Items.STEPS.undated(before, all), all);
    }
  }

  /** Parts a field along a line; the smaller piece becomes a field of its own. */
  record SplitField(String id, List<Outline.Point> line, String newId, String newName)
      implements PlanEdit {
    public static final Stated.Text NEW_NAME = Stated.text("split.newName", 60);

    public SplitField {
      line = List.copyOf(Check.present("split.line", line));
      Check.range("split.line", line.size(), 2, 100);
      Check.text("split.newId", newId, 40);
      NEW_NAME.check(newName);
    }

    @Override
    public FarmPlan apply(FarmPlan before) {
      return Split.of(before, this);
    }
  }

  /**
   * Parts a field by share, drawn or not; where it is drawn, straight across its length.
   *
   * @param share of its ground that becomes a field of its own
   */
  record PartField(String id, double share, String newId, String newName) implements PlanEdit {
    public static final Stated.Figure SHARE = Stated.number("split.share", 0.05, 0.95);

    public PartField {
      SHARE.check(share);
      Check.text("split.newId", newId, 40);
      SplitField.NEW_NAME.check(newName);
    }

    @Override
    public FarmPlan apply(FarmPlan before) {
      return Split.of(before, this);
    }
  }

  /** Changes the plan's first day and length. */
  record SetYear(PlanYear year) implements PlanEdit {
    public SetYear {
      Check.present("year", year);
    }

    @Override
    public FarmPlan apply(FarmPlan before) {
      return new FarmPlan(before.farm(), before.plan().withYear(year));
    }
  }

  /** Gives the plan another name. */
  record NamePlan(String name) implements PlanEdit {
    @Override
    public FarmPlan apply(FarmPlan before) {
      return new FarmPlan(before.farm(), before.plan().named(name));
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
    public FarmPlan apply(FarmPlan before) {
      Farm f = before.farm();
      Farm changed =
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
              grid,
              f.prices(),
              f.seeds());
      return new FarmPlan(changed, before.plan());
    }
  }

  /** Puts another farm and plan in place of this one, as a file holds it. */
  record Replace(FarmPlan with) implements PlanEdit {
    public Replace {
      Check.present("replace", with);
    }

    @Override
    public FarmPlan apply(FarmPlan before) {
      return with;
    }
  }
}
