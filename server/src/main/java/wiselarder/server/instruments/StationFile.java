package wiselarder.server.instruments;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.records.Noticed;
import wiselarder.core.records.Seen;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.server.lists.BadRows;
import wiselarder.server.problem.RowProblem;
import wiselarder.server.problem.ServerReason;

/**
 * Days of a weather station, in the columns of a weather file. The rain of a day is in the gauge in
 * the morning after; a night of frost is of its own day.
 */
final class StationFile {
  private static final int MOST_DAYS = 90;

  private StationFile() {}

  /**
   * Rain of each day, none as well, and its frost.
   *
   * @throws BadRows when any row cannot be taken
   */
  static List<Seen> read(String csv, FarmPlan plan) {
    RecordedWeather.Read read = RecordedWeather.read("station", csv);
    List<RowProblem> wrong =
        new ArrayList<>(read.bad().stream().map(b -> RowProblem.of(b.row(), b.why())).toList());
    if (read.rows() == 0) {
      wrong.add(RowProblem.of(1, "", ServerReason.NO_ROWS));
    } else if (read.rows() > MOST_DAYS) {
      wrong.add(RowProblem.of(1, "", ServerReason.TOO_MANY_ROWS, MOST_DAYS));
    }
    if (!wrong.isEmpty()) {
      throw new BadRows(wrong);
    }
    RecordedWeather weather = read.weather();
    List<Seen> seen = new ArrayList<>();
    for (int i = 0; i < weather.tminC().size(); i++) {
      LocalDate on = weather.start().plusDays(i);
      int day = plan.plan().year().day(on.plusDays(1));
      if (day <= 0 || day > plan.plan().year().days()) {
        // days without a row lie between those that have one
        if (read.rowOf().containsKey(on)) {
          wrong.add(RowProblem.of(read.rowOf().get(on), "date", ServerReason.NOT_IN_PLAN));
        }
        continue;
      }
      double rain = weather.rainMm().get(i);
      double low = weather.tminC().get(i);
      if (!Double.isNaN(rain)) {
        seen.add(new Seen(on.plusDays(1), new Noticed(Noticed.What.RAIN, null, rain, "")));
      }
      if (low <= 0) {
        seen.add(new Seen(on, new Noticed(Noticed.What.FROST, null, low, "")));
      }
    }
    if (!wrong.isEmpty()) {
      wrong.sort(Comparator.comparingInt(RowProblem::row));
      throw new BadRows(wrong);
    }
    if (seen.isEmpty()) {
      throw new BadRows(List.of(RowProblem.of(1, "", ServerReason.NO_ROWS)));
    }
    return seen;
  }
}
