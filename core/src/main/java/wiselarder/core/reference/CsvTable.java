package wiselarder.core.reference;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * One shipped table, read by column name. Every refusal names file, row and column.
 *
 * <p>It splits cells itself: the tables go into the browser with the engine, where the library that
 * reads users' files does not run.
 */
public final class CsvTable {
  private CsvTable() {}

  /**
   * Reads a table shipped in the core's resources.
   *
   * @param file file name below {@code wiselarder/reference}
   * @param build makes a value from one row
   * @throws IllegalStateException when the file is missing, empty, or holds a bad row
   */
  public static <T> List<T> load(String file, Function<Row, T> build) {
    InputStream stream =
        CsvTable.class.getClassLoader().getResourceAsStream("wiselarder/reference/" + file);
    if (stream == null) {
      throw new IllegalStateException(file + ": table is missing from the product");
    }
    try (Reader reader = new InputStreamReader(stream, StandardCharsets.UTF_8)) {
      return read(file, reader, build);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** As {@link #load}, from any reader; {@code name} stands in messages. */
  public static <T> List<T> read(String name, Reader reader, Function<Row, T> build)
      throws IOException {
    List<List<String>> lines = lines(reader);
    Map<String, Integer> columns = new HashMap<>();
    for (String column : lines.isEmpty() ? List.<String>of() : lines.get(0)) {
      columns.put(column, columns.size());
    }
    List<T> rows = new ArrayList<>();
    for (int i = 1; i < lines.size(); i++) {
      rows.add(build.apply(new Row(name, i + 1, columns, lines.get(i))));
    }
    if (rows.isEmpty()) {
      throw new IllegalStateException(name + ": table has no rows");
    }
    return Collections.unmodifiableList(rows);
  }

  /** Cells line by line; one in quotes may hold commas, line ends, and quotes that stand twice. */
  private static List<List<String>> lines(Reader reader) throws IOException {
    List<List<String>> lines = new ArrayList<>();
    List<String> line = new ArrayList<>();
    StringBuilder cell = new StringBuilder();
    boolean quoted = false;
    int before = 0;
    int c;
    for (; (c = reader.read()) >= 0; before = c) {
      if (c == '"') {
        // two in a row within quotes are one
        if (!quoted && before == '"') {
          cell.append('"');
        }
        quoted = !quoted;
      } else if (quoted || (c != ',' && c != '\n' && c != '\r')) {
        cell.append((char) c);
      } else if (c != '\r') {
        line.add(cell.toString());
        cell.setLength(0);
        if (c == '\n') {
          lines.add(line);
          line = new ArrayList<>();
        }
      }
    }
    if (!line.isEmpty() || !cell.isEmpty()) {
      line.add(cell.toString());
      lines.add(line);
    }
    lines.removeIf(l -> l.size() == 1 && l.get(0).isEmpty());
    return lines;
  }

  /** One row, whose cells are asked for by column name. */
  public record Row(String file, int number, Map<String, Integer> columns, List<String> cells) {

    /** Text of a cell that must not be empty. */
    public String text(String column) {
      String value = optional(column);
      if (value.isEmpty()) {
        throw bad(column, value, "a value");
      }
      return value;
    }

    /** Text of a cell, empty where the table says "does not apply". */
    public String optional(String column) {
      Integer at = columns.get(column);
      if (at == null || at >= cells.size()) {
        throw bad(column, "", "a column of this name");
      }
      return cells.get(at).strip();
    }

    /** A number within [min, max]. */
    public double number(String column, double min, double max) {
      String value = text(column);
      double number;
      try {
        number = Double.parseDouble(value);
      } catch (NumberFormatException e) {
        throw bad(column, value, "a number");
      }
      if (!(number >= min && number <= max)) {
        throw bad(column, value, "a number from " + min + " to " + max);
      }
      return number;
    }

    /** As {@link #number}, NaN where the cell is empty. */
    public double numberOrNaN(String column, double min, double max) {
      return optional(column).isEmpty() ? Double.NaN : number(column, min, max);
    }

    private IllegalStateException bad(String column, String value, String accepted) {
      return new IllegalStateException(
          "%s row %d column %s: '%s' should be %s"
              .formatted(file, number, column, value, accepted));
    }
  }
}
