package wiselarder.core.plan;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.quantity.Check;

/**
 * A field shut to stock so that its growth is kept standing: days [fromInclusive, toExclusive).
 * Once open, the named groups may eat it, after their other grazing and before stored feed.
 *
 * @param grazedBy groups that eat it once open; empty: only where the order of feeds lists the
 *     field
 * @param grazeUntilExclusive first day they no longer may, or null for the plan's end
 */
public record Closing(
    String id,
    String fieldId,
    LocalDate fromInclusive,
    LocalDate toExclusive,
    List<String> grazedBy,
    LocalDate grazeUntilExclusive) {
  public Closing {
    id = Check.text("closing.id", id, 80);
    Check.text("closing.fieldId", fieldId, 40);
    Check.present("closing.fromInclusive", fromInclusive);
    Check.present("closing.toExclusive", toExclusive);
    Check.ordered("closing.dates", fromInclusive, toExclusive);
    Check.ordered("closing.grazeUntilExclusive", toExclusive, grazeUntilExclusive);
    grazedBy = List.copyOf(Check.present("closing.grazedBy", grazedBy));
  }

  /** The same, not eaten by a group. */
  Closing withoutGroup(String gone) {
    List<String> left = grazedBy.stream().filter(g -> !g.equals(gone)).toList();
    return new Closing(id, fieldId, fromInclusive, toExclusive, left, grazeUntilExclusive);
  }
}
