package wiselarder.server.year;

import java.util.List;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.Plan;
import wiselarder.server.catalogue.CatalogueView;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Told;

/**
 * A plan with its simulated year.
 *
 * @param farmId address of the farm it belongs to
 * @param role what the person may do there
 * @param undo the change that an undo would take back, or null
 * @param redo the change that a redo would bring back, or null
 * @param others the farm's other plans
 * @param ownForages the farm's own, as they come out
 */
public record PlanView(
    String id,
    String farmId,
    boolean demo,
    Role role,
    int revision,
    Told undo,
    Told redo,
    List<Plans.OtherPlan> others,
    Farm farm,
    Plan plan,
    List<CatalogueView.ForageView> ownForages,
    YearView year) {}
