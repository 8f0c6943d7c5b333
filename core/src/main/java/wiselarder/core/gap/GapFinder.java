package wiselarder.core.gap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;

/** Reads gaps off a balance. */
public final class GapFinder {
  /** A day is short when more than this share of its need is missing. */
  public static final double SHORT_SHARE = 0.01;

  /** Runs parted by no more than this many days count as one. */
  public static final int JOIN_DAYS = 7;

  private GapFinder() {}

  /** Every gap of a year, store gaps first, each kind in order of time. */
  public static List<Gap> find(YearBalance balance) {
    List<Gap> gaps = new ArrayList<>();
    find(balance, Gap.Kind.STORE, balance::bareKg, gaps);
    find(balance, Gap.Kind.GRAZING, d -> missingFromGrazing(balance, d), gaps);
    return gaps;
  }

  /** First day, from a day on, that lies in a gap of the store; -1 for none. */
  public static int firstBare(List<Gap> gaps, int from) {
    return gaps.stream()
        .filter(g -> g.kind() == Gap.Kind.STORE && g.lastDay() >= from)
        .mapToInt(g -> Math.max(from, g.firstDay()))
        .min()
        .orElse(-1);
  }

  private static double missingFromGrazing(YearBalance b, int day) {
    return b.eatenKg(Shelf.PUT_BY, day) + b.eatenKg(Shelf.BOUGHT_IN, day) + b.bareKg(day);
  }

  private static void find(
      YearBalance b, Gap.Kind kind, IntToDoubleFunction missing, List<Gap> to) {
    int first = -1;
    int last = -1;
    for (int d = 0; d < b.days(); d++) {
      boolean isShort = missing.applyAsDouble(d) > SHORT_SHARE * b.needKg(d) && b.needKg(d) > 0;
      if (isShort) {
        if (first >= 0 && d - last > JOIN_DAYS + 1) {
          to.add(measure(b, kind, missing, first, last));
          first = -1;
        }
        first = first < 0 ? d : first;
        last = d;
      }
    }
    if (first >= 0) {
      to.add(measure(b, kind, missing, first, last));
    }
  }

  private static Gap measure(
      YearBalance b, Gap.Kind kind, IntToDoubleFunction missing, int first, int last) {
    double kg = 0;
    int days = 0;
    int deepest = first;
    for (int d = first; d <= last; d++) {
      double day = missing.applyAsDouble(d);
      kg += day;
      days += day > SHORT_SHARE * b.needKg(d) ? 1 : 0;
      deepest = day > missing.applyAsDouble(deepest) ? d : deepest;
    }
    double aud = b.stated().farm().audKg();
    return new Gap(
        kind,
        first,
        last,
        days,
        kg,
        kg / aud,
        deepest,
        missing.applyAsDouble(deepest),
        shares(b, kind, first, last),
        GapCauses.of(b, kind, first, last));
  }

  private static List<Gap.GroupShare> shares(YearBalance b, Gap.Kind kind, int first, int last) {
    List<Gap.GroupShare> shares = new ArrayList<>();
    for (int g = 0; g < b.stated().farm().groups().size(); g++) {
      double kg = 0;
      for (int d = first; d <= last; d++) {
        kg += b.bareKg(g, d);
        if (kind == Gap.Kind.GRAZING) {
          kg += b.eatenKg(Shelf.PUT_BY, g, d) + b.eatenKg(Shelf.BOUGHT_IN, g, d);
        }
      }
      if (kg > 0) {
        shares.add(new Gap.GroupShare(b.stated().farm().groups().get(g).id(), kg));
      }
    }
    shares.sort(Comparator.comparingDouble(Gap.GroupShare::shortKg).reversed());
    return shares;
  }
}
