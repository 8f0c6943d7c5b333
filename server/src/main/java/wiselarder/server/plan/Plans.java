package wiselarder.server.plan;

import java.util.List;
import java.util.NoSuchElementException;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.closing.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.PlanEdit;

/** Plans and their edits: all of a call is stored, or nothing is. */
@Component
public class Plans {
  private final PlanRepository repository;
  private final Engine engine;

  Plans(PlanRepository repository, Engine engine) {
    this.repository = repository;
    this.engine = engine;
  }

  @Transactional(readOnly = true)
  public List<PlanRepository.Row> list() {
    return repository.list();
  }

  @Transactional(readOnly = true)
  public StoredPlan get(String slug) {
    return repository.find(slug).orElseThrow(() -> new NoSuchElementException(slug));
  }

  /**
   * Applies edits in order as one revision.
   *
   * @param revision the revision the edits were made on
   * @param editsJson the edits as they came, kept with the revision
   * @throws StaleRevision when the plan has moved on
   */
  @Transactional
  public StoredPlan edit(String slug, int revision, List<PlanEdit> edits, String editsJson) {
    StoredPlan before = repository.lock(slug).orElseThrow(() -> new NoSuchElementException(slug));
    if (before.revision() != revision) {
      throw new StaleRevision(
          before.revision(), repository.wordsSince(before.id(), Math.max(0, revision)));
    }
    FarmPlan content = before.content();
    String words =
        edits.stream().map(e -> e.words(before.content())).collect(Collectors.joining("; "));
    for (PlanEdit edit : edits) {
      content = edit.apply(content);
    }
    engine.resolve(content); // refuses what the tables do not know, before anything is stored
    repository.update(before, content, words, editsJson);
    return new StoredPlan(before.id(), slug, before.demo(), before.revision() + 1, content);
  }
}
