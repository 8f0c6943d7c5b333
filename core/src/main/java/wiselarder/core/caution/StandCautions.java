package wiselarder.core.caution;

import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Sowing;

/** Hazards of what stands on a field and of the way it is grazed, in any weather. */
final class StandCautions {
  private static final String BIRTHS = "hz_birthing_on_crop";
  private static final int FOALING_RISK_DAYS = 90;

  private final FarmPlan stated;
  private final PlanYear year;
  private final Found found;

  StandCautions(FarmPlan stated, Found found) {
    this.stated = stated;
    this.year = stated.plan().year();
    this.found = found;
  }

  void add(Standing s) {
    told("hz_young_sorghum", s);
    told("hz_young_johnsongrass", s);
    told("hz_brassica_intro", s);
    told("hz_hungry_turnout", s);
    told("hz_sudden_diet_change", s);
    told("hz_grain_overload", s);
    told("hz_downed_ears", s);
    closed("hz_not_for_horses", s);
    closed("hz_switchgrass_small_stock", s);
    mares(s);
    births(s);
    brassicaAlone(s);
    sown(s);
    ground(s);
  }

  private void told(String hazardId, Standing s) {
    if (s.is(found.hazard(hazardId)) && !s.harmed(found.hazard(hazardId)).isEmpty()) {
      found.on(hazardId, s, s.from(), s.to(), false);
    }
  }

  /** Closed to a kind of animal at every stage of growth. */
  private void closed(String hazardId, Standing s) {
    Hazard hazard = found.hazard(hazardId);
    if (s.is(hazard)) {
      for (AnimalGroup g : s.harmed(hazard)) {
        found.within(hazard, s.field().id(), g.id(), s.from(), year.days(), true);
      }
    }
  }

  /** Mares stay off infected fescue before they foal; always where nobody said when they do. */
  private void mares(Standing s) {
    Hazard hazard = found.hazard("hz_endophyte_mares");
    for (AnimalGroup g : s.grazers()) {
      if (!s.is(hazard) || !g.kind().equals("horse/mare")) {
        continue;
      }
      if (g.birthStart() == null) {
        found.within(hazard, s.field().id(), g.id(), s.from(), year.days(), true);
        continue;
      }
      for (int first : year.occurrences(g.birthStart(), 1)) {
        int on = first + g.birthSpreadDays();
        int off = Math.max(s.from(), first - FOALING_RISK_DAYS);
        found.within(hazard, s.field().id(), g.id(), off, Math.min(on, year.days()), true);
      }
    }
  }

  /**
   * Nobody should give birth on a risky crop: a group comes off before the first birth expected, as
   * many days as the hazard says, and stays off until the last.
   */
  private void births(Standing s) {
    Hazard hazard = found.hazard(BIRTHS);
    if (!s.is(hazard)) {
      return;
    }
    for (AnimalGroup group : s.harmed(hazard)) {
      if (group.birthStart() == null) {
        continue;
      }
      for (int first : year.occurrences(group.birthStart(), 1)) {
        int off = Math.max(s.from(), first - hazard.holdDays());
        int on = Math.min(year.days(), first + group.birthSpreadDays());
        if (on > off) {
          found.within(hazard, s.field().id(), group.id(), off, on, false);
        }
      }
    }
  }

  /** Brassica wants fibre beside it: a group that has nothing else is told. */
  private void brassicaAlone(Standing s) {
    Hazard hazard = found.hazard("hz_brassica_share");
    for (AnimalGroup g : s.harmed(hazard)) {
      boolean beside =
          stated.plan().steps().stream()
              .filter(step -> step.groupId().equals(g.id()))
              .anyMatch(step -> feedsBeside(step, s.field()));
      if (s.is(hazard) && !beside) {
        found.within(hazard, s.field().id(), g.id(), s.from(), s.to(), false);
      }
    }
  }

  private boolean feedsBeside(FeedStep step, Field field) {
    if (step.kind() == FeedStep.Kind.STORE) {
      return !stated.allLots().isEmpty();
    }
    return step.sourceIds().isEmpty()
        ? stated.farm().fields().size() > 1
        : step.sourceIds().stream().anyMatch(id -> !id.equals(field.id()));
  }

  private void sown(Standing s) {
    if (s.sowing() == null) {
      return;
    }
    String field = s.field().id();
    found.within(found.hazard("hz_treated_seed"), field, null, s.from(), s.to(), false);
    found.within(found.hazard("hz_new_stand"), field, null, s.from(), s.to(), false);
    Sowing.Preparation way = s.sowing().preparation();
    if (way == Sowing.Preparation.BURN_DOWN || way == Sowing.Preparation.SPRAYED_OUT) {
      int sprayed = Math.max(0, year.day(s.sowing().preparedFrom()));
      found.within(found.hazard("hz_pesticide_interval"), field, null, sprayed, s.to(), false);
    }
  }

  /** What hangs on the ground and the fence rather than on the stand. */
  private void ground(Standing s) {
    Field f = s.field();
    boolean wet = f.soil() != null && !f.soil().drainsFreely();
    boolean risky = s.kinds().contains("brassica") || s.kinds().contains("corn_residue");
    if (wet && risky) {
      found.within(found.hazard("hz_mud_lying"), f.id(), null, s.from(), s.to(), false);
    }
    if (f.grazing() == Field.Grazing.STRIP) {
      found.within(found.hazard("hz_electric_fence"), f.id(), null, s.from(), s.to(), false);
    }
    boolean stream = f.lie().water() == Lie.Water.POND_OR_STREAM;
    if (stream && fedOnGround()) {
      found.within(found.hazard("hz_waterway"), f.id(), null, 0, year.days(), false);
    }
  }

  private boolean fedOnGround() {
    return stated.allLots().stream()
        .anyMatch(
            l ->
                l.feedingMethodId().startsWith("f_bale_graze")
                    || l.feedingMethodId().startsWith("f_unrolled")
                    || l.feedingMethodId().equals("f_ground_free"));
  }
}
