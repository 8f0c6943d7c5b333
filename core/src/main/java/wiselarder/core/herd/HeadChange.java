package wiselarder.core.herd;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * Animals that come or go, from the start of a day.
 *
 * @param untilExclusive first day back, for those away or taken in for a time; null: to the end
 * @param toGroupId group they join, of those moved, else null
 * @param moneyPerHead price of one; of those away or taken in what one costs or pays a day; null
 *     when not said
 */
public record HeadChange(
    LocalDate date,
    LocalDate untilExclusive,
    Kind kind,
    int head,
    String toGroupId,
    Double moneyPerHead,
    String note) {
  public static final Stated.Figure MONEY_PER_HEAD =
      Stated.number("headChange.moneyPerHead", 0, 100000).orNone();
  public static final Stated.Figure HEAD = Stated.whole("headChange.head", 1, 100000);
  public static final Stated.Text NOTE = Stated.note("headChange.note", 400);

  /** Why the number changes. */
  public enum Kind {
    BOUGHT(1),
    SOLD(-1),
    CULLED(-1),
    DIED(-1),
    /** Into another group of the farm. */
    MOVED(-1),
    /** Grazing or fed elsewhere for a time, at no cost of feed here: sent on agistment. */
    AWAY(-1),
    /** Other people's animals, here for a time. */
    TAKEN_IN(1);

    private final int sign;

    Kind(int sign) {
      this.sign = sign;
    }

    /** 1 where the group grows by it, -1 where it shrinks. */
    public int sign() {
      return sign;
    }

    /** True where they come back, or go again. */
    public boolean forATime() {
      return this == AWAY || this == TAKEN_IN;
    }
  }

  public HeadChange {
    Check.present("headChange.date", date);
    Check.present("headChange.kind", kind);
    HEAD.check(head);
    Check.ordered("headChange.dates", date, untilExclusive);
    if (!kind.forATime() && untilExclusive != null) {
      throw new Refused(CoreReason.NOT_FOR_A_TIME, "headChange.untilExclusive");
    }
    if (kind == Kind.MOVED) {
      toGroupId = Check.text("headChange.toGroupId", toGroupId, 40);
    } else {
      toGroupId = null;
    }
    MONEY_PER_HEAD.check(moneyPerHead);
    note = NOTE.check(note);
  }

  /** The same so many days later; those that come back do so on their day. */
  public HeadChange movedBy(int days) {
    return new HeadChange(
        date.plusDays(days), untilExclusive, kind, head, toGroupId, moneyPerHead, note);
  }

  /** The same so many years later, and the way back too. */
  HeadChange yearsOn(int years) {
    return new HeadChange(
        date.plusYears(years),
        untilExclusive == null ? null : untilExclusive.plusYears(years),
        kind,
        head,
        toGroupId,
        moneyPerHead,
        note);
  }

  /** The same for another number. */
  HeadChange withHead(int other) {
    return new HeadChange(date, untilExclusive, kind, other, toGroupId, moneyPerHead, note);
  }
}
