package wiselarder.core.store;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;

/**
 * A report on a sample of a lot, percent of DM but for the dry matter itself. What was not looked
 * for is null.
 *
 * @param reportedOn day the report came; null: the day of the sample
 * @param laboratory who made it; the stand-in of the product says that it is simulated
 * @param nitratePct nitrate ion (NO3); a report in NO3-N is 4.43 times lower
 */
public record FeedTest(
    String id,
    LocalDate sampledOn,
    LocalDate reportedOn,
    String laboratory,
    Double dmShare,
    Double proteinPct,
    Double tdnPct,
    Double fibrePct,
    Double calciumPct,
    Double phosphorusPct,
    Double nitratePct) {

  /**
   * Nitrate in the whole diet above which laboratories commonly ask for mixing with other feed, and
   * at which a lot is held until somebody who knows has looked at the report. Assumptions on the
   * careful side.
   */
  public static final double NITRATE_MIX_PCT = 0.44;

  public static final double NITRATE_HOLD_PCT = 1.5;

  public FeedTest {
    id = Check.text("test.id", id, 80);
    Check.present("test.sampledOn", sampledOn);
    reportedOn = reportedOn == null ? sampledOn : reportedOn;
    Check.ordered("test.dates", sampledOn, reportedOn.plusDays(1));
    laboratory = Check.note("test.laboratory", laboratory, 80);
    rangeOrNone("test.dmShare", dmShare, 0.1, 1);
    rangeOrNone("test.proteinPct", proteinPct, 0.5, 90);
    rangeOrNone("test.tdnPct", tdnPct, 20, 95);
    rangeOrNone("test.fibrePct", fibrePct, 0, 95);
    rangeOrNone("test.calciumPct", calciumPct, 0, 30);
    rangeOrNone("test.phosphorusPct", phosphorusPct, 0, 30);
    rangeOrNone("test.nitratePct", nitratePct, 0, 10);
  }

  private static void rangeOrNone(String field, Double value, double min, double max) {
    if (value != null) {
      Check.range(field, value, min, max);
    }
  }
}
