package wiselarder.core.quantity;

import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * The description of one stated member: its name and what is accepted. It stands as a constant in
 * the record that states it, which checks with it; forms, columns of lists and messages read it
 * from there.
 */
public sealed interface Stated {
  /** Path of the input, its unit at its end, such as {@code field.areaHa}. */
  String name();

  /** Whether nothing may be stated. */
  boolean optional();

  /** The name without the record it stands in, such as {@code areaHa}. */
  default String member() {
    return name().substring(name().lastIndexOf('.') + 1);
  }

  /** The record that it stands in, such as {@code field}. */
  default String holder() {
    return name().substring(0, name().lastIndexOf('.'));
  }

  /**
   * A number.
   *
   * @param min least that is accepted, in the unit at the end of the name
   * @param max most that is accepted
   * @param whole whether it is a count
   */
  record Figure(String name, double min, double max, boolean whole, boolean optional)
      implements Stated {
    /** The same, where nothing may be stated. */
    public Figure orNone() {
      return new Figure(name, min, max, whole, true);
    }

    /** The value, when it is accepted. */
    public double check(double value) {
      return Check.range(name, value, min, max);
    }

    /** The value, when it is accepted. */
    public int check(int value) {
      return Check.range(name, value, (int) min, (int) max);
    }

    /** The value, when it is accepted; null where nothing may be stated. */
    public Double check(Double value) {
      return value == null && optional ? null : check(value, min, max);
    }

    /** The count, when it is accepted; null where nothing may be stated. */
    public Integer check(Integer value) {
      return value == null && optional
          ? null
          : (Integer) check(Check.present(name, value).intValue());
    }

    /** As {@link #check(Double)} where what else is stated narrows what is accepted. */
    public Double check(Double value, double least, double most) {
      if (value == null && optional) {
        return null;
      }
      double from = Math.max(min, least);
      double to = Math.min(max, most);
      return Check.range(name, Check.present(name, value), from, to);
    }
  }

  /**
   * A text.
   *
   * @param most characters
   * @param lines whether it may have several, or none
   */
  record Text(String name, int most, boolean lines) implements Stated {
    @Override
    public boolean optional() {
      return lines;
    }

    /** The text, stripped, when it is accepted. */
    public String check(String value) {
      return lines ? Check.note(name, value, most) : Check.text(name, value, most);
    }
  }

  /** A number from {@code min} to {@code max}. */
  static Figure number(String name, double min, double max) {
    return new Figure(name, min, max, false, false);
  }

  /** A whole number from {@code min} to {@code max}. */
  static Figure whole(String name, int min, int max) {
    return new Figure(name, min, max, true, false);
  }

  /** A text of 1 to {@code most} characters on one line. */
  static Text text(String name, int most) {
    return new Text(name, most, false);
  }

  /** A text of up to {@code most} characters. */
  static Text note(String name, int most) {
    return new Text(name, most, true);
  }

  /** Every description that these records hold, and those that stand in them, in order. */
  static List<Stated> in(Class<?>... records) {
    Set<Class<?>> seen = new LinkedHashSet<>();
    for (Class<?> c : records) {
      walk(c, seen);
    }
    List<Stated> found = new ArrayList<>();
    for (Class<?> c : seen) {
      for (Field f : c.getDeclaredFields()) {
        if (Modifier.isStatic(f.getModifiers()) && Stated.class.isAssignableFrom(f.getType())) {
          found.add(constant(f));
        }
      }
    }
    return List.copyOf(found);
  }

  private static void walk(Type type, Set<Class<?>> seen) {
    if (type instanceof ParameterizedType p) {
      for (Type t : p.getActualTypeArguments()) {
        walk(t, seen);
      }
    } else if (type instanceof Class<?> c && c.isRecord() && seen.add(c)) {
      for (RecordComponent component : c.getRecordComponents()) {
        walk(component.getGenericType(), seen);
      }
    }
  }

  private static Stated constant(Field f) {
    try {
      f.setAccessible(true);
      return (Stated) f.get(null);
    } catch (IllegalAccessException e) {
      throw new IllegalStateException(e);
    }
  }
}
