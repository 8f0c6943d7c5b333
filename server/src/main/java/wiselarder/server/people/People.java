package wiselarder.server.people;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;

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
      throw new Refused(
          "not_first", "person", null, "there is an owner already: ask for an invitation");
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
        .orElseThrow(
            () ->
                new Refused(
                    "email_taken",
                    "person.email",
                    address,
                    "somebody signs in with %s already".formatted(address)));
  }

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
      throw new Refused("wrong_password", "person.old", null, "this is not your password of now");
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
            .orElseThrow(
                () ->
                    new Refused(
                        "unknown_id", "person.email", email, "nobody signs in with " + email))
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
    String address = lower(Check.text("person.email", email, 200));
    if (!address.matches("[^@\\s]+@[^@\\s]+")) {
      throw new Refused(
          "not_an_address", "person.email", address, "an e-mail address like ann@farm.example");
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
          "password_length",
          "person.password",
          null,
          (double) LEAST_PASSWORD,
          (double) MOST_PASSWORD_BYTES,
          "a password of %d to %d characters is accepted"
              .formatted(LEAST_PASSWORD, MOST_PASSWORD_BYTES));
    }
    if (password.equalsIgnoreCase(email) || password.chars().distinct().count() < 4) {
      throw new Refused(
          "password_weak",
          "person.password",
          null,
          "this password is guessed at once: a few plain words in a row are accepted");
    }
  }
}
