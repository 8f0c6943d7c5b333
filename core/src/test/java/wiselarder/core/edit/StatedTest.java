package wiselarder.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.LotCounted;
import wiselarder.core.records.LotFed;
import wiselarder.core.records.LotTested;

/** Whatever number a plan or a record states is described once, where it is stated. */
class StatedTest {
  private static final Class<?>[] ROOTS = {
    FarmPlan.class, LotFed.class, LotCounted.class, LotTested.class, ConditionSeen.class
  };

  @Test
  void everyStatedNumberIsDescribedWithWhetherItMayBeLeftOut() {
    Set<Class<?>> records = new LinkedHashSet<>();
    for (Class<?> root : ROOTS) {
      walk(root, records);
    }
    Set<String> wrong = new TreeSet<>();
    int numbers = 0;
    for (Class<?> record : records) {
      Map<String, Stated> described =
          Stated.in(record).stream()
              .filter(s -> s instanceof Stated.Figure)
              .collect(Collectors.toMap(Stated::member, Function.identity(), (a, b) -> a));
      for (RecordComponent c : record.getRecordComponents()) {
        Class<?> type = c.getType();
        boolean boxed = type == Double.class || type == Integer.class;
        if (boxed || type == double.class || type == int.class) {
          numbers++;
          Stated s = described.get(c.getName());
          if (s == null || s.optional() != boxed) {
            wrong.add(record.getSimpleName() + "." + c.getName() + ": " + s);
          }
        }
      }
    }
    assertThat(wrong).as("numbers that are not described, or not as they are typed").isEmpty();
    assertThat(numbers).isGreaterThan(60);
  }

  @Test
  void noNameIsDescribedTwice() {
    Map<String, Integer> seen = new TreeMap<>();
    new LinkedHashSet<>(Stated.in(ROOTS)).forEach(s -> seen.merge(s.name(), 1, Integer::sum));
    assertThat(seen.entrySet()).allMatch(e -> e.getValue() == 1);
    assertThat(seen).containsKeys("field.areaHa", "lot.unitName", "condition.score");
  }

  @Test
  void whatIsDescribedIsWhatIsChecked() {
    Stated.Figure share = Stated.number("lot.dmShare", 0.1, 1);
    assertThat(share.check(0.1)).isEqualTo(0.1);
    assertThat(share.check(1)).isEqualTo(1);
    for (double bad : List.of(0.0999, 1.0001, Double.NaN)) {
      assertThatThrownBy(() -> share.check(bad)).isInstanceOf(Refused.class);
    }
    assertThatThrownBy(() -> share.check((Double) null))
        .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.code()).isEqualTo("missing"));
    assertThat(share.orNone().check((Double) null)).isNull();
    assertThatThrownBy(() -> share.orNone().check(2.0)).isInstanceOf(Refused.class);
  }

  @Test
  void whatElseIsStatedNarrowsButNeverWidens() {
    Stated.Figure off = Stated.number("field.deductedHa", 0, 10).orNone();
    assertThat(off.check(3.0, 0, 4)).isEqualTo(3);
    assertThatThrownBy(() -> off.check(5.0, 0, 4))
        .isInstanceOfSatisfying(
            Refused.class, r -> assertThat(r.refusal().values()).containsEntry("max", 4.0));
    assertThatThrownBy(() -> off.check(11.0, -5, 20))
        .isInstanceOfSatisfying(
            Refused.class,
            r ->
                assertThat(r.refusal().values())
                    .containsEntry("min", 0.0)
                    .containsEntry("max", 10.0));
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
}
