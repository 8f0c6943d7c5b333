package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.StakeSeen;

/**
 * A stake as it stood when it was read last, since stock left it.
 *
 * @param leftOn day on which stock left, {@code leftCm} the height then; null where nobody wrote
 * @param seenOn the last reading, {@code seenCm} its height
 * @param cmPerDay growth from the reading before it, or since stock left; null for a first reading
 * @param restDays days since stock left, until the last reading; null where nobody wrote that
 * @param askedRestDays rest that this time of the year asks for; 0 where it is not moved over
 * @param enterCm height that is wanted before stock come back; null where the table does not tell
 * @param recovered tall enough, and leaf tips grown out where anybody looked
 * @param toGoDays days until it is tall enough at the measured growth; null where it is, or is not
 *     growing
 */
public record StakeLine(
    String fieldId,
    String stake,
    LocalDate leftOn,
    Double leftCm,
    LocalDate seenOn,
    double seenCm,
    StakeSeen.Tips tips,
    Double cmPerDay,
    Integer restDays,
    int askedRestDays,
    Double enterCm,
    boolean recovered,
    Integer toGoDays) {

  private static final double LEAST_CM_PER_DAY = 0.01;

  private record Read(LocalDate on, StakeSeen seen) {}

  /** Every stake of the plan's fields as it was read up to a day, in the order of first writing. */
  static List<StakeLine> of(FarmRecords records, YearBalance year, Ground ground, LocalDate until) {
    Map<List<String>, NavigableMap<LocalDate, Read>> stakes = new LinkedHashMap<>();
    records.each(
        StakeSeen.class,
        (r, s) -> {
          if (!r.on().isAfter(until)) {
            stakes
                .computeIfAbsent(List.of(s.fieldId(), s.stake()), k -> new TreeMap<>())
                .put(r.on(), new Read(r.on(), s));
          }
        });
    List<StakeLine> lines = new ArrayList<>();
    stakes.forEach(
        (key, reads) -> {
          for (int f = 0; f < year.resolved().fields.length; f++) {
            if (year.resolved().fields[f].field.id().equals(key.get(0))) {
              lines.add(line(year, ground, f, reads));
            }
          }
        });
    return lines;
  }

  private static StakeLine line(
      YearBalance year, Ground ground, int f, NavigableMap<LocalDate, Read> reads) {
    Read last = reads.lastEntry().getValue();
    Read left = null;
    for (Read r : reads.values()) {
      left = r.seen.left() ? r : left;
    }
    Map.Entry<LocalDate, Read> earlier = reads.lowerEntry(last.on);
    Read before = earlier == null || last.seen.left() ? null : earlier.getValue();
    Double rate =
        before == null
            ? null
            : (last.seen.heightCm() - before.seen.heightCm()) / days(before.on, last.on);
    var p = year.resolved().fields[f];
    double enter = ground.heightCm(f, p.base().turnIn);
    boolean tall = Double.isFinite(enter) && last.seen.heightCm() >= enter;
    boolean grows = rate != null && rate > LEAST_CM_PER_DAY;
    int day = Math.max(0, Math.min(year.days() - 1, year.year().day(last.on)));
    return new StakeLine(
        p.field.id(),
        last.seen.stake(),
        left == null ? null : left.on,
        left == null ? null : left.seen.heightCm(),
        last.on,
        last.seen.heightCm(),
        last.seen.tips(),
        rate,
        left == null ? null : days(left.on, last.on),
        p.returnDays[day],
        Double.isFinite(enter) ? enter : null,
        tall && last.seen.tips() != StakeSeen.Tips.BLUNT,
        tall || !grows || !Double.isFinite(enter)
            ? null
            : (int) Math.ceil((enter - last.seen.heightCm()) / rate));
  }

  private static int days(LocalDate from, LocalDate to) {
    return (int) java.time.temporal.ChronoUnit.DAYS.between(from, to);
  }
}
