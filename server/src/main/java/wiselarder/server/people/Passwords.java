package wiselarder.server.people;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.stereotype.Component;
import wiselarder.core.quantity.Refused;
import wiselarder.server.problem.ServerReason;

/**
 * Hashes of passwords: Argon2id of 19 MiB, two passes; those of before are bcrypt's, and are
 * replaced when their owner signs in. Hashing is slow on purpose: only so many are worked out at
 * once, and never inside a transaction, which would hold a connection that others wait for.
 */
@Component
class Passwords {
  private static final int LEAST_LENGTH = 10;
  private static final int MOST_LENGTH = 128;
  private static final int SALT_BYTES = 16;
  private static final int HASH_BYTES = 32;
  private static final int MEMORY_KIB = 19 * 1024;
  private static final int PASSES = 2;
  private static final String NEW = "argon2id";

  /** Of 0 to 4: from two on it takes a million guesses and more. */
  private static final int LEAST_SCORE = 2;

  /** How long somebody waits for their turn, ms. */
  private static final int PATIENCE_MS = 2500;

  /** A password is rated by its beginning: rating takes longer than in proportion. */
  private static final int RATED = 40;

  private final DelegatingPasswordEncoder encoder;
  private final Semaphore turns =
      new Semaphore(Math.max(2, Runtime.getRuntime().availableProcessors()), true);
  private final Zxcvbn rating = new Zxcvbn();

  /** Compared with when nobody has that e-mail address, so that both answers take as long. */
  private final String nobodysHash;

  Passwords() {
    BCryptPasswordEncoder before = new BCryptPasswordEncoder();
    encoder =
        new DelegatingPasswordEncoder(
            NEW,
            Map.of(
                NEW,
                new Argon2PasswordEncoder(SALT_BYTES, HASH_BYTES, 1, MEMORY_KIB, PASSES),
                "bcrypt",
                before));
    encoder.setDefaultPasswordEncoderForMatches(before);
    nobodysHash = encoder.encode("nobody signs in with this");
  }

  /**
   * Refuses a password that is too short, too long, or guessed at once: from lists of common ones,
   * rows of keys, dates, repetitions, and what is known of the person.
   */
  void check(String password, String email, String name) {
    int length = password == null ? 0 : password.length();
    if (length < LEAST_LENGTH || length > MOST_LENGTH) {
      throw new Refused(ServerReason.PASSWORD_LENGTH, "person.password", LEAST_LENGTH, MOST_LENGTH);
    }
    List<String> known =
        List.of(email, email.replaceAll("@.*", ""), name, "wiselarder", "wise larder");
    String rated = password.substring(0, Math.min(RATED, length));
    if (password.equalsIgnoreCase(email) || rating.measure(rated, known).getScore() < LEAST_SCORE) {
      throw new Refused(ServerReason.PASSWORD_WEAK, "person.password");
    }
  }

  /**
   * @throws Busy when too many others are before
   */
  String hash(String password) {
    return inTurn(() -> encoder.encode(password));
  }

  /**
   * True when the password gives the hash.
   *
   * @param hash null where there is nobody; it takes as long
   * @throws Busy when too many others are before
   */
  boolean matches(String password, String hash) {
    boolean can = password != null && password.length() <= MOST_LENGTH && isText(password);
    String given = can ? password : "";
    boolean same = inTurn(() -> encoder.matches(given, hash == null ? nobodysHash : hash));
    return same && hash != null;
  }

  /** False for half a character, which has no bytes to be hashed. */
  private static boolean isText(String password) {
    return StandardCharsets.UTF_8.newEncoder().canEncode(password);
  }

  /** True for a hash of before. */
  boolean outdated(String hash) {
    return encoder.upgradeEncoding(hash);
  }

  private <T> T inTurn(Supplier<T> work) {
    try {
      if (!turns.tryAcquire(PATIENCE_MS, TimeUnit.MILLISECONDS)) {
        throw new Busy();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Busy();
    }
    try {
      return work.get();
    } finally {
      turns.release();
    }
  }
}
