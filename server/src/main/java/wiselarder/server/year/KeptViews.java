package wiselarder.server.year;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;

/**
 * Views of plans as they were sent last, packed, by all that they are made of: many look at a plan
 * between two changes of it. Nothing has to be thrown away when something changes; it is not asked
 * for any more.
 */
@Component
class KeptViews {
  private static final long MOST_BYTES = 48_000_000;

  private record Key(Plans.Stamp stamp, String season) {}

  private final Plans plans;
  private final PlanViews views;
  private final JsonMapper mapper;
  private final Cache<Key, byte[]> kept =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((Key key, byte[] packed) -> packed.length)
          .build();

  KeptViews(Plans plans, PlanViews views, JsonMapper mapper) {
    this.plans = plans;
    this.views = views;
    this.mapper = mapper;
  }

  /**
   * The view of a plan for a person, as {@link PlanViews#of(Plans.Opened, String)} draws it.
   *
   * @param packed whether the asker can unpack it
   */
  ResponseEntity<byte[]> of(String slug, Person person, String season, boolean packed) {
    PlanViews.known(season);
    byte[] gzip =
        kept.get(
            new Key(plans.stamp(slug, person), season),
            k -> pack(plans.open(slug, person), season));
    ResponseEntity.BodyBuilder answer =
        ResponseEntity.ok()
            .contentType(MediaType.APPLICATION_JSON)
            .header(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
    return packed
        ? answer.header(HttpHeaders.CONTENT_ENCODING, "gzip").body(gzip)
        : answer.body(unpack(gzip));
  }

  private byte[] pack(Plans.Opened opened, String season) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(bytes)) {
      gzip.write(mapper.writeValueAsBytes(views.of(opened, season)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static byte[] unpack(byte[] packed) {
    try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(packed))) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
