package wiselarder.core.caution;

import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.store.Lot;

/** Hazards of the work itself: making, stacking and feeding what is put by. */
final class WorkCautions {
  private static final int AFTERMATH_FROM_DAYS = 14;
  private static final int AFTERMATH_TO_DAYS = 60;

  /** From this weight a unit is moved by machine, kg as fed. */
  private static final double BY_MACHINE_KG = 150;

  private final FarmPlan stated;
  private final PlanYear year;
  private final Found found;

  WorkCautions(FarmPlan stated, Found found) {
    this.stated = stated;
    this.year = stated.plan().year();
    this.found = found;
  }

  void add(List<Standing> all) {
    for (HayCut cut : stated.plan().cuts()) {
      made(cut);
      all.stream()
          .filter(s -> s.field().id().equals(cut.fieldId()) && s.sowing() == null)
          .forEach(s -> aftermath(cut, s));
    }
    for (Lot lot : stated.allLots()) {
      String id = lot.id();
      boolean open = lot.storageMethodId().endsWith("_ground");
      if (open || lot.storageMethodId().equals("s_damp_month")) {
        found.note("hz_mouldy_feed", null, null, id, false);
      }
      if (lot.kgPerUnitAsFed() >= BY_MACHINE_KG && !stated.farm().groups().isEmpty()) {
        found.note("hz_moving_bales", null, null, id, false);
      }
    }
  }

  private void made(HayCut cut) {
    int on = year.day(cut.date());
    boolean silage = cut.harvestMethodId().startsWith("h_silage");
    boolean wrapped = cut.harvestMethodId().equals("h_haylage");
    String hazard = silage ? "hz_silo_gas" : "hz_hay_fire";
    if (!wrapped && on >= 0 && on < year.days()) {
      int to = on + found.hazard(hazard).holdDays() + 1;
      found.within(found.hazard(hazard), cut.fieldId(), null, on, to, false);
    }
  }

  /** Cattle brought from bare or dry pasture onto the lush growth after a cut. */
  private void aftermath(HayCut cut, Standing s) {
    int on = year.day(cut.date());
    if (s.is(found.hazard("hz_fog_fever")) && on >= 0) {
      found.on("hz_fog_fever", s, on + AFTERMATH_FROM_DAYS, on + AFTERMATH_TO_DAYS, false);
    }
  }
}
