package wiselarder.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.server.people.People;

/** A client that keeps cookies and sends the CSRF token, as the web client does. */
public final class Http {
  private static final JsonMapper MAPPER = new JsonMapper();

  static {
    // the server of the tests drops what is idle for three seconds
    System.setProperty("jdk.httpclient.keepalive.timeout", "2");
  }

  private final CookieManager cookies = new CookieManager();
  private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();

  /** An answer with its body read as JSON, null where it is none. */
  public record Answer(int status, JsonNode json, HttpResponse<String> raw) {}

  /** Somebody who has not signed in. */
  public static Http stranger() {
    return new Http();
  }

  /** The visitor, in the demo farms. */
  public static Http visitor() {
    Http http = new Http();
    expect(http.post("/api/session/demo", "{}"));
    return http;
  }

  /** A new person, signed in. */
  public static Http person(String name) {
    App.bean(People.class).add(name, name + "@farm.example", PASSWORD);
    return signedIn(name);
  }

  /** A person made before, signed in again. */
  public static Http signedIn(String name) {
    Http http = new Http();
    expect(
        http.post(
            "/api/session",
            "{\"email\": \"%s@farm.example\", \"password\": \"%s\"}".formatted(name, PASSWORD)));
    return http;
  }

  /** Password of every person of the tests. */
  public static final String PASSWORD = "clover and timothy";

  private static void expect(Answer answer) {
    if (answer.status != 200) {
      throw new AssertionError(answer.raw.body());
    }
  }

  public Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(App.url() + path)).build());
  }

  /** A request with the CSRF token; a body of null sends none. */
  public Answer call(String method, String path, String type, byte[] body) {
    HttpRequest.BodyPublisher publisher =
        body == null
            ? HttpRequest.BodyPublishers.noBody()
            : HttpRequest.BodyPublishers.ofByteArray(body);
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(App.url() + path))
            .header("X-XSRF-TOKEN", token())
            .method(method, publisher);
    if (type != null) {
      request.header("Content-Type", type);
    }
    return send(request.build());
  }

  /** The CSRF token. */
  public String token() {
    for (int attempt = 0; attempt < 2; attempt++) {
      for (HttpCookie c : cookies.getCookieStore().getCookies()) {
        if (c.getName().equals("XSRF-TOKEN")) {
          return c.getValue();
        }
      }
      get("/api/session");
    }
    throw new AssertionError("no CSRF cookie");
  }

  public Answer post(String path, String body) {
    return call("POST", path, "application/json", body.getBytes(StandardCharsets.UTF_8));
  }

  public Answer put(String path, String body) {
    return call("PUT", path, "application/json", body.getBytes(StandardCharsets.UTF_8));
  }

  public Answer delete(String path) {
    return call("DELETE", path, null, null);
  }

  /** An answer that goes on. */
  public HttpResponse<java.io.InputStream> stream(HttpRequest request) {
    try {
      return client.send(request, HttpResponse.BodyHandlers.ofInputStream());
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  public Answer send(HttpRequest request) {
    try {
      HttpResponse<String> raw = client.send(request, HttpResponse.BodyHandlers.ofString());
      String type = raw.headers().firstValue("Content-Type").orElse("");
      JsonNode json =
          type.contains("json") && !raw.body().isEmpty()
              ? withDays(MAPPER.readTree(raw.body()))
              : null;
      return new Answer(raw.statusCode(), json, raw);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * Puts the values of the days where a series is written as it changes, as the web client does.
   */
  private static JsonNode withDays(JsonNode node) {
    if (node.isObject() && node.size() == 2 && node.has("step") && node.path("of").isArray()) {
      ArrayNode days = MAPPER.createArrayNode();
      double sum = 0;
      for (JsonNode change : node.get("of")) {
        sum += change.asInt();
        days.add(sum * node.get("step").asDouble());
      }
      return days;
    }
    if (node instanceof ObjectNode object) {
      for (String name : List.copyOf(object.propertyNames())) {
        object.set(name, withDays(object.get(name)));
      }
    } else if (node instanceof ArrayNode array) {
      for (int i = 0; i < array.size(); i++) {
        array.set(i, withDays(array.get(i)));
      }
    }
    return node;
  }
}
