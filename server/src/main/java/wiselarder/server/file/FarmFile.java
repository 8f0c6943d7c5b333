package wiselarder.server.file;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.server.json.Json;
import wiselarder.server.json.Lift;
import wiselarder.server.json.PlanDocument;
import wiselarder.server.problem.ServerReason;

/**
 * The farm file: a whole farm with its plans as JSON. docs/formats.md describes it.
 *
 * <p>Rule for older files: every version ever written is read, and brought to the present one step
 * by step before anything else looks at it. A newer version is refused, as what it means is not
 * known here.
 */
public final class FarmFile {
  /** Version 1 held one plan and was called a plan file. */
  static final String FORMAT_V1 = "wise-larder-plan";

  static final String FORMAT = "wise-larder-farm";

  static final int VERSION = Lift.PRESENT;

  /** More plans than this in one file is a mistake. */
  public static final int MOST_PLANS = 50;

  /** Characters of the largest file that is read. */
  public static final int MOST_CHARACTERS = 8_000_000;

  private static final JsonMapper TREE =
      JsonMapper.builder(
              JsonFactory.builder()
                  .streamReadConstraints(
                      StreamReadConstraints.builder().maxNestingDepth(40).build())
                  .build())
          .enable(tools.jackson.databind.DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  /** A farm's name, its plans, oldest first, and what was written down of it. */
  public record Content(String name, List<FarmPlan> plans, List<FarmRecord> records) {
    public Content {
      name = Check.text("name", name, 80);
      plans = List.copyOf(plans);
      Check.range("plans", plans.size(), 1, MOST_PLANS);
      records = List.copyOf(records);
    }
  }

  /** A record of the file; who wrote it, when and on what may be unknown. */
  private record Line(String id, LocalDate on, Fact fact, String who, Instant at, String device) {
    FarmRecord record() {
      return new FarmRecord(id, on, fact, new FarmRecord.Written(who, at, device));
    }

    static Line of(FarmRecord r) {
      FarmRecord.Written w = r.written();
      return new Line(r.id(), r.on(), r.fact(), w.who(), w.at(), w.device());
    }
  }

  private record Part(Farm farm, Plan plan) {}

  private record Document(
      String format, int version, String name, List<Part> plans, List<Line> records) {}

  private FarmFile() {}

  /**
   * Reads a farm file of any version up to the present one.
   *
   * @throws Refused naming the place in the file and what is wrong there
   */
  public static Content read(String json) {
    if (json.length() > MOST_CHARACTERS) {
      throw new Refused(ServerReason.FILE_TOO_LARGE, "file", MOST_CHARACTERS / 1_000_000);
    }
    try {
      JsonNode tree = TREE.readTree(json);
      return FORMAT_V1.equals(tree.path("format").asString("")) ? v1(tree) : present(tree);
    } catch (DatabindException e) {
      throw Json.refusal(e);
    } catch (StreamReadException e) {
      throw Json.notJson(e);
    } catch (JacksonException e) {
      throw new Refused(ServerReason.NOT_JSON, "file", 0, 0);
    }
  }

  /** As {@link #read(String)}, from disk. */
  public static Content read(Path path) {
    try {
      return read(Files.readString(path));
    } catch (MalformedInputException e) {
      throw new Refused(ServerReason.NOT_TEXT, "file");
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read " + path, e);
    }
  }

  /** Version 1 held one plan, and was strict about what stood beside it. */
  private static Content v1(JsonNode tree) {
    ObjectNode part = ((ObjectNode) tree).deepCopy();
    part.remove("format");
    version(part.remove("version"), 1, 1);
    String name = tree.path("farm").path("name").asString("Farm");
    return content(name, List.of(part), 1, List.of());
  }

  private static Content present(JsonNode tree) {
    String format = tree.path("format").asString("");
    if (!tree.isObject() || !FORMAT.equals(format)) {
      throw new Refused(ServerReason.FOREIGN_FILE, "format", FORMAT);
    }
    int version = version(tree.path("version"), 2, VERSION);
    for (String name : tree.propertyNames()) {
      if (!MEMBERS.contains(name)) {
        throw new Refused(ServerReason.UNKNOWN_NAME, "file", name, String.join(", ", MEMBERS));
      }
    }
    JsonNode plans = tree.path("plans");
    if (!plans.isArray()) {
      throw new Refused(ServerReason.UNREADABLE, "plans", "list");
    }
    List<Line> lines = new ArrayList<>();
    JsonNode records = tree.path("records");
    for (int i = 0; i < records.size(); i++) {
      lines.add(line("records[%d]".formatted(i), records.get(i)));
    }
    return content(tree.path("name").asString(null), plans, version, lines);
  }

  private static final List<String> MEMBERS =
      List.of("format", "version", "name", "plans", "records");

  private static int version(JsonNode given, int oldest, int newest) {
    int version = given == null ? -1 : given.asInt(-1);
    if (version < oldest || version > newest) {
      throw new Refused(ServerReason.FILE_VERSION, "version", version, newest);
    }
    return version;
  }

  private static Line line(String place, JsonNode tree) {
    try {
      Line line = Json.MAPPER.treeToValue(tree, Line.class);
      Check.present(place, line).record();
      return line;
    } catch (JacksonException e) {
      throw at(place, Json.refusal(e));
    } catch (Refused r) {
      throw at(place, r);
    }
  }

  /** What stood in plans of old as records comes once, however many plans held it. */
  private static Content content(
      String name, Iterable<? extends JsonNode> plans, int version, List<Line> lines) {
    List<FarmPlan> read = new ArrayList<>();
    Map<String, FarmRecord> records = new LinkedHashMap<>();
    lines.forEach(l -> records.putIfAbsent(l.id, l.record()));
    for (JsonNode part : plans) {
      String place = "plans[%d]".formatted(read.size());
      if (!(part instanceof ObjectNode object)) {
        throw new Refused(CoreReason.MISSING, place).at(place);
      }
      Lift.Lifted lifted = Lift.from(object, version);
      read.add(plan(place, lifted.part()));
      for (Lift.OldRecord r : lifted.records()) {
        ObjectNode line = Json.MAPPER.createObjectNode();
        line.put("id", r.id()).put("on", r.on()).set("fact", r.fact());
        records.putIfAbsent(r.id(), line(place, line).record());
      }
    }
    return new Content(name, read, List.copyOf(records.values()));
  }

  private static FarmPlan plan(String place, ObjectNode lifted) {
    try {
      return PlanDocument.of(lifted);
    } catch (Refused r) {
      throw at(place, r);
    }
  }

  /** Puts the place in the file before what is wrong there. */
  private static Refused at(String place, Refused r) {
    return r.at(r.place().isEmpty() ? place : place + "." + r.place());
  }

  /** Writes a farm file of the present version. */
  public static String write(Content content) {
    return Json.MAPPER
        .writer()
        .with(SerializationFeature.INDENT_OUTPUT)
        .writeValueAsString(
            new Document(
                FORMAT,
                VERSION,
                content.name(),
                content.plans().stream().map(p -> new Part(p.farm(), p.plan())).toList(),
                content.records().stream().map(Line::of).toList()));
  }

  /** What the file is called when it is taken out. */
  public static String fileName(String farmName) {
    String plain = farmName.replaceAll("[^A-Za-z0-9]+", "-").replaceAll("^-|-$", "");
    return (plain.isEmpty() ? "farm" : plain).toLowerCase(java.util.Locale.ROOT);
  }
}
