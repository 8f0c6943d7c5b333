package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Sowing;

/**
 * Sows a crop that is ready before the gap ends: of those that fit the place and the day, the ones
 * that bring most, on the fields on which they do. A lasting sward is grazed or burnt down for it
 * and comes back; ground that lies bare, or carries what is sown each year, is worked.
 */
public final class SowCrop implements Lever {
  private static final int TRIED_CROPS = 9;
  private static final int TRIED_FIELDS = 5;
  private static final int TRIED_GROUNDS = 3;
  private static final int BEST_CROPS = 3;
  private static final int BEST_FIELDS = 2;

  /** Smaller ground is not worth the drill's way, ha. Assumption. */
  private static final double LEAST_HA = 0.2;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.SOW;
  }

  /** A crop for a purpose, with the last day of that season on which it is best sown. */
  private record Crop(Forage forage, SowingTable.Window window, int middle) {
    /** Days of its season about the middle; before the plan begins none. */
    List<Integer> days() {
      List<Integer> days = new ArrayList<>();
      for (int doy : new int[] {window.bestFrom(), window.middle(), window.bestTo()}) {
        days.add(middle + around(doy - window.middle()));
      }
      return days;
    }

    int latest() {
      return middle + around(window.latest() - window.middle());
    }

    private static int around(int days) {
      return Math.floorMod(days + 182, 365) - 182;
    }
  }

  /** A crop on a field, prepared in the way that brings more. */
  private record Place(int field, Sowing.Preparation preparation, double kg) {}

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Integer> fields = fields(trial);
    List<Crop> crops = crops(trial);
    if (fields.isEmpty() || crops.isEmpty()) {
      return List.of();
    }
    List<Integer> grounds = grounds(trial, fields);
    List<Crop> best =
        best(
            crops,
            BEST_CROPS,
            c -> grounds.stream().mapToDouble(f -> quick(trial, c, f)).max().orElse(0));
    List<Integer> where = best(fields, BEST_FIELDS, f -> quick(trial, best.get(0), f));
    // the best crop on the best fields, and the next ones on the best field
    List<Candidate> found = new ArrayList<>();
    for (int field : where) {
      place(trial, best.get(0), field)
          .flatMap(p -> onItsDay(trial, best.get(0), p))
          .ifPresent(found::add);
    }
    for (Crop crop : best.subList(1, best.size())) {
      place(trial, crop, where.get(0)).flatMap(p -> onItsDay(trial, crop, p)).ifPresent(found::add);
    }
    found.removeIf(c -> !trial.maySeedSod() && isIntoSod(c));
    return found;
  }

  private static boolean isIntoSod(Candidate candidate) {
    return candidate.edits().stream()
        .anyMatch(
            e ->
                e instanceof PlanEdit.Put<?> put
                    && put.item() instanceof Sowing sowing
                    && sowing.preparation() == Sowing.Preparation.GRAZE_DOWN);
  }

  /** Of fields that carry the same, the largest. */
  private static List<Integer> grounds(Trial trial, List<Integer> fields) {
    Map<String, Integer> largest = new LinkedHashMap<>();
    for (int f : fields) {
      largest.putIfAbsent(trial.stated().farm().fields().get(f).stand().forageId(), f);
    }
    return largest.values().stream().limit(TRIED_GROUNDS).toList();
  }

  private static <T> List<T> best(List<T> of, int most, ToDoubleFunction<T> kg) {
    Map<T, Double> brings = new HashMap<>();
    of.parallelStream()
        .map(t -> Map.entry(t, kg.applyAsDouble(t)))
        .toList()
        .forEach(e -> brings.put(e.getKey(), e.getValue()));
    return of.stream()
        .sorted(Comparator.comparingDouble((T t) -> -brings.get(t)))
        .limit(most)
        .toList();
  }

  /** What a crop brings in the middle of its season, the ground prepared in the usual way. */
  private static double quick(Trial trial, Crop crop, int field) {
    Sowing.Preparation usual = preparations(trial, crop, field).get(0);
    double kg = trial.bringsIfAllowed(sow(trial, crop, field, usual, Math.max(0, crop.middle)));
    return Double.isNaN(kg) ? 0 : kg;
  }

  private static Optional<Candidate> onItsDay(Trial trial, Crop crop, Place place) {
    int tooLate = Math.min(trial.gap().lastDay(), crop.latest() + 1);
    return trial
        .onBestDay(
            crop.days().stream().mapToInt(d -> d),
            tooLate,
            d -> sow(trial, crop, place.field, place.preparation, d))
        .map(c -> new Candidate(c.edits(), inTime(trial, c.decideBy(), place.preparation)));
  }

  /** Before the ground is prepared. */
  private static LocalDate inTime(Trial trial, LocalDate sown, Sowing.Preparation preparation) {
    LocalDate decide = sown.minusDays(preparation.daysOut());
    LocalDate start = trial.year().start();
    return decide.isBefore(start) ? start : decide;
  }

  private static Optional<Place> place(Trial trial, Crop crop, int field) {
    int day = Math.max(0, crop.middle);
    return preparations(trial, crop, field).stream()
        .map(p -> new Place(field, p, trial.bringsIfAllowed(sow(trial, crop, field, p, day))))
        .filter(p -> p.kg > 0)
        .max(Comparator.comparingDouble(Place::kg));
  }

  /**
   * A lasting sward is grazed down where it sleeps while the crop grows, or is a legume that a
   * burn-down would take; else it is burnt down, or it would smother the crop.
   */
  private static List<Sowing.Preparation> preparations(Trial trial, Crop crop, int field) {
    Forage base = trial.forage(trial.stated().farm().fields().get(field));
    if (!base.grows() || base.sownYearly()) {
      return List.of(Sowing.Preparation.LIGHT_DISKING, Sowing.Preparation.FULL_SEEDBED);
    }
    boolean sleeps = base.warmSeason() && !crop.forage.warmSeason();
    boolean legume = base.legumeShare() >= Forage.MIXED_LEGUME_SHARE;
    return List.of(sleeps || legume ? Sowing.Preparation.GRAZE_DOWN : Sowing.Preparation.BURN_DOWN);
  }

  /**
   * Ground of the farm's own that nothing is sown on yet, the largest first; native grass is too
   * slow to come back to be sown into.
   */
  private static List<Integer> fields(Trial trial) {
    List<Field> fields = trial.stated().farm().fields();
    return IntStream.range(0, fields.size())
        .filter(f -> fields.get(f).netAreaHa() >= LEAST_HA && isFree(trial, fields.get(f)))
        .boxed()
        .sorted(Comparator.comparingDouble(f -> -fields.get(f).netAreaHa()))
        .limit(TRIED_FIELDS)
        .toList();
  }

  private static boolean isFree(Trial trial, Field field) {
    boolean allYear = field.stand().fromInclusive() == null && field.stand().toExclusive() == null;
    return allYear
        && !trial.forage(field).cropResidue()
        && !trial.forage(field).nativeGrass()
        && trial.stated().plan().sowings().stream().noneMatch(s -> s.fieldId().equals(field.id()));
  }

  /** What fits the place and gives feed before the gap ends, most of it first. */
  private static List<Crop> crops(Trial trial) {
    Catalogue catalogue = trial.engine().catalogue().on(trial.stated().farm());
    String climate = trial.stated().farm().climateId();
    List<Crop> found = new ArrayList<>();
    for (Forage f : catalogue.forages().values()) {
      if (!f.sownYearly() || CropChoice.isShut(trial, f)) {
        continue;
      }
      for (SowingTable.Window w : catalogue.crops().table().of(climate, f)) {
        if (w.grazed()) {
          found.addAll(crop(trial, f, w));
        }
      }
    }
    found.sort(
        Comparator.comparingDouble((Crop c) -> -c.window.yieldLikely())
            .thenComparing(c -> c.forage.id()));
    return found.stream().limit(TRIED_CROPS).toList();
  }

  /** A crop for one purpose, in each season of the plan that gives feed before the gap ends. */
  private static List<Crop> crop(Trial trial, Forage f, SowingTable.Window w) {
    PlanYear year = trial.year();
    List<Crop> found = new ArrayList<>();
    for (int d = 0; d <= trial.gap().lastDay() - w.useFromDays(); d++) {
      boolean middle = year.date(d).getDayOfYear() == w.middle();
      // a season that began before the plan can still be met on its first day
      boolean begun = d == 0 && w.open(year.date(0).getDayOfYear());
      if ((middle || begun)
          && Fitting.against(f, trial.stated(), trial.engine().catalogue(), year.date(d), false)
              .isEmpty()) {
        found.add(new Crop(f, w, d - Crop.around(year.date(d).getDayOfYear() - w.middle())));
      }
    }
    return found;
  }

  /** Edits that sow a crop of a season on a field in the usual way, and open it in the gap. */
  static List<PlanEdit> sow(Trial trial, Forage forage, SowingTable.Window w, int field, int day) {
    Crop crop = new Crop(forage, w, day);
    return sow(trial, crop, field, preparations(trial, crop, field).get(0), day);
  }

  private static List<PlanEdit> sow(
      Trial trial, Crop crop, int f, Sowing.Preparation preparation, int day) {
    Field field = trial.stated().farm().fields().get(f);
    String id =
        Trial.freeId(
            "sow-" + field.id(), trial.stated().plan().sowings().stream().map(Sowing::id).toList());
    // no earlier than the ground can be prepared from the plan's first day on
    int sown = Math.max(preparation.daysOut(), day);
    List<PlanEdit> edits = new ArrayList<>();
    edits.add(
        new PlanEdit.Put<>(
            Items.SOWINGS,
            new Sowing(
                id,
                field.id(),
                crop.forage.id(),
                trial.year().date(sown),
                preparation,
                null,
                1,
                null)));
    edits.addAll(trial.opening(field.id(), sown + crop.window.useFromDays()));
    return edits;
  }
}
