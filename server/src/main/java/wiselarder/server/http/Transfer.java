package wiselarder.server.http;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import wiselarder.core.quantity.Refused;
import wiselarder.server.problem.ServerReason;

/** Files as they come and go over HTTP. */
public final class Transfer {
  /** A table in text. */
  public static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

  private Transfer() {}

  /** What came as a file of text. */
  public static String text(byte[] body) {
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(body)).toString();
    } catch (CharacterCodingException e) {
      throw new Refused(ServerReason.NOT_TEXT, "file");
    }
  }

  /** An answer that the browser keeps as a file. */
  public static ResponseEntity<byte[]> file(byte[] content, String name, MediaType type) {
    return ResponseEntity.ok()
        .contentType(type)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .body(content);
  }
}
