package wiselarder.e2e;

import com.microsoft.playwright.Page;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.file.FarmFile;

/** The demo farm with each of its fields parted in four or more, so that there are sixty. */
final class SixtyFields {
  private static final int FIELDS = 60;
  private static final JsonMapper MAPPER = new JsonMapper();

  private static final String REPLACE =
      """
      async (file) => {
        const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
        const plan = await (await fetch('/api/plans/quillback')).json();
        const answer = await fetch('/api/plans/quillback/file?revision=' + plan.revision, {
          method: 'POST', body: file,
          headers: {'X-XSRF-TOKEN': token, 'Content-Type': 'application/json'}});
        return answer.status;
      }""";

  private SixtyFields() {}

  /** Puts them in the place of the demo plan; the page is to be on the product. */
  static void into(Page page) {
    Object status = page.evaluate(REPLACE, file());
    if (!status.equals(200)) {
      throw new AssertionError("the farm of sixty fields is refused: " + status);
    }
    page.reload();
  }

  private static String file() {
    JsonNode tree = MAPPER.readTree(FarmFile.write(DemoFarms.read("quillback")));
    ObjectNode part = (ObjectNode) tree.get("plans").get(0);
    ArrayNode fields = (ArrayNode) part.get("farm").get("fields");
    List<JsonNode> whole = List.copyOf(fields.valueStream().toList());
    Map<String, List<String>> parts = new LinkedHashMap<>();
    fields.removeAll();
    for (int f = 0; f < whole.size(); f++) {
      int pieces = FIELDS / whole.size() + (f < FIELDS % whole.size() ? 1 : 0);
      String id = whole.get(f).get("id").asString();
      parts.put(id, new java.util.ArrayList<>());
      for (int i = 1; i <= pieces; i++) {
        ObjectNode one = (ObjectNode) whole.get(f).deepCopy();
        one.put("id", i == 1 ? id : id + "-" + i);
        one.put("name", whole.get(f).get("name").asString() + " " + i);
        one.put("areaHa", one.get("areaHa").asDouble() / pieces);
        one.putNull("deductedHa");
        one.putNull("outline");
        fields.add(one);
        parts.get(id).add(one.get("id").asString());
      }
    }
    for (JsonNode step : part.get("plan").get("steps")) {
      ArrayNode sources = (ArrayNode) step.get("sourceIds");
      List<String> ids = sources.valueStream().map(JsonNode::asString).toList();
      sources.removeAll();
      ids.forEach(id -> parts.getOrDefault(id, List.of(id)).forEach(sources::add));
    }
    return MAPPER.writeValueAsString(tree);
  }
}
