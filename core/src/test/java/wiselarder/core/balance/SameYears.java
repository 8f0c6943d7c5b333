package wiselarder.core.balance;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import wiselarder.core.day.DayBook;

/** Holds two simulations against each other: every figure of every day, down to the last bit. */
public final class SameYears {
  private static final Set<String> ASIDE = Set.of("resolved", "states", "keepsStates", "totals");

  private SameYears() {}

  public static void check(YearBalance one, YearBalance other) throws IllegalAccessException {
    check(one.book, other.book);
  }

  public static void check(DayBook one, DayBook other) throws IllegalAccessException {
    List<String> differ = new ArrayList<>();
    differing(one, other, differ);
    differing(one.totals, other.totals, differ);
    assertThat(differ).as("figures that differ").isEmpty();
  }

  /** Holds groups, lots and what stands on the farm against each other, day by day. */
  public static void checkFarmOnly(YearBalance one, YearBalance other) {
    assertThat(other.book.need).isEqualTo(one.book.need);
    assertThat(other.book.bare).isEqualTo(one.book.bare);
    assertThat(other.book.eaten).isEqualTo(one.book.eaten);
    assertThat(other.book.lotKg).isEqualTo(one.book.lotKg);
    assertThat(other.book.lotUnits).isEqualTo(one.book.lotUnits);
    assertThat(other.book.lotOpened).isEqualTo(one.book.lotOpened);
    assertThat(other.book.lotEaten).isEqualTo(one.book.lotEaten);
    assertThat(other.book.standingKg).isEqualTo(one.book.standingKg);
    assertThat(other.book.closingKg).isEqualTo(one.book.closingKg);
  }

  private static void differing(Object one, Object other, List<String> differ)
      throws IllegalAccessException {
    for (Field f : one.getClass().getDeclaredFields()) {
      if (!Modifier.isStatic(f.getModifiers()) && !ASIDE.contains(f.getName())) {
        f.setAccessible(true);
        if (!Arrays.deepEquals(new Object[] {f.get(one)}, new Object[] {f.get(other)})) {
          differ.add(f.getName());
        }
      }
    }
  }
}
