package wiselarder.server.year;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Season;
import wiselarder.core.records.FarmRecords;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/**
 * Views of plans as they were sent last, packed, by all that they are made of: many look at a plan
 * between two changes of it. Nothing has to be thrown away when something changes; it is not asked
 * for any more.
 */
@Component
class KeptViews {
  private static final long MOST_BYTES = 48_000_000;

  /** Records are known by being the very same, which they are until one is added. */
  private record Same(FarmRecords records) {
    @Override
    public boolean equals(Object other) {
      return other instanceof Same s && s.records == records;
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(records);
    }
  }

  private record Key(
      long planId,
      int revision,
      Role role,
      String farm,
      List<Plans.OtherPlan> others,
      String season,
      Same known) {}

  private final PlanViews views;
  private final JsonMapper mapper;
  private final Cache<Key, byte[]> kept =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((Key key, byte[] packed) -> packed.length)
          .build();

  KeptViews(PlanViews views, JsonMapper mapper) {
    this.views = views;
    this.mapper = mapper;
  }

  /** The view of an opened plan, as {@link PlanViews#of(Plans.Opened, String)} draws it. */
  ResponseEntity<byte[]> of(Plans.Opened opened, String season, boolean packed) {
    PlanViews.known(season);
    StoredPlan plan = opened.plan();
    Engine engine = views.engine(season, plan);
    // measured weather is read anew for each, so that nothing is the same
    byte[] gzip =
        Season.parse(season).needsRecords(plan.content())
            ? pack(opened, season)
            : kept.get(
                new Key(
                    plan.id(),
                    plan.revision(),
                    plan.role(),
                    plan.farm(),
                    opened.others(),
                    engine.season().key(),
                    new Same(engine.records())),
                k -> pack(opened, season));
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
