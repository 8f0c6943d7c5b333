package wiselarder.server.json;

import tools.jackson.core.JacksonException;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;

/** A farm with one plan as it is stored, beside the version it was written in. */
public final class PlanDocument {
  private record Part(Farm farm, Plan plan) {}

  private PlanDocument() {}

  /** The document of the present version, {@link Lift#PRESENT}. */
  public static String write(FarmPlan plan) {
    return Json.MAPPER.writeValueAsString(new Part(plan.farm(), plan.plan()));
  }

  /**
   * Reads a document of any version.
   *
   * @throws wiselarder.core.quantity.Refused naming the place in it and what is wrong there
   */
  public static FarmPlan read(String json, int version) {
    ObjectNode tree = (ObjectNode) Json.MAPPER.readTree(json);
    // Documents of old named their format, too.
    tree.remove("format");
    tree.remove("version");
    return of(Lift.from(tree, version).part());
  }

  /** Reads a lifted document. */
  public static FarmPlan of(ObjectNode part) {
    try {
      Part read = Json.MAPPER.treeToValue(part, Part.class);
      return new FarmPlan(read.farm, read.plan);
    } catch (JacksonException e) {
      throw Json.refusal(e);
    }
  }
}
