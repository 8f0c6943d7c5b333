package wiselarder.pocket;

import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;

/** Objects, lists and values of JavaScript, by name and by place. */
final class Js {
  private Js() {}

  @JSBody(params = {"of", "name"}, script = "var v = of[name]; return v === undefined ? null : v;")
  static native JSObject member(JSObject of, String name);

  @JSBody(params = {"of", "at"}, script = "return of[at];")
  static native JSObject item(JSObject of, int at);

  @JSBody(params = "of", script = "return of.length;")
  static native int length(JSObject of);

  @JSBody(params = "of", script = "return Object.keys(of);")
  static native String[] names(JSObject of);

  @JSBody(params = "value", script = "return value;")
  static native double number(JSObject value);

  @JSBody(params = "value", script = "return value;")
  static native boolean flag(JSObject value);

  @JSBody(params = "value", script = "return value;")
  static native String text(JSObject value);

  @JSBody(script = "return {};")
  static native JSObject object();

  @JSBody(script = "return [];")
  static native JSObject list();

  @JSBody(script = "return null;")
  static native JSObject nothing();

  @JSBody(params = "value", script = "return value === value ? value : null;")
  static native JSObject of(double value);

  @JSBody(params = "value", script = "return value;")
  static native JSObject of(boolean value);

  @JSBody(params = "value", script = "return value;")
  static native JSObject of(String value);

  @JSBody(params = {"to", "name", "value"}, script = "to[name] = value;")
  static native void put(JSObject to, String name, JSObject value);

  @JSBody(params = {"to", "value"}, script = "to.push(value);")
  static native void add(JSObject to, JSObject value);
}
