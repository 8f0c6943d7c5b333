package wiselarder.core.day;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import wiselarder.core.day.CellState.StandState;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.plan.OpeningState;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.store.FeedWorth;

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
   * @param state how old and what worth it is; null where nothing stands
   */
  public record Standing(
      double greenKgPerHa,
      double deadKgPerHa,
      boolean there,
      boolean gone,
      boolean up,
      boolean over,
      boolean ready,
      double heat,
      OpeningState state) {
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
        green,
        dead,
        first.there,
        first.gone,
        first.emergedDay >= 0,
        over,
        ready,
        heat,
        green + dead <= 0 ? null : state(pieces, i));
  }

  private static OpeningState state(CellState[] pieces, int i) {
    double young = 0;
    double old = 0;
    double dead = 0;
    double vigour = 0;
    double age = 0;
    double stems = 0;
    double[] youngWorth = new double[Values.FIGURES];
    double[] oldWorth = new double[Values.FIGURES];
    double[] deadWorth = new double[Values.FIGURES];
    for (CellState piece : pieces) {
      StandState s = piece.stands[i];
      double part = piece.partOfField;
      young = joined(youngWorth, young, s.youngWorth, part * s.young);
      old = joined(oldWorth, old, s.oldWorth, part * (s.green - s.young));
      dead = joined(deadWorth, dead, s.deadWorth, part * s.dead);
      vigour += part * s.vigour;
      age += part * s.age;
      stems += part * s.stemsTaken;
    }
    return new OpeningState(
        rounded(Math.min(1, vigour)),
        young + old <= 0 ? 0 : rounded(young / (young + old)),
        worth(youngWorth, young),
        worth(oldWorth, old),
        worth(deadWorth, dead),
        rounded(Math.min(1, youngWorth[Values.RIPENESS])),
        rounded(Math.min(1, oldWorth[Values.RIPENESS])),
        Math.round(age),
        rounded(Math.min(MOST_STEMS_TAKEN, stems)));
  }

  /** Mixes a mass into another; the two together. */
  private static double joined(double[] into, double mass, double[] of, double more) {
    if (more <= LEAST_KG_PER_HA) {
      return mass;
    }
    for (int n = 0; n < into.length; n++) {
      into[n] += more / (mass + more) * (of[n] - into[n]);
    }
    return mass + more;
  }

  /** An annual never begins a new heading; from the first few on it makes no odds. */
  private static final double MOST_STEMS_TAKEN = 100;

  /** Less has no worth to speak of, kg DM/ha. */
  private static final double LEAST_KG_PER_HA = 0.01;

  private static FeedWorth worth(double[] w, double mass) {
    boolean known = mass > 0 && w[Values.TDN] > 0;
    return !known
        ? null
        : new FeedWorth(
            rounded(w[Values.PROTEIN]),
            rounded(w[Values.TDN]),
            rounded(w[Values.FIBRE]),
            rounded(w[Values.CALCIUM]),
            rounded(w[Values.PHOSPHORUS]),
            FeedWorth.From.CUT);
  }

  private static double rounded(double value) {
    return Math.round(value * ROUNDED) / ROUNDED;
  }

  private static final double ROUNDED = 1000;
}
