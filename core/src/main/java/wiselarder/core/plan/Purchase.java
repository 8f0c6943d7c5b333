package wiselarder.core.plan;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.store.Lot;

/**
 * Hay bought: the lot is there from the start of {@code date}. It joins every step that names the
 * whole store.
 *
 * @param forGroups groups that may eat it after all their other feeds, besides those steps
 */
public record Purchase(String id, LocalDate date, Lot lot, List<String> forGroups) {
  public Purchase {
    id = Check.text("purchase.id", id, 80);
    Check.present("purchase.date", date);
    Check.present("purchase.lot", lot);
    forGroups = List.copyOf(Check.present("purchase.forGroups", forGroups));
  }

  /** The same, not for a group. */
  Purchase withoutGroup(String gone) {
    return new Purchase(id, date, lot, forGroups.stream().filter(g -> !g.equals(gone)).toList());
  }
}
