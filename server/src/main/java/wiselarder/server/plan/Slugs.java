package wiselarder.server.plan;

import java.security.SecureRandom;
import java.text.Normalizer;
import java.util.Locale;

/** Names of farms and plans in addresses: readable, and never the same twice. */
public final class Slugs {
  private static final SecureRandom RANDOM = new SecureRandom();
  private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
  private static final int TAIL = 8;

  private Slugs() {}

  /** "Quillback Farm" to "quillback-farm-x7k2m9pd". */
  public static String fresh(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .replaceAll("\\p{M}", "")
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    StringBuilder slug = new StringBuilder(plain.substring(0, Math.min(40, plain.length())));
    if (!slug.isEmpty()) {
      slug.append('-');
    }
    for (int i = 0; i < TAIL; i++) {
      slug.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
    }
    return slug.toString();
  }
}
