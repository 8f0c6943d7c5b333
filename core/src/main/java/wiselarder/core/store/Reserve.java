package wiselarder.core.store;

import java.time.MonthDay;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Units kept back for a season: nothing of them is opened before it begins. When it ends, what is
 * unused rolls into the ordinary stock.
 *
 * @param fromInclusive first day of the season in which they may be opened
 * @param toExclusive first day after it
 */
public record Reserve(int units, MonthDay fromInclusive, MonthDay toExclusive) {
  public static final Stated.Figure UNITS = Stated.whole("reserve.units", 1, 1000000);

  public Reserve {
    UNITS.check(units);
    Check.present("reserve.fromInclusive", fromInclusive);
    Check.present("reserve.toExclusive", toExclusive);
  }
}
