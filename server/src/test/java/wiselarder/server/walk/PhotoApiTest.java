package wiselarder.server.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.server.Pictures.id;
import static wiselarder.server.Pictures.jpeg;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import wiselarder.server.App;
import wiselarder.server.Http;

/** Photos beside the records: small, of the picture only, there before their record. */
class PhotoApiTest {
  private static final String PLAN = "/api/plans/quillback";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private static Http.Answer put(Http who, byte[] jpeg) {
    return put(who, id(jpeg), jpeg);
  }

  private static Http.Answer put(Http who, String id, byte[] jpeg) {
    return who.call("PUT", PLAN + "/photos/" + id, "image/jpeg", jpeg);
  }

  private Http.Answer write(String command, String fact) {
    return http.post(
        PLAN + "/records",
        """
        {"commandId": "%s", "device": "phone", "records": [{"on": "2028-04-20", "fact": %s}]}"""
            .formatted(command, fact));
  }

  private static String taken(String photo) {
    return """
        {"kind": "PHOTO_TAKEN", "photoId": "%s", "fieldId": "saddle", "note": "gate"}"""
        .formatted(photo);
  }

  @Test
  void aPhotoComesThenItsRecordAndGoesWithIt() {
    byte[] jpeg = jpeg(640, 480, 0x00ff00);
    String id = id(jpeg);
    assertThat(write("p0", taken(id)).json().get("code").asString()).isEqualTo("unknown_id");
    assertThat(put(http, jpeg).status()).isEqualTo(200);
    assertThat(put(http, jpeg).status()).as("again").isEqualTo(200);
    assertThat(write("p1", taken(id)).status()).isEqualTo(200);
    Http.Answer got = http.get(PLAN + "/photos/" + id);
    assertThat(got.status()).isEqualTo(200);
    assertThat(got.raw().headers().firstValue("Content-Type")).contains("image/jpeg");
    assertThat(got.raw().headers().firstValue("Cache-Control").orElseThrow())
        .contains("private")
        .contains("immutable");
    assertThat(http.get("/api/plans/campo-garza-mora/photos/" + id).status())
        .as("another farm's")
        .isEqualTo(404);
    String struck = "{\"kind\": \"STRUCK\", \"record\": \"p1\", \"why\": \"\"}";
    assertThat(write("p2", struck).status()).isEqualTo(200);
    assertThat(http.get(PLAN + "/photos/" + id).status()).isEqualTo(404);
  }

  /** The same picture beside two records stays until neither stands. */
  @Test
  void aPhotoOfTwoRecordsGoesWithTheSecond() {
    byte[] jpeg = jpeg(64, 48, 0x0000ff);
    String id = id(jpeg);
    put(http, jpeg);
    write("p1", taken(id));
    write("p2", taken(id));
    String struck = "{\"kind\": \"STRUCK\", \"record\": \"%s\", \"why\": \"\"}";
    assertThat(write("s1", struck.formatted("p1")).status()).isEqualTo(200);
    assertThat(http.get(PLAN + "/photos/" + id).status()).isEqualTo(200);
    assertThat(write("s2", struck.formatted("p2")).status()).isEqualTo(200);
    assertThat(http.get(PLAN + "/photos/" + id).status()).isEqualTo(404);
  }

  /** Too wide, no JPEG, another name than its own, with the camera's own notes, too heavy. */
  @Test
  void whatIsNoSmallPictureIsRefused() {
    assertThat(put(http, jpeg(1601, 10, 1)).json().get("code").asString()).isEqualTo("not_a_photo");
    byte[] text = "<svg onload='x'/>".getBytes(StandardCharsets.UTF_8);
    assertThat(put(http, text).json().get("code").asString()).isEqualTo("not_a_photo");
    byte[] fine = jpeg(64, 48, 1);
    assertThat(put(http, id(text), fine).json().get("code").asString()).isEqualTo("not_a_photo");
    assertThat(put(http, Arrays.copyOf(fine, fine.length / 3)).json().get("code").asString())
        .isEqualTo("not_a_photo");
    byte[] noted = withNotes(fine);
    assertThat(put(http, noted).json().get("code").asString()).isEqualTo("not_a_photo");
    byte[] heavy = Arrays.copyOf(fine, 400_001);
    assertThat(put(http, heavy).json().get("code").asString()).isEqualTo("body_too_large");
    assertThat(put(http, jpeg(1600, 10, 1)).status()).isEqualTo(200);
  }

  /** The same picture with a segment such as a camera puts its place and owner in. */
  private static byte[] withNotes(byte[] jpeg) {
    byte[] note = "Exif\0\0somewhere".getBytes(StandardCharsets.US_ASCII);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    out.writeBytes(new byte[] {(byte) 0xff, (byte) 0xe1, 0, (byte) (note.length + 2)});
    out.writeBytes(note);
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }
}
