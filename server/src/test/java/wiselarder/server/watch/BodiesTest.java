package wiselarder.server.watch;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.SocketException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import wiselarder.server.App;
import wiselarder.server.Http;

/** How much comes in, how fast, and how much of it at once. */
class BodiesTest {
  private static final int FILE_BYTES = 12_000_000;

  @BeforeEach
  void freshFarms() {
    App.resetDemo();
  }

  private static byte[] blanks(int length) {
    byte[] body = new byte[length];
    Arrays.fill(body, (byte) ' ');
    return body;
  }

  private static Http.Answer post(Http http, String path, byte[] body) {
    return http.call("POST", path, "application/json", body);
  }

  private static void refusedAsTooLarge(Http.Answer answer, int kilobytes) {
    assertThat(answer.status()).isEqualTo(413);
    assertThat(answer.json().get("code").asString()).isEqualTo("body_too_large");
    assertThat(answer.json().get("values").get("mostKilobytes").asInt()).isEqualTo(kilobytes);
    assertThat(answer.raw().headers().firstValue("X-Content-Type-Options")).contains("nosniff");
  }

  @Test
  void aStrangerSendsNoMoreThanASignInTakes() {
    refusedAsTooLarge(post(Http.stranger(), "/api/session", blanks(10_001)), 10);
    assertThat(post(Http.stranger(), "/api/session", blanks(9_000)).status()).isEqualTo(422);
    // nor where the sender does not say how much is to come
    HttpRequest chunked =
        HttpRequest.newBuilder(URI.create(App.url() + "/api/hay-sum"))
            .header("Content-Type", "application/json")
            .header("X-XSRF-TOKEN", "none")
            .POST(
                HttpRequest.BodyPublishers.ofInputStream(
                    () -> new java.io.ByteArrayInputStream(blanks(500_000))))
            .build();
    assertThat(Http.stranger().send(chunked).status()).isIn(403, 413);
  }

  @Test
  void aMemberSendsWhatTheOperationTakes() {
    Http visitor = Http.visitor();
    refusedAsTooLarge(post(visitor, "/api/farms/file/preview", blanks(FILE_BYTES + 1)), 12_000);
    refusedAsTooLarge(post(visitor, "/api/plans/quillback/undo", blanks(1_000_001)), 1000);
    byte[] list = "[]".getBytes(StandardCharsets.UTF_8);
    assertThat(post(visitor, "/api/farms/file/preview", list).status()).isEqualTo(422);
  }

  /** What is too long is refused, not cut, where its sender does not say how long it is. */
  @Test
  void aChunkedBodyIsNotCutSilently() throws IOException {
    Session visitor = new Session();
    Http.Answer answer = visitor.chunked("/api/plans/quillback/undo", 1_100_000);
    refusedAsTooLarge(answer, 1000);
  }

  @Test
  void aFormIsNotReadAtAll() {
    for (String type : List.of("application/x-www-form-urlencoded", "multipart/form-data; b=x")) {
      Http.Answer answer =
          Http.stranger()
              .call("POST", "/api/session", type, "_csrf=x".getBytes(StandardCharsets.UTF_8));
      assertThat(answer.status()).isEqualTo(415);
    }
  }

  /** A thread that waits for bodies that hardly come is given back. */
  @Test
  void aBodyThatHardlyComesIsGivenUp() throws IOException {
    try (Socket slow = open()) {
      begin(slow, 5000);
      String said = drip(slow, 5000);
      assertThat(said).startsWith("HTTP/1.1 408").contains("body_too_slow");
    }
  }

  /** However many slow bodies one address begins, others are answered. */
  @Test
  void manySlowBodiesLeaveRoomForOthers() throws IOException {
    List<Socket> slow = new ArrayList<>();
    try {
      int refused = 0;
      for (int i = 0; i < 60; i++) {
        Socket socket = open();
        slow.add(socket);
        begin(socket, 5000);
      }
      assertThat(Http.stranger().get("/api/session").status()).isEqualTo(200);
      for (Socket socket : slow) {
        refused += firstLine(socket).contains(" 503") ? 1 : 0;
      }
      assertThat(refused).isGreaterThanOrEqualTo(20);
    } finally {
      for (Socket socket : slow) {
        socket.close();
      }
    }
    assertThat(post(Http.stranger(), "/api/session", blanks(100)).status()).isEqualTo(422);
  }

  private static Socket open() throws IOException {
    URI at = URI.create(App.url());
    Socket socket = new Socket(at.getHost(), at.getPort());
    socket.setSoTimeout(30_000);
    return socket;
  }

  /** A sound head of a sign-in with its token, and nothing of what it announces but a byte. */
  private static void begin(Socket socket, int announced) throws IOException {
    String head =
        """
        POST /api/session HTTP/1.1\r
        Host: 127.0.0.1\r
        Content-Type: application/json\r
        Cookie: XSRF-TOKEN=a\r
        X-XSRF-TOKEN: a\r
        Content-Length: %d\r
        \r
        {"""
            .formatted(announced);
    OutputStream out = socket.getOutputStream();
    out.write(head.getBytes(StandardCharsets.US_ASCII));
    out.flush();
  }

  /** Sends a byte, and another when it is clear that nothing is answered yet. */
  private static String drip(Socket socket, int most) throws IOException {
    socket.setSoTimeout(200);
    ByteArrayOutputStream said = new ByteArrayOutputStream();
    for (int i = 0; i < most; i++) {
      try {
        int read = socket.getInputStream().read();
        if (read < 0) {
          break;
        }
        said.write(read);
      } catch (java.net.SocketTimeoutException notYet) {
        try {
          socket.getOutputStream().write(' ');
        } catch (SocketException over) {
          break;
        }
      }
    }
    return said.toString(StandardCharsets.UTF_8);
  }

  private static String firstLine(Socket socket) throws IOException {
    InputStream in = socket.getInputStream();
    StringBuilder line = new StringBuilder();
    try {
      for (int c = in.read(); c > '\r'; c = in.read()) {
        line.append((char) c);
      }
    } catch (SocketException reset) {
      line.append(" reset");
    }
    return line.toString();
  }

  /** The visitor's requests of unknown length. */
  private static final class Session {
    private final Http http = Http.visitor();

    Http.Answer chunked(String path, int length) throws IOException {
      return http.send(
          HttpRequest.newBuilder(URI.create(App.url() + path))
              .header("Content-Type", "application/json")
              .header("X-XSRF-TOKEN", http.token())
              .POST(
                  HttpRequest.BodyPublishers.ofInputStream(
                      () -> new java.io.ByteArrayInputStream(blanks(length))))
              .build());
    }
  }
}
