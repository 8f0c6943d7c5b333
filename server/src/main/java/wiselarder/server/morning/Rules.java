package wiselarder.server.morning;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * A hash of all by which is reckoned, code and tables: another version of the product has another.
 */
final class Rules {
  private static final String EVERYTHING = "classpath*:wiselarder/core/**";

  private Rules() {}

  /** Read once, when it is first asked for. */
  static String hash() {
    return Held.HASH;
  }

  private static final class Held {
    static final String HASH = read();
  }

  private static String read() {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      Resource[] all = new PathMatchingResourcePatternResolver().getResources(EVERYTHING);
      Arrays.sort(all, Comparator.comparing(Rules::place));
      for (Resource r : all) {
        if (r.isReadable() && r.getFilename() != null && r.getFilename().contains(".")) {
          digest.update(r.getContentAsByteArray());
        }
      }
      return HexFormat.of().formatHex(digest.digest(), 0, 16);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private static String place(Resource resource) {
    try {
      String url = resource.getURL().toString();
      return url.substring(url.lastIndexOf("wiselarder/core/"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
