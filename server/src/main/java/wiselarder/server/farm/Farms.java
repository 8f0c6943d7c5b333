package wiselarder.server.farm;

import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.server.file.FarmFile;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.PlanRepository;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Slugs;
import wiselarder.server.plan.Told;
import wiselarder.server.records.Records;

/** Farms of a person. A farm they may not see does not exist for them. */
@Component
public class Farms {
  /** Farms that one person may own. */
  private static final int MOST_OWNED = 1000;

  private final FarmRepository farms;
  private final PlanRepository plans;
  private final Records records;
  private final Engine engine;

  Farms(FarmRepository farms, PlanRepository plans, Records records, Engine engine) {
    this.records = records;
    this.farms = farms;
    this.plans = plans;
    this.engine = engine;
  }

  /** A farm as its owner named it; {@code plan} is the address of its first plan. */
  public record Made(String farm, String plan) {}

  /** A farm of a person with its plans, the oldest first. */
  public record Known(
      String id, String name, boolean demo, Role role, List<PlanRepository.Row> plans) {}

  /**
   * Farms of a person.
   *
   * @param found how many there are of those that were looked for
   * @param total how many the person has
   */
  public record Found(List<Known> farms, int found, int total) {}

  /** So many farms with a part of their name, whatever its case; empty for all. */
  @Transactional(readOnly = true)
  public Found find(Person person, String find, int most) {
    List<FarmRepository.Row> rows = farms.list(person.id(), find, most);
    Map<String, List<PlanRepository.Row>> plansOf =
        plans.list(person.id(), rows.stream().map(FarmRepository.Row::slug).toList()).stream()
            .collect(Collectors.groupingBy(PlanRepository.Row::farm));
    List<Known> known =
        rows.stream()
            .map(
                f ->
                    new Known(
                        f.slug(),
                        f.name(),
                        f.demo(),
                        f.role(),
                        plansOf.getOrDefault(f.slug(), List.of())))
            .toList();
    int total = farms.count(person.id(), "");
    return new Found(known, find.isEmpty() ? total : farms.count(person.id(), find), total);
  }

  /** The plans of a farm, the oldest first. */
  @Transactional(readOnly = true)
  public List<PlanRepository.Row> plansOf(String slug, Person person) {
    require(slug, person, Role.READER);
    return plans.list(person.id(), List.of(slug));
  }

  /**
   * As {@link #make(Person, FarmFile.Content, Told.How)}, of a farm with one plan and no records.
   */
  @Transactional
  public Made make(Person person, FarmPlan plan, Told.How how) {
    return make(person, new FarmFile.Content(plan.farm().name(), List.of(plan), List.of()), how);
  }

  /**
   * Makes a farm with its plans and records, all of it or nothing; the person becomes its owner.
   */
  @Transactional
  public Made make(Person person, FarmFile.Content content, Told.How how) {
    if (person.visitor()) {
      throw new VisitorsMakeNothing();
    }
    String called = Check.text("farm.name", content.name(), 80);
    Check.range("person.farms", farms.countOwned(person.id()) + 1, 1, MOST_OWNED);
    long id = farms.insert(Slugs.fresh(called), called, false);
    farms.put(id, person.id(), Role.OWNER);
    String first = insert(id, person, content, how).get(0);
    return new Made(farms.slug(id), first);
  }

  /** Adds plans and records to a farm, all of them or none. */
  @Transactional
  public List<String> addPlans(String slug, Person person, FarmFile.Content content, Told.How how) {
    FarmRepository.Row farm = require(slug, person, Role.PLANNER);
    plans.lockFarm(farm.id());
    int after = plans.countOfFarm(farm.id()) + content.plans().size();
    Check.range("farm.plans", after, 1, Plans.MOST_OF_FARM);
    return insert(farm.id(), person, content, how);
  }

  private List<String> insert(long farmId, Person person, FarmFile.Content content, Told.How how) {
    Check.range("file.plans", content.plans().size(), 1, FarmFile.MOST_PLANS);
    records.takeIn(farmId, Slugs.fresh("file"), content.records());
    return content.plans().stream()
        .map(
            plan -> {
              engine.resolve(plan); // refuses what the tables do not know
              String slug = Slugs.fresh(plan.plan().name());
              plans.insert(slug, farmId, person.id(), plan, Told.began(how));
              return slug;
            })
        .toList();
  }

  /** A whole farm, for its file. */
  @Transactional(readOnly = true)
  public FarmFile.Content whole(String slug, Person person) {
    FarmRepository.Row farm = require(slug, person, Role.READER);
    return new FarmFile.Content(
        farm.name(), plans.ofFarm(farm.id()), records.allOf(farm.id()).written());
  }

  /** Removes a farm with its plans and their history. */
  @Transactional
  public void remove(String slug, Person person) {
    farms.delete(require(slug, person, Role.OWNER).id());
  }

  private FarmRepository.Row require(String slug, Person person, Role needed) {
    FarmRepository.Row farm =
        farms.find(slug, person.id()).orElseThrow(() -> new NoSuchElementException(slug));
    NotAllowed.unless(farm.role(), needed);
    return farm;
  }

  /** The visitor looks at the demo farms and makes none. */
  public static final class VisitorsMakeNothing extends RuntimeException {
    private static final long serialVersionUID = 1L;

    VisitorsMakeNothing() {
      super("sign in to make a farm of your own");
    }
  }
}
