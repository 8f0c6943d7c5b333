package wiselarder.core.land;

import wiselarder.core.forage.Forage;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A field as stated.
 *
 * @param residualKgPerHa cover at which stock leave, or null for the forage's own. Set lower, more
 *     is offered and regrowth pays for it
 * @param turnInKgPerHa cover at which stock may come in, or null for a third of the way from
 *     residual to entry mass
 * @param grazing how it is grazed, which sets utilization
 * @param deductedHa part of the area that feeds nobody: water, buffers beside it, wet hollows, old
 *     bale pads; null for none
 * @param soil what the field stands on, or null for the climate's usual soil
 * @param utilization share of what stock take down that is eaten, or null for the forage's own
 * @param lie slope, water, access and the like; never null
 * @param outline shape on the farm's map, or null where none is drawn
 * @param paddocks how many pieces fences divide it into, or null for as many as the days of stay
 *     ask for
 * @param heights heights by which it is grazed, or null for the forage's own; the covers above win
 *     over them
 * @param block what the keeper calls the fields it is managed with ("home", a rotation); empty for
 *     none
 */
public record Field(
    String id,
    String name,
    double areaHa,
    Stand stand,
    Grazing grazing,
    Double utilization,
    Double residualKgPerHa,
    Double turnInKgPerHa,
    boolean hayable,
    String note,
    Soil soil,
    Double deductedHa,
    Lie lie,
    Outline outline,
    Integer paddocks,
    Heights heights,
    String block) {
  public static final Stated.Figure UTILIZATION =
      Stated.number("field.utilization", 0.05, 0.95).orNone();
  public static final Stated.Figure RESIDUAL_KG_PER_HA =
      Stated.number("field.residualKgPerHa", 0, 8000).orNone();
  public static final Stated.Figure TURN_IN_KG_PER_HA =
      Stated.number("field.turnInKgPerHa", 0, 20000).orNone();
  public static final Stated.Figure AREA_HA = Stated.number("field.areaHa", 0.01, 5000);
  public static final Stated.Figure DEDUCTED_HA =
      Stated.number("field.deductedHa", 0, 5000).orNone();
  public static final Stated.Figure PADDOCKS = Stated.whole("field.paddocks", 1, 200).orNone();
  public static final Stated.Text NAME = Stated.text("field.name", 60);
  public static final Stated.Text BLOCK = Stated.note("field.block", 40);
  public static final Stated.Text NOTE = Stated.note("field.note", 4000);

  /** How stock are kept on a field. */
  public enum Grazing {
    SET_STOCKED,
    ROTATIONAL,
    STRIP
  }

  public Field {
    id = Check.text("field.id", id, 40);
    name = NAME.check(name);
    AREA_HA.check(areaHa);
    Check.present("field.stand", stand);
    Check.present("field.grazing", grazing);
    UTILIZATION.check(utilization);
    RESIDUAL_KG_PER_HA.check(residualKgPerHa);
    TURN_IN_KG_PER_HA.check(turnInKgPerHa);
    note = NOTE.check(note);
    DEDUCTED_HA.check(deductedHa, 0, areaHa * MOST_DEDUCTED);
    lie = lie == null ? Lie.unsaid() : lie;
    PADDOCKS.check(paddocks);
    block = BLOCK.check(block);
  }

  /** A field of no block. */
  public Field(
      String id,
      String name,
      double areaHa,
      Stand stand,
      Grazing grazing,
      Double utilization,
      Double residualKgPerHa,
      Double turnInKgPerHa,
      boolean hayable,
      String note,
      Soil soil,
      Double deductedHa,
      Lie lie,
      Outline outline,
      Integer paddocks,
      Heights heights) {
    this(
        id,
        name,
        areaHa,
        stand,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        deductedHa,
        lie,
        outline,
        paddocks,
        heights,
        "");
  }

  /** A field with nothing taken off its area, of which nothing else is said. */
  public Field(
      String id,
      String name,
      double areaHa,
      Stand stand,
      Grazing grazing,
      Double utilization,
      Double residualKgPerHa,
      Double turnInKgPerHa,
      boolean hayable,
      String note,
      Soil soil) {
    this(
        id,
        name,
        areaHa,
        stand,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        null,
        null,
        null);
  }

  /** A field of which neither paddocks nor heights are said. */
  public Field(
      String id,
      String name,
      double areaHa,
      Stand stand,
      Grazing grazing,
      Double utilization,
      Double residualKgPerHa,
      Double turnInKgPerHa,
      boolean hayable,
      String note,
      Soil soil,
      Double deductedHa,
      Lie lie,
      Outline outline) {
    this(
        id,
        name,
        areaHa,
        stand,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        deductedHa,
        lie,
        outline,
        null,
        null);
  }

  /** The same field, divided and grazed by heights as said. */
  public Field grazedBy(Integer pieces, Heights by) {
    return new Field(
        id,
        name,
        areaHa,
        stand,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        deductedHa,
        lie,
        outline,
        pieces,
        by,
        block);
  }

  /** The same field given in another way, and left at a cover; null: at what it is left at now. */
  public Field managed(Grazing other, Double leaveKgPerHa) {
    return new Field(
        id,
        name,
        areaHa,
        stand,
        other,
        utilization,
        leaveKgPerHa == null ? residualKgPerHa : leaveKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        deductedHa,
        lie,
        outline,
        paddocks,
        heights,
        block);
  }

  /** The same field, lying as said. */
  public Field lying(Lie other) {
    return new Field(
        id,
        name,
        areaHa,
        stand,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        deductedHa,
        other,
        outline,
        paddocks,
        heights,
        block);
  }

  /** The same field with another shape, measured: its area and what is off follow. */
  public Field shaped(String newId, String newName, Outline shape) {
    Survey.Measured m = Survey.measure(shape);
    double offHa = Math.min(m.areaHa() - m.netHa(), m.areaHa() * MOST_DEDUCTED);
    return new Field(
        newId,
        newName,
        m.areaHa(),
        stand,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        offHa <= 0 ? null : offHa,
        lie,
        shape,
        paddocks,
        heights,
        block);
  }

  /** The same field with another stand, and drawn so. */
  public Field with(Stand other, Outline shape) {
    return new Field(
        id,
        name,
        areaHa,
        other,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        deductedHa,
        lie,
        shape,
        paddocks,
        heights,
        block);
  }

  /** The same field with a stand that was sown: what was stated of the one before is its own. */
  public Field sown(Stand other) {
    return new Field(
        id,
        name,
        areaHa,
        other,
        grazing,
        utilization,
        null,
        null,
        hayable,
        note,
        soil,
        deductedHa,
        lie,
        outline,
        paddocks,
        null,
        block);
  }

  /** A share of the field's ground, undrawn, alike in all else. */
  public Field part(String newId, String newName, double share) {
    return new Field(
        newId,
        newName,
        areaHa * share,
        stand,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        deductedHa == null ? null : deductedHa * share,
        lie,
        null,
        paddocks,
        heights,
        block);
  }

  /** The same field where a group is gone that alone might graze here. */
  public Field withoutGroup(String groupId) {
    if (!lie.onlyGroups().contains(groupId)) {
      return this;
    }
    Lie left =
        new Lie(
            lie.slopeDeg(),
            lie.water(),
            lie.access(),
            lie.exposure(),
            lie.shade(),
            lie.distanceM(),
            lie.onlyGroups().stream().filter(g -> !g.equals(groupId)).toList(),
            lie.formerly(),
            lie.soilTest(),
            lie.waterLPerDay(),
            lie.waterCostPerM3());
    return new Field(
        id,
        name,
        areaHa,
        stand,
        grazing,
        utilization,
        residualKgPerHa,
        turnInKgPerHa,
        hayable,
        note,
        soil,
        deductedHa,
        left,
        outline,
        paddocks,
        heights,
        block);
  }

  /** A field of which more is taken off is no field. */
  private static final double MOST_DEDUCTED = 0.95;

  /** The area that grows feed, ha: everything computed is computed on this. */
  public double netAreaHa() {
    return deductedHa == null ? areaHa : areaHa - deductedHa;
  }

  /**
   * Utilization that holds on this field: the stated one, else the forage's for the way of grazing.
   */
  public double utilizationFor(Forage forage) {
    if (utilization != null) {
      return utilization;
    }
    return switch (grazing) {
      case SET_STOCKED -> forage.utilizationSetStocked();
      case ROTATIONAL -> forage.utilizationRotational();
      case STRIP -> forage.utilizationStrip();
    };
  }
}
