package wiselarder.server.plan;

import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.PlanEdit;
import wiselarder.core.plan.Rebase;
import wiselarder.core.quantity.Refused;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;

/**
 * Plans and their history: all of a call is stored, or nothing is. A plan that the person may not
 * see does not exist for them ({@link NoSuchElementException}).
 */
@Component
public class Plans {
  /** Lines of history given at once. */
  private static final int PAGE = 100;

  private final PlanRepository repository;
  private final Engine engine;

  Plans(PlanRepository repository, Engine engine) {
    this.repository = repository;
    this.engine = engine;
  }

  /** A plan with what undo and redo would do, null where there is nothing. */
  public record Opened(StoredPlan plan, String undo, String redo) {}

  @Transactional(readOnly = true)
  public List<PlanRepository.Row> list(Person person) {
    return repository.list(person.id());
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
   * @param editsJson the edits as they came, kept with the revision
   * @throws StaleRevision when the plan has moved on beyond that
   */
  @Transactional
  public Opened edit(
      String slug,
      Person person,
      int revision,
      Integer onTopOf,
      List<PlanEdit> edits,
      String editsJson) {
    StoredPlan now = lock(slug, person, Role.PLANNER);
    List<PlanEdit> made = edits;
    if (now.revision() != revision) {
      FarmPlan base =
          repository
              .contentAt(now.id(), revision)
              .orElseThrow(
                  () ->
                      new Refused(
                          "no_such_revision",
                          "revision",
                          revision,
                          1.0,
                          (double) now.revision(),
                          "there is no revision " + revision));
      Rebase.Outcome outcome = Rebase.onTop(base, now.content(), edits);
      if (onTopOf == null || onTopOf != now.revision()) {
        throw new StaleRevision(
            now.revision(), repository.since(now.id(), revision), outcome.clashes());
      }
      made = outcome.edits();
    }
    FarmPlan content = now.content();
    String words =
        made.stream()
            .map(e -> e.words(now.content()))
            .filter(w -> !w.isEmpty())
            .collect(Collectors.joining("; "));
    for (PlanEdit edit : made) {
      content = edit.apply(content);
    }
    return store(
        now,
        person,
        content,
        new Revision.Step(
            now.revision() + 1,
            Revision.Kind.EDIT,
            words.isEmpty() ? "Changed nothing" : words,
            null,
            null),
        editsJson);
  }

  /** Replaces the whole plan as one revision. */
  @Transactional
  public Opened replace(String slug, Person person, int revision, FarmPlan content, String words) {
    StoredPlan now = current(slug, person, revision);
    return store(
        now,
        person,
        content,
        new Revision.Step(now.revision() + 1, Revision.Kind.EDIT, words, null, null),
        "[]");
  }

  /** Takes the last edit back. */
  @Transactional
  public Opened undo(String slug, Person person, int revision) {
    StoredPlan now = current(slug, person, revision);
    Trail trail = repository.trail(now.id());
    Revision.Step edit =
        trail
            .toUndo()
            .orElseThrow(
                () -> new Refused("nothing_to_undo", "revision", revision, "nothing to undo"));
    int restores = trail.before(edit);
    return restore(now, person, Revision.Kind.UNDO, restores, edit, "Undid: " + edit.words());
  }

  /** Brings the last undone edit back. */
  @Transactional
  public Opened redo(String slug, Person person, int revision) {
    StoredPlan now = current(slug, person, revision);
    Revision.Step edit =
        repository
            .trail(now.id())
            .toRedo()
            .orElseThrow(
                () -> new Refused("nothing_to_redo", "revision", revision, "nothing to redo"));
    return restore(now, person, Revision.Kind.REDO, edit.number(), edit, "Redid: " + edit.words());
  }

  /** Goes back to how the plan stood at an earlier revision, as a new edit. */
  @Transactional
  public Opened goBack(String slug, Person person, int revision, int to) {
    StoredPlan now = current(slug, person, revision);
    return replace(
        slug, person, revision, at(now, to), "Went back to how it stood at change " + to);
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

  /** Copies a plan within its farm under another name; the copy's history begins anew. */
  @Transactional
  public String copy(String slug, Person person, String name) {
    StoredPlan from = get(slug, person);
    NotAllowed.unless(from.role(), Role.PLANNER);
    FarmPlan content = new FarmPlan(from.content().farm(), from.content().plan().named(name));
    String copy = Slugs.fresh(content.plan().name());
    repository.insert(
        copy,
        from.farmId(),
        person.id(),
        content,
        "Copied from %s at change %d".formatted(from.content().plan().name(), from.revision()));
    return copy;
  }

  /** Removes a plan with its history; the last one of a farm stays. */
  @Transactional
  public void remove(String slug, Person person) {
    StoredPlan plan = lock(slug, person, Role.OWNER);
    if (repository.countOfFarm(plan.farmId()) == 1) {
      throw new Refused(
          "last_plan", "plan", slug, "this is the farm's only plan: remove the farm instead");
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
      int restores,
      Revision.Step edit,
      String words) {
    return store(
        now,
        person,
        at(now, restores),
        new Revision.Step(now.revision() + 1, kind, words, restores, edit.number()),
        "[]");
  }

  private Opened store(
      StoredPlan now, Person person, FarmPlan content, Revision.Step step, String editsJson) {
    engine.resolve(content); // refuses what the tables do not know, before anything is stored
    repository.update(now, person.id(), content, step, editsJson);
    if (!content.farm().name().equals(now.content().farm().name())) {
      repository.renameFarm(now.farmId(), content.farm().name());
    }
    return opened(now.next(content));
  }

  private Opened opened(StoredPlan plan) {
    Trail trail = repository.trail(plan.id());
    Optional<String> undo = trail.toUndo().map(Revision.Step::words);
    Optional<String> redo = trail.toRedo().map(Revision.Step::words);
    return new Opened(plan, undo.orElse(null), redo.orElse(null));
  }
}
