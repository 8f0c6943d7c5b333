package wiselarder.core.store;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

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
  public static final Stated.Figure DM_SHARE = Stated.number("test.dmShare", 0.1, 1).orNone();
  public static final Stated.Figure PROTEIN_PCT =
      Stated.number("test.proteinPct", 0.5, 90).orNone();
  public static final Stated.Figure TDN_PCT = Stated.number("test.tdnPct", 20, 95).orNone();
  public static final Stated.Figure FIBRE_PCT = Stated.number("test.fibrePct", 0, 95).orNone();
  public static final Stated.Figure CALCIUM_PCT = Stated.number("test.calciumPct", 0, 30).orNone();
  public static final Stated.Figure PHOSPHORUS_PCT =
      Stated.number("test.phosphorusPct", 0, 30).orNone();
  public static final Stated.Figure NITRATE_PCT = Stated.number("test.nitratePct", 0, 10).orNone();

  public static final Stated.Text LABORATORY = Stated.note("test.laboratory", 80);

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
    laboratory = LABORATORY.check(laboratory);
    DM_SHARE.check(dmShare);
    PROTEIN_PCT.check(proteinPct);
    TDN_PCT.check(tdnPct);
    FIBRE_PCT.check(fibrePct);
    CALCIUM_PCT.check(calciumPct);
    PHOSPHORUS_PCT.check(phosphorusPct);
    NITRATE_PCT.check(nitratePct);
  }
}
