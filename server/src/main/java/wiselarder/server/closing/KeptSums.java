package wiselarder.server.closing;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/**
 * What sums of many years came to, by all that they follow from: the plan as it stands, the records
 * of its farm and what was asked. Whoever comes back to a gap, or looks at it beside somebody else,
 * has the answer at once. Nothing has to be thrown away when something changes; it is not asked for
 * any more.
 */
@Component
class KeptSums {
  /** A list of ways with their edits is some tens of kilobytes. */
  private static final int MOST = 400;

  private static final Duration LONGEST = Duration.ofHours(2);

  private record Key(Plans.Stamp stamp, List<Object> asked) {}

  private final Plans plans;
  private final AsyncCache<Key, Object> kept =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterAccess(LONGEST).buildAsync();

  KeptSums(Plans plans) {
    this.plans = plans;
  }

  /**
   * The sum of a plan: kept, or reckoned now. Who asks the same meanwhile waits for it.
   *
   * @param asked all that it follows from beside plan and records, as values; may hold nulls
   */
  @SuppressWarnings("unchecked") // what is asked says what kind of answer it is
  <T> T of(String slug, Person person, Function<StoredPlan, T> sum, Object... asked) {
    // seen before the plan is read: what changes meanwhile has another stamp
    Key key = new Key(plans.stamp(slug, person), Arrays.asList(asked));
    CompletableFuture<Object> mine = new CompletableFuture<>();
    CompletableFuture<Object> theirs = kept.asMap().putIfAbsent(key, mine);
    if (theirs != null) {
      try {
        return (T) theirs.join();
      } catch (CompletionException | CancellationException ended) {
        // whoever asked first was refused, or waited too long: it is reckoned for this one
        return sum.apply(plans.get(slug, person));
      }
    }
    try {
      T answer = sum.apply(plans.get(slug, person));
      mine.complete(answer);
      return answer;
    } catch (RuntimeException | Error e) {
      mine.cancel(false); // which is not kept
      throw e;
    }
  }
}
