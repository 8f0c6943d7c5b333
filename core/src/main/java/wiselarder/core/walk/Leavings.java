package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.LotFed;

/**
 * What was left of a lot where it had been set out, and how much to set out next.
 *
 * @param on day on which it was seen
 * @param units set out the time before
 * @param leftShare of them that lay there still
 * @param meaning of so much, by the table of signs for bales fed on the ground
 * @param watchCondition where it was cleaned up: they may have wanted more
 * @param nextUnits that leave an ordinary rest if they eat as much as they did, for as many days
 */
public record Leavings(
    LocalDate on,
    int units,
    double leftShare,
    String meaning,
    boolean watchCondition,
    int nextUnits) {
  private static final String SIGN = "residue_share_at_bales";

  /** Least share of each state of the sign, from the last to the first. */
  private static final double[] LEAST = {0.35, 0.20, 0.10, 0};

  /** The middle of what the table calls ordinary. */
  private static final double ORDINARY_SHARE = 0.15;

  private static final double LEAN_BELOW = 0.10;
  private static final double WASTE_FROM = 0.20;

  /** As it was seen last of a lot; empty where nobody looked, or nothing lay out before. */
  public static Optional<Leavings> of(FarmRecords records, String lotId, SwardSigns signs) {
    NavigableMap<LocalDate, Integer> fed = new TreeMap<>();
    List<FarmRecord> looked = new ArrayList<>();
    records.each(
        LotFed.class,
        (r, f) -> {
          if (f.lotId().equals(lotId)) {
            fed.merge(r.on(), f.units(), Integer::sum);
            if (f.leftShare() != null) {
              looked.add(r);
            }
          }
        });
    return looked.stream()
        .max(Comparator.comparing(FarmRecord::on))
        .flatMap(r -> before(fed, r, signs.sign(SIGN)));
  }

  private static Optional<Leavings> before(
      NavigableMap<LocalDate, Integer> fed, FarmRecord r, SwardSigns.Sign sign) {
    Map.Entry<LocalDate, Integer> before = fed.lowerEntry(r.on());
    if (before == null) {
      return Optional.empty();
    }
    double left = ((LotFed) r.fact()).leftShare();
    int state = 0;
    while (left < LEAST[state]) {
      state++;
    }
    int units = before.getValue();
    double ordinary = units * (1 - left) / (1 - ORDINARY_SHARE);
    int next = (int) Math.max(1, Math.round(ordinary));
    if (left < LEAN_BELOW) {
      next = (int) Math.ceil(ordinary);
    } else if (left < WASTE_FROM) {
      next = units;
    }
    return Optional.of(
        new Leavings(
            r.on(),
            units,
            left,
            sign.values().get(LEAST.length - 1 - state).meaning(),
            left < LEAN_BELOW,
            next));
  }
}
