package wiselarder.pocket.make;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Writes the code that turns the core's records into objects of JavaScript and back, member by
 * member under their own names: where there is no reflection, that is done beforehand.
 */
final class CodecMaker {
  private final Set<Class<?>> read = new LinkedHashSet<>();
  private final Set<Class<?>> written = new LinkedHashSet<>();
  private final Deque<Class<?>> toRead = new ArrayDeque<>();
  private final Deque<Class<?>> toWrite = new ArrayDeque<>();
  private final StringBuilder code = new StringBuilder();

  private CodecMaker() {}

  /** Source of the class {@code Codec} for what is read, what is written, and what those hold. */
  static String source(List<Class<?>> reads, List<Class<?>> writes) {
    CodecMaker maker = new CodecMaker();
    reads.forEach(maker::reading);
    writes.forEach(maker::writing);
    while (!maker.toRead.isEmpty()) {
      maker.reader(maker.toRead.remove());
    }
    while (!maker.toWrite.isEmpty()) {
      maker.writer(maker.toWrite.remove());
    }
    return """
        package wiselarder.pocket;

        import java.util.*;
        import org.teavm.jso.JSObject;

        final class Codec {
          private Codec() {}
          private static double number(JSObject v) {
            if (v == null) {
              throw new wiselarder.core.quantity.Refused(wiselarder.core.quantity.CoreReason.MISSING, "");
            }
            return Js.number(v);
          }
        %s}
        """
        .formatted(maker.code);
  }

  private String reading(Class<?> type) {
    if (read.add(type)) {
      toRead.add(type);
    }
    return "read" + name(type);
  }

  private String writing(Class<?> type) {
    if (written.add(type)) {
      toWrite.add(type);
    }
    return "write" + name(type);
  }

  /** Two records of one simple name have one of their outer class before it. */
  private static String name(Class<?> type) {
    Class<?> outer = type.getEnclosingClass();
    return (outer == null ? "" : name(outer)) + type.getSimpleName();
  }

  private static String kind(Class<?> type) {
    return type.getSimpleName().replaceAll("([a-z])([A-Z])", "$1_$2").toUpperCase(Locale.ROOT);
  }

  private void reader(Class<?> type) {
    String of = type.getCanonicalName();
    line("  static %s read%s(JSObject o) {".formatted(of, name(type)));
    line("    if (o == null) return null;");
    if (type.isSealed()) {
      line("    String kind = Js.text(Js.member(o, \"kind\"));");
      for (Class<?> one : type.getPermittedSubclasses()) {
        line("    if (kind.equals(\"%s\")) return %s(o);".formatted(kind(one), reading(one)));
      }
      line("    throw new IllegalStateException(kind);");
    } else {
      RecordComponent[] components = type.getRecordComponents();
      for (int i = 0; i < components.length; i++) {
        RecordComponent c = components[i];
        String value = "Js.member(o, \"" + c.getName() + "\")";
        line("    JSObject m%d = %s;".formatted(i, value));
        line("    %s v%d;".formatted(source(c.getGenericType()), i));
        readInto("v" + i, "m" + i, c.getGenericType(), 0);
      }
      StringBuilder all = new StringBuilder();
      for (int i = 0; i < components.length; i++) {
        all.append(i == 0 ? "" : ", ").append('v').append(i);
      }
      line("    return new %s(%s);".formatted(of, all));
    }
    line("  }");
  }

  /** A type as it is written in source. */
  private static String source(Type type) {
    return type.getTypeName().replace('$', '.');
  }

  private void readInto(String to, String from, Type type, int depth) {
    if (type instanceof ParameterizedType p) {
      Class<?> raw = (Class<?>) p.getRawType();
      if (Map.class.isAssignableFrom(raw)) {
        readMap(to, from, p, depth);
      } else {
        Type of = p.getActualTypeArguments()[0];
        boolean set = Set.class.isAssignableFrom(raw);
        line("    if (%s == null) %s = null; else {".formatted(from, to));
        line(
            "    %s<%s> l%d = new %s<>();"
                .formatted(
                    set ? "Set" : "List", source(of), depth, set ? "LinkedHashSet" : "ArrayList"));
        line("    for (int i%1$d = 0; i%1$d < Js.length(%2$s); i%1$d++) {".formatted(depth, from));
        line("    JSObject e%1$d = Js.item(%2$s, i%1$d);".formatted(depth, from));
        line("    %s x%d;".formatted(source(of), depth));
        readInto("x" + depth, "e" + depth, of, depth + 1);
        line("    l%1$d.add(x%1$d); }".formatted(depth));
        line("    %s = l%d; }".formatted(to, depth));
      }
      return;
    }
    line("    %s = %s;".formatted(to, readValue(from, (Class<?>) type)));
  }

  private void readMap(String to, String from, ParameterizedType p, int depth) {
    Type key = p.getActualTypeArguments()[0];
    Type of = p.getActualTypeArguments()[1];
    line("    if (%s == null) %s = null; else {".formatted(from, to));
    line("    Map<%s, %s> l%d = new LinkedHashMap<>();".formatted(source(key), source(of), depth));
    line("    for (String k%1$d : Js.names(%2$s)) {".formatted(depth, from));
    line("    JSObject e%1$d = Js.member(%2$s, k%1$d);".formatted(depth, from));
    line("    %s x%d;".formatted(source(of), depth));
    readInto("x" + depth, "e" + depth, of, depth + 1);
    line("    l%1$d.put(%2$s, x%1$d); }".formatted(depth, keyOf((Class<?>) key, "k" + depth)));
    line("    %s = l%d; }".formatted(to, depth));
  }

  private static String keyOf(Class<?> type, String text) {
    if (type == String.class) {
      return text;
    }
    if (type.isEnum()) {
      return type.getCanonicalName() + ".valueOf(" + text + ")";
    }
    if (type == Integer.class) {
      return "Integer.valueOf(" + text + ")";
    }
    throw new IllegalStateException("a map by " + type);
  }

  private String readValue(String from, Class<?> type) {
    if (type == double.class) {
      return "number(" + from + ")";
    }
    if (type == int.class || type == long.class) {
      return "(" + type + ") number(" + from + ")";
    }
    if (type == boolean.class) {
      return "Js.flag(" + from + ")";
    }
    String there = from + " == null ? null : ";
    if (type == double[].class || type == String[].class) {
      throw new IllegalStateException("a list is wanted, not " + type);
    }
    if (type == Double.class) {
      return there + "Double.valueOf(Js.number(" + from + "))";
    }
    if (type == Integer.class) {
      return there + "Integer.valueOf((int) Js.number(" + from + "))";
    }
    if (type == Boolean.class) {
      return there + "Boolean.valueOf(Js.flag(" + from + "))";
    }
    if (type == String.class) {
      return there + "Js.text(" + from + ")";
    }
    if (type == LocalDate.class || type == MonthDay.class || type == Instant.class) {
      return there + type.getName() + ".parse(Js.text(" + from + "))";
    }
    if (type.isEnum()) {
      return there + type.getCanonicalName() + ".valueOf(Js.text(" + from + "))";
    }
    if (type.isRecord() || type.isSealed()) {
      return reading(type) + "(" + from + ")";
    }
    throw new IllegalStateException("nobody knows how to read " + type);
  }

  private void writer(Class<?> type) {
    line("  static JSObject write%s(%s r) {".formatted(name(type), type.getCanonicalName()));
    line("    if (r == null) return null;");
    line("    JSObject o = Js.object();");
    for (RecordComponent c : type.getRecordComponents()) {
      line("    JSObject m_%s;".formatted(c.getName()));
      writeInto("m_" + c.getName(), "r." + c.getName() + "()", c.getGenericType(), 0);
      line("    Js.put(o, \"%1$s\", m_%1$s);".formatted(c.getName()));
    }
    line("    return o;");
    line("  }");
  }

  private void writeInto(String to, String from, Type type, int depth) {
    if (type instanceof ParameterizedType p) {
      Class<?> raw = (Class<?>) p.getRawType();
      if (Map.class.isAssignableFrom(raw)) {
        throw new IllegalStateException("nobody writes a map yet");
      }
      Type of = p.getActualTypeArguments()[0];
      line("    if (%s == null) %s = Js.nothing(); else {".formatted(from, to));
      line("    JSObject l%d = Js.list();".formatted(depth));
      line("    for (%s x%d : %s) {".formatted(source(of), depth, from));
      line("    JSObject e%d;".formatted(depth));
      writeInto("e" + depth, "x" + depth, of, depth + 1);
      line("    Js.add(l%1$d, e%1$d); }".formatted(depth));
      line("    %s = l%d; }".formatted(to, depth));
      return;
    }
    line("    %s = %s;".formatted(to, writeValue(from, (Class<?>) type)));
  }

  private String writeValue(String from, Class<?> type) {
    if (type == double.class || type == int.class || type == long.class) {
      return "Js.of((double) " + from + ")";
    }
    if (type == boolean.class) {
      return "Js.of(" + from + ")";
    }
    String there = from + " == null ? Js.nothing() : ";
    if (type == Double.class || type == Integer.class) {
      return there + "Js.of(" + from + ".doubleValue())";
    }
    if (type == Boolean.class) {
      return there + "Js.of(" + from + ".booleanValue())";
    }
    if (type == String.class) {
      return there + "Js.of(" + from + ")";
    }
    if (type == LocalDate.class || type == MonthDay.class || type == Instant.class) {
      return there + "Js.of(" + from + ".toString())";
    }
    if (type.isEnum()) {
      return there + "Js.of(" + from + ".name())";
    }
    if (type.isRecord()) {
      return writing(type) + "(" + from + ")";
    }
    throw new IllegalStateException("nobody knows how to write " + type);
  }

  private void line(String text) {
    code.append(text).append('\n');
  }
}
