package wiselarder.server.file;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;

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

  /**
   * Version 2 lacks soils, sowings, dressings, irrigations and scenarios, version 3 the map, how
   * fields lie, own forages, machines and light passes, version 4 comings and goings, keeping,
   * condition, what lots come from, their size, reserves and tests, and records of the store: none
   * of them.
   */
  static final int OLDEST = 2;

  static final int VERSION = 5;

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

  /** A farm's name and its plans, oldest first. */
  public record Content(String name, List<FarmPlan> plans) {
    public Content {
      name = Check.text("name", name, 80);
      plans = List.copyOf(plans);
      Check.range("plans", plans.size(), 1, MOST_PLANS);
    }
  }

  private record Part(Farm farm, Plan plan) {}

  private record Document(String format, int version, String name, List<Part> plans) {}

  private FarmFile() {}

  /**
   * Reads a farm file of any version up to the present one.
   *
   * @throws Refused naming the place in the file and what is wrong there
   */
  public static Content read(String json) {
    if (json.length() > MOST_CHARACTERS) {
      throw new Refused(
          "too_large",
          "file",
          json.length(),
          1.0,
          (double) MOST_CHARACTERS,
          "the file is larger than %d million characters".formatted(MOST_CHARACTERS / 1_000_000));
    }
    try {
      JsonNode tree = TREE.readTree(json);
      return FORMAT_V1.equals(tree.path("format").asString("")) ? v1(json, tree) : present(tree);
    } catch (DatabindException e) {
      throw PlanFile.refusal(e);
    } catch (StreamReadException e) {
      throw PlanFile.notJson(e);
    } catch (JacksonException e) {
      throw new Refused("not_json", "file", null, e.getOriginalMessage());
    }
  }

  /** As {@link #read(String)}, from disk. */
  public static Content read(Path path) {
    try {
      return read(Files.readString(path));
    } catch (MalformedInputException e) {
      throw new Refused("not_json", "file", null, "this is no text in UTF-8");
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read " + path, e);
    }
  }

  private static Content v1(String json, JsonNode tree) {
    FarmPlan only = PlanFile.read(json);
    return new Content(tree.path("farm").path("name").asString("Farm"), List.of(only));
  }

  private static Content present(JsonNode tree) {
    String format = tree.path("format").asString("");
    if (!tree.isObject() || !FORMAT.equals(format)) {
      throw new Refused(
          "foreign_file",
          "format",
          format,
          "this is no farm file: \"format\" should be \"%s\"".formatted(FORMAT));
    }
    int version = tree.path("version").asInt(-1);
    if (version < OLDEST || version > VERSION) {
      throw new Refused(
          "file_version",
          "version",
          version,
          version > VERSION
              ? "\"version\" is %d, from a newer product; this one reads up to %d"
                  .formatted(version, VERSION)
              : "\"version\" should be a number from 1 to %d".formatted(VERSION));
    }
    Document document = PlanFile.MAPPER.treeToValue(tree, Document.class);
    Check.present("plans", document.plans);
    List<FarmPlan> plans = new ArrayList<>();
    for (int i = 0; i < document.plans.size(); i++) {
      Part part = Check.present("plans[%d]".formatted(i), document.plans.get(i));
      plans.add(whole(i, part));
    }
    return new Content(document.name, plans);
  }

  /** Puts the place in the file before what farm and plan together refuse. */
  private static FarmPlan whole(int index, Part part) {
    try {
      return new FarmPlan(part.farm, part.plan);
    } catch (Refused r) {
      throw new Refused(
          r.code(),
          r.field(),
          r.value(),
          r.min(),
          r.max(),
          "plans[%d]: %s".formatted(index, r.getMessage()));
    }
  }

  public static String write(Content content) {
    return PlanFile.MAPPER
        .writer()
        .with(SerializationFeature.INDENT_OUTPUT)
        .writeValueAsString(
            new Document(
                FORMAT,
                VERSION,
                content.name(),
                content.plans().stream().map(p -> new Part(p.farm(), p.plan())).toList()));
  }

  /** What the file is called when it is taken out. */
  public static String fileName(String farmName) {
    String plain = farmName.replaceAll("[^A-Za-z0-9]+", "-").replaceAll("^-|-$", "");
    return (plain.isEmpty() ? "farm" : plain).toLowerCase(java.util.Locale.ROOT);
  }
}
