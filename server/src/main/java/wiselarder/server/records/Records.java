package wiselarder.server.records;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.BodyCondition;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.FieldHeld;
import wiselarder.core.records.FieldOpened;
import wiselarder.core.records.HoldLifted;
import wiselarder.core.records.PhotoTaken;
import wiselarder.core.records.Seen;
import wiselarder.core.records.StemsSeen;
import wiselarder.core.records.Struck;
import wiselarder.core.records.WeatherMeasured;
import wiselarder.core.store.Lot;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.problem.ServerReason;

/**
 * Writes down what was seen or done. All of a command is kept, or nothing is; a command that comes
 * again is taken once. Nothing here asks for a revision, so nobody's edit makes it stale.
 */
@Component
public class Records {
  /** More records than this in one command are a mistake. */
  private static final int MOST_AT_ONCE = 200;

  private final RecordRepository repository;
  private final Plans plans;
  private final Engine engine;
  private final Photos photos;
  private final Clock clock = Clock.systemUTC();

  Records(RecordRepository repository, Photos photos, Plans plans, Engine engine) {
    this.photos = photos;
    this.repository = repository;
    this.plans = plans;
    this.engine = engine;
  }

  /**
   * Facts to write down together.
   *
   * @param id the device's own name for this request; the same one again brings nothing new
   * @param device as the device calls itself
   */
  public record Command(String id, String device, List<Seen> seen) {
    public Command {
      id = Check.text("command.id", id, 80);
      device = Check.note("record.device", device, 120);
      seen = List.copyOf(Check.present("command.seen", seen));
      Check.range("command.seen", seen.size(), 1, MOST_AT_ONCE);
    }
  }

  /** What a farm knows, but for measured weather. */
  @Transactional(readOnly = true)
  public FarmRecords of(long farmId) {
    return repository.known(farmId);
  }

  /** All that a farm knows. */
  @Transactional(readOnly = true)
  public FarmRecords allOf(long farmId) {
    return FarmRecords.of(repository.allOfFarm(farmId));
  }

  /**
   * Writes a command's facts down for the farm of a plan.
   *
   * @return the records, also when the same command had brought them before
   * @throws Refused when a fact is about what the plan does not hold, or the command's id has
   *     brought something else before
   */
  @Transactional(propagation = Propagation.NESTED)
  public List<FarmRecord> write(String planSlug, Person person, Command command) {
    StoredPlan plan = plans.get(planSlug, person);
    NotAllowed.unless(plan.role(), Role.HELPER);
    List<FarmRecord> known = repository.ofCommand(plan.farmId(), command.id);
    if (!known.isEmpty()) {
      return again(known, command);
    }
    List<FarmRecord> wanted = new ArrayList<>();
    for (Seen s : command.seen) {
      NotAllowed.unless(plan.role(), needed(plan, s.fact()));
      check(plan.content(), s.fact());
      if (s.fact() instanceof PhotoTaken p && !photos.has(plan.farmId(), p.photoId())) {
        throw unknown("photo.id", p.photoId());
      }
      wanted.add(record(command, wanted.size(), s, person));
    }
    for (FarmRecord r : wanted) {
      repository.insert(plan.farmId(), command.id, person.id(), r);
      if (r.fact() instanceof Struck s && standing(plan, s).fact() instanceof PhotoTaken p) {
        photos.struck(plan.farmId(), p.photoId());
      }
    }
    // another request with this id may have come first: what it brought is what counts
    return again(repository.ofCommand(plan.farmId(), command.id), command);
  }

  /**
   * Does many writes as one, each kept or refused for itself: whoever listens is told once.
   *
   * @param one writes one of them by {@link #write}, and gives what became of it
   */
  @Transactional
  public <T, R> List<R> together(List<T> all, Function<T, R> one) {
    return all.stream().map(one).toList();
  }

  /**
   * Takes in records that were kept elsewhere; those that the farm has already stay as they are.
   */
  @Transactional
  public void takeIn(long farmId, String command, List<FarmRecord> records) {
    records.forEach(r -> repository.insert(farmId, command, null, r));
  }

  private FarmRecord record(Command command, int place, Seen s, Person person) {
    String id = command.seen.size() == 1 ? command.id : command.id + "." + place;
    Instant at = clock.instant().truncatedTo(ChronoUnit.MICROS);
    return new FarmRecord(
        id, s.on(), s.fact(), new FarmRecord.Written(person.name(), at, command.device));
  }

  /** The same request again is harmless; another one under its name is a mistake. */
  private static List<FarmRecord> again(List<FarmRecord> known, Command command) {
    List<Seen> before = known.stream().map(r -> new Seen(r.on(), r.fact())).toList();
    if (!before.equals(command.seen)) {
      throw new Refused(ServerReason.COMMAND_REUSED, "command.id");
    }
    return known;
  }

  /**
   * Measured weather stands behind seasons, and a hold behind health: planners keep them. Anybody
   * who is out there may shut a field.
   */
  private Role needed(StoredPlan plan, Fact fact) {
    Fact about = fact instanceof Struck s ? standing(plan, s).fact() : fact;
    boolean planners =
        about instanceof WeatherMeasured
            || about instanceof HoldLifted
            || about instanceof FieldOpened
            || (about instanceof FieldHeld && fact instanceof Struck);
    return planners ? Role.PLANNER : Role.HELPER;
  }

  private FarmRecord standing(StoredPlan plan, Struck struck) {
    return repository
        .find(plan.farmId(), struck.record())
        .orElseThrow(() -> unknown("record.record", struck.record()));
  }

  /** A record is about something that the plan holds. */
  private void check(FarmPlan plan, Fact fact) {
    if (fact.lotId() != null) {
      known("record.lotId", plan.allLots().stream().map(Lot::id), fact.lotId());
    }
    if (fact.groupId() != null) {
      known("record.groupId", plan.farm().groups().stream().map(AnimalGroup::id), fact.groupId());
    }
    if (fact.fieldId() != null) {
      known("record.fieldId", fieldIds(plan), fact.fieldId());
    }
    Catalogue tables = engine.catalogue().on(plan.farm());
    if (fact instanceof StemsSeen s) {
      tables.forage(s.forageId());
      s.stems().forEach(one -> tables.stages().stage(one.stageId()));
    }
    if (fact instanceof CoverSeen c) {
      tables.forage(c.forageId());
      c.signs().forEach(s -> tables.signs().sign(s.signId()).value(s.value()));
    }
    if (fact instanceof ConditionSeen c) {
      plan.farm().groups().stream()
          .filter(g -> g.id().equals(c.groupId()))
          .map(g -> BodyCondition.of(g.kind()))
          .forEach(s -> Check.range("condition.score", c.score(), s.lowest(), s.highest()));
    }
  }

  private static java.util.stream.Stream<String> fieldIds(FarmPlan plan) {
    return plan.farm().fields().stream().map(Field::id);
  }

  private static void known(String field, java.util.stream.Stream<String> ids, String id) {
    Set<String> there = ids.collect(Collectors.toSet());
    if (!there.contains(id)) {
      throw unknown(field, id);
    }
  }

  private static Refused unknown(String field, String id) {
    return new Refused(CoreReason.UNKNOWN_ID, field, id);
  }
}
