package wiselarder.core.day;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import wiselarder.core.day.CellState.StandState;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;

/**
 * What is there on a morning of a simulated plan: what stands, what lies in store, what the soil
 * holds. Of a field that is grazed in pieces the mean of them.
 *
 * @param fields in the order of the farm's, {@code lots} in that of the plan's lots
 */
public record AtHand(List<OnField> fields, List<InStore> lots) {
  /**
   * On one field; a hectare of it.
   *
   * @param waterShare of what its soil can hold
   * @param nitrogenKgPerHa free in the soil, {@code nitrogenToComeKgPerHa} still to come free
   * @param stands its base stand, then the crops in the order of {@link FieldPlan#stands}
   */
  public record OnField(
      double waterShare,
      double nitrogenKgPerHa,
      double nitrogenToComeKgPerHa,
      List<Standing> stands) {}

  /**
   * One stand.
   *
   * @param gone ploughed in
   * @param up of a crop: it has come up; {@code over} it has ended or failed
   * @param ready stock may come in, or were there
   * @param heat of a crop, by which it heads and ripens, degree-days
   */
  public record Standing(
      double greenKgPerHa,
      double deadKgPerHa,
      boolean there,
      boolean gone,
      boolean up,
      boolean over,
      boolean ready,
      double heat) {
    public double coverKgPerHa() {
      return greenKgPerHa + deadKgPerHa;
    }
  }

  /**
   * One lot.
   *
   * @param units whole ones, the opened one with them where at least half of it is left
   * @param kgDmPerUnit what one holds by now
   * @param worth protein, TDN, fibre, calcium and phosphorus when it came in, percent of DM
   */
  public record InStore(boolean there, int units, double kgDmPerUnit, List<Double> worth) {}

  static AtHand of(ResolvedPlan plan, FarmState state) {
    List<OnField> fields = new ArrayList<>();
    for (int f = 0; f < plan.fields.length; f++) {
      CellState[] pieces =
          Arrays.copyOfRange(state.cells, plan.pieces.first(f), plan.pieces.first(f + 1));
      fields.add(field(plan.fields[f], pieces));
    }
    List<InStore> lots = new ArrayList<>();
    for (LotState l : state.lots) {
      boolean half = l.kgPerUnit > 0 && l.openKg >= l.kgPerUnit / 2;
      lots.add(new InStore(l.there, l.closed + (half ? 1 : 0), l.kgPerUnit, worth(l)));
    }
    return new AtHand(fields, lots);
  }

  private static List<Double> worth(LotState l) {
    return Arrays.stream(l.worth).boxed().toList();
  }

  private static OnField field(FieldPlan plan, CellState[] pieces) {
    double water = 0;
    double nitrogen = 0;
    double toCome = 0;
    for (CellState piece : pieces) {
      water += piece.partOfField * piece.waterMm / plan.capacityMm;
      nitrogen += piece.partOfField * piece.nitrogen;
      toCome += piece.partOfField * piece.nitrogenToCome;
    }
    List<Standing> stands = new ArrayList<>();
    for (int i = 0; i < plan.stands.length; i++) {
      stands.add(stand(pieces, i));
    }
    return new OnField(water, nitrogen, toCome, stands);
  }

  private static Standing stand(CellState[] pieces, int i) {
    double green = 0;
    double dead = 0;
    double heat = 0;
    boolean over = true;
    boolean ready = false;
    for (CellState piece : pieces) {
      StandState s = piece.stands[i];
      green += piece.partOfField * s.green;
      dead += piece.partOfField * s.dead;
      heat += piece.partOfField * s.stage;
      over &= s.endedDay >= 0;
      ready |= s.readyDay >= 0;
    }
    StandState first = pieces[0].stands[i];
    return new Standing(
        green, dead, first.there, first.gone, first.emergedDay >= 0, over, ready, heat);
  }
}
