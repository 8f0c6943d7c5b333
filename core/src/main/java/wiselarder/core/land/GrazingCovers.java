package wiselarder.core.land;

import wiselarder.core.forage.Forage;
import wiselarder.core.forage.HeightTable;

/**
 * The covers by which a field is grazed, kg DM/ha: a stated cover, else the mass at a stated
 * height, else the forage's own.
 *
 * @param leave at which stock leave
 * @param leaveInWinter at which they leave once growth has stopped
 * @param enter at which they may come in for the first time of a growing season
 * @param again at which they may come back within the season
 * @param opening on the stand's first day
 */
public record GrazingCovers(
    double leave, double leaveInWinter, double enter, double again, double opening) {

  /** Without a statement stock come in a third of the way from leaving to entry mass. */
  private static final double ENTER_FROM = 1 / 3.0;

  public static GrazingCovers of(Field field, Forage forage, HeightTable table) {
    Heights by = field.heights() == null ? Heights.none() : field.heights();
    double leave = leave(field, forage, table, by);
    double enter = enter(field, forage, table, by.enterCm(), leave);
    double again = by.againCm() == null ? enter : enter(field, forage, table, by.againCm(), leave);
    return new GrazingCovers(
        leave,
        leaveInWinter(field, forage, table, by, leave),
        enter,
        again,
        opening(field, forage, leave));
  }

  private static double leave(Field field, Forage forage, HeightTable table, Heights by) {
    if (field.residualKgPerHa() != null) {
      return field.residualKgPerHa();
    }
    return by.leaveCm() == null || !forage.grows()
        ? forage.minResidualKgPerHa()
        : table.growingKgPerHa(forage, by.leaveCm());
  }

  private static double leaveInWinter(
      Field field, Forage forage, HeightTable table, Heights by, double leave) {
    if (field.residualKgPerHa() != null) {
      return leave;
    }
    if (by.winterCm() != null && forage.grows()) {
      return table.wintersKgPerHa(forage, by.winterCm());
    }
    return Double.isNaN(forage.winterLeaveHeightCm())
        ? leave
        : Math.max(leave, forage.massAtHeightKgPerHa(forage.winterLeaveHeightCm()));
  }

  /** For a forage that can hold prussic acid never below the safe height, whatever was stated. */
  private static double enter(
      Field field, Forage forage, HeightTable table, Double heightCm, double leave) {
    if (!forage.grows()) {
      return field.turnInKgPerHa() != null ? field.turnInKgPerHa() : leave;
    }
    double stated =
        heightCm == null
            ? leave + Math.max(0, forage.entryMassKgPerHa() - leave) * ENTER_FROM
            : table.growingKgPerHa(forage, heightCm);
    double enter = field.turnInKgPerHa() != null ? field.turnInKgPerHa() : stated;
    return forage.prussicAcid()
        ? Math.max(enter, forage.massAtHeightKgPerHa(forage.prussicMinHeightCm()))
        : enter;
  }

  /** What stands on the first day when none was stated: half way from leaving to entry mass. */
  private static double opening(Field field, Forage forage, double leave) {
    if (field.stand().openingCoverKgPerHa() != null) {
      return field.stand().openingCoverKgPerHa();
    }
    if (forage.fallow()) {
      return 0;
    }
    return forage.cropResidue()
        ? 2 * forage.minResidualKgPerHa()
        : (leave + Math.max(leave, forage.entryMassKgPerHa())) / 2;
  }
}
