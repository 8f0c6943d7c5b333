package wiselarder.server.json;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.cfg.MapperBuilder;
import tools.jackson.databind.jsontype.NamedType;
import wiselarder.core.records.Fact;

/** Facts as JSON: {@code kind} says which, the other members are its own. */
public final class Facts {
  /** Every kind by its name in JSON, such as {@code LOT_FED}. */
  public static final Map<String, Class<? extends Fact>> KINDS = kinds();

  private Facts() {}

  /** Says which kind it is; the types of the core know nothing of JSON. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
  private interface Kind {}

  /** Teaches a mapper to read and write facts. */
  public static <B extends MapperBuilder<?, B>> B on(B builder) {
    builder.addMixIn(Fact.class, Kind.class);
    KINDS.forEach((name, type) -> builder.registerSubtypes(new NamedType(type, name)));
    return builder;
  }

  /** Name of a kind in JSON. */
  public static String name(Class<? extends Fact> type) {
    return type.getSimpleName().replaceAll("([a-z])([A-Z])", "$1_$2").toUpperCase(Locale.ROOT);
  }

  private static Map<String, Class<? extends Fact>> kinds() {
    Map<String, Class<? extends Fact>> kinds = new LinkedHashMap<>();
    for (Class<?> type : Fact.class.getPermittedSubclasses()) {
      Class<? extends Fact> fact = type.asSubclass(Fact.class);
      kinds.put(name(fact), fact);
    }
    return kinds;
  }
}
