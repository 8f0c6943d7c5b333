package wiselarder.server.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.edit.Difference;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.edit.Rebase;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.problem.ServerReason;

/**
 * Plans and their history: all of a call is stored, or nothing is. A plan that the person may not
 * see does not exist for them ({@link NoSuchElementException}).
 */
@Component
public class Plans {
  /** Lines of history given at once. */
  private static final int PAGE = 100;

  /** Plans of one farm. */
  public static final int MOST_OF_FARM = 100;

  private final PlanRepository repository;
  private final Engine engine;

  Plans(PlanRepository repository, Engine engine) {
    this.repository = repository;
    this.engine = engine;
  }

  /** A plan with the changes that undo and redo would take and bring back, or null. */
  public record Opened(StoredPlan plan, Told undo, Told redo, List<OtherPlan> others) {}

  /** Another plan of the same farm. */
  public record OtherPlan(String id, String name) {}

  /**
   * Everything that a view of a plan goes by: while it is the same, so is the view.
   *
   * @param plans of the farm, each with its revision
   * @param record number of the farm's newest record; none is ever changed or taken away
   */
  public record Stamp(
      long planId, int revision, String farm, Role role, String plans, long record) {}

  /** The stamp of a plan, in one look. */
  public Stamp stamp(String slug, Person person) {
    return repository.stamp(slug, person.id()).orElseThrow(() -> new NoSuchElementException(slug));
  }

  /** The plans of farms that the person may see, by farm and age. */
  @Transactional(readOnly = true)
  public List<PlanRepository.Row> list(Person person, List<String> farms) {
    return repository.list(person.id(), farms);
  }

  @Transactional(readOnly = true)
  public StoredPlan get(String slug, Person person) {
    return repository.find(slug, person.id()).orElseThrow(() -> new NoSuchElementException(slug));
  }

  @Transactional(readOnly = true)
  public Opened open(String slug, Person person) {
    return opened(get(slug, person));
  }

  /**
   * Applies edits in order as one revision.
   *
   * @param revision the revision the edits were made on
   * @param onTopOf null, or a newer revision whose changes the person has been told and puts theirs
   *     on top of
   * @throws StaleRevision when the plan has moved on beyond that
   */
  @Transactional
  public Opened edit(
      String slug, Person person, int revision, Integer onTopOf, List<PlanEdit> edits) {
    return edit(slug, person, revision, onTopOf, edits, List.of());
  }

  /**
   * As {@link #edit(String, Person, int, Integer, List)}, and the same in other plans of the farm.
   *
   * @throws ClashesElsewhere where one of those cannot take it, or would lose what is otherwise
   *     there and the person has not been told of
   */
  @Transactional
  public Opened edit(
      String slug,
      Person person,
      int revision,
      Integer onTopOf,
      List<PlanEdit> edits,
      List<AlsoIn.Place> also) {
    Map<String, StoredPlan> locked = lock(slug, person, also);
    StoredPlan now = locked.remove(slug);
    FarmPlan base = now.content();
    List<PlanEdit> made = edits;
    if (now.revision() != revision) {
      base =
          repository
              .contentAt(now.id(), revision)
              .orElseThrow(
                  () ->
                      new Refused(
                          ServerReason.NO_SUCH_REVISION, "revision", revision, now.revision()));
      Rebase.Outcome outcome = Rebase.onTop(base, now.content(), edits);
      if (onTopOf == null || onTopOf != now.revision()) {
        throw new StaleRevision(
            now.revision(), repository.since(now.id(), revision), outcome.clashes());
      }
      made = outcome.edits();
    }
    Opened opened =
        store(now, person, engine.changed(now.content(), made), edit(now, Told.How.EDITED), made);
    elsewhere(now, person, base, edits, locked, also);
    return opened;
  }

  /**
   * Locks a plan and others of its farm, always in the same order, so that nobody waits in turn.
   */
  private Map<String, StoredPlan> lock(String slug, Person person, List<AlsoIn.Place> also) {
    Set<String> slugs = new TreeSet<>(Set.of(slug));
    also.forEach(o -> slugs.add(o.plan()));
    Map<String, StoredPlan> locked = new LinkedHashMap<>();
    slugs.forEach(s -> locked.put(s, lock(s, person, Role.PLANNER)));
    long farm = locked.get(slug).farmId();
    locked.forEach(
        (s, plan) -> {
          if (plan.farmId() != farm) {
            throw new NoSuchElementException(s);
          }
        });
    return locked;
  }

  private void elsewhere(
      StoredPlan from,
      Person person,
      FarmPlan base,
      List<PlanEdit> edits,
      Map<String, StoredPlan> others,
      List<AlsoIn.Place> also) {
    List<AlsoIn.Against> against = new ArrayList<>();
    for (AlsoIn.Place o : also) {
      StoredPlan other = others.remove(o.plan()); // named twice, it is changed once
      if (other != null) {
        AlsoIn.in(engine, other, o.onTopOf(), base, edits, against)
            .filter(made -> !made.edits().isEmpty())
            .ifPresent(made -> store(from, other, person, made, against));
      }
    }
    if (!against.isEmpty()) {
      throw new ClashesElsewhere(against);
    }
  }

  private void store(
      StoredPlan from,
      StoredPlan other,
      Person person,
      AlsoIn.Made made,
      List<AlsoIn.Against> against) {
    Told told = Told.of(Told.How.ALSO, from.content().plan().name(), null);
    try {
      store(
          other,
          person,
          made.content(),
          step(other, Revision.Kind.EDIT, told, null, null),
          made.edits());
    } catch (Refused r) {
      against.add(AlsoIn.refused(other, r));
    }
  }

  private static Revision.Step edit(StoredPlan now, Told.How how) {
    return step(now, Revision.Kind.EDIT, Told.began(how), null, null);
  }

  private static Revision.Step step(
      StoredPlan now, Revision.Kind kind, Told told, Integer restores, Integer undid) {
    return new Revision.Step(now.revision() + 1, kind, told, restores, undid);
  }

  /**
   * Makes a plan begin as another of its farm leaves it, as one revision.
   *
   * @param begins the edits that do it, given both plans
   */
  @Transactional
  public Opened begin(
      String slug,
      Person person,
      int revision,
      String from,
      BiFunction<StoredPlan, StoredPlan, List<PlanEdit>> begins) {
    StoredPlan now = current(slug, person, revision);
    StoredPlan other = ofFarm(now, from, person);
    List<PlanEdit> edits = begins.apply(now, other);
    Told told = Told.of(Told.How.BEGINS_FROM, other.content().plan().name(), other.revision());
    return store(
        now,
        person,
        engine.changed(now.content(), edits),
        step(now, Revision.Kind.EDIT, told, null, null),
        edits);
  }

  /** Another plan of the farm of one. */
  @Transactional(readOnly = true)
  public StoredPlan ofFarm(StoredPlan plan, String slug, Person person) {
    StoredPlan other = get(slug, person);
    if (other.farmId() != plan.farmId()) {
      throw new NoSuchElementException(slug);
    }
    return other;
  }

  /** Replaces the whole plan by one of a file as one revision. */
  @Transactional
  public Opened replace(String slug, Person person, int revision, FarmPlan content) {
    StoredPlan now = current(slug, person, revision);
    Told told = Told.of(Told.How.REPLACED, content.plan().name(), null);
    return store(
        now,
        person,
        content,
        step(now, Revision.Kind.EDIT, told, null, null),
        List.of(new PlanEdit.Replace(content)));
  }

  /** Takes the last edit back. */
  @Transactional
  public Opened undo(String slug, Person person, int revision) {
    StoredPlan now = current(slug, person, revision);
    Trail trail = repository.trail(now.id());
    Revision.Step edit =
        trail.toUndo().orElseThrow(() -> new Refused(ServerReason.NOTHING_TO_UNDO, "revision"));
    return restore(now, person, Revision.Kind.UNDO, Told.How.UNDID, trail.before(edit), edit);
  }

  /** Brings the last undone edit back. */
  @Transactional
  public Opened redo(String slug, Person person, int revision) {
    StoredPlan now = current(slug, person, revision);
    Revision.Step edit =
        repository
            .trail(now.id())
            .toRedo()
            .orElseThrow(() -> new Refused(ServerReason.NOTHING_TO_REDO, "revision"));
    return restore(now, person, Revision.Kind.REDO, Told.How.REDID, edit.number(), edit);
  }

  /** Goes back to how the plan stood at an earlier revision, as a new edit. */
  @Transactional
  public Opened goBack(String slug, Person person, int revision, int to) {
    StoredPlan now = current(slug, person, revision);
    FarmPlan then = at(now, to);
    Told told = Told.of(Told.How.WENT_BACK, null, to);
    return store(
        now,
        person,
        then,
        step(now, Revision.Kind.EDIT, told, null, null),
        List.of(new PlanEdit.Replace(then)));
  }

  /** The plan as it stood at a revision. */
  @Transactional(readOnly = true)
  public FarmPlan at(String slug, Person person, int revision) {
    return at(get(slug, person), revision);
  }

  /** Lines of history below a revision, newest first. */
  @Transactional(readOnly = true)
  public List<Revision> history(String slug, Person person, int before) {
    return repository.history(get(slug, person).id(), before, PAGE);
  }

  /**
   * Copies a plan within its farm under another name; the copy's history begins anew.
   *
   * @param begins what the copy is made of the plan
   */
  @Transactional
  public String copy(
      String slug, Person person, String name, Function<StoredPlan, FarmPlan> begins) {
    StoredPlan from = get(slug, person);
    NotAllowed.unless(from.role(), Role.PLANNER);
    FarmPlan of = begins.apply(from);
    FarmPlan content = new FarmPlan(of.farm(), of.plan().named(name));
    repository.lockFarm(from.farmId());
    Check.range("farm.plans", repository.countOfFarm(from.farmId()) + 1, 1, MOST_OF_FARM);
    String copy = Slugs.fresh(content.plan().name());
    Told told = Told.of(Told.How.COPIED, from.content().plan().name(), from.revision());
    repository.insert(copy, from.farmId(), person.id(), content, told);
    return copy;
  }

  /**
   * Removes a plan with its history; the last one of a farm stays, however many are removed at
   * once.
   */
  @Transactional
  public void remove(String slug, Person person) {
    StoredPlan plan = lock(slug, person, Role.OWNER);
    repository.lockFarm(plan.farmId());
    if (repository.countOfFarm(plan.farmId()) == 1) {
      throw new Refused(ServerReason.LAST_PLAN, "plan");
    }
    repository.delete(plan.id());
  }

  private FarmPlan at(StoredPlan plan, int revision) {
    return repository
        .contentAt(plan.id(), revision)
        .orElseThrow(() -> new NoSuchElementException(plan.slug() + "/" + revision));
  }

  private StoredPlan lock(String slug, Person person, Role needed) {
    StoredPlan plan =
        repository.lock(slug, person.id()).orElseThrow(() -> new NoSuchElementException(slug));
    NotAllowed.unless(plan.role(), needed);
    return plan;
  }

  /** Locks a plan that must still be at the revision the person saw. */
  private StoredPlan current(String slug, Person person, int revision) {
    StoredPlan now = lock(slug, person, Role.PLANNER);
    if (now.revision() != revision) {
      throw new StaleRevision(
          now.revision(), repository.since(now.id(), Math.max(0, revision)), List.of());
    }
    return now;
  }

  private Opened restore(
      StoredPlan now,
      Person person,
      Revision.Kind kind,
      Told.How how,
      int restores,
      Revision.Step edit) {
    Told told = edit.told().again(how, edit.number());
    FarmPlan then =
        repository
            .contentAt(now.id(), restores)
            .orElseThrow(
                () ->
                    new Refused(
                        kind == Revision.Kind.UNDO
                            ? ServerReason.NOTHING_TO_UNDO
                            : ServerReason.NOTHING_TO_REDO,
                        "revision"));
    return stored(now, person, then, step(now, kind, told, restores, edit.number()), List.of());
  }

  private Opened store(
      StoredPlan now, Person person, FarmPlan content, Revision.Step step, List<PlanEdit> edits) {
    Told told = step.told().with(Difference.between(now.content(), content));
    Revision.Step whole = step(now, step.kind(), told, step.restores(), step.undid());
    return stored(now, person, content, whole, edits);
  }

  private Opened stored(
      StoredPlan now, Person person, FarmPlan content, Revision.Step step, List<PlanEdit> edits) {
    engine.resolve(content); // refuses what the tables do not know, before anything is stored
    repository.update(now, person.id(), content, step, edits);
    if (!content.farm().name().equals(now.content().farm().name())) {
      repository.renameFarm(now.farmId(), content.farm().name());
    }
    return opened(now.next(content));
  }

  private Opened opened(StoredPlan plan) {
    Trail trail = repository.trail(plan.id());
    Optional<Told> undo = trail.toUndo().map(Revision.Step::told);
    Optional<Told> redo = trail.toRedo().map(Revision.Step::told);
    return new Opened(
        plan, undo.orElse(null), redo.orElse(null), repository.others(plan.farmId(), plan.id()));
  }
}
