package wiselarder.server.json;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.core.plan.BaleField;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.Fact;
import wiselarder.core.records.LotCounted;
import wiselarder.core.records.LotFed;
import wiselarder.core.records.LotTested;

/**
 * Brings a farm with a plan of an older version to the present one, step by step, before anything
 * else looks at it. Every version that was ever written has its step; a new version adds one.
 *
 * <table>
 * <caption>Steps</caption>
 * <tr><td>1 to 2<td>the file gathers several plans; a plan itself stayed the same
 * <tr><td>2 to 3<td>soils, sowings, dressings, irrigations, scenarios: none where they are missing
 * <tr><td>3 to 4<td>map, lie of fields, own forages, machines, light passes: none where missing
 * <tr><td>4 to 5<td>comings and goings, keeping, origin, size, reserve: none where missing
 * <tr><td>5 to 6<td>what was fed, counted, seen and tested left the plan and became records
 * <tr><td>6 to 7<td>the most that a step gives became a portion; paddocks, heights: none where
 *     missing
 * <tr><td>7 to 8<td>blocks of fields: none where missing
 * <tr><td>8 to 9<td>dates tied to marks of the year: plain where missing
 * <tr><td>9 to 10<td>prices of the farm's own: none where missing
 * <tr><td>10 to 11<td>policies of the plan: none where missing
 * <tr><td>11 to 12<td>seed in the shed: none where missing
 * <tr><td>12 to 13<td>the plan's own jobs and its drought plan, marks of jobs among the records: none where
 *     missing
 * <tr><td>13 to 14<td>covers of fields among the records: none where missing
 * <tr><td>14 to 15<td>stems, moves, fields shut and opened by hand, heads, stakes and what else was seen
 *     among the records: none where missing
 * <tr><td>15 to 16<td>births and photos among the records, what was left of bales: none where missing
 * <tr><td>16 to 17<td>bales set out on fields: none where missing
 * <tr><td>17 to 18<td>fields fed off in breaks: none where missing
 * <tr><td>18 to 19<td>pads kept with their winter: none where missing; bales set out leave pads alone
 *     for two years, lie on their round side, are bare before the freeze and of one lot
 * <tr><td>19 to 20<td>what the ground brings into the plan, crops that stand on its first day,
 *     condition on it, worth of a lot from an earlier plan: none where missing
 * <tr><td>20 to 21<td>terms of a sowing: none where missing
 * </table>
 */
public final class Lift {
  /** The version that is written. */
  public static final int PRESENT = 21;

  private static final JsonNode NONE = Json.MAPPER.createArrayNode();

  private final ObjectNode part;
  private final List<OldRecord> records = new ArrayList<>();

  private Lift(ObjectNode part) {
    this.part = part;
  }

  /** A record that stood in a document of old: its id and day, and the fact. */
  public record OldRecord(String id, String on, JsonNode fact) {}

  /** A document of the present version, and the records that stood in it before. */
  public record Lifted(ObjectNode part, List<OldRecord> records) {}

  /**
   * Lifts a document.
   *
   * @param part an object with {@code farm} and {@code plan}; it is changed
   * @param version the one it was written in, 1 to {@link #PRESENT}
   */
  public static Lifted from(ObjectNode part, int version) {
    Lift lift = new Lift(part);
    // Up to version 5 a step only added what may be missing.
    if (version < 6) {
      lift.recordsLeaveThePlan();
    }
    if (version < 7) {
      list(part.path("plan"), "steps").forEach(Lift::portion);
    }
    if (version < 19) {
      list(part.path("plan"), "bales").forEach(Lift::plainBales);
    }
    return new Lifted(part, List.copyOf(lift.records));
  }

  private static void plainBales(JsonNode bales) {
    if (bales instanceof ObjectNode set) {
      set.put("padWinters", BaleField.USUAL_PAD_WINTERS);
      set.put("onEnd", false);
      set.put("stringsOnDay", false);
      set.put("asMade", false);
      set.putNull("mixed");
    }
  }

  private static void portion(JsonNode step) {
    JsonNode most = step.isObject() ? ((ObjectNode) step).remove("mostShare") : null;
    if (most != null && !most.isNull()) {
      ObjectNode portion = ((ObjectNode) step).putObject("portion");
      portion.put("bound", "AT_MOST").set("share", most);
      portion.putNull("kgPerHeadDay");
    }
  }

  private void recordsLeaveThePlan() {
    JsonNode plan = part.path("plan");
    for (JsonNode group : list(part.path("farm"), "groups")) {
      String id = group.path("id").asString("");
      for (JsonNode s : taken(group, "scores")) {
        ObjectNode fact = fact(ConditionSeen.class);
        fact.put("groupId", id);
        fact.set("score", s.path("score"));
        fact.set("weightKg", s.path("weightKg"));
        String on = s.path("date").asString("");
        records.add(new OldRecord("score-" + id + "-" + on, on, fact));
      }
    }
    list(part.path("farm"), "lots").forEach(this::tests);
    list(plan, "cuts").forEach(c -> tests(c.path("lot")));
    list(plan, "purchases").forEach(p -> tests(p.path("lot")));
    for (JsonNode r : taken(plan, "records")) {
      boolean fed = r.path("kind").asString("").equals("FED");
      ObjectNode fact = fact(fed ? LotFed.class : LotCounted.class);
      fact.set("lotId", r.path("lotId"));
      fact.set("units", r.path("units"));
      if (fed) {
        fact.set("groupId", r.path("groupId"));
      }
      fact.set("note", r.path("note"));
      records.add(new OldRecord(r.path("id").asString(""), r.path("date").asString(""), fact));
    }
  }

  private void tests(JsonNode lot) {
    String id = lot.path("id").asString("");
    for (JsonNode t : taken(lot, "tests")) {
      ObjectNode fact = fact(LotTested.class);
      fact.put("lotId", id);
      fact.set("test", t);
      String test = "test-" + id + "-" + t.path("id").asString("");
      records.add(new OldRecord(test, t.path("sampledOn").asString(""), fact));
    }
  }

  private static ObjectNode fact(Class<? extends Fact> kind) {
    return Json.MAPPER.createObjectNode().put("kind", Facts.name(kind));
  }

  private static JsonNode list(JsonNode of, String member) {
    JsonNode list = of.path(member);
    return list.isArray() ? list : NONE;
  }

  /** A list that a document has no longer. */
  private static ArrayNode taken(JsonNode of, String member) {
    JsonNode list = of.isObject() ? ((ObjectNode) of).remove(member) : null;
    return list instanceof ArrayNode array ? array : Json.MAPPER.createArrayNode();
  }
}
