package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.land.Grid;
import wiselarder.core.land.Outline;
import wiselarder.core.plan.Farm;
import wiselarder.core.resolved.Gauge;
import wiselarder.core.resolved.HeldByHand;
import wiselarder.core.resolved.Moves;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.walk.Round.Births;
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

  /** Rain as it was written down, up to a day. */
  static List<Fallen> gauge(YearBalance year, int day) {
    return spells(year, day)
        .map(s -> new Fallen(year.year().date(s.toDay()), s.toDay() - s.fromDay(), s.mm()))
        .toList();
  }

  private static Stream<Gauge.Spell> spells(YearBalance year, int day) {
    return year.resolved().gauge.spells().stream().filter(s -> s.toDay() <= day);
  }

  /** What the gauge had beside what usually falls on the days it stood; null without any. */
  static Rain rain(YearBalance year, int day) {
    List<Gauge.Spell> spells = spells(year, day).toList();
    if (spells.isEmpty()) {
      return null;
    }
    double usual = 0;
    int days = 0;
    for (Gauge.Spell s : spells) {
      days += s.toDay() - s.fromDay();
      for (int d = s.fromDay(); d < s.toDay(); d++) {
        usual += year.resolved().normal().rainMm(Math.max(0, d));
      }
    }
    double sum = spells.stream().mapToDouble(Gauge.Spell::mm).sum();
    LocalDate from = year.year().date(spells.get(0).fromDay());
    return new Rain(from, spells.size(), days, sum, usual);
  }

  /** How births go where a group's season of them is: until a month after the last expected. */
  static List<Births> births(YearBalance year, int day) {
    List<Births> found = new ArrayList<>();
    for (ResolvedPlan.GroupPlan g : year.resolved().groups) {
      int dams = (int) Math.round(g.year.head(day));
      if (dams > 0) {
        g.year
            .birthsAbout(day)
            .map(
                b ->
                    new Births(
                        g.group.id(),
                        dams,
                        b.born(),
                        Math.min(1, b.plannedShare()) * dams,
                        b.young(),
                        b.lastDay() < 0 ? null : year.year().date(b.lastDay())))
            .ifPresent(found::add);
      }
    }
    return found;
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
