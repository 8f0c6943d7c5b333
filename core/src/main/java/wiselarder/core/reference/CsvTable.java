package wiselarder.core.reference;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** One shipped table, read by column name. Every refusal names file, row and column. */
public final class CsvTable {
  private static final CSVFormat FORMAT =
      CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).get();

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
    try (CSVParser parser = FORMAT.parse(reader)) {
      List<T> rows = parser.stream().map(r -> build.apply(new Row(name, r))).toList();
      if (rows.isEmpty()) {
        throw new IllegalStateException(name + ": table has no rows");
      }
      return rows;
    }
  }

  /** One row, whose cells are asked for by column name. */
  public record Row(String file, CSVRecord cells) {

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
      if (!cells.isMapped(column)) {
        throw bad(column, "", "a column of this name");
      }
      return cells.get(column).strip();
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
              .formatted(file, cells.getRecordNumber() + 1, column, value, accepted));
    }
  }
}
