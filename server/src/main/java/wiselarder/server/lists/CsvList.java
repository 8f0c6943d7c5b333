package wiselarder.server.lists;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.server.json.Json;
import wiselarder.server.problem.Problem;
import wiselarder.server.problem.RowProblem;
import wiselarder.server.problem.ServerReason;

/**
 * Fields, groups or lots as CSV. A row with the id or the name of an item that is there changes it,
 * column by column; any other row adds one. Columns that a file lacks stay as they are.
 */
final class CsvList<T extends Record> {
  private static final CSVFormat FORMAT =
      CSVFormat.RFC4180
          .builder()
          .setHeader()
          .setSkipHeaderRecord(true)
          .setTrim(true)
          .setIgnoreEmptyLines(true)
          .get();

  /** More than any farm has of one kind. */
  private static final int MOST_ROWS = 5000;

  private final Class<T> type;
  private final List<CsvColumn> columns;
  private final String blank;
  private final Function<T, String> id;
  private final Function<T, String> name;

  /** Columns that together name an item as {@link #name} does. */
  private final List<String> named;

  /**
   * @param blank a new item's members that a file need not give, as JSON
   */
  CsvList(
      Class<T> type,
      List<CsvColumn> columns,
      String blank,
      Function<T, String> id,
      Function<T, String> name) {
    this(type, columns, blank, id, name, List.of("name"));
  }

  /**
   * @param named columns that together say which item a row without an id means
   */
  CsvList(
      Class<T> type,
      List<CsvColumn> columns,
      String blank,
      Function<T, String> id,
      Function<T, String> name,
      List<String> named) {
    this.named = named;
    this.type = type;
    this.columns = columns;
    this.blank = blank;
    this.id = id;
    this.name = name;
  }

  /** The rows that can be taken, and what is wrong with the others. */
  public record Read<T>(List<T> items, List<RowProblem> problems) {}

  String write(List<T> items, UnitSystem system) {
    StringWriter out = new StringWriter();
    try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
      printer.printRecord(columns.stream().map(c -> c.header(system)).toList());
      for (T item : items) {
        JsonNode tree = Json.MAPPER.valueToTree(item);
        printer.printRecord(columns.stream().map(c -> c.write(at(tree, c), system)).toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  Read<T> read(String csv, List<T> there) {
    List<RowProblem> problems = new ArrayList<>();
    List<T> items = new ArrayList<>();
    String text = csv.startsWith("\uFEFF") ? csv.substring(1) : csv;
    try (CSVParser parser = FORMAT.parse(new StringReader(text))) {
      Map<String, Heading> headings = headings(parser.getHeaderNames(), problems);
      Set<String> ids = new HashSet<>();
      there.forEach(t -> ids.add(id.apply(t)));
      Set<String> seen = new HashSet<>();
      if (problems.isEmpty()) {
        for (CSVRecord row : parser) {
          if (row.getRecordNumber() > MOST_ROWS) {
            problems.add(RowProblem.of(rowOf(row), "", ServerReason.TOO_MANY_ROWS, MOST_ROWS));
            break;
          }
          row(row, headings, there, ids, problems)
              .ifPresent(
                  item -> {
                    if (seen.add(id.apply(item))) {
                      items.add(item);
                    } else {
                      problems.add(
                          RowProblem.of(rowOf(row), "name", ServerReason.TWICE, name.apply(item)));
                    }
                  });
        }
      }
      if (items.isEmpty() && problems.isEmpty()) {
        problems.add(RowProblem.of(1, "", ServerReason.NO_ROWS));
      }
    } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
      problems.add(RowProblem.of(1, "", CoreReason.NOT_CSV));
    }
    return new Read<>(List.copyOf(items), List.copyOf(problems));
  }

  private record Heading(CsvColumn column, UnitSystem system) {}

  private Map<String, Heading> headings(List<String> header, List<RowProblem> problems) {
    Map<String, Heading> known = new LinkedHashMap<>();
    for (String written : header) {
      String wanted = written.toLowerCase(Locale.ROOT).strip();
      Optional<Heading> found =
          columns.stream()
              .flatMap(
                  c ->
                      java.util.Arrays.stream(UnitSystem.values())
                          .filter(s -> c.header(s).equals(wanted))
                          .map(s -> new Heading(c, s)))
              .findFirst();
      if (found.isPresent()) {
        known.put(written, found.get());
      } else {
        problems.add(
            RowProblem.of(
                1,
                written,
                ServerReason.UNKNOWN_COLUMN,
                String.join(
                    ", ", columns.stream().map(c -> c.header(UnitSystem.METRIC)).toList())));
      }
    }
    for (String needed : named) {
      if (known.values().stream().noneMatch(h -> h.column.name().equals(needed))) {
        problems.add(RowProblem.of(1, needed, CoreReason.MISSING_COLUMN, needed));
      }
    }
    return known;
  }

  private Optional<T> row(
      CSVRecord row,
      Map<String, Heading> headings,
      List<T> there,
      Set<String> ids,
      List<RowProblem> problems) {
    int before = problems.size();
    Map<CsvColumn, JsonNode> cells = new LinkedHashMap<>();
    headings.forEach(
        (written, h) -> {
          try {
            cells.put(
                h.column, h.column.read(row.isSet(written) ? row.get(written) : "", h.system));
          } catch (Refused e) {
            problems.add(new RowProblem(rowOf(row), written, Problem.of(e)));
          }
        });
    if (problems.size() > before) {
      return Optional.empty();
    }
    try {
      ObjectNode tree = start(cells, there, ids);
      cells.forEach((c, value) -> set(tree, c, value));
      T item = Json.MAPPER.treeToValue(tree, type);
      ids.add(id.apply(item));
      return Optional.of(item);
    } catch (JacksonException e) {
      problems.add(problem(row, headings, Json.refusal(e)));
    }
    return Optional.empty();
  }

  /** The item with the row's id or name, or a blank one with an id of its own. */
  private ObjectNode start(Map<CsvColumn, JsonNode> cells, List<T> there, Set<String> ids) {
    String givenId = cell(cells, "id");
    String givenName = String.join(" ", named.stream().map(column -> cell(cells, column)).toList());
    Optional<T> same =
        there.stream()
            .filter(
                t ->
                    givenId.isEmpty()
                        ? name.apply(t).equalsIgnoreCase(givenName)
                        : id.apply(t).equals(givenId))
            .findFirst();
    if (same.isPresent()) {
      ObjectNode tree = Json.MAPPER.valueToTree(same.get());
      column("id").ifPresent(c -> cells.put(c, at(tree, c)));
      return tree;
    }
    ObjectNode tree = (ObjectNode) Json.MAPPER.readTree(blank);
    String fresh = givenId.isEmpty() ? freshId(givenName, ids) : givenId;
    column("id").ifPresent(c -> cells.put(c, Json.MAPPER.valueToTree(fresh)));
    return tree;
  }

  private Optional<CsvColumn> column(String wanted) {
    return columns.stream().filter(c -> c.name().equals(wanted)).findFirst();
  }

  private static String cell(Map<CsvColumn, JsonNode> cells, String column) {
    return cells.entrySet().stream()
        .filter(e -> e.getKey().name().equals(column))
        .map(e -> e.getValue().asString(""))
        .findFirst()
        .orElse("");
  }

  private static String freshId(String name, Set<String> taken) {
    String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    String base = plain.substring(0, Math.min(30, plain.length())).replaceAll("^-|-$", "");
    String id = base.isEmpty() ? "item" : base;
    for (int n = 2; taken.contains(id); n++) {
      id = base + "-" + n;
    }
    return id;
  }

  private static JsonNode at(JsonNode tree, CsvColumn c) {
    JsonNode node = tree;
    for (String member : c.path().split("\\.")) {
      node = member.matches("\\d+") ? node.path(Integer.parseInt(member)) : node.path(member);
    }
    return node;
  }

  private static void set(ObjectNode tree, CsvColumn c, JsonNode value) {
    String[] members = c.path().split("\\.");
    ObjectNode node = tree;
    for (int i = 0; i < members.length - 1; i++) {
      if (!(node.get(members[i]) instanceof ObjectNode)) {
        if (value.isNull()) {
          return; // nothing is stated of it, and nothing is now
        }
        node.set(members[i], Json.MAPPER.createObjectNode());
      }
      node = (ObjectNode) node.get(members[i]);
    }
    String last = members[members.length - 1];
    boolean keepsDefault =
        value.isNull()
            && c.kind() != CsvColumn.Kind.TEXT
            && node.has(last)
            && !node.get(last).isNull()
            && needed(c);
    if (!keepsDefault && !asWritten(node.path(last), value)) {
      node.set(last, value);
    }
  }

  /** A list holds fewer digits than the plan: a number that went out and came back is the same. */
  private static boolean asWritten(JsonNode is, JsonNode read) {
    return is.isNumber()
        && read.isNumber()
        && Math.abs(is.asDouble() - read.asDouble()) <= WRITTEN_SHARE * Math.abs(is.asDouble());
  }

  private static final double WRITTEN_SHARE = 1e-6;

  /** Members that are never null: an empty cell leaves them as they are. */
  private static boolean needed(CsvColumn c) {
    return switch (c.kind()) {
      case WHOLE, YES_NO, CHOICE -> true;
      case NUMBER -> NEVER_NULL.contains(c.path());
      default -> false;
    };
  }

  private static final Set<String> NEVER_NULL =
      Set.of(
          "stand.openingDeadShare",
          "gainKgPerDay",
          "youngPerDam",
          "weightKg",
          "kgPerUnitAsFed",
          "dmShare",
          "keeping.windKmPerHour",
          "keeping.walkKmPerDay",
          "keeping.deathsPerYearShare",
          "keeping.besidesKgPerDay",
          "reserve.units");

  /** A refusal at the row's column, what is accepted in the unit the file is written in. */
  private RowProblem problem(CSVRecord row, Map<String, Heading> headings, Refused r) {
    String member = r.field().substring(r.field().lastIndexOf('.') + 1);
    Optional<CsvColumn> column = columns.stream().filter(c -> c.holds(r.field())).findFirst();
    Optional<Map.Entry<String, Heading>> written =
        headings.entrySet().stream()
            .filter(e -> column.filter(e.getValue().column::equals).isPresent())
            .findFirst();
    if (written.isEmpty()) {
      String name = column.map(c -> c.header(UnitSystem.METRIC)).orElse(member);
      return new RowProblem(rowOf(row), name, Problem.of(r.refusal()));
    }
    String heading = written.get().getKey();
    if (r.reason() != CoreReason.OUT_OF_RANGE) {
      return new RowProblem(rowOf(row), heading, Problem.of(r.refusal()));
    }
    CsvUnit unit = column.orElseThrow().unit();
    UnitSystem system = written.get().getValue().system;
    return RowProblem.of(
        rowOf(row),
        heading,
        CoreReason.CELL_OUT_OF_RANGE,
        row.get(heading),
        rounded(unit.fromSi(bound(r, "min"), system)),
        rounded(unit.fromSi(bound(r, "max"), system)));
  }

  private static double bound(Refused r, String which) {
    return ((Number) r.refusal().values().get(which)).doubleValue();
  }

  private static double rounded(double value) {
    return new java.math.BigDecimal(value).round(new java.math.MathContext(4)).doubleValue();
  }

  private static int rowOf(CSVRecord row) {
    return (int) row.getRecordNumber() + 1;
  }
}
