package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.diet.DietYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Portion;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.store.Lot;
import wiselarder.core.store.StoredFeed;

/**
 * Gives those whose diet is too poor something better every day before the rest, over the gap: of
 * what is stored, or some hours a day on what is rich and green. It is taken from somebody or some
 * day else: that is in what it brings over the year.
 */
public final class BetterFeed implements Lever {
  private static final double[] SHARES_STORED = {0.25, 0.5, 1};

  /** An hour or two a day, or half a day. */
  private static final double[] SHARES_GRAZED = {0.25, 0.5};

  /** So many points richer than what they eat, or it is not worth the gate. Assumption. */
  private static final double RICHER_POINTS = 3;

  private final boolean grazed;

  private BetterFeed(boolean grazed) {
    this.grazed = grazed;
  }

  /** The best of what is stored. */
  public static BetterFeed stored() {
    return new BetterFeed(false);
  }

  /** Some hours a day on a field that is richer than what they eat. */
  public static BetterFeed byTheHour() {
    return new BetterFeed(true);
  }

  @Override
  public LeverOption.Kind kind() {
    return grazed ? LeverOption.Kind.RICH_HOURS : LeverOption.Kind.BETTER_FEED;
  }

  /** A lot or a field. */
  private record Source(FeedStep.Kind kind, String id) {}

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Eats> eats = eats(trial);
    return (grazed ? fields(trial, eats) : lots(trial, eats))
        .flatMap(source -> offer(trial, source).stream())
        .toList();
  }

  private Stream<Source> lots(Trial trial, List<Eats> eats) {
    Map<String, StoredFeed> feeds =
        trial.engine().catalogue().storedFeeds().stream()
            .collect(Collectors.toMap(StoredFeed::id, f -> f));
    List<Lot> lots = trial.stated().allLots();
    int first = trial.gap().firstDay();
    return IntStream.range(0, lots.size())
        .filter(l -> trial.before().lotKg(l, first) >= lots.get(l).kgDmPerUnit())
        .filter(
            l -> {
              FeedWorth worth = trial.engine().records().lot(lots.get(l)).worth(feeds);
              return isRicher(trial, eats, worth.proteinPct(), worth.tdnPct(), 0);
            })
        .mapToObj(l -> new Source(FeedStep.Kind.STORE, lots.get(l).id()));
  }

  /** Green fields with some days of it that may be grazed then; nothing lush for horses. */
  private Stream<Source> fields(Trial trial, List<Eats> eats) {
    boolean horses = trial.hungry().stream().anyMatch(g -> g.kind().startsWith("horse/"));
    List<Field> fields = trial.stated().farm().fields();
    int first = trial.gap().firstDay();
    YearBalance b = trial.before();
    return IntStream.range(0, horses ? 0 : fields.size())
        .filter(f -> trial.forage(fields.get(f)).grows() && b.offeredKg(f, first) > 0)
        .filter(f -> !CropChoice.isShut(trial, trial.forage(fields.get(f))))
        .filter(f -> !b.resolved().holds.field(f, first))
        .filter(
            f ->
                isRicher(
                    trial,
                    eats,
                    b.standingProteinPct(f, first),
                    b.standingTdnPct(f, first),
                    RICHER_POINTS))
        .boxed()
        .sorted(Comparator.comparingDouble(f -> -b.offeredKg(f, first)))
        .limit(TRIED_FIELDS)
        .map(f -> new Source(FeedStep.Kind.GRAZE, fields.get(f).id()));
  }

  private static final int TRIED_FIELDS = 5;

  /** What a group eats over the gap, percent of dry matter. */
  private record Eats(double proteinPct, double tdnPct) {}

  private static List<Eats> eats(Trial trial) {
    List<AnimalGroup> groups = trial.stated().farm().groups();
    return IntStream.range(0, groups.size())
        .filter(g -> trial.groups().contains(groups.get(g).id()))
        .mapToObj(g -> eats(trial, DietYear.of(trial.before(), g)))
        .toList();
  }

  private static Eats eats(Trial trial, DietYear diet) {
    double kg = 0;
    double protein = 0;
    double tdn = 0;
    for (int d = trial.gap().firstDay(); d <= trial.gap().lastDay(); d++) {
      if (!Double.isNaN(diet.proteinPct(d)) && !Double.isNaN(diet.tdnPct(d))) {
        kg += diet.eatenKg(d);
        protein += diet.eatenKg(d) * diet.proteinPct(d);
        tdn += diet.eatenKg(d) * diet.tdnPct(d);
      }
    }
    return kg <= 0 ? new Eats(0, 0) : new Eats(protein / kg, tdn / kg);
  }

  /** Than what one of the groups eats. */
  private static boolean isRicher(
      Trial trial, List<Eats> eats, double proteinPct, double tdnPct, double points) {
    boolean protein = trial.gap().kind() == Gap.Kind.PROTEIN;
    return eats.stream()
        .anyMatch(e -> protein ? proteinPct > e.proteinPct + points : tdnPct > e.tdnPct + points);
  }

  /** Of the shares that are tried the least that brings nine tenths of the most. */
  private Optional<Candidate> offer(Trial trial, Source source) {
    double[] shares = grazed ? SHARES_GRAZED : SHARES_STORED;
    int first = trial.gap().firstDay();
    double most = 0;
    double[] kg = new double[shares.length];
    for (int i = 0; i < shares.length; i++) {
      double brings = trial.bringsIfAllowed(fed(trial, source, shares[i], first));
      kg[i] = Double.isNaN(brings) ? 0 : brings;
      most = Math.max(most, kg[i]);
    }
    if (!trial.worthIt(most)) {
      return Optional.empty();
    }
    int least = 0;
    while (kg[least] < 0.9 * most) {
      least++;
    }
    double share = shares[least];
    int last =
        trial.latest(first, trial.gap().lastDay(), kg[least], d -> fed(trial, source, share, d));
    return Optional.of(new Candidate(fed(trial, source, share, first), trial.year().date(last)));
  }

  private static List<PlanEdit> fed(Trial trial, Source source, double share, int from) {
    List<PlanEdit> edits = new ArrayList<>();
    for (String group : trial.groups()) {
      List<FeedStep> steps = new ArrayList<>();
      steps.add(
          new FeedStep(
              trial.freeStep(group + "-better-" + source.id),
              group,
              source.kind,
              List.of(source.id),
              trial.year().date(from),
              trial.year().date(trial.gap().lastDay() + 1),
              share == 1 ? null : new Portion(Portion.Bound.EXACTLY, share, null),
              null));
      steps.addAll(trial.stepsOf(group));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }
}
