package wiselarder.server.farm;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.people.Secret;
import wiselarder.server.problem.ServerReason;

/**
 * Who may see a farm, and how others come to. An invitation is a link that holds a token of 160
 * random bits; it is handed over by its owner, works once, and ends after two weeks.
 */
@Component
public class Invitations {
  private static final int DAYS = 14;
  private static final int MOST_OPEN = 50;
  private static final int MOST_MEMBERS = 200;

  private final FarmRepository farms;
  private final People people;
  private final TransactionTemplate whole;

  Invitations(FarmRepository farms, People people, TransactionTemplate whole) {
    this.farms = farms;
    this.people = people;
    this.whole = whole;
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
    Check.range("farm.invitations", farms.invitations(row.id()).size() + 1, 1, MOST_OPEN);
    Check.range("farm.members", farms.members(row.id()).size(), 1, MOST_MEMBERS);
    String token = Secret.fresh();
    farms.invite(
        row.id(),
        role,
        called,
        Secret.hash(token),
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

  /**
   * Gives a person of the farm another role; the last owner stays one. Who is no owner any more has
   * no open invitation any more.
   */
  @Transactional
  public void setRole(String farm, Person person, long member, Role role) {
    FarmRepository.Row row = own(farm, person);
    Check.present("member.role", role);
    keepAnOwner(row.id(), member, role == Role.OWNER);
    farms.put(row.id(), member, role);
    if (role != Role.OWNER) {
      farms.withdrawAllOf(row.id(), member);
    }
  }

  /**
   * Takes a person out of the farm, with the invitations they made; anybody may leave, the last
   * owner stays.
   */
  @Transactional
  public void remove(String farm, Person person, long member) {
    FarmRepository.Row row = lock(farm, person);
    if (member != person.id()) {
      NotAllowed.unless(row.role(), Role.OWNER);
    }
    keepAnOwner(row.id(), member, false);
    farms.withdrawAllOf(row.id(), member);
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
  public Person accept(String token, String name, String email, String password) {
    // seen first, and the password hashed, while nobody waits for a connection
    if (farms.farmOfToken(Secret.hash(token)).isEmpty()) {
      throw missing("invitation");
    }
    People.Newcomer newcomer = people.newcomer(name, email, password);
    return whole.execute(
        t -> {
          FarmRepository.Token found = token(token);
          Person person = people.add(newcomer);
          letIn(found, person);
          return person;
        });
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

  /**
   * Finds an invitation and locks its farm, so that whoever made it is still its owner when it is
   * taken.
   */
  private FarmRepository.Token token(String token) {
    String hash = Secret.hash(token);
    farms.lock(farms.farmOfToken(hash).orElseThrow(() -> missing("invitation")));
    return farms.byToken(hash).orElseThrow(() -> missing("invitation"));
  }

  private static NoSuchElementException missing(String what) {
    return new NoSuchElementException(what);
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
}
