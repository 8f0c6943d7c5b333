package wiselarder.server.plan;

import wiselarder.core.plan.FarmPlan;

/** A plan as it stands in the database. */
public record StoredPlan(long id, String slug, boolean demo, int revision, FarmPlan content) {}
