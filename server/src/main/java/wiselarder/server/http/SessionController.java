package wiselarder.server.http;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.quantity.Refused;
import wiselarder.server.farm.Invitations;
import wiselarder.server.people.Attempts;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.people.Secret;
import wiselarder.server.problem.Answers;
import wiselarder.server.problem.ServerReason;

/** Signing in and out, the first owner, the demo, and taking an invitation. */
@RestController
@RequestMapping("/api")
class SessionController {
  private static final Logger LOG = LoggerFactory.getLogger(SessionController.class);

  /** Names a device to which somebody signed in, and signs nobody in. */
  private static final String DEVICE = "larder-device";

  private static final Duration KEPT = Duration.ofDays(400);
  private static final int NETWORK_GROUPS = 4;

  /** Digits of an account's hash in the log. */
  private static final int SHORT = 12;

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

  /**
   * Signs in. Guesses are counted by the caller's address and by the account; a device that the
   * account's owner signed in with before has guesses of its own, so that strangers who try their
   * luck lock nobody out.
   */
  @PostMapping("/session")
  ResponseEntity<Object> signIn(
      @RequestBody SignIn given,
      @Parameter(hidden = true) @CookieValue(name = DEVICE, required = false) String device,
      HttpServletRequest request,
      HttpServletResponse response) {
    people.checkSignIn(given.email, given.password);
    String account = People.account(given.email);
    boolean known = people.knowsDevice(device, given.email);
    String[] keys = {from(request), "as " + account + (known ? " on " + device : "")};
    attempts.count(keys);
    Optional<Person> person = people.withPassword(given.email, given.password);
    if (person.isEmpty()) {
      LOG.warn("sign-in refused: account {} {}", account.substring(0, SHORT), from(request));
      return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
          .body(Answers.problem(HttpStatus.UNAUTHORIZED, ServerReason.WRONG_SIGN_IN));
    }
    attempts.takeBack(keys);
    keepDevice(known ? device : Secret.fresh(), person.get(), request, response);
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
    attempts.count("first " + from(request));
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
    attempts.count("invitation " + from(request));
    return invitations.offer(token);
  }

  /** Takes an invitation as a new person. */
  @PostMapping("/invitations/{token}")
  Session accept(
      @PathVariable String token, @RequestBody NewPerson given, HttpServletRequest request) {
    attempts.count("invitation " + from(request));
    return signedIn(invitations.accept(token, given.name, given.email, given.password), request);
  }

  /** Takes an invitation as the person who is signed in. */
  @PostMapping("/invitations/{token}/mine")
  Session acceptAsMe(@PathVariable String token, @AuthenticationPrincipal Person person) {
    invitations.accept(token, person);
    return session(person);
  }

  /** One's sessions, the one used last first. */
  @GetMapping("/sessions")
  List<Sessions.OpenSession> sessions(
      @AuthenticationPrincipal Person person, HttpServletRequest request) {
    return person.visitor() ? List.of() : sessions.of(person, request);
  }

  /** Ends one of one's sessions. */
  @DeleteMapping("/sessions/{session}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endSession(@PathVariable String session, @AuthenticationPrincipal Person person) {
    notForVisitors(person);
    sessions.end(person, session);
  }

  /** Signs out everywhere, here too. */
  @DeleteMapping("/sessions")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endSessions(@AuthenticationPrincipal Person person) {
    notForVisitors(person);
    sessions.endAllOf(person);
  }

  /** The visitor is many people at once. */
  private static void notForVisitors(Person person) {
    if (person.visitor()) {
      throw new NoSuchElementException("session");
    }
  }

  /** The caller's address as it is counted: of IPv6 the network, which one caller has whole. */
  private static String from(HttpServletRequest request) {
    String address = request.getRemoteAddr();
    int groups = address.contains(":") ? address.split("::", 2)[0].split(":").length : 0;
    return "from "
        + (groups >= NETWORK_GROUPS
            ? String.join(":", List.of(address.split(":")).subList(0, NETWORK_GROUPS))
            : address);
  }

  private void keepDevice(
      String device, Person person, HttpServletRequest request, HttpServletResponse response) {
    people.keepDevice(device, person);
    response.addHeader(
        HttpHeaders.SET_COOKIE,
        ResponseCookie.from(DEVICE, device)
            .httpOnly(true)
            .secure(request.isSecure())
            .sameSite("Strict")
            .path("/api/session")
            .maxAge(KEPT)
            .build()
            .toString());
  }

  private Session signedIn(Person person, HttpServletRequest request) {
    sessions.begin(person, request);
    return session(person);
  }
}
