package wiselarder.core.store;

/**
 * What a feed costs by what is in it, once storage and feeding have taken their part. All in the
 * farm's currency; NaN where no cost is known.
 *
 * @param perTonneDm per tonne of dry matter as it comes in
 * @param perTonneEaten per tonne of dry matter that is eaten
 * @param perGj per 1,000 MJ of metabolisable energy eaten
 * @param perKgProtein per kg of crude protein eaten
 */
public record FeedCost(double perTonneDm, double perTonneEaten, double perGj, double perKgProtein) {
  private static final double MJ_PER_TDN_PCT = 0.1513;

  /**
   * Cost of a lot.
   *
   * @param keptShare share of its dry matter that is eaten in the end
   */
  public static FeedCost of(KnownLot lot, FeedWorth worth, double keptShare) {
    Double unit = lot.lot().costPerUnit();
    double perTonneDm = unit == null ? Double.NaN : unit / lot.kgDmPerUnit() * 1000;
    return of(perTonneDm, worth, keptShare);
  }

  /** Cost of a feed at a price per tonne of dry matter. */
  public static FeedCost of(double perTonneDm, FeedWorth worth, double keptShare) {
    double eaten = perTonneDm / keptShare;
    return new FeedCost(
        perTonneDm,
        eaten,
        per(eaten, MJ_PER_TDN_PCT * worth.tdnPct()),
        per(eaten, 10 * worth.proteinPct()));
  }

  /** Minerals hold neither energy nor protein: nothing can be said by them. */
  private static double per(double cost, double held) {
    return held <= 0 ? Double.NaN : cost / held;
  }

  /**
   * Most that another feed is worth beside this one, per tonne of its dry matter as it comes in: by
   * the energy that it brings to the mouth.
   */
  public double worthByEnergy(FeedWorth other, double otherKeptShare) {
    return perGj * MJ_PER_TDN_PCT * other.tdnPct() * otherKeptShare;
  }

  /** As {@link #worthByEnergy}, by protein. */
  public double worthByProtein(FeedWorth other, double otherKeptShare) {
    return perKgProtein * 10 * other.proteinPct() * otherKeptShare;
  }
}
