package wiselarder.server.http;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.quantity.Refused;
import wiselarder.server.farm.Invitations;
import wiselarder.server.people.Attempts;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.problem.ServerReason;

/** Signing in and out, the first owner, the demo, and taking an invitation. */
@RestController
@RequestMapping("/api")
class SessionController {
  private final People people;
  private final Invitations invitations;
  private final Attempts attempts;
  private final Sessions sessions;
  private final Listening listening;

  SessionController(
      People people,
      Invitations invitations,
      Attempts attempts,
      Sessions sessions,
      Listening listening) {
    this.people = people;
    this.invitations = invitations;
    this.attempts = attempts;
    this.sessions = sessions;
    this.listening = listening;
  }

  /** Who is signed in. */
  record Who(long id, String name, String email, boolean visitor, boolean runsProduct) {}

  /**
   * The session.
   *
   * @param who null while nobody is signed in
   * @param firstStart nobody has a password yet: the first owner may be made
   * @param demo the demo opens with one click
   */
  record Session(Who who, boolean firstStart, boolean demo) {}

  /** A person's e-mail address and password. */
  record SignIn(String email, String password) {}

  /** A new person. */
  record NewPerson(String name, String email, String password) {}

  /** A change of password. */
  record NewPassword(String old, String password) {}

  @GetMapping("/session")
  Session session(@AuthenticationPrincipal Person person) {
    Who who =
        person == null
            ? null
            : new Who(
                person.id(), person.name(), person.email(), person.visitor(), person.runsProduct());
    return new Session(who, people.nobodyYet(), listening.onLoopback());
  }

  @PostMapping("/session")
  ResponseEntity<Object> signIn(@RequestBody SignIn given, HttpServletRequest request) {
    people.checkSignIn(given.email, given.password);
    String[] keys = {"from " + request.getRemoteAddr(), "as " + People.account(given.email)};
    attempts.count(keys);
    Optional<Person> person = people.withPassword(given.email, given.password);
    if (person.isEmpty()) {
      return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
          .body(Problems.problem(HttpStatus.UNAUTHORIZED, ServerReason.WRONG_SIGN_IN));
    }
    attempts.takeBack(keys);
    return ResponseEntity.ok(signedIn(person.get(), request));
  }

  @DeleteMapping("/session")
  Session signOut(HttpServletRequest request) {
    sessions.end(request);
    return session(null);
  }

  @PostMapping("/session/demo")
  Session demo(HttpServletRequest request) {
    if (!listening.onLoopback()) {
      throw new Refused(ServerReason.NO_DEMO, "demo");
    }
    return signedIn(people.visitor(), request);
  }

  @PostMapping("/people/first")
  Session first(@RequestBody NewPerson given, HttpServletRequest request) {
    attempts.count("first from " + request.getRemoteAddr());
    return signedIn(people.first(given.name, given.email, given.password), request);
  }

  @PostMapping("/people/password")
  Session password(
      @RequestBody NewPassword given,
      @AuthenticationPrincipal Person person,
      HttpServletRequest request) {
    attempts.count("password of " + person.id());
    people.changePassword(person, given.old, given.password);
    sessions.endAllOf(person);
    return signedIn(person, request);
  }

  @GetMapping("/invitations/{token}")
  Invitations.Offer offer(@PathVariable String token, HttpServletRequest request) {
    attempts.count("invitation from " + request.getRemoteAddr());
    return invitations.offer(token);
  }

  /** Takes an invitation as a new person. */
  @PostMapping("/invitations/{token}")
  Session accept(
      @PathVariable String token, @RequestBody NewPerson given, HttpServletRequest request) {
    attempts.count("invitation from " + request.getRemoteAddr());
    return signedIn(invitations.accept(token, given.name, given.email, given.password), request);
  }

  /** Takes an invitation as the person who is signed in. */
  @PostMapping("/invitations/{token}/mine")
  Session acceptAsMe(@PathVariable String token, @AuthenticationPrincipal Person person) {
    invitations.accept(token, person);
    return session(person);
  }

  private Session signedIn(Person person, HttpServletRequest request) {
    sessions.begin(person, request);
    return session(person);
  }
}
