package wiselarder.core.edit;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import wiselarder.core.quantity.Refused;

/** Stated records taken apart by their members, compared, and put together again. */
public final class Members {
  /** Names of the stated records as they stand before the dot in a member's name. */
  private static final Map<String, String> PREFIX = Map.of("AnimalGroup", "group", "HayCut", "cut");

  private Members() {}

  /**
   * One member that differs.
   *
   * @param member such as {@code field.areaHa}; the unit stands at its end
   * @param before value before, or yours; null where none was stated
   * @param after value after, or theirs; null where none was stated
   */
  public record Member(String member, Object before, Object after) {}

  /** Every member in which two records of one type differ; records inside are compared inside. */
  static List<Member> differing(Record before, Record after) {
    List<Member> found = new ArrayList<>();
    for (RecordComponent c : before.getClass().getRecordComponents()) {
      Object was = value(before, c);
      Object is = value(after, c);
      if (was instanceof Record w && is instanceof Record i) {
        found.addAll(differing(w, i));
      } else if (!Objects.equals(was, is)) {
        found.add(new Member(name(before, c), was, is));
      }
    }
    return found;
  }

  /** Every member that a record states, also those of records inside; {@code before} is null. */
  static List<Member> stated(Record of) {
    List<Member> found = new ArrayList<>();
    for (RecordComponent c : of.getClass().getRecordComponents()) {
      Object is = value(of, c);
      if (is instanceof Record r) {
        found.addAll(stated(r));
      } else if (is != null) {
        found.add(new Member(name(of, c), null, is));
      }
    }
    return found;
  }

  /**
   * What two people made of one record: of each member the one that was changed; where both changed
   * it to different values, mine, and the clash is noted with mine as {@code before} and theirs as
   * {@code after}.
   */
  static <R extends Record> R merge(R base, R mine, R theirs, List<Member> clashes) {
    RecordComponent[] components = base.getClass().getRecordComponents();
    Object[] merged = new Object[components.length];
    for (int i = 0; i < components.length; i++) {
      RecordComponent c = components[i];
      Object was = value(base, c);
      Object my = value(mine, c);
      Object their = value(theirs, c);
      if (was instanceof Record w && my instanceof Record m && their instanceof Record t) {
        merged[i] = merge(w, m, t, clashes);
      } else if (Objects.equals(my, was)) {
        merged[i] = their;
      } else {
        merged[i] = my;
        if (!Objects.equals(their, was) && !Objects.equals(their, my)) {
          clashes.add(new Member(name(base, c), my, their));
        }
      }
    }
    return build(base, components, merged);
  }

  private static String name(Record of, RecordComponent c) {
    String type = of.getClass().getSimpleName();
    String plain = type.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + type.substring(1);
    String prefix = PREFIX.getOrDefault(type, type.equals("PlanYear") ? "year" : plain);
    return prefix + "." + c.getName();
  }

  private static Object value(Record of, RecordComponent c) {
    try {
      return c.getAccessor().invoke(of);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  @SuppressWarnings("unchecked")
  private static <R extends Record> R build(R like, RecordComponent[] components, Object[] values) {
    Class<?>[] types = new Class<?>[components.length];
    for (int i = 0; i < types.length; i++) {
      types[i] = components[i].getType();
    }
    try {
      return (R) like.getClass().getDeclaredConstructor(types).newInstance(values);
    } catch (InvocationTargetException e) {
      if (e.getCause() instanceof Refused r) {
        throw r;
      }
      throw new IllegalStateException(e);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }
}
