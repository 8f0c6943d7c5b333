package wiselarder.server.json;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.cfg.MapperBuilder;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.Refused;
import wiselarder.server.problem.ServerReason;

/**
 * Edits as JSON: an object whose one member says which edit it is, such as {@code {"putField":
 * {...}}} or {@code {"removeField": "saddle"}}. Every list that is put and removed one by one has
 * its two by itself.
 */
public final class Edits {
  /**
   * One edit by its name in JSON.
   *
   * @param type of the value that it holds there
   */
  public record Kind<V>(
      String name,
      Class<V> type,
      java.util.function.Function<V, PlanEdit> read,
      java.util.function.Function<PlanEdit, V> write) {}

  /** Every edit by its name in JSON. */
  public static final Map<String, Kind<?>> KINDS = kinds();

  private Edits() {}

  /** Teaches a mapper to read and write edits. */
  public static <B extends MapperBuilder<?, B>> B on(B builder) {
    SimpleModule module = new SimpleModule("edits");
    module.addSerializer(new Writer());
    module.addDeserializer(PlanEdit.class, new Reader());
    return builder.addModule(module);
  }

  private static Map<String, Kind<?>> kinds() {
    List<Kind<?>> all = new ArrayList<>();
    for (Items<?> items : Items.ALL) {
      if (items != Items.STEPS) {
        all.add(put(items));
        all.add(remove(items));
      }
    }
    all.add(itself("setFeeding", PlanEdit.SetFeeding.class));
    all.add(itself("splitField", PlanEdit.SplitField.class));
    all.add(itself("partField", PlanEdit.PartField.class));
    all.add(itself("setFarm", PlanEdit.SetFarm.class));
    all.add(
        new Kind<>(
            "setYear",
            PlanYear.class,
            PlanEdit.SetYear::new,
            e -> e instanceof PlanEdit.SetYear s ? s.year() : null));
    all.add(
        new Kind<>(
            "namePlan",
            String.class,
            PlanEdit.NamePlan::new,
            e -> e instanceof PlanEdit.NamePlan n ? n.name() : null));
    all.add(
        new Kind<>(
            "replace",
            FarmPlan.class,
            PlanEdit.Replace::new,
            e -> e instanceof PlanEdit.Replace r ? r.with() : null));
    Map<String, Kind<?>> kinds = new LinkedHashMap<>();
    all.forEach(k -> kinds.put(k.name(), k));
    return kinds;
  }

  private static <T extends Record> Kind<T> put(Items<T> items) {
    return new Kind<>(
        named("put", items),
        items.type(),
        item -> new PlanEdit.Put<>(items, item),
        e ->
            e instanceof PlanEdit.Put<?> p && p.items() == items
                ? items.type().cast(p.item())
                : null);
  }

  private static <T extends Record> Kind<String> remove(Items<T> items) {
    return new Kind<>(
        named("remove", items),
        String.class,
        id -> new PlanEdit.Remove<>(items, id),
        e -> e instanceof PlanEdit.Remove<?> r && r.items() == items ? r.id() : null);
  }

  private static <E extends PlanEdit> Kind<E> itself(String name, Class<E> type) {
    return new Kind<>(name, type, e -> e, e -> type.isInstance(e) ? type.cast(e) : null);
  }

  private static String named(String verb, Items<?> items) {
    String word = items.word();
    return verb + word.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + word.substring(1);
  }

  private static final JsonMapper PLAIN =
      Facts.on(JsonMapper.builder()).disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS).build();

  private static final class Writer extends StdSerializer<PlanEdit> {
    Writer() {
      super(PlanEdit.class);
    }

    @Override
    public void serialize(PlanEdit edit, JsonGenerator out, SerializationContext context) {
      out.writeStartObject();
      for (Kind<?> kind : KINDS.values()) {
        Object value = kind.write().apply(edit);
        if (value != null) {
          out.writeName(kind.name());
          // by its members: an edit that is its own value must not be wrapped once more
          out.writePOJO(value instanceof PlanEdit ? PLAIN.valueToTree(value) : value);
          break;
        }
      }
      out.writeEndObject();
    }
  }

  private static final class Reader extends StdDeserializer<PlanEdit> {
    Reader() {
      super(PlanEdit.class);
    }

    /** What is said to be known where somebody sends another. */
    @Override
    public Collection<Object> getKnownPropertyNames() {
      return List.copyOf(KINDS.keySet());
    }

    @Override
    public PlanEdit deserialize(JsonParser in, DeserializationContext context) {
      if (!in.isExpectedStartObjectToken()) {
        return (PlanEdit) context.handleUnexpectedToken(PlanEdit.class, in);
      }
      PlanEdit edit = null;
      int members = 0;
      while (in.nextToken() == JsonToken.PROPERTY_NAME) {
        String name = in.currentName();
        in.nextToken();
        Kind<?> kind = KINDS.get(name);
        if (kind == null) {
          context.handleUnknownProperty(in, this, PlanEdit.class, name);
        } else if (in.currentToken() != JsonToken.VALUE_NULL) {
          edit = read(kind, in, context);
          members++;
        }
      }
      if (members != 1) {
        throw new Refused(ServerReason.ONE_EDIT, "edits", members);
      }
      return edit;
    }

    private static <V> PlanEdit read(Kind<V> kind, JsonParser in, DeserializationContext context) {
      try {
        return kind.read().apply(context.readValue(in, kind.type()));
      } catch (RuntimeException e) {
        throw DatabindException.wrapWithPath(e, PlanEdit.class, kind.name());
      }
    }
  }
}
