package wiselarder.core.closing;

import java.util.Set;

/**
 * What a keeper lays down about a mix of ways.
 *
 * @param must places of ways that are taken in any case
 * @param never places of those that are not
 * @param hoursMost hours of work that there are for ways; infinite where nobody said
 */
public record Wishes(Set<Integer> must, Set<Integer> never, double hoursMost) {
  /** Nothing is laid down. */
  public static final Wishes NONE = new Wishes(Set.of(), Set.of(), Double.POSITIVE_INFINITY);

  public Wishes {
    must = Set.copyOf(must);
    never = Set.copyOf(never);
  }

  public Wishes(Set<Integer> must, Set<Integer> never) {
    this(must, never, Double.POSITIVE_INFINITY);
  }
}
