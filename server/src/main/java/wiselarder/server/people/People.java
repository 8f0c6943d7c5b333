package wiselarder.server.people;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.server.problem.ServerReason;

/** Who there is, and whether a password is theirs. */
@Component
public class People {
  private static final int LEAST_PASSWORD = 10;

  /** bcrypt reads no more. */
  private static final int MOST_PASSWORD_BYTES = 72;

  private final PeopleRepository repository;
  private final BCryptPasswordEncoder passwords = new BCryptPasswordEncoder();

  /** Compared with when nobody has that e-mail address, so that both answers take as long. */
  private final String nobodysHash = passwords.encode("nobody signs in with this");

  People(PeopleRepository repository) {
    this.repository = repository;
  }

  /** True until the first owner is made. */
  @Transactional(readOnly = true)
  public boolean nobodyYet() {
    return !repository.anyWithPassword();
  }

  /**
   * Makes the first person, who runs the product.
   *
   * @throws Refused when there already is one
   */
  @Transactional
  public Person first(String name, String email, String password) {
    repository.lockFirst();
    if (repository.anyWithPassword()) {
      throw new Refused(ServerReason.NOT_FIRST, "person");
    }
    return add(name, email, password, true);
  }

  /** Makes a person. */
  @Transactional
  public Person add(String name, String email, String password) {
    return add(name, email, password, false);
  }

  private Person add(String name, String email, String password, boolean runsProduct) {
    String address = address(email);
    String called = Check.text("person.name", name, 60);
    checkPassword(password, address);
    return repository
        .insert(address, called, passwords.encode(password), runsProduct)
        .orElseThrow(() -> new Refused(ServerReason.EMAIL_TAKEN, "person.email", address));
  }

  /**
   * What can be no sign-in is refused before anything is counted or kept.
   *
   * @throws Refused where address or password is longer than any can be
   */
  public void checkSignIn(String email, String password) {
    Check.note("person.email", email, MOST_ADDRESS);
    Check.note("person.password", password, MOST_GIVEN);
  }

  /** The account that an address means, however it is spelled; a hash of it, of one length. */
  public static String account(String email) {
    try {
      MessageDigest sha = MessageDigest.getInstance("SHA-256");
      return HexFormat.of().formatHex(sha.digest(lower(email).getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private static final int MOST_ADDRESS = 200;
  private static final int MOST_GIVEN = 400;

  /** The person with this e-mail address, when the password is theirs. */
  @Transactional(readOnly = true)
  public Optional<Person> withPassword(String email, String password) {
    Optional<PeopleRepository.Known> known = repository.byEmail(lower(email));
    String given = password == null || !fits(password) ? "" : password;
    boolean matches =
        passwords.matches(
            given, known.map(PeopleRepository.Known::passwordHash).orElse(nobodysHash));
    return matches ? known.map(PeopleRepository.Known::person) : Optional.empty();
  }

  /** Changes a password. */
  @Transactional
  public void changePassword(Person person, String old, String changed) {
    if (withPassword(person.email(), old).isEmpty()) {
      throw new Refused(ServerReason.WRONG_PASSWORD, "person.old");
    }
    checkPassword(changed, person.email());
    repository.setPassword(person.id(), passwords.encode(changed));
  }

  /** Sets the password of a person who lost it, for whoever runs the product. */
  @Transactional
  public Person resetPassword(String email, String changed) {
    Person person =
        repository
            .byEmail(lower(email))
            .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "person.email", email))
            .person();
    checkPassword(changed, person.email());
    repository.setPassword(person.id(), passwords.encode(changed));
    return person;
  }

  /** The visitor, who sees the demo farms only. */
  @Transactional
  public Person visitor() {
    return repository.visitor();
  }

  /** The person with this number, while they are there. */
  @Transactional(readOnly = true)
  public Optional<Person> byId(long id) {
    return repository.byId(id);
  }

  private static String lower(String email) {
    String plain = email == null ? "" : email.strip().toLowerCase(Locale.ROOT);
    return plain.chars().anyMatch(Character::isISOControl) ? "" : plain;
  }

  private static String address(String email) {
    String address = lower(Check.text("person.email", email, MOST_ADDRESS));
    if (!address.matches("[^@\\s]+@[^@\\s]+")) {
      throw new Refused(ServerReason.NOT_AN_ADDRESS, "person.email", address);
    }
    return address;
  }

  private static boolean fits(String password) {
    return password.getBytes(StandardCharsets.UTF_8).length <= MOST_PASSWORD_BYTES;
  }

  private static void checkPassword(String password, String email) {
    int length = password == null ? 0 : password.length();
    if (length < LEAST_PASSWORD || !fits(password)) {
      throw new Refused(
          ServerReason.PASSWORD_LENGTH, "person.password", LEAST_PASSWORD, MOST_PASSWORD_BYTES);
    }
    if (password.equalsIgnoreCase(email) || password.chars().distinct().count() < 4) {
      throw new Refused(ServerReason.PASSWORD_WEAK, "person.password");
    }
  }
}
