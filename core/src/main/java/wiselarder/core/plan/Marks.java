package wiselarder.core.plan;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.UsualYears;
import wiselarder.core.weather.Climate;

/**
 * On which dates the marks of a year fall, in a plan's years and those beside them: frosts by the
 * climate's table, births and weanings as stated, green-up by the normal year's growth.
 */
public final class Marks {
  /** A stand that slept for less than this did not green up: a slump is no winter. Assumption. */
  static final int SLEEPS_AT_LEAST_DAYS = 21;

  private final FarmPlan plan;
  private final Catalogue catalogue;
  private final Climate climate;

  /** The marks of one farm with its plan. */
  public Marks(FarmPlan plan, Catalogue tables) {
    this.plan = plan;
    this.catalogue = tables.on(plan.farm());
    this.climate = catalogue.climate(plan.farm().climateId());
  }

  /** Every date of a mark from a year before the plan to a year after it; none where it is not. */
  public List<LocalDate> of(Anchor.Mark mark, String ofId) {
    return switch (mark) {
      case FIRST_FROST_10 -> frosts(climate.firstFrost().doy10());
      case FIRST_FROST_50 -> frosts(climate.firstFrost().doy50());
      case FIRST_FROST_90 -> frosts(climate.firstFrost().doy90());
      case LAST_FROST_10 -> frosts(climate.lastFrost().doy10());
      case LAST_FROST_50 -> frosts(climate.lastFrost().doy50());
      case LAST_FROST_90 -> frosts(climate.lastFrost().doy90());
      case GREEN_UP ->
          plan.farm().fields().stream()
              .filter(f -> f.id().equals(ofId))
              .findFirst()
              .map(this::greenUps)
              .orElse(List.of());
      case FIRST_BIRTH -> yearly(group(ofId).map(AnimalGroup::birthStart));
      case WEANING -> yearly(group(ofId).flatMap(this::weaning));
    };
  }

  /** The date of a mark that lies nearest to another, or none where the mark is not. */
  public Optional<LocalDate> nearest(Anchor.Mark mark, String ofId, LocalDate to) {
    return of(mark, ofId).stream()
        .min(Comparator.comparingLong(d -> Math.abs(ChronoUnit.DAYS.between(d, to))));
  }

  private Optional<AnimalGroup> group(String id) {
    return plan.farm().groups().stream()
        .filter(g -> g.id().equals(id))
        .filter(g -> g.birthStart() != null)
        .findFirst();
  }

  /** As stated, or the tables' days after the first birth. */
  private Optional<MonthDay> weaning(AnimalGroup group) {
    if (group.weaning() != null) {
      return Optional.of(group.weaning());
    }
    int after = catalogue.herd().weaningDayDefault(group.kind());
    return Optional.of(MonthDay.from(group.birthStart().atYear(2001).plusDays(after)));
  }

  private List<LocalDate> frosts(int doy) {
    return doy <= 0 ? List.of() : each(y -> LocalDate.ofYearDay(y, doy));
  }

  private List<LocalDate> yearly(Optional<MonthDay> day) {
    return day.map(d -> each(d::atYear)).orElse(List.of());
  }

  private List<LocalDate> each(IntFunction<LocalDate> in) {
    List<LocalDate> dates = new ArrayList<>();
    int last = plan.plan().year().endExclusive().getYear() + 1;
    for (int y = plan.plan().year().start().getYear() - 1; y <= last; y++) {
      dates.add(in.apply(y));
    }
    return dates;
  }

  /**
   * The first day after some weeks of sleep on which the stand grows a tenth of its best month's
   * rate again, in a normal year.
   */
  private List<LocalDate> greenUps(Field field) {
    Forage forage = catalogue.forage(field.stand().forageId());
    if (!forage.grows()) {
      return List.of();
    }
    GrowthCurve curve = catalogue.growthOf(field.stand(), climate.id());
    double awake = SwardRules.DORMANT_SHARE * curve.peakKgPerHaDay();
    List<LocalDate> dates = new ArrayList<>();
    int slept = 0;
    int last = plan.plan().year().endExclusive().getYear() + 1;
    for (int y = plan.plan().year().start().getYear() - 2; y <= last; y++) {
      PlanYear year = new PlanYear(LocalDate.of(y, 1, 1), 12);
      double[] growth = UsualYears.growth(forage, curve, climate, year);
      for (int d = 0; d < growth.length; d++) {
        boolean sleeps = growth[d] < awake;
        if (!sleeps && slept >= SLEEPS_AT_LEAST_DAYS) {
          dates.add(year.date(d));
        }
        slept = sleeps ? slept + 1 : 0;
      }
    }
    return dates;
  }
}
