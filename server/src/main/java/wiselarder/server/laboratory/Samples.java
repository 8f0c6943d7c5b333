package wiselarder.server.laboratory;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.LotTested;
import wiselarder.core.records.SampleSent;
import wiselarder.core.records.Seen;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.Lot;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.problem.ServerReason;
import wiselarder.server.records.Records;

/** Samples of a farm's lots: sent, on their way, come back, written down of their lot. */
@Component
public class Samples {
  /** More samples than this on their way is a mistake. */
  private static final int MOST_OPEN = 50;

  private final Records records;
  private final Plans plans;
  private final ForageLaboratory laboratory;
  private final Clock clock = Clock.systemUTC();

  Samples(Records records, Plans plans, ForageLaboratory laboratory) {
    this.records = records;
    this.plans = plans;
    this.laboratory = laboratory;
  }

  /**
   * A sample that was sent.
   *
   * @param laboratory who looks at it
   * @param report null until it has come
   * @param taken true once it is written down of its lot
   */
  public record Sent(
      String id,
      String lotId,
      String lotName,
      String laboratory,
      LocalDate sampledOn,
      Instant dueAt,
      FeedTest report,
      boolean taken) {}

  /** Every sample of a plan's farm, newest first. */
  @Transactional(readOnly = true)
  public List<Sent> of(String planSlug, Person person) {
    return all(records.of(plans.get(planSlug, person).farmId()));
  }

  private List<Sent> all(FarmRecords known) {
    Set<String> reported = new HashSet<>();
    known.each(LotTested.class, (r, f) -> reported.add(f.test().id()));
    List<Sent> all = new ArrayList<>();
    known.each(SampleSent.class, (r, f) -> all.add(sent(r, f, reported.contains(r.id()))));
    Collections.reverse(all);
    return all;
  }

  /**
   * Sends a sample of a lot.
   *
   * @param command the device's own name for the request
   */
  @Transactional
  public Sent send(
      String planSlug, Person person, Command command, String lotId, LocalDate sampledOn) {
    StoredPlan plan = plans.get(planSlug, person);
    FarmRecords known = records.of(plan.farmId());
    List<Sent> before = all(known);
    for (Sent s : before) {
      if (s.id.equals(command.id)) {
        return s;
      }
    }
    Lot lot = lot(plan, lotId);
    long open = before.stream().filter(s -> !s.taken).count();
    if (open >= MOST_OPEN) {
      throw new Refused(ServerReason.TOO_MANY_SAMPLES, "sample", MOST_OPEN);
    }
    Instant due = clock.instant().plus(laboratory.turnaround()).truncatedTo(ChronoUnit.MILLIS);
    SampleSent fact = new SampleSent(lot, due);
    FarmRecord r =
        records
            .write(
                planSlug,
                person,
                new Records.Command(command.id, command.device, List.of(new Seen(sampledOn, fact))))
            .get(0);
    return sent(r, fact, false);
  }

  /** The device's own name for a request, and for itself. */
  public record Command(String id, String device) {}

  /** Writes a report that has come down of its lot; once, however often it is asked for. */
  @Transactional
  public void take(String planSlug, Person person, String sample, String device) {
    Sent sent =
        of(planSlug, person).stream()
            .filter(s -> s.id.equals(sample))
            .findFirst()
            .orElseThrow(() -> new NoSuchElementException(sample));
    if (sent.report == null) {
      throw new Refused(ServerReason.REPORT_NOT_THERE, "sample", sent.lotName);
    }
    Seen report = new Seen(sent.sampledOn, new LotTested(sent.lotId, sent.report));
    records.write(
        planSlug, person, new Records.Command("report-" + sample, device, List.of(report)));
  }

  /** A lot of the store; those of cuts and purchases are tested once they are in it. */
  private static Lot lot(StoredPlan plan, String lotId) {
    return plan.content().farm().lots().stream()
        .filter(l -> l.id().equals(lotId))
        .findFirst()
        .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "sample.lotId", lotId));
  }

  private Sent sent(FarmRecord r, SampleSent f, boolean taken) {
    LocalDate come = f.dueAt().atZone(ZoneOffset.UTC).toLocalDate();
    LocalDate reported = come.isBefore(r.on()) ? r.on() : come;
    boolean due = !f.dueAt().isAfter(clock.instant());
    return new Sent(
        r.id(),
        f.lotId(),
        f.lot().name(),
        laboratory.name(),
        r.on(),
        f.dueAt(),
        due ? laboratory.report(r.id(), f.lot(), r.on(), reported) : null,
        taken);
  }
}
