package wiselarder.server.instruments;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.forage.PlateTable;
import wiselarder.core.land.Field;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.Seen;
import wiselarder.core.walk.FieldToWalk;
import wiselarder.core.walk.Round;
import wiselarder.server.lists.BadRows;
import wiselarder.server.problem.RowProblem;
import wiselarder.server.problem.ServerReason;

/**
 * Readings of a rising plate, one a row: {@code field}, its name or id; {@code time}, a date with
 * or without the time; {@code clicks} of half a centimetre. All of a field on a day are one reading
 * of its cover, by the table's line for what stands there.
 */
final class PlateFile {
  static final int MOST_ROWS = 2000;
  private static final int MOST_DAYS = 31;
  private static final int MOST_OF_FIELD = 200;
  private static final double MOST_CLICKS = 200;
  private static final List<String> COLUMNS = List.of("field", "time", "clicks");

  private static final CSVFormat FORMAT =
      CSVFormat.DEFAULT
          .builder()
          .setHeader()
          .setSkipHeaderRecord(true)
          .setIgnoreHeaderCase(true)
          .setIgnoreEmptyLines(true)
          .setTrim(true)
          .get();

  private final Engine engine;
  private final FarmPlan plan;
  private final List<RowProblem> wrong = new ArrayList<>();

  /** Clicks by field and day, in the order in which they came, with the first row of each. */
  private final Map<Key, List<Double>> clicks = new LinkedHashMap<>();

  private final Map<Key, Integer> firstRow = new LinkedHashMap<>();
  private final Map<LocalDate, Round> rounds = new LinkedHashMap<>();

  private record Key(LocalDate on, String fieldId) {}

  private PlateFile(Engine engine, FarmPlan plan) {
    this.engine = engine;
    this.plan = plan;
  }

  /**
   * Readings of covers, a field and day each.
   *
   * @throws BadRows when any row cannot be taken
   */
  static List<Seen> read(String csv, Engine engine, FarmPlan plan) {
    PlateFile file = new PlateFile(engine, plan);
    file.rows(csv);
    List<Seen> seen = new ArrayList<>();
    file.clicks.forEach((key, of) -> file.seen(key, of, seen));
    if (seen.isEmpty() && file.wrong.isEmpty()) {
      file.wrong.add(RowProblem.of(1, "", ServerReason.NO_ROWS));
    }
    if (!file.wrong.isEmpty()) {
      throw new BadRows(file.wrong);
    }
    return seen;
  }

  private void rows(String csv) {
    String text = csv.startsWith("\uFEFF") ? csv.substring(1) : csv;
    try (CSVParser parser = FORMAT.parse(new StringReader(text))) {
      List<String> there = parser.getHeaderNames().stream().map(String::toLowerCase).toList();
      for (String wanted : COLUMNS) {
        if (!there.contains(wanted)) {
          wrong.add(RowProblem.of(1, wanted, CoreReason.MISSING_COLUMN, wanted));
        }
      }
      if (wrong.isEmpty()) {
        for (CSVRecord row : parser) {
          if (row.getRecordNumber() > MOST_ROWS) {
            wrong.add(RowProblem.of(MOST_ROWS + 2, "", ServerReason.TOO_MANY_ROWS, MOST_ROWS));
            break;
          }
          row(row);
        }
      }
    } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
      wrong.add(RowProblem.of(1, "", CoreReason.NOT_CSV));
    }
  }

  private void row(CSVRecord row) {
    int number = (int) row.getRecordNumber() + 1;
    if (!row.isConsistent()) {
      wrong.add(RowProblem.of(number, "", CoreReason.ROW_LENGTH));
      return;
    }
    String named = row.get("field");
    Field field =
        plan.farm().fields().stream()
            .filter(f -> f.id().equals(named) || f.name().equalsIgnoreCase(named))
            .findFirst()
            .orElse(null);
    if (field == null) {
      wrong.add(RowProblem.of(number, "field", CoreReason.UNKNOWN_ID, named));
      return;
    }
    LocalDate on = day(number, row.get("time"));
    Double read = clicks(number, row.get("clicks"));
    if (on != null && read != null) {
      Key key = new Key(on, field.id());
      firstRow.putIfAbsent(key, number);
      clicks.computeIfAbsent(key, k -> new ArrayList<>()).add(read);
    }
  }

  private LocalDate day(int number, String time) {
    try {
      LocalDate on = LocalDate.parse(time.length() > 10 ? time.substring(0, 10) : time);
      int day = plan.plan().year().day(on);
      if (day < 0 || day >= plan.plan().year().days()) {
        wrong.add(RowProblem.of(number, "time", ServerReason.NOT_IN_PLAN));
        return null;
      }
      return on;
    } catch (DateTimeParseException e) {
      wrong.add(RowProblem.of(number, "time", CoreReason.NO_DATE, time));
      return null;
    }
  }

  private Double clicks(int number, String cell) {
    try {
      double read = Double.parseDouble(cell);
      if (read >= 0 && read <= MOST_CLICKS) {
        return read;
      }
    } catch (NumberFormatException e) {
      // told below
    }
    wrong.add(
        RowProblem.of(number, "clicks", CoreReason.CELL_OUT_OF_RANGE, cell, 0, (int) MOST_CLICKS));
    return null;
  }

  private void seen(Key key, List<Double> of, List<Seen> into) {
    int row = firstRow.get(key);
    boolean oneMore = !rounds.containsKey(key.on);
    if (oneMore && rounds.size() >= MOST_DAYS) {
      wrong.add(RowProblem.of(row, "time", ServerReason.TOO_MANY_ROWS, MOST_ROWS));
      return;
    }
    if (of.size() > MOST_OF_FIELD) {
      wrong.add(RowProblem.of(row, "", ServerReason.TOO_MANY_ROWS, MOST_OF_FIELD));
      return;
    }
    Round round = rounds.computeIfAbsent(key.on, d -> Round.of(engine, plan, d));
    FieldToWalk field =
        round.fields().stream()
            .filter(f -> f.fieldId().equals(key.fieldId))
            .findFirst()
            .orElseThrow();
    PlateTable.Line line =
        round.plates().stream()
            .filter(p -> p.fieldId().equals(key.fieldId))
            .map(Round.Plate::line)
            .findFirst()
            .orElse(null);
    if (line == null || !line.usable()) {
      String why = line == null ? "" : line.note();
      wrong.add(RowProblem.of(row, "field", ServerReason.NO_PLATE_LINE, name(key), why));
      return;
    }
    double mean = of.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    if (mean > line.toClicks()) {
      wrong.add(
          RowProblem.of(
              row,
              "clicks",
              ServerReason.BEYOND_PLATE_LINE,
              name(key),
              (double) Math.round(mean),
              line.toClicks()));
      return;
    }
    try {
      into.add(new Seen(key.on, cover(field, line, of)));
    } catch (Refused e) {
      wrong.add(RowProblem.of(row, e));
    }
  }

  private String name(Key key) {
    return plan.field(key.fieldId).name();
  }

  private static CoverSeen cover(FieldToWalk field, PlateTable.Line line, List<Double> clicks) {
    return new CoverSeen(
        field.fieldId(),
        field.forageId(),
        CoverSeen.Way.PLATE,
        field.season(),
        HeightTable.Density.ORDINARY,
        List.of(),
        clicks,
        line.perClickKg(),
        line.baseKg(),
        List.of(),
        null,
        null,
        List.of(),
        "");
  }
}
