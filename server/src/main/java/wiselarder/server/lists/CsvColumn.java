package wiselarder.server.lists;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;
import wiselarder.server.problem.ServerReason;

/**
 * One column of a CSV file and the member it stands for.
 *
 * @param name without the unit at its end
 * @param path member in JSON, a dot between levels
 * @param choices for {@link Kind#CHOICE}: what may be written, in small letters, and its id
 */
record CsvColumn(String name, CsvUnit unit, Kind kind, String path, Map<String, String> choices) {

  /** How a cell is written. */
  enum Kind {
    TEXT,
    NUMBER,
    WHOLE,
    YES_NO,
    DATE,
    /** The last day, for a half-open end. */
    LAST_DAY,
    /** 03-15 for 15 March. */
    DAY_OF_YEAR,
    CHOICE
  }

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  static CsvColumn of(String name, Kind kind, String path) {
    return new CsvColumn(name, CsvUnit.NONE, kind, path, Map.of());
  }

  /** A column for a number that is described where it is stated. */
  static CsvColumn number(String name, Stated.Figure stated) {
    return new CsvColumn(
        name,
        CsvUnit.of(stated),
        stated.whole() ? Kind.WHOLE : Kind.NUMBER,
        OWN.contains(stated.holder()) ? stated.member() : stated.name(),
        Map.of());
  }

  /** Holders whose members stand in the row's item itself, not a level below it. */
  private static final Set<String> OWN = Set.of("field", "group", "lot");

  /** Whether a refusal of that input is about this column. */
  boolean holds(String field) {
    int dot = field.indexOf('.');
    boolean own = OWN.contains(field.substring(0, Math.max(0, dot)));
    return field.equals(path) || (own && field.substring(dot + 1).equals(path));
  }

  static CsvColumn choice(String name, String path, Map<String, String> choices) {
    return new CsvColumn(name, CsvUnit.NONE, Kind.CHOICE, path, choices);
  }

  String header(UnitSystem system) {
    return name + unit.suffix(system);
  }

  /**
   * What a cell says, as JSON; null where it is empty.
   *
   * @throws Refused where it cannot be read so
   */
  JsonNode read(String cell, UnitSystem system) {
    if (cell.isEmpty()) {
      return NODES.nullNode();
    }
    return switch (kind) {
      case TEXT -> NODES.stringNode(cell.startsWith("'") ? cell.substring(1) : cell);
      case NUMBER -> NODES.numberNode(unit.toSi(number(cell), system));
      case WHOLE -> NODES.numberNode(whole(cell));
      case YES_NO -> NODES.booleanNode(yesNo(cell));
      case DATE -> NODES.stringNode(date(cell).toString());
      case LAST_DAY -> NODES.stringNode(date(cell).plusDays(1).toString());
      case DAY_OF_YEAR -> NODES.stringNode(dayOfYear(cell).toString());
      case CHOICE -> NODES.stringNode(choice(cell));
    };
  }

  /** What is written into a cell. */
  String write(JsonNode value, UnitSystem system) {
    if (value.isNull() || value.isMissingNode()) {
      return "";
    }
    return switch (kind) {
      case NUMBER -> plain(unit.fromSi(value.asDouble(), system));
      case WHOLE -> Integer.toString(value.asInt());
      case YES_NO -> value.asBoolean() ? "yes" : "no";
      case LAST_DAY -> LocalDate.parse(value.asString()).minusDays(1).toString();
      case DAY_OF_YEAR -> value.asString().substring(2);
      case TEXT -> harmless(value.asString());
      default -> value.asString();
    };
  }

  /** Nine digits are enough to come back as the same figure to a millionth. */
  static String plain(double value) {
    return new java.math.BigDecimal(value)
        .round(new java.math.MathContext(12))
        .stripTrailingZeros()
        .toPlainString();
  }

  /** A spreadsheet runs a cell that begins like a formula: an apostrophe keeps it text. */
  static String harmless(String text) {
    return text.matches("(?s)[=+\\-@\\t\\r'].*") ? "'" + text : text;
  }

  private static double number(String cell) {
    try {
      double value = Double.parseDouble(cell.replace(",", ""));
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException e) {
      // told below
    }
    throw new Refused(ServerReason.NO_NUMBER, "", cell);
  }

  private static int whole(String cell) {
    double value = number(cell);
    if (value != Math.rint(value) || Math.abs(value) > Integer.MAX_VALUE) {
      throw new Refused(ServerReason.NO_WHOLE_NUMBER, "", cell);
    }
    return (int) value;
  }

  private static boolean yesNo(String cell) {
    return switch (cell.toLowerCase(Locale.ROOT)) {
      case "yes", "y", "true", "1" -> true;
      case "no", "n", "false", "0" -> false;
      default -> throw new Refused(ServerReason.NO_YES_OR_NO, "", cell);
    };
  }

  private static LocalDate date(String cell) {
    try {
      return LocalDate.parse(cell);
    } catch (DateTimeException e) {
      throw new Refused(CoreReason.NO_DATE, "", cell);
    }
  }

  private static MonthDay dayOfYear(String cell) {
    try {
      return MonthDay.parse("--" + cell);
    } catch (DateTimeException e) {
      throw new Refused(ServerReason.NO_DAY_OF_YEAR, "", cell);
    }
  }

  private String choice(String cell) {
    String id = choices.get(cell.toLowerCase(Locale.ROOT));
    if (id == null) {
      throw choices.size() <= MOST_LISTED
          ? new Refused(
              ServerReason.NOT_ONE_OF,
              "",
              cell,
              String.join(", ", choices.values().stream().distinct().sorted().toList()))
          : new Refused(ServerReason.NOT_KNOWN, "", cell);
    }
    return id;
  }

  private static final int MOST_LISTED = 12;
}
