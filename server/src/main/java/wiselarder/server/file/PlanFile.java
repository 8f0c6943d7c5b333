package wiselarder.server.file;

import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;
import wiselarder.core.quantity.Refused;

/** One plan with its farm as JSON: how a plan is stored, and version 1 of the farm file. */
public final class PlanFile {
  static final String FORMAT = "wise-larder-plan";
  static final int VERSION = 1;

  /** Strict: an unknown or missing name is an error, so that nothing is silently dropped. */
  public static final JsonMapper MAPPER =
      JsonMapper.builder()
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS)
          .build();

  private record Document(String format, int version, Farm farm, Plan plan) {}

  private PlanFile() {}

  /**
   * Reads a plan file.
   *
   * @throws Refused naming the place in the file and what is wrong there
   */
  public static FarmPlan read(String json) {
    try {
      Document document = MAPPER.readValue(json, Document.class);
      if (!FORMAT.equals(document.format)) {
        throw new Refused(
            "foreign_file", "format", document.format, "\"format\" should be \"" + FORMAT + "\"");
      }
      if (document.version != VERSION) {
        throw new Refused(
            "file_version",
            "version",
            document.version,
            "\"version\" is %d; this product reads %d".formatted(document.version, VERSION));
      }
      return new FarmPlan(document.farm, document.plan);
    } catch (DatabindException e) {
      throw refusal(e);
    } catch (StreamReadException e) {
      throw notJson(e);
    } catch (JacksonException e) {
      throw new Refused("not_json", "file", null, e.getOriginalMessage());
    }
  }

  /** Where a file stops being JSON. */
  static Refused notJson(StreamReadException e) {
    return new Refused(
        "not_json",
        "file",
        null,
        "not JSON at line %d, column %d: %s"
            .formatted(
                e.getLocation().getLineNr(),
                e.getLocation().getColumnNr(),
                e.getOriginalMessage()));
  }

  public static String write(FarmPlan plan) {
    return MAPPER
        .writer()
        .with(SerializationFeature.INDENT_OUTPUT)
        .writeValueAsString(new Document(FORMAT, VERSION, plan.farm(), plan.plan()));
  }

  /** What a reading error means, with the place it stands at. */
  public static Refused refusal(DatabindException e) {
    StringBuilder path = new StringBuilder();
    e.getPath()
        .forEach(
            r ->
                path.append(
                    r.getPropertyName() == null
                        ? "[" + r.getIndex() + "]"
                        : (path.isEmpty() ? "" : ".") + r.getPropertyName()));
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof Refused r) {
        return new Refused(
            r.code(), r.field(), r.value(), r.min(), r.max(), path + ": " + r.getMessage());
      }
    }
    String place = path.isEmpty() ? "file" : path.toString();
    return new Refused("unreadable", place, null, place + ": " + meaning(e));
  }

  private static String meaning(DatabindException e) {
    if (e instanceof UnrecognizedPropertyException unknown) {
      return "this name is not known here; known are " + unknown.getKnownPropertyIds();
    }
    if (e.getOriginalMessage().startsWith("Cannot map `null`")) {
      return "is missing";
    }
    if (e instanceof MismatchedInputException mismatch && mismatch.getTargetType() != null) {
      String type = mismatch.getTargetType().getSimpleName();
      return "cannot be read as " + TYPES.getOrDefault(type, "a " + type);
    }
    return "cannot be read";
  }

  private static final Map<String, String> TYPES =
      Map.of(
          "int", "a whole number",
          "double", "a number",
          "Double", "a number",
          "boolean", "true or false",
          "LocalDate", "a date like 2027-09-01",
          "MonthDay", "a day of the year like --03-01",
          "List", "a list",
          "ArrayList", "a list");
}
