package wiselarder.server.laboratory;

import java.time.Duration;
import java.time.LocalDate;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.Lot;

/** A laboratory that looks at feed. */
interface ForageLaboratory {

  /** What it is called on its reports. */
  String name();

  /** Time from sending a sample to its report. */
  Duration turnaround();

  /**
   * The report on a sample; the same for the same sample, however often it is asked for.
   *
   * @param sample the sample's own address
   * @param lot the lot it was taken from, as it stood when the sample was sent
   */
  FeedTest report(String sample, Lot lot, LocalDate sampledOn, LocalDate reportedOn);
}
