package wiselarder.server.closing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.closing.Trial;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;
import wiselarder.server.problem.ServerReason;

/** A gap as it is asked for, by its place in the list of the year. */
public final class AskedGap {
  private AskedGap() {}

  /**
   * A part of a gap.
   *
   * @param from first plan day of it, {@code to} the last; null for the gap's own
   */
  record Part(Integer from, Integer to) {}

  /**
   * The gap at a place of the year's gaps and, behind them, its needs.
   *
   * @throws Refused where there are not so many
   */
  static Gap of(Engine engine, FarmPlan stated, int gap, Part part) {
    YearBalance year = engine.simulate(stated);
    List<Gap> gaps = new ArrayList<>(engine.gaps(year));
    if (gap >= gaps.size()) {
      gaps.addAll(engine.needs(year));
    }
    if (gap < 0 || gap >= gaps.size()) {
      throw new Refused(ServerReason.NO_SUCH_GAP, "gap", gaps.size());
    }
    Gap whole = gaps.get(gap);
    if (part.from == null && part.to == null) {
      return whole;
    }
    int from = part.from == null ? whole.firstDay() : part.from;
    int to = part.to == null ? whole.lastDay() : part.to;
    Check.range("from", from, whole.firstDay(), whole.lastDay());
    Check.range("to", to, from, whole.lastDay());
    return Trial.part(year, whole, from, to);
  }

  /** Hay to be bought like a lot of the farm, else like the first bales of its store. */
  public static Optional<Lot> pattern(FarmPlan stated, String lotId) {
    if (lotId == null) {
      // a clamp is not for sale
      return Optional.of(
          stated.farm().lots().stream()
              .filter(l -> l.origin().movable() && l.unitName().contains("bale"))
              .findFirst()
              .orElse(ROUND_BALE));
    }
    return Optional.of(
        stated.allLots().stream()
            .filter(l -> l.id().equals(lotId))
            .findFirst()
            .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "patternLotId", lotId)));
  }

  /**
   * Hay to think of where the store holds no lot to go by: a common round bale of dry grass hay.
   */
  private static final Lot ROUND_BALE =
      new Lot(
          "pattern", "Grass hay", "round bale", 0, 365, 0.87, "s_barn", "f_ring_open", null, "");

  /** Null for what is not known. */
  public static Double orNull(double value) {
    return Double.isNaN(value) ? null : value;
  }
}
