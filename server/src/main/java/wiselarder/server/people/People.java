package wiselarder.server.people;

import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.server.problem.ServerReason;

/** Who there is, and whether a password is theirs. */
@Component
public class People {
  private static final int MOST_ADDRESS = 200;
  private static final int MOST_GIVEN = 400;

  /** Of one person; the longest unused is forgotten. */
  private static final int MOST_DEVICES = 20;

  private final PeopleRepository repository;
  private final DeviceRepository devices;
  private final Passwords passwords;
  private final TransactionTemplate whole;

  People(
      PeopleRepository repository,
      DeviceRepository devices,
      Passwords passwords,
      TransactionTemplate whole) {
    this.repository = repository;
    this.devices = devices;
    this.passwords = passwords;
    this.whole = whole;
  }

  /** Somebody who is not there yet: looked at, and the password hashed. */
  public record Newcomer(String email, String name, String passwordHash) {}

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
  public Person first(String name, String email, String password) {
    refuseSecond();
    Newcomer newcomer = newcomer(name, email, password);
    return whole.execute(
        t -> {
          repository.lockFirst();
          refuseSecond();
          return insert(newcomer, true);
        });
  }

  private void refuseSecond() {
    if (repository.anyWithPassword()) {
      throw new Refused(ServerReason.NOT_FIRST, "person");
    }
  }

  /** Looks at who is to be made, outside of any transaction: hashing takes its time. */
  public Newcomer newcomer(String name, String email, String password) {
    String address = address(email);
    String called = Check.text("person.name", name, 60);
    passwords.check(password, address, called);
    return new Newcomer(address, called, passwords.hash(password));
  }

  /** Makes a person. */
  public Person add(String name, String email, String password) {
    return add(newcomer(name, email, password));
  }

  /** Makes a person who was looked at. */
  public Person add(Newcomer newcomer) {
    return insert(newcomer, false);
  }

  private Person insert(Newcomer newcomer, boolean runsProduct) {
    return repository
        .insert(newcomer.email, newcomer.name, newcomer.passwordHash, runsProduct)
        .orElseThrow(() -> new Refused(ServerReason.EMAIL_TAKEN, "person.email", newcomer.email));
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
    return Secret.hash(lower(email));
  }

  /** The person with this e-mail address, when the password is theirs. */
  public Optional<Person> withPassword(String email, String password) {
    Optional<PeopleRepository.Known> known = repository.byEmail(lower(email));
    String hash = known.map(PeopleRepository.Known::passwordHash).orElse(null);
    if (!passwords.matches(password, hash)) {
      return Optional.empty();
    }
    if (passwords.outdated(hash)) {
      repository.replacePassword(known.get().person().id(), hash, passwords.hash(password));
    }
    return known.map(PeopleRepository.Known::person);
  }

  /** Whether a device is one that the person with this e-mail address signed in with. */
  public boolean knowsDevice(String token, String email) {
    return token != null && devices.knows(Secret.hash(token), lower(email));
  }

  /** Keeps a device as one that a person signed in with. */
  @Transactional
  public void keepDevice(String token, Person person) {
    devices.keep(Secret.hash(token), person.id(), MOST_DEVICES);
  }

  /** Changes a password; no device is known any more. */
  public void changePassword(Person person, String old, String changed) {
    if (withPassword(person.email(), old).isEmpty()) {
      throw new Refused(ServerReason.WRONG_PASSWORD, "person.old");
    }
    set(person, changed);
  }

  /** Sets the password of a person who lost it, for whoever runs the product. */
  public Person resetPassword(String email, String changed) {
    Person person =
        repository
            .byEmail(lower(email))
            .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "person.email", email))
            .person();
    set(person, changed);
    return person;
  }

  private void set(Person person, String changed) {
    passwords.check(changed, person.email(), person.name());
    String hash = passwords.hash(changed);
    whole.executeWithoutResult(
        t -> {
          repository.setPassword(person.id(), hash);
          devices.forgetAllOf(person.id());
        });
  }

  /** The visitor, who sees the demo farms only. */
  @Transactional
  public Person visitor() {
    return repository.visitor();
  }

  /** The person with this number, while they are there. */
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
}
