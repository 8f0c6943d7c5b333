package wiselarder.server.instruments;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.List;
import java.util.NoSuchElementException;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.Seen;
import wiselarder.server.http.Transfer;
import wiselarder.server.instruments.InstrumentRepository.Instrument;
import wiselarder.server.instruments.InstrumentRepository.Kind;
import wiselarder.server.instruments.InstrumentRepository.Sender;
import wiselarder.server.people.Attempts;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.people.Secret;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.problem.ServerReason;
import wiselarder.server.records.Records;
import wiselarder.server.year.PlanViews;

/**
 * Instruments of a plan, and the door through which they send: an address that nobody guesses, and
 * a table in text. What they send is written down for whoever added them.
 */
@RestController
class InstrumentController {
  private static final int MOST_OF_PLAN = 30;
  private static final int MOST_NAME = 60;

  private final InstrumentRepository repository;
  private final Plans plans;
  private final Records records;
  private final PlanViews views;
  private final Attempts attempts;

  InstrumentController(
      InstrumentRepository repository,
      Plans plans,
      Records records,
      PlanViews views,
      Attempts attempts) {
    this.repository = repository;
    this.plans = plans;
    this.records = records;
    this.views = views;
    this.attempts = attempts;
  }

  /**
   * An instrument.
   *
   * @param lastAt when it sent something last, or null
   * @param path under which it sends; known only when it has just been added, null otherwise
   */
  record InstrumentView(
      long id, Kind kind, String name, boolean simulated, String who, Instant lastAt, String path) {
    private static InstrumentView of(Instrument i, String path) {
      return new InstrumentView(
          i.id(), i.kind(), i.name(), i.simulated(), i.who(), i.lastAt(), path);
    }
  }

  /** Instruments of a plan, the oldest first. */
  @GetMapping("/api/plans/{id}/instruments")
  List<InstrumentView> list(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return repository.ofPlan(plan.id()).stream().map(i -> InstrumentView.of(i, null)).toList();
  }

  /** A new instrument; a simulated one is a stand-in, and all that it sends says so. */
  record NewInstrument(Kind kind, String name, boolean simulated) {}

  /** Adds an instrument and tells its address, once. */
  @PostMapping("/api/plans/{id}/instruments")
  List<InstrumentView> add(
      @PathVariable String id,
      @RequestBody NewInstrument added,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    NotAllowed.unless(plan.role(), Role.PLANNER);
    String name = Check.text("instrument.name", added.name, MOST_NAME);
    Kind kind = Check.present("instrument.kind", added.kind);
    if (repository.ofPlan(plan.id()).size() >= MOST_OF_PLAN) {
      throw new Refused(ServerReason.TOO_MANY_INSTRUMENTS, "instrument", MOST_OF_PLAN);
    }
    String secret = Secret.fresh();
    repository.add(plan.id(), person.id(), kind, name, added.simulated, Secret.hash(secret));
    List<Instrument> all = repository.ofPlan(plan.id());
    long newest = all.get(all.size() - 1).id();
    return all.stream()
        .map(i -> InstrumentView.of(i, i.id() == newest ? PATH + secret : null))
        .toList();
  }

  private static final String PATH = "/instruments/";

  /** Removes an instrument; what it sent stays. */
  @DeleteMapping("/api/plans/{id}/instruments/{instrument}")
  List<InstrumentView> remove(
      @PathVariable String id,
      @PathVariable long instrument,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    NotAllowed.unless(plan.role(), Role.PLANNER);
    if (!repository.remove(plan.id(), instrument)) {
      throw new NoSuchElementException("instrument");
    }
    return list(id, person);
  }

  /**
   * What became of a table.
   *
   * @param written records that were made of it; the same table again makes no more
   */
  record Received(int written) {}

  /** Takes a table of readings in: all of it, or nothing. */
  @PostMapping(
      path = PATH + "{secret}",
      consumes = "text/csv",
      produces = MediaType.APPLICATION_JSON_VALUE)
  Received receive(
      @PathVariable String secret, @RequestBody byte[] body, HttpServletRequest request) {
    String caller = "instrument " + request.getRemoteAddr();
    attempts.count(caller);
    Sender from =
        repository
            .sender(Secret.hash(secret))
            .orElseThrow(() -> new NoSuchElementException("instrument"));
    attempts.takeBack(caller);
    return write(from.instrument(), from.planSlug(), from.person(), Transfer.text(body));
  }

  /** The same from somebody who has it as a file; it is written down for them. */
  @PostMapping(path = "/api/plans/{id}/instruments/{instrument}/file", consumes = "text/csv")
  Received file(
      @PathVariable String id,
      @PathVariable long instrument,
      @RequestBody byte[] body,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    NotAllowed.unless(plan.role(), Role.HELPER);
    Instrument from =
        repository.ofPlan(plan.id()).stream()
            .filter(i -> i.id() == instrument)
            .findFirst()
            .orElseThrow(() -> new NoSuchElementException("instrument"));
    return write(from, id, person, Transfer.text(body));
  }

  private Received write(Instrument from, String planSlug, Person person, String csv) {
    StoredPlan plan = plans.get(planSlug, person);
    List<Seen> seen =
        from.kind() == Kind.PLATE
            ? PlateFile.read(csv, views.engine("normal", plan), plan.content())
            : StationFile.read(csv, plan.content());
    String device = from.name() + (from.simulated() ? " (simulated)" : "");
    String command = "instrument-" + Secret.hash(from.id() + "\n" + csv).substring(0, 40);
    records.write(planSlug, person, new Records.Command(command, device, seen));
    repository.sent(from.id());
    return new Received(seen.size());
  }
}
