package wiselarder.server.morning;

import java.util.Set;
import wiselarder.core.morning.Verdict;

/**
 * Which farms, in what order.
 *
 * @param find part of the farm's name, whatever its case; empty for all
 * @param verdicts empty for all
 * @param late only those with a late job
 * @param back the order turned round; what is not there stays last
 */
record Wanted(String find, Set<Verdict> verdicts, boolean late, Order order, boolean back) {

  /** True where none is left out. */
  boolean isAll() {
    return find.isEmpty() && verdicts.isEmpty() && !late;
  }

  /** By what they are sorted. */
  enum Order {
    /** The worst first: by verdict, then by how soon feed falls short. */
    WORST("g.verdict_rank %1$s nulls last, g.bare_on %1$s nulls last, g.bare_in_ten_on %1$s"),
    NAME("lower(f.name) %1$s"),
    BARE("g.bare_on %1$s"),
    IN_TEN("g.bare_in_ten_on %1$s nulls last, g.fed %1$s"),
    FED("g.fed::float / g.years %1$s"),
    NEXT("g.next_on %1$s"),
    LATE("g.late %2$s"),
    /** Longest unseen first. */
    SEEN("g.last_seen %1$s");

    private final String columns;

    Order(String columns) {
      this.columns = columns;
    }

    /** Columns to order by. */
    String sql(boolean back) {
      return columns.formatted(back ? "desc" : "asc", back ? "asc" : "desc") + " nulls last";
    }
  }
}
