package wiselarder.core.walk;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.land.Grid;
import wiselarder.core.land.Outline;
import wiselarder.core.plan.Farm;
import wiselarder.core.records.Noticed;
import wiselarder.core.resolved.HeldByHand;
import wiselarder.core.resolved.Moves;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.walk.Round.Fallen;
import wiselarder.core.walk.Round.Held;
import wiselarder.core.walk.Round.HerdPlace;
import wiselarder.core.walk.Round.MapPlace;
import wiselarder.core.walk.Round.Rain;
import wiselarder.core.walk.Round.Stay;

/** What a round shows besides covers: groups, fields shut by hand, rain. */
final class Besides {
  private Besides() {}

  /** Where each group is that is there. */
  static List<HerdPlace> herds(YearBalance year, int day) {
    List<HerdPlace> herds = new ArrayList<>();
    for (int g = 0; g < year.resolved().groups.length; g++) {
      double head = year.resolved().groups[g].year.head(day);
      if (head > 0) {
        herds.add(herd(year, g, day, head));
      }
    }
    return herds;
  }

  private static HerdPlace herd(YearBalance year, int g, int day, double head) {
    ResolvedPlan plan = year.resolved();
    int f = place(year, g, day);
    int since = day;
    while (since > 0 && place(year, g, since - 1) == f) {
      since--;
    }
    boolean written = plan.moves.on(g, day) != Moves.AS_PLANNED;
    return new HerdPlace(
        plan.groups[g].group.id(),
        head,
        f < 0 ? null : plan.fields[f].field.id(),
        written,
        year.year().date(since));
  }

  /** Where it was seen, else where it grazes most; below zero for none. */
  private static int place(YearBalance year, int g, int day) {
    int written = year.resolved().moves.on(g, day);
    return written == Moves.AS_PLANNED
        ? year.onField(g, day)
        : written == Moves.OFF_FIELDS ? -1 : written;
  }

  /** Where groups were, as it was written down, up to a day. */
  static List<Stay> stays(YearBalance year, int day) {
    ResolvedPlan plan = year.resolved();
    List<Stay> stays = new ArrayList<>();
    for (int g = 0; g < plan.groups.length; g++) {
      int from = 0;
      for (int d = 1; d <= day + 1; d++) {
        int on = plan.moves.on(g, from);
        if (d > day || plan.moves.on(g, d) != on) {
          if (on >= 0) {
            stays.add(
                new Stay(
                    plan.groups[g].group.id(),
                    plan.fields[on].field.id(),
                    year.year().date(from),
                    year.year().date(d - 1)));
          }
          from = d;
        }
      }
    }
    return stays;
  }

  /** Rain as it was written down, up to a day; the last word of a day counts. */
  static List<Fallen> gauge(Engine engine, YearBalance year, int day) {
    Map<Integer, Double> mm = new TreeMap<>();
    engine
        .records()
        .each(
            Noticed.class,
            (r, n) -> {
              int on = year.year().day(r.on());
              if (n.what() == Noticed.What.RAIN && on >= 0 && on <= day) {
                mm.put(on, n.amount());
              }
            });
    List<Fallen> gauge = new ArrayList<>();
    mm.forEach((on, fell) -> gauge.add(new Fallen(year.year().date(on), fell)));
    return gauge;
  }

  /** What the gauge had beside what usually falls; null without any. */
  static Rain rain(List<Fallen> gauge, YearBalance year, int day) {
    if (gauge.isEmpty()) {
      return null;
    }
    double usual = 0;
    for (int d = year.year().day(gauge.get(0).on()); d <= day; d++) {
      usual += year.resolved().normal().rainMm(d);
    }
    double sum = gauge.stream().mapToDouble(Fallen::mm).sum();
    return new Rain(gauge.get(0).on(), gauge.size(), sum, usual);
  }

  /** Where fields lie that are drawn; none where the map has no place on the globe. */
  static List<MapPlace> places(Farm farm) {
    Grid grid = farm.grid();
    if (grid == null) {
      return List.of();
    }
    return farm.fields().stream()
        .filter(f -> f.outline() != null && !f.outline().edge().isEmpty())
        .map(
            f -> {
              List<Outline.Point> edge = f.outline().edge();
              Outline.Point middle =
                  new Outline.Point(
                      edge.stream().mapToDouble(Outline.Point::eastM).average().orElseThrow(),
                      edge.stream().mapToDouble(Outline.Point::northM).average().orElseThrow());
              return new MapPlace(f.id(), grid.longitudeOf(middle), grid.latitudeOf(middle));
            })
        .toList();
  }

  /** Fields that are shut by hand on a day. */
  static List<Held> held(Engine engine, YearBalance year, int day) {
    return HeldByHand.of(engine.records(), year.year()).stream()
        .filter(h -> h.fromDay() <= day && h.toDay() > day)
        .map(
            h ->
                new Held(
                    h.recordId(),
                    h.fieldId(),
                    year.year().date(h.fromDay()),
                    h.toDay() >= year.days() ? null : year.year().date(h.toDay()),
                    h.why()))
        .toList();
  }
}
