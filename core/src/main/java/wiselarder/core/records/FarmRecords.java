package wiselarder.core.records;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.BodyCondition;
import wiselarder.core.herd.ConditionScore;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.KnownLot;
import wiselarder.core.store.Lot;
import wiselarder.core.weather.RecordedWeather;

/**
 * All that was written down of a farm, in the order in which it was written. What was struck out
 * does not count, and is not given by anything but {@link #written}.
 */
public final class FarmRecords {
  public static final FarmRecords NONE = new FarmRecords(List.of());

  private final List<FarmRecord> written;
  private final List<FarmRecord> standing;

  /** What counts, by its kind: every resolution of a plan asks for many of them. */
  private final Map<Class<?>, List<FarmRecord>> byKind = new HashMap<>();

  private final Map<String, List<FeedTest>> tests = new HashMap<>();
  private final Map<String, List<ConditionScore>> scores = new HashMap<>();

  private FarmRecords(List<FarmRecord> written) {
    this.written = List.copyOf(written);
    Set<String> struck = struck(written);
    this.standing = written.stream().filter(r -> !struck.contains(r.id())).toList();
    for (FarmRecord r : standing) {
      byKind.computeIfAbsent(r.fact().getClass(), k -> new ArrayList<>()).add(r);
    }
    each(
        LotTested.class,
        (r, f) -> tests.computeIfAbsent(f.lotId(), id -> new ArrayList<>()).add(f.test()));
    each(
        ConditionSeen.class,
        (r, f) ->
            scores
                .computeIfAbsent(f.groupId(), id -> new ArrayList<>())
                .add(new ConditionScore(r.on(), f.score(), f.weightKg())));
    scores.values().forEach(s -> s.sort(Comparator.comparing(ConditionScore::date)));
  }

  /** Records in the order in which they were written. */
  public static FarmRecords of(List<FarmRecord> written) {
    return written.isEmpty() ? NONE : new FarmRecords(written);
  }

  /** Ids of what does not count: struck out by a record that itself was not struck out. */
  private static Set<String> struck(List<FarmRecord> written) {
    Set<String> struck = new HashSet<>();
    for (int i = written.size() - 1; i >= 0; i--) {
      FarmRecord r = written.get(i);
      if (r.fact() instanceof Struck s && !struck.contains(r.id())) {
        struck.add(s.record());
      }
    }
    return struck;
  }

  /** Every record, also what was struck out. */
  public List<FarmRecord> written() {
    return written;
  }

  @Override
  public boolean equals(Object other) {
    return other == this || (other instanceof FarmRecords o && written.equals(o.written));
  }

  @Override
  public int hashCode() {
    return written.hashCode();
  }

  /** Every record that counts. */
  public List<FarmRecord> standing() {
    return standing;
  }

  /** Goes over the facts of one kind that count. */
  public <F extends Fact> void each(Class<F> kind, BiConsumer<FarmRecord, F> to) {
    for (FarmRecord r : byKind.getOrDefault(kind, List.of())) {
      to.accept(r, kind.cast(r.fact()));
    }
  }

  /** A lot with what was reported of it. */
  public KnownLot lot(Lot lot) {
    return new KnownLot(lot, tests.getOrDefault(lot.id(), List.of()));
  }

  /** Condition of a group by day; what does not lie on its species' scale is left out. */
  public List<ConditionScore> scores(AnimalGroup group) {
    BodyCondition scale = BodyCondition.of(group.kind());
    return scores.getOrDefault(group.id(), List.of()).stream()
        .filter(s -> s.score() >= scale.lowest() && s.score() <= scale.highest())
        .toList();
  }

  /** Recorded weather by the id of its record, oldest first. */
  public Map<String, RecordedWeather> weather() {
    Map<String, RecordedWeather> found = new LinkedHashMap<>();
    each(WeatherMeasured.class, (r, f) -> found.put(r.id(), f.weather()));
    return found;
  }
}
