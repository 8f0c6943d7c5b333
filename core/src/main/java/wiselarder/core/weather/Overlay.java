package wiselarder.core.weather;

import java.time.LocalDate;
import java.util.Arrays;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A change laid over a year's weather between two dates.
 *
 * @param fromInclusive first day, or null for the plan's first
 * @param toExclusive first day no longer changed, or null for the plan's end
 * @param amount what the kind says
 */
public record Overlay(Kind kind, LocalDate fromInclusive, LocalDate toExclusive, double amount) {
  public static final Stated.Figure AMOUNT = Stated.number("overlay.amount", -30, 60);

  /** What is changed, and the meaning of the amount. */
  public enum Kind {
    /** Rain by a share: -0.4 is 40% less, 0.5 half as much again. */
    RAIN,
    /** Every temperature by degrees C. */
    HEAT,
    /** One killing frost on the first day; the amount is the low of that night in degrees C. */
    KILLING_FROST,
    /** The season's temperatures come so many days later. */
    LATE_SPRING
  }

  /** The same on the same days of the year, so many years later. */
  public Overlay yearsOn(int years) {
    return new Overlay(
        kind,
        fromInclusive == null ? null : fromInclusive.plusYears(years),
        toExclusive == null ? null : toExclusive.plusYears(years),
        amount);
  }

  public Overlay {
    Check.present("overlay.kind", kind);
    Check.ordered("overlay.dates", fromInclusive, toExclusive);
    switch (kind) {
      case RAIN -> AMOUNT.check(amount, -1, 3);
      case HEAT -> AMOUNT.check(amount, -10, 10);
      case KILLING_FROST -> {
        Check.present("overlay.fromInclusive", fromInclusive);
        AMOUNT.check(amount, -30, WeatherYear.KILLING_FROST_C);
      }
      case LATE_SPRING -> AMOUNT.check(amount, 0, 60);
    }
  }

  /** Less or more rain by a share. */
  public static Overlay rain(LocalDate from, LocalDate to, double share) {
    return new Overlay(Kind.RAIN, from, to, share);
  }

  /** The changed year; the one given stays as it is. Evapotranspiration follows temperature. */
  public WeatherYear over(WeatherYear base, Climate climate) {
    PlanYear year = base.year();
    double[] tmin = base.tmin.clone();
    double[] tmax = base.tmax.clone();
    double[] rain = base.rain.clone();
    boolean[] frost = null;
    int from = year.clippedStart(fromInclusive);
    int to = year.clippedEnd(toExclusive);
    switch (kind) {
      case RAIN -> {
        for (int d = from; d < to; d++) {
          rain[d] *= 1 + amount;
        }
      }
      case HEAT -> {
        for (int d = from; d < to; d++) {
          tmin[d] += amount;
          tmax[d] += amount;
        }
      }
      case KILLING_FROST -> {
        if (from < year.days() && year.day(fromInclusive) >= 0) {
          tmin[from] = Math.min(tmin[from], amount);
          frost = frostFrom(base, from, climate);
        }
      }
      case LATE_SPRING -> {
        for (int d = to - 1; d >= from; d--) {
          int earlier = Math.max(from, d - (int) Math.round(amount));
          tmin[d] = base.tmin[earlier];
          tmax[d] = base.tmax[earlier];
        }
        frost = frostUntilLater(base, from, to);
      }
    }
    double[] et0 = kind == Kind.RAIN ? base.et0 : followed(base, tmin, tmax, climate);
    boolean[] season = frost == null ? frostSeason(base, tmin, climate) : frost;
    return new WeatherYear(
        year, tmin, tmax, rain, et0, base.solar, base.spread, season, base.kind());
  }

  /**
   * In years of real days the lows say when it froze. In a smooth one the frosts are medians: they
   * move to the day on which the changed line is as cold as the line was on the median date.
   */
  private boolean[] frostSeason(WeatherYear base, double[] tmin, Climate climate) {
    boolean smooth = Arrays.stream(base.spread).anyMatch(s -> s > 0);
    if (kind == Kind.RAIN) {
      return seasonOf(base);
    }
    return smooth ? movedSeason(base, tmin) : WeatherYear.frostSeason(base.year(), tmin, climate);
  }

  private static boolean[] movedSeason(WeatherYear base, double[] tmin) {
    boolean[] was = seasonOf(base);
    boolean[] season = was.clone();
    for (int d = 1; d < was.length; d++) {
      if (was[d] != was[d - 1]) {
        boolean begins = was[d];
        double level = base.tmin[begins ? d : d - 1];
        move(season, tmin, begins ? d : d - 1, begins ? 1 : -1, level);
      }
    }
    return season;
  }

  /** Moves an end of the season inwards over days too warm for it, or outwards over cold ones. */
  private static void move(boolean[] season, double[] tmin, int end, int inwards, double level) {
    int d = end;
    while (d >= 0 && d < season.length && season[d] && tmin[d] > level + LINE_C) {
      season[d] = false;
      d += inwards;
    }
    d = end - inwards;
    while (d >= 0 && d < season.length && !season[d] && tmin[d] <= level - LINE_C) {
      season[d] = true;
      d -= inwards;
    }
  }

  /** Less than this is the same line. */
  private static final double LINE_C = 1e-6;

  private static boolean[] seasonOf(WeatherYear base) {
    boolean[] season = new boolean[base.days()];
    for (int d = 0; d < season.length; d++) {
      season[d] = base.frostSeason(d);
    }
    return season;
  }

  /** In autumn the season begins on that day and runs on; in spring it lasts to that day. */
  private static boolean[] frostFrom(WeatherYear base, int day, Climate climate) {
    boolean[] season = seasonOf(base);
    int since = Math.floorMod(base.year().date(day).getDayOfYear() - climate.coldestDoy(), 365);
    int step = since < 182 ? -1 : 1;
    season[day] = true;
    for (int d = day + step; d >= 0 && d < season.length && !season[d]; d += step) {
      if (Math.abs(d - day) > 182) {
        break;
      }
      season[d] = true;
    }
    return season;
  }

  /** The last frost of a season that runs into the changed days comes later with them. */
  private boolean[] frostUntilLater(WeatherYear base, int from, int to) {
    boolean[] season = seasonOf(base);
    for (int d = to - 1; d > from; d--) {
      season[d] = base.frostSeason(Math.max(from, d - (int) Math.round(amount)));
    }
    return season;
  }

  private static double[] followed(
      WeatherYear base, double[] tmin, double[] tmax, Climate climate) {
    double[] et0 = base.et0.clone();
    for (int d = 0; d < et0.length; d++) {
      double outside =
          Evapotranspiration.extraterrestrialMj(
              climate.latitudeDeg(), base.year().date(d).getDayOfYear());
      double was = Evapotranspiration.hargreavesMm(base.tmin[d], base.tmax[d], outside);
      double is = Evapotranspiration.hargreavesMm(tmin[d], tmax[d], outside);
      et0[d] *= was < 0.05 ? 1 : Math.min(2.5, is / was);
    }
    return et0;
  }
}
