package wiselarder.server.plan;

import wiselarder.core.plan.FarmPlan;
import wiselarder.server.people.Role;

/**
 * A plan as it stands in the database, for one person.
 *
 * @param farm slug of the farm it belongs to
 * @param role what that person may do there
 */
public record StoredPlan(
    long id,
    String slug,
    long farmId,
    String farm,
    boolean demo,
    Role role,
    int revision,
    FarmPlan content) {

  StoredPlan next(FarmPlan changed) {
    return new StoredPlan(id, slug, farmId, farm, demo, role, revision + 1, changed);
  }
}
