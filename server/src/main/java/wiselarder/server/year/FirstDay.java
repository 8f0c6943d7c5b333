package wiselarder.server.year;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.OpeningGround;
import wiselarder.core.plan.Sowing;
import wiselarder.core.store.Lot;

/**
 * What a plan begins from, where another one is carried over into it; kg DM/ha, shares.
 *
 * @param start its first day
 * @param from name of the other plan
 * @param growing groups of the other that grow all through it: the same animals next year, or a new
 *     year's
 */
record FirstDay(
    LocalDate start,
    String from,
    List<OnField> fields,
    List<InStore> lots,
    List<OfGroup> groups,
    List<Growing> growing) {

  /**
   * On one field.
   *
   * @param forageId null where its stand was ploughed in
   * @param coverKgPerHa of its stand, or null where that comes later
   * @param nitrogenKgPerHa free in the soil or still to come free
   */
  record OnField(
      String name,
      @Schema(nullable = true) String forageId,
      @Schema(nullable = true) Double coverKgPerHa,
      double deadShare,
      @Schema(nullable = true) Double soilWaterShare,
      double nitrogenKgPerHa,
      List<Crop> crops) {}

  /** A crop that stands there, sown in the other plan. */
  record Crop(String forageId, double coverKgPerHa, double deadShare, boolean ready) {}

  /** One lot; {@code made} of what the other plan cut or bought. */
  record InStore(String name, String unitName, int units, boolean made) {}

  /**
   * One group; {@code was} so many as the other plan began.
   *
   * @param later day on which it comes, or null where it is there
   */
  record OfGroup(
      String name,
      @Schema(nullable = true) LocalDate later,
      int head,
      int was,
      double weightKg,
      @Schema(nullable = true) Double conditionScore) {}

  /** One that grows: {@code weightKg} as it begins, {@code laterKg} as it ends. */
  record Growing(String id, String name, int head, double weightKg, double laterKg) {}

  /**
   * @param then the plan as it begins
   */
  static FirstDay of(Engine engine, FarmPlan from, FarmPlan then, List<AnimalGroup> growing) {
    LocalDate start = then.plan().year().start();
    return new FirstDay(
        start,
        from.plan().name(),
        then.farm().fields().stream().map(f -> field(then, f)).toList(),
        lots(from, then),
        groups(from, then),
        growing.stream().map(g -> grown(engine, from, g, start)).toList());
  }

  private static OnField field(FarmPlan then, Field f) {
    OpeningGround ground =
        then.plan().ground().stream()
            .filter(g -> g.fieldId().equals(f.id()))
            .findFirst()
            .orElse(null);
    boolean gone =
        f.stand().toExclusive() != null
            && !f.stand().toExclusive().isAfter(then.plan().year().start());
    boolean later =
        f.stand().fromInclusive() != null
            && f.stand().fromInclusive().isAfter(then.plan().year().start());
    List<Crop> crops = new ArrayList<>();
    for (Sowing s : then.plan().sowings()) {
      if (s.fieldId().equals(f.id()) && s.standsAtStart(then.plan().year())) {
        Sowing.Standing is = s.standing();
        crops.add(new Crop(s.forageId(), is.coverKgPerHa(), is.deadShare(), is.ready()));
      }
    }
    return new OnField(
        f.name(),
        gone ? null : f.stand().forageId(),
        gone || later ? null : f.stand().openingCoverKgPerHa(),
        f.stand().openingDeadShare(),
        ground == null ? null : ground.soilWaterShare(),
        ground == null ? 0 : ground.nitrogenKgPerHa() + ground.nitrogenToComeKgPerHa(),
        crops);
  }

  private static List<InStore> lots(FarmPlan from, FarmPlan then) {
    List<InStore> lots = new ArrayList<>();
    for (Lot lot : then.farm().lots()) {
      boolean made = from.farm().lots().stream().noneMatch(l -> l.id().equals(lot.id()));
      lots.add(new InStore(lot.name(), lot.unitName(), lot.units(), made));
    }
    return lots;
  }

  private static List<OfGroup> groups(FarmPlan from, FarmPlan then) {
    List<OfGroup> groups = new ArrayList<>();
    LocalDate start = then.plan().year().start();
    for (AnimalGroup g : then.farm().groups()) {
      int was =
          from.farm().groups().stream()
              .filter(o -> o.id().equals(g.id()))
              .mapToInt(AnimalGroup::head)
              .findFirst()
              .orElse(0);
      boolean comes = g.fromInclusive() != null && g.fromInclusive().isAfter(start);
      LocalDate later = comes ? g.fromInclusive() : null;
      groups.add(
          new OfGroup(
              g.name(), later, g.head(), was, g.weightKg(), g.keeping().conditionAtStart()));
    }
    return groups;
  }

  private static Growing grown(Engine engine, FarmPlan from, AnimalGroup g, LocalDate start) {
    int last = from.plan().year().day(start) - 1;
    int at = from.farm().groups().indexOf(g);
    double later = engine.simulate(from).resolved().groups[at].year.weightKg(last);
    return new Growing(g.id(), g.name(), g.head(), g.weightKg(), later);
  }
}
