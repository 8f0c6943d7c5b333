package wiselarder.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import wiselarder.core.forage.Forage;
import wiselarder.core.land.Field;
import wiselarder.core.land.GrazingCovers;

/** What a plan's policies come to: fields left higher, given in other pieces, or rested. */
public final class Policies {
  private static final double HALF = 0.5;
  private static final double TWO_THIRDS = 2 / 3.0;

  /** Natives fill their roots in the last month before frost. Practice. */
  private static final int REST_DAYS = 30;

  private final FarmPlan stated;
  private final Catalogue tables;
  private final Set<Policy.Side> sides;

  private Policies(FarmPlan stated, Catalogue tables) {
    this.stated = stated;
    this.tables = tables.on(stated.farm());
    this.sides = sides(stated);
  }

  /** The sides that a plan takes. */
  public static Set<Policy.Side> sides(FarmPlan stated) {
    return stated.plan().policies().stream().map(Policy::side).collect(Collectors.toSet());
  }

  /**
   * A plan as its policies have it done; the same plan where they say nothing of it.
   *
   * @param dry whether the season is a dry one
   */
  public static FarmPlan applied(FarmPlan stated, Catalogue tables, boolean dry) {
    return stated.plan().policies().isEmpty() ? stated : new Policies(stated, tables).applied(dry);
  }

  private FarmPlan applied(boolean dry) {
    FarmPlan plan = leftOut(dry);
    List<Field> fields = stated.farm().fields().stream().map(this::grazed).toList();
    if (!fields.equals(stated.farm().fields())) {
      plan = new FarmPlan(stated.farm().withFields(fields), plan.plan());
    }
    if (sides.contains(Policy.Side.REST_BEFORE_FROST)) {
      List<Closing> closings = new ArrayList<>(stated.plan().closings());
      stated.farm().fields().forEach(f -> closings.addAll(rests(f)));
      plan = new FarmPlan(plan.farm(), plan.plan().withClosings(closings));
    }
    return plan;
  }

  /** Without nitrogen, or what would be drilled into dry sod. */
  private FarmPlan leftOut(boolean dry) {
    Plan plan = stated.plan();
    if (sides.contains(Policy.Side.LEGUMES) && !plan.dressings().isEmpty()) {
      plan = plan.withDressings(List.of());
    }
    if (dry && sides.contains(Policy.Side.SKIP_DRY_YEARS)) {
      plan =
          plan.withSowings(
              plan.sowings().stream()
                  .filter(s -> s.preparation() != Sowing.Preparation.GRAZE_DOWN)
                  .toList());
    }
    return plan.equals(stated.plan()) ? stated : new FarmPlan(stated.farm(), plan);
  }

  private Field grazed(Field field) {
    Field.Grazing grazing = field.grazing();
    if (sides.contains(Policy.Side.SHORT_BREAKS) && grazing == Field.Grazing.ROTATIONAL) {
      grazing = Field.Grazing.STRIP;
    } else if (sides.contains(Policy.Side.LONG_BREAKS) && grazing == Field.Grazing.STRIP) {
      grazing = Field.Grazing.ROTATIONAL;
    }
    Double leave = leave(field);
    return grazing == field.grazing() && leave == null ? field : field.managed(grazing, leave);
  }

  /** Null where the field's own residual holds: it is never lowered. */
  private Double leave(Field field) {
    Forage forage = tables.forage(field.stand().forageId());
    boolean half = sides.contains(Policy.Side.TAKE_HALF);
    if ((!half && !sides.contains(Policy.Side.TOP_THIRD)) || !forage.grows()) {
      return null;
    }
    double entry = Math.max(enter(field, forage), forage.entryMassKgPerHa());
    double leave = entry * (half ? HALF : TWO_THIRDS);
    return leave > GrazingCovers.of(field, forage, tables.heights()).leave() ? leave : null;
  }

  private double enter(Field field, Forage forage) {
    return GrazingCovers.of(field, forage, tables.heights()).enter();
  }

  /** A month's rest up to the usual first frost of each year, where the plan has none then. */
  private List<Closing> rests(Field field) {
    if (!isNative(tables.forage(field.stand().forageId()))) {
      return List.of();
    }
    List<Closing> rests = new ArrayList<>();
    for (LocalDate frost : new Marks(stated, tables).of(Anchor.Mark.FIRST_FROST_50, null)) {
      LocalDate from = frost.minusDays(REST_DAYS);
      boolean shut =
          stated.plan().closings().stream()
              .anyMatch(
                  c ->
                      c.fieldId().equals(field.id())
                          && c.fromInclusive().isBefore(frost)
                          && from.isBefore(c.toExclusive()));
      boolean sown =
          stated.plan().sowings().stream()
              .anyMatch(
                  s ->
                      s.fieldId().equals(field.id())
                          && !s.sowOn().isBefore(from)
                          && s.preparedFrom().isBefore(frost));
      boolean inPlan =
          from.isBefore(stated.plan().year().endExclusive())
              && frost.isAfter(stated.plan().year().start());
      if (!shut && !sown && inPlan) {
        rests.add(
            new Closing(
                "rest-" + field.id() + "-" + frost, field.id(), from, frost, List.of(), null));
      }
    }
    return rests;
  }

  private static boolean isNative(Forage forage) {
    return forage.group().equals("native_warm_grass") || forage.id().startsWith("native_warm");
  }
}
