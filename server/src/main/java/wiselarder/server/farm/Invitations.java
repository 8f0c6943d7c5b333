package wiselarder.server.farm;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.OffsetDateTime;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.problem.ServerReason;

/**
 * Who may see a farm, and how others come to. An invitation is a link that holds a token of 160
 * random bits; it is handed over by its owner, works once, and ends after two weeks.
 */
@Component
public class Invitations {
  private static final int DAYS = 14;
  private static final int TOKEN_BYTES = 20;
  private static final int MOST_OPEN = 50;

  private final FarmRepository farms;
  private final People people;
  private final SecureRandom random = new SecureRandom();

  Invitations(FarmRepository farms, People people) {
    this.farms = farms;
    this.people = people;
  }

  /** Everybody of a farm and every open invitation. */
  public record Circle(
      List<FarmRepository.FarmMember> people, List<FarmRepository.Invitation> invitations) {}

  /** What the holder of a link may know before they take it. */
  public record Offer(String farm, String name, Role role, String invitedBy) {}

  @Transactional(readOnly = true)
  public Circle circle(String farm, Person person) {
    FarmRepository.Row row = find(farm, person);
    boolean owner = row.role() == Role.OWNER;
    return new Circle(farms.members(row.id()), owner ? farms.invitations(row.id()) : List.of());
  }

  /** Makes an invitation and gives its token, which is not kept. */
  @Transactional
  public String invite(String farm, Person person, String name, Role role) {
    FarmRepository.Row row = own(farm, person);
    Check.present("invitation.role", role);
    String called = Check.text("invitation.name", name, 60);
    Check.range("invitations", farms.invitations(row.id()).size() + 1, 1, MOST_OPEN);
    byte[] bytes = new byte[TOKEN_BYTES];
    random.nextBytes(bytes);
    String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    farms.invite(
        row.id(),
        role,
        called,
        hash(token),
        person.id(),
        OffsetDateTime.now(java.time.ZoneOffset.UTC).plusDays(DAYS));
    return token;
  }

  @Transactional
  public void withdraw(String farm, Person person, long invitation) {
    if (farms.withdraw(own(farm, person).id(), invitation) == 0) {
      throw new NoSuchElementException("invitation");
    }
  }

  /** Gives a person of the farm another role; the last owner stays one. */
  @Transactional
  public void setRole(String farm, Person person, long member, Role role) {
    FarmRepository.Row row = own(farm, person);
    Check.present("member.role", role);
    keepAnOwner(row.id(), member, role == Role.OWNER);
    farms.put(row.id(), member, role);
  }

  /** Takes a person out of the farm; anybody may leave, the last owner stays. */
  @Transactional
  public void remove(String farm, Person person, long member) {
    FarmRepository.Row row = lock(farm, person);
    if (member != person.id()) {
      NotAllowed.unless(row.role(), Role.OWNER);
    }
    keepAnOwner(row.id(), member, false);
    farms.removeMember(row.id(), member);
  }

  private void keepAnOwner(long farmId, long member, boolean staysOwner) {
    List<FarmRepository.FarmMember> members = farms.members(farmId);
    if (members.stream().noneMatch(m -> m.id() == member)) {
      throw new NoSuchElementException("member");
    }
    boolean another = members.stream().anyMatch(m -> m.role() == Role.OWNER && m.id() != member);
    if (!staysOwner && !another) {
      throw new Refused(ServerReason.LAST_OWNER, "member.role");
    }
  }

  /** What a link offers. */
  @Transactional
  public Offer offer(String token) {
    FarmRepository.Token found = token(token);
    return new Offer(found.farm(), found.name(), found.role(), found.invitedBy());
  }

  /** Makes a person and lets them in. */
  @Transactional
  public Person accept(String token, String name, String email, String password) {
    FarmRepository.Token found = token(token);
    Person person = people.add(name, email, password);
    letIn(found, person);
    return person;
  }

  /** Lets somebody in who has signed in; a role they hold already is never lowered. */
  @Transactional
  public void accept(String token, Person person) {
    if (person.visitor()) {
      throw new Farms.VisitorsMakeNothing();
    }
    letIn(token(token), person);
  }

  private void letIn(FarmRepository.Token found, Person person) {
    boolean has =
        farms.members(found.farmId()).stream()
            .anyMatch(m -> m.id() == person.id() && m.role().covers(found.role()));
    if (!has) {
      farms.put(found.farmId(), person.id(), found.role());
    }
    farms.accepted(found.id());
  }

  private FarmRepository.Token token(String token) {
    return farms.byToken(hash(token)).orElseThrow(() -> new NoSuchElementException("invitation"));
  }

  private FarmRepository.Row find(String farm, Person person) {
    return farms.find(farm, person.id()).orElseThrow(() -> new NoSuchElementException(farm));
  }

  private FarmRepository.Row lock(String farm, Person person) {
    return farms.lock(farm, person.id()).orElseThrow(() -> new NoSuchElementException(farm));
  }

  private FarmRepository.Row own(String farm, Person person) {
    FarmRepository.Row row = lock(farm, person);
    NotAllowed.unless(row.role(), Role.OWNER);
    return row;
  }

  private static String hash(String token) {
    try {
      return HexFormat.of()
          .formatHex(
              MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
