package wiselarder.core.store;

import java.time.MonthDay;
import wiselarder.core.quantity.Check;

/**
 * Units kept back for a season: nothing of them is opened before it begins. When it ends, what is
 * unused rolls into the ordinary stock.
 *
 * @param fromInclusive first day of the season in which they may be opened
 * @param toExclusive first day after it
 */
public record Reserve(int units, MonthDay fromInclusive, MonthDay toExclusive) {
  public Reserve {
    Check.range("reserve.units", units, 1, 1000000);
    Check.present("reserve.fromInclusive", fromInclusive);
    Check.present("reserve.toExclusive", toExclusive);
  }
}
