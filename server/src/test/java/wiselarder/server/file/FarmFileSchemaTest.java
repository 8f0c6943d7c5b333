package wiselarder.server.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.server.farm.DemoFarms;

/**
 * docs/farm-file.schema.json is made from the types that the server reads, by way of the API's
 * description, so that it cannot drift from them.
 */
class FarmFileSchemaTest {
  private static final Path API = Path.of("../web/openapi.json");
  private static final Path COMMITTED = Path.of("../docs/farm-file.schema.json");
  private static final Path EXAMPLE = Path.of("../docs/examples/smallholding.json");
  private static final JsonMapper MAPPER =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private static String made() throws IOException {
    String api = Files.readString(API).replace("#/components/schemas/", "#/$defs/");
    JsonNode types = MAPPER.readTree(api).get("components").get("schemas");
    ObjectNode schema =
        (ObjectNode)
            MAPPER.readTree(
                """
                {"$schema": "https://json-schema.org/draft/2020-12/schema",
                 "title": "Wise Larder farm file, version 18",
                 "type": "object",
                 "properties": {
                   "format": {"const": "wise-larder-farm"},
                   "version": {"const": 21},
                   "name": {"type": "string", "minLength": 1, "maxLength": 80},
                   "plans": {"type": "array", "minItems": 1, "maxItems": 50, "items": {
                     "type": "object",
                     "properties": {"farm": {"$ref": "#/$defs/Farm"}, "plan": {"$ref": "#/$defs/Plan"}},
                     "required": ["farm", "plan"], "additionalProperties": false}},
                   "records": {"type": "array", "items": {
                     "type": "object",
                     "properties": {
                       "id": {"type": "string", "minLength": 1, "maxLength": 160},
                       "on": {"type": "string", "format": "date"},
                       "fact": {"$ref": "#/$defs/Fact"},
                       "who": {"type": ["string", "null"]},
                       "at": {"type": ["string", "null"], "format": "date-time"},
                       "device": {"type": ["string", "null"]}},
                     "required": ["id", "on", "fact"], "additionalProperties": false}}},
                 "required": ["format", "version", "name", "plans", "records"],
                 "additionalProperties": false}""");
    ObjectNode defs = schema.putObject("$defs");
    Deque<String> wanted = new ArrayDeque<>(List.of("Farm", "Plan", "Fact"));
    while (!wanted.isEmpty()) {
      String name = wanted.pop();
      if (!defs.has(name)) {
        ObjectNode type = (ObjectNode) types.get(name).deepCopy();
        if (type.has("properties")) {
          type.put("additionalProperties", false);
        }
        defs.set(name, type);
        type.findValuesAsString("$ref")
            .forEach(ref -> wanted.push(ref.substring("#/$defs/".length())));
      }
    }
    return MAPPER.writeValueAsString(schema) + "\n";
  }

  @Test
  void theCommittedSchemaIsWhatTheTypesSay() throws IOException {
    if (Boolean.getBoolean("larder.openapi.write")) {
      Files.writeString(COMMITTED, made());
    }
    assertThat(Files.readString(COMMITTED)).as("renew it with ./larder api").isEqualTo(made());
  }

  @Test
  void whatTheProductWritesAndShipsFitsTheSchemaAndABrokenFileDoesNot() throws IOException {
    Schema schema =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(Files.readString(COMMITTED));
    for (String demo : DemoFarms.NAMES) {
      String file = FarmFile.write(DemoFarms.read(demo));
      assertThat(schema.validate(file, InputFormat.JSON)).as(demo).isEmpty();
    }
    String example = Files.readString(EXAMPLE);
    assertThat(schema.validate(example, InputFormat.JSON)).isEmpty();
    assertThat(
            schema.validate(example.replace("\"head\": 9", "\"head\": \"nine\""), InputFormat.JSON))
        .isNotEmpty();
    assertThat(schema.validate(example.replace("\"areaHa\"", "\"acres\""), InputFormat.JSON))
        .isNotEmpty();
  }
}
