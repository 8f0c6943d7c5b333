package wiselarder.core.weather;

import java.io.IOException;
import java.io.StringReader;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refusal;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * Daily weather that somebody measured. Arrays begin on {@code start}, one value a day, NaN where
 * none was recorded; deg C, mm, MJ/m2.
 */
public record RecordedWeather(
    String name,
    LocalDate start,
    List<Double> tminC,
    List<Double> tmaxC,
    List<Double> rainMm,
    List<Double> solarMjPerM2,
    List<Double> et0Mm) {
  public static final Stated.Text NAME = Stated.text("weather.name", 60);

  /** Longest run of missing temperatures that is bridged by a straight line, days. */
  static final int LONGEST_BRIDGE_DAYS = 5;

  /** A year that has fewer recorded days than this is not offered. */
  private static final int LEAST_DAYS = 180;

  private static final int MOST_DAYS = 40 * 366;

  public RecordedWeather {
    name = NAME.check(name);
    Check.present("weather.start", start);
    Check.range("weather.days", tminC.size(), 1, MOST_DAYS);
  }

  /** One row that could not be read; the refusal's field is the column. */
  public record BadRow(int row, Refusal why) {}

  /**
   * What a file held: the days, and the rows that were left out.
   *
   * @param found the days, or null where no row could be read
   * @param rows rows of the file, {@code rowOf} that of a day
   */
  public record Read(
      RecordedWeather found, int rows, Map<LocalDate, Integer> rowOf, List<BadRow> bad) {
    /**
     * The days.
     *
     * @throws Refused when no row could be read
     */
    public RecordedWeather weather() {
      if (found == null) {
        throw new Refused(CoreReason.NO_DAYS, "weather.file");
      }
      return found;
    }
  }

  /**
   * Days that had to be made up: temperatures bridged between neighbours, or taken from the normal
   * year; rain taken from the normal year; evapotranspiration reckoned from temperatures.
   */
  public record Filled(
      int bridgedDays, int normalTemperatureDays, int normalRainDays, int reckonedEt0Days) {}

  /** A plan year with recorded weather laid on it. */
  public record Laid(WeatherYear weather, Filled filled) {}

  private static final Map<String, double[]> COLUMNS =
      // column: lowest, highest, and the straight line to the unit kept here
      Map.of(
          "tmin_c", new double[] {-60, 45, 1, 0},
          "tmax_c", new double[] {-50, 60, 1, 0},
          "rain_mm", new double[] {0, 500, 1, 0},
          "solar_mj_m2", new double[] {0, 45, 1, 0},
          "et0_mm", new double[] {0, 20, 1, 0},
          "tmin_f", new double[] {-76, 113, 5 / 9.0, -160 / 9.0},
          "tmax_f", new double[] {-58, 140, 5 / 9.0, -160 / 9.0},
          "rain_in", new double[] {0, 20, 25.4, 0},
          "et0_in", new double[] {0, 0.8, 25.4, 0});

  private static final String[][] WANTED = {
    {"tmin_c", "tmin_f"},
    {"tmax_c", "tmax_f"},
    {"rain_mm", "rain_in"},
    {"solar_mj_m2"},
    {"et0_mm", "et0_in"}
  };

  /** Days of a century and more. */
  private static final int MOST_ROWS = 40_000;

  /**
   * Reads a CSV file with the columns date, tmin_c, tmax_c, rain_mm and optionally solar_mj_m2 and
   * et0_mm (or tmin_f, tmax_f, rain_in, et0_in), in any order, rows in any order. An empty cell is
   * a missing value; a row that cannot be read is left out and reported.
   *
   * @throws Refused when a needed column is missing
   */
  public static Read read(String name, String csv) {
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreHeaderCase(true)
            .setTrim(true)
            .setIgnoreEmptyLines(true)
            .get();
    String text = csv.startsWith("\uFEFF") ? csv.substring(1) : csv;
    try (CSVParser parser = format.parse(new StringReader(text))) {
      String[] columns = columns(parser);
      List<BadRow> bad = new ArrayList<>();
      TreeMap<LocalDate, double[]> days = new TreeMap<>();
      Map<LocalDate, Integer> rowOf = new HashMap<>();
      int rows = 0;
      for (CSVRecord row : parser) {
        Check.range("weather.rows", ++rows, 1, MOST_ROWS);
        LocalDate date = day(row, columns, days, bad);
        if (date != null) {
          rowOf.put(date, (int) row.getRecordNumber() + 1);
        }
      }
      return new Read(days.isEmpty() ? null : of(name, days), rows, rowOf, List.copyOf(bad));
    } catch (IOException | IllegalArgumentException e) {
      throw new Refused(CoreReason.NOT_CSV, "weather.file");
    }
  }

  private static String[] columns(CSVParser parser) {
    List<String> names = parser.getHeaderNames().stream().map(String::toLowerCase).toList();
    if (!names.contains("date")) {
      throw new Refused(CoreReason.MISSING_COLUMN, "weather.file", "date");
    }
    String[] found = new String[WANTED.length];
    for (int i = 0; i < WANTED.length; i++) {
      for (String wanted : WANTED[i]) {
        found[i] = names.contains(wanted) ? wanted : found[i];
      }
      if (found[i] == null && i < 3) {
        String accepted = String.join(" or ", WANTED[i]);
        throw new Refused(CoreReason.MISSING_COLUMN, "weather.file", accepted);
      }
    }
    return found;
  }

  /** The day of a row that is taken, or null. */
  private static LocalDate day(
      CSVRecord row, String[] columns, TreeMap<LocalDate, double[]> days, List<BadRow> bad) {
    int number = (int) row.getRecordNumber() + 1;
    if (!row.isConsistent()) {
      bad.add(new BadRow(number, Refusal.of(CoreReason.ROW_LENGTH, "")));
      return null;
    }
    LocalDate date;
    try {
      date = LocalDate.parse(row.get("date"));
    } catch (DateTimeParseException e) {
      bad.add(new BadRow(number, Refusal.of(CoreReason.NO_DATE, "date", row.get("date"))));
      return null;
    }
    double[] values = new double[columns.length];
    for (int i = 0; i < columns.length; i++) {
      String cell = columns[i] == null ? "" : row.get(columns[i]);
      double value = Double.NaN;
      if (!cell.isEmpty()) {
        double[] rule = COLUMNS.get(columns[i]);
        value = number(cell);
        if (!(value >= rule[0] && value <= rule[1])) {
          bad.add(
              new BadRow(
                  number,
                  Refusal.of(CoreReason.CELL_OUT_OF_RANGE, columns[i], cell, rule[0], rule[1])));
          return null;
        }
        value = value * rule[2] + rule[3];
      }
      values[i] = value;
    }
    if (values[0] > values[1]) {
      bad.add(
          new BadRow(
              number, Refusal.of(CoreReason.LOW_ABOVE_HIGH, columns[0], row.get(columns[0]))));
    } else if (days.putIfAbsent(date, values) != null) {
      bad.add(new BadRow(number, Refusal.of(CoreReason.DATE_TWICE, "date", date)));
    } else {
      return date;
    }
    return null;
  }

  private static double number(String cell) {
    try {
      return Double.parseDouble(cell);
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }

  private static RecordedWeather of(String name, TreeMap<LocalDate, double[]> days) {
    LocalDate first = days.firstKey();
    long length = ChronoUnit.DAYS.between(first, days.lastKey()) + 1;
    Check.range("weather.days", (double) length, 1, MOST_DAYS);
    List<List<Double>> columns = new ArrayList<>();
    for (int i = 0; i < WANTED.length; i++) {
      List<Double> column = new ArrayList<>();
      for (int d = 0; d < length; d++) {
        double[] values = days.get(first.plusDays(d));
        column.add(values == null ? Double.NaN : values[i]);
      }
      columns.add(column);
    }
    return new RecordedWeather(
        name,
        first,
        columns.get(0),
        columns.get(1),
        columns.get(2),
        columns.get(3),
        columns.get(4));
  }

  public LocalDate endExclusive() {
    return start.plusDays(tminC.size());
  }

  /** First days that the plan year can be laid on, oldest first: those with half a year or more. */
  public List<LocalDate> yearsFor(PlanYear year) {
    List<LocalDate> years = new ArrayList<>();
    for (int y = start.getYear() - 1; y <= endExclusive().getYear(); y++) {
      LocalDate from = year.start().withYear(y);
      int recorded = 0;
      for (int d = 0; d < year.days(); d++) {
        long i = ChronoUnit.DAYS.between(start, from.plusDays(d));
        if (i >= 0 && i < tminC.size() && !Double.isNaN(tminC.get((int) i))) {
          recorded++;
        }
      }
      if (recorded >= Math.min(LEAST_DAYS, year.days())) {
        years.add(from);
      }
    }
    return years;
  }

  /**
   * The recorded days from {@code first} on, laid on the plan's days; what is missing is filled and
   * counted.
   */
  public Laid on(PlanYear year, LocalDate first, Climate climate) {
    WeatherYear normal = NormalYear.of(climate, year);
    int days = year.days();
    double[] tmin = slice(tminC, first, days);
    double[] tmax = slice(tmaxC, first, days);
    double[] rain = slice(rainMm, first, days);
    double[] solar = slice(solarMjPerM2, first, days);
    double[] et0 = slice(et0Mm, first, days);
    int bridged = Math.max(bridge(tmin), bridge(tmax));
    int fromNormal = 0;
    int reckoned = 0;
    int dryGaps = filled(rain, normal.rain);
    for (int d = 0; d < days; d++) {
      if (Double.isNaN(tmin[d]) || Double.isNaN(tmax[d])) {
        tmin[d] = normal.tmin[d];
        tmax[d] = normal.tmax[d];
        fromNormal++;
      }
      tmin[d] = Math.min(tmin[d], tmax[d]);
      double outside =
          Evapotranspiration.extraterrestrialMj(climate.latitudeDeg(), year.date(d).getDayOfYear());
      if (Double.isNaN(solar[d])) {
        solar[d] = Evapotranspiration.solarMj(tmin[d], tmax[d], outside);
      }
      if (Double.isNaN(et0[d])) {
        et0[d] = Evapotranspiration.hargreavesMm(tmin[d], tmax[d], outside);
        reckoned++;
      }
    }
    boolean[] frost = WeatherYear.frostSeason(year, tmin, climate);
    WeatherYear laid =
        new WeatherYear(
            year, tmin, tmax, rain, et0, solar, new double[days], frost, WeatherYear.Days.REAL);
    return new Laid(laid, new Filled(bridged, fromNormal, dryGaps, reckoned));
  }

  /** Takes what is missing from elsewhere; the number of days taken. */
  private static int filled(double[] values, double[] from) {
    int taken = 0;
    for (int d = 0; d < values.length; d++) {
      if (Double.isNaN(values[d])) {
        values[d] = from[d];
        taken++;
      }
    }
    return taken;
  }

  private double[] slice(List<Double> column, LocalDate first, int days) {
    double[] values = new double[days];
    for (int d = 0; d < days; d++) {
      long i = ChronoUnit.DAYS.between(start, first.plusDays(d));
      values[d] = i >= 0 && i < column.size() ? column.get((int) i) : Double.NaN;
    }
    return values;
  }

  /** Bridges short runs of missing values by straight lines; says how many days. */
  private static int bridge(double[] values) {
    int bridged = 0;
    for (int d = 1; d < values.length; d++) {
      if (!Double.isNaN(values[d]) || Double.isNaN(values[d - 1])) {
        continue;
      }
      int end = d;
      while (end < values.length && Double.isNaN(values[end])) {
        end++;
      }
      if (end < values.length && end - d <= LONGEST_BRIDGE_DAYS) {
        double from = values[d - 1];
        for (int i = d; i < end; i++) {
          values[i] = from + (values[end] - from) * (i - d + 1) / (end - d + 1);
          bridged++;
        }
      }
    }
    return bridged;
  }
}
