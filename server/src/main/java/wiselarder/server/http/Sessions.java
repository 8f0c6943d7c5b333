package wiselarder.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.slf4j.MDC;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.people.Secret;

/**
 * Who a request is from. A session holds the person's number only: what they are called and may do
 * is read anew on each request, so that a change holds at once. It ends after two weeks unused and,
 * used or not, after {@code larder.longest-session}.
 */
@Component
class Sessions extends OncePerRequestFilter {
  static final String RUNS_PRODUCT = "RUNS_PRODUCT";
  private static final String PERSON = "person";
  private static final String BROWSER = "browser";

  private final People people;
  private final Listening listening;
  private final FindByIndexNameSessionRepository<? extends Session> repository;
  private final Duration longest;

  Sessions(
      People people,
      Listening listening,
      FindByIndexNameSessionRepository<? extends Session> repository,
      @Value("${larder.longest-session}") Duration longest) {
    this.people = people;
    this.listening = listening;
    this.repository = repository;
    this.longest = longest;
  }

  /**
   * One session of a person.
   *
   * @param id a hash, by which it can be ended and not used
   * @param browser what it was begun with
   * @param mine the one that asks
   */
  record OpenSession(
      String id, String browser, OffsetDateTime began, OffsetDateTime used, boolean mine) {}

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    person(request).ifPresent(Sessions::isThere);
    chain.doFilter(request, response);
  }

  private Optional<Person> person(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session == null || !(session.getAttribute(PERSON) instanceof Long id)) {
      return Optional.empty();
    }
    Instant began = Instant.ofEpochMilli(session.getCreationTime());
    Optional<Person> person =
        Instant.now().isAfter(began.plus(longest)) ? Optional.empty() : people.byId(id);
    // visitors are let in where only who sits at this machine comes
    Optional<Person> let = person.filter(p -> !p.visitor() || listening.onLoopback());
    if (let.isEmpty()) {
      session.invalidate();
    }
    return let;
  }

  private static void isThere(Person person) {
    MDC.put("person", Long.toString(person.id()));
    List<SimpleGrantedAuthority> may =
        person.runsProduct() ? List.of(new SimpleGrantedAuthority(RUNS_PRODUCT)) : List.of();
    SecurityContextHolder.getContext()
        .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(person, null, may));
  }

  /** Signs in, under a session of a new name. */
  void begin(Person person, HttpServletRequest request) {
    end(request);
    HttpSession session = request.getSession(true);
    session.setAttribute(PERSON, person.id());
    session.setAttribute(BROWSER, Browser.of(request.getHeader("User-Agent")));
    session.setAttribute(
        FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME, Long.toString(person.id()));
  }

  /** Signs out. */
  void end(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
  }

  /** A person's sessions, the one used last first. */
  List<OpenSession> of(Person person, HttpServletRequest request) {
    HttpSession mine = request.getSession(false);
    return all(person).stream()
        .filter(s -> !s.isExpired())
        .sorted(Comparator.comparing(Session::getLastAccessedTime).reversed())
        .map(
            s ->
                new OpenSession(
                    Secret.hash(s.getId()),
                    s.getAttributeOrDefault(BROWSER, ""),
                    s.getCreationTime().atOffset(ZoneOffset.UTC),
                    s.getLastAccessedTime().atOffset(ZoneOffset.UTC),
                    mine != null && mine.getId().equals(s.getId())))
        .toList();
  }

  /** Ends one session of a person. */
  void end(Person person, String id) {
    Session session =
        all(person).stream()
            .filter(s -> Secret.hash(s.getId()).equals(id))
            .findFirst()
            .orElseThrow(() -> new NoSuchElementException("session"));
    repository.deleteById(session.getId());
  }

  /** Signs a person out everywhere. */
  void endAllOf(Person person) {
    all(person).forEach(s -> repository.deleteById(s.getId()));
  }

  private Collection<? extends Session> all(Person person) {
    return repository.findByPrincipalName(Long.toString(person.id())).values();
  }
}
