package wiselarder.server.laboratory;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.plan.PlanEdit;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.Lot;
import wiselarder.server.file.PlanFile;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Slugs;
import wiselarder.server.plan.StoredPlan;

/** Samples of a plan's lots: sent, on their way, come back, taken into their lot. */
@Component
public class Samples {
  /** More samples than this on their way is a mistake. */
  private static final int MOST_OPEN = 50;

  private final SampleRepository repository;
  private final Plans plans;
  private final ForageLaboratory laboratory;

  Samples(SampleRepository repository, Plans plans, ForageLaboratory laboratory) {
    this.repository = repository;
    this.plans = plans;
    this.laboratory = laboratory;
  }

  /**
   * A sample that was sent.
   *
   * @param laboratory who looks at it
   * @param report null until it has come
   * @param taken true once it stands in its lot
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

  /** Every sample of a plan, newest first. */
  @Transactional(readOnly = true)
  public List<Sent> of(String planSlug, Person person) {
    StoredPlan plan = plans.get(planSlug, person);
    return repository.ofPlan(plan.id()).stream().map(this::sent).toList();
  }

  /** Sends a sample of a lot. */
  @Transactional
  public Sent send(String planSlug, Person person, String lotId, LocalDate sampledOn) {
    StoredPlan plan = plans.get(planSlug, person);
    NotAllowed.unless(plan.role(), Role.HELPER);
    Lot lot = lot(plan, lotId);
    int open = repository.countOpen(plan.id());
    if (open >= MOST_OPEN) {
      throw new Refused(
          "too_many_samples",
          "sample",
          open,
          0.0,
          (double) MOST_OPEN,
          "up to %d samples may be out at once; take reports that have come first"
              .formatted(MOST_OPEN));
    }
    String slug = Slugs.fresh("sample " + lot.name());
    repository.insert(
        plan.id(),
        slug,
        lot.id(),
        lot.name(),
        PlanFile.MAPPER.writeValueAsString(lot),
        sampledOn,
        laboratory.turnaround());
    return sent(repository.find(plan.id(), slug).orElseThrow());
  }

  /** Takes a report into its lot as one revision. */
  @Transactional
  public Plans.Opened take(String planSlug, Person person, String sample, int revision) {
    StoredPlan plan = plans.get(planSlug, person);
    NotAllowed.unless(plan.role(), Role.PLANNER);
    SampleRepository.Row row =
        repository.find(plan.id(), sample).orElseThrow(() -> new NoSuchElementException(sample));
    Sent sent = sent(row);
    if (sent.report == null) {
      throw new Refused(
          "report_not_there",
          "sample",
          sample,
          "the report on %s has not come yet".formatted(sent.lotName));
    }
    Lot lot = lot(plan, sent.lotId);
    PlanEdit edit = new PlanEdit.PutLot(lot.withTest(sent.report));
    Plans.Opened opened = plans.edit(planSlug, person, revision, null, List.of(edit), "[]");
    repository.markTaken(plan.id(), sample);
    return opened;
  }

  /** A lot of the store; those of cuts and purchases are tested once they are in it. */
  private static Lot lot(StoredPlan plan, String lotId) {
    return plan.content().farm().lots().stream()
        .filter(l -> l.id().equals(lotId))
        .findFirst()
        .orElseThrow(
            () ->
                new Refused(
                    "unknown_id", "sample.lotId", lotId, "the store holds no lot " + lotId));
  }

  private Sent sent(SampleRepository.Row row) {
    LocalDate come = row.dueAt().atZone(ZoneOffset.UTC).toLocalDate();
    LocalDate reported = come.isBefore(row.sampledOn()) ? row.sampledOn() : come;
    FeedTest report =
        row.due()
            ? laboratory.report(
                row.slug(),
                PlanFile.MAPPER.readValue(row.lotJson(), Lot.class),
                row.sampledOn(),
                reported)
            : null;
    return new Sent(
        row.slug(),
        row.lotId(),
        row.lotName(),
        laboratory.name(),
        row.sampledOn(),
        row.dueAt(),
        report,
        row.taken());
  }
}
