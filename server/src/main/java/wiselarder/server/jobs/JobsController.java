package wiselarder.server.jobs;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.jobs.JobMoved;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.OwnJob;
import wiselarder.server.http.Transfer;
import wiselarder.server.people.Person;
import wiselarder.server.people.Secret;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/** The jobs of a plan over HTTP, and its calendar. */
@RestController
class JobsController {
  private static final MediaType ICS = new MediaType("text", "calendar", StandardCharsets.UTF_8);

  private final Plans plans;
  private final PlanJobs jobs;
  private final JobRepository repository;
  private final Reminders reminders;

  JobsController(Plans plans, PlanJobs jobs, JobRepository repository, Reminders reminders) {
    this.plans = plans;
    this.jobs = jobs;
    this.repository = repository;
    this.reminders = reminders;
  }

  /** Every job, by its day. */
  @GetMapping("/api/plans/{id}/jobs")
  List<JobView> list(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @RequestParam(required = false) Farm.UnitSystem units,
      @AuthenticationPrincipal Person person) {
    return jobs.of(plans.get(id, person), season, units);
  }

  /**
   * What waiting costs.
   *
   * @param costsKg by job: what it costs when it is done a week later, kg DM missing at the end or
   *     no more in store; less than nothing where it brings
   */
  record WaitingView(Map<String, Double> costsKg) {}

  @GetMapping("/api/plans/{id}/jobs/waiting")
  WaitingView waiting(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return new WaitingView(jobs.aWeekLater(plans.get(id, person), season));
  }

  /** What becomes of the year where a job is done on another day; as {@link JobMoved}. */
  @GetMapping("/api/plans/{id}/jobs/moved")
  JobMoved moved(
      @PathVariable String id,
      @RequestParam String key,
      @RequestParam LocalDate to,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return jobs.moved(plans.get(id, person), season, key, to);
  }

  @GetMapping("/api/plans/{id}/jobs/file")
  ResponseEntity<byte[]> file(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return Transfer.file(calendar(plan), plan.slug() + "-jobs.ics", ICS);
  }

  private byte[] calendar(StoredPlan plan) {
    String name = plan.content().farm().name() + ", " + plan.content().plan().name();
    return JobCalendar.write(name, plan.slug(), jobs.of(plan, "normal", null))
        .getBytes(StandardCharsets.UTF_8);
  }

  /**
   * What a calendar file would add.
   *
   * @param left events that are not taken: the product's own, and those without a day or a name
   */
  record CalendarPreview(List<OwnJob> jobs, int left, List<PlanEdit> edits) {}

  /** Looks at a calendar file; nothing is changed by it. */
  @PostMapping("/api/plans/{id}/jobs/file/preview")
  CalendarPreview preview(
      @PathVariable String id, @RequestBody byte[] body, @AuthenticationPrincipal Person person) {
    plans.get(id, person);
    JobCalendar.Read read = JobCalendar.read(Transfer.text(body));
    return new CalendarPreview(read.jobs(), read.left(), JobCalendar.edits(read));
  }

  /**
   * The feed of a plan for one person.
   *
   * @param path of a feed just made, known only now; null otherwise
   */
  record FeedView(boolean on, String path) {}

  @GetMapping("/api/plans/{id}/jobs/feed")
  FeedView feed(@PathVariable String id, @AuthenticationPrincipal Person person) {
    return new FeedView(repository.hasFeed(plans.get(id, person).id(), person.id()), null);
  }

  /** Makes a secret address; the one before no longer holds. */
  @PostMapping("/api/plans/{id}/jobs/feed")
  FeedView makeFeed(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    String secret = Secret.fresh();
    repository.putFeed(plan.id(), person.id(), Secret.hash(secret));
    return new FeedView(true, "/calendar/" + secret + ".ics");
  }

  @DeleteMapping("/api/plans/{id}/jobs/feed")
  FeedView endFeed(@PathVariable String id, @AuthenticationPrincipal Person person) {
    repository.removeFeed(plans.get(id, person).id(), person.id());
    return new FeedView(false, null);
  }

  /** The calendar by its secret address: it shows what its maker may still see. */
  @GetMapping("/calendar/{secret}.ics")
  ResponseEntity<byte[]> calendar(@PathVariable String secret) {
    JobRepository.Feed feed =
        repository
            .feed(Secret.hash(secret))
            .orElseThrow(() -> new NoSuchElementException("calendar"));
    return ResponseEntity.ok()
        .contentType(ICS)
        .header("Cache-Control", "no-store")
        .header("X-Robots-Tag", "noindex")
        .body(calendar(plans.get(feed.planSlug(), feed.person())));
  }

  /** Whether somebody wants letters, with the next one as it would be sent. */
  @GetMapping("/api/plans/{id}/jobs/letters")
  Reminders.Letters letters(
      @PathVariable String id,
      @RequestParam LocalDate today,
      @AuthenticationPrincipal Person person) {
    return reminders.of(id, person, today);
  }

  /**
   * What somebody wants.
   *
   * @param daysAhead 1 to 60; null for no letters
   */
  record LettersRequest(Integer daysAhead) {}

  @PutMapping("/api/plans/{id}/jobs/letters")
  Reminders.Letters setLetters(
      @PathVariable String id,
      @RequestBody LettersRequest request,
      @RequestParam LocalDate today,
      @AuthenticationPrincipal Person person) {
    reminders.set(id, person, request.daysAhead);
    return reminders.of(id, person, today);
  }
}
