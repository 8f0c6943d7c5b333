package wiselarder.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.slf4j.MDC;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;

/**
 * Who a request is from. A session holds the person's number only: what they are called and may do
 * is read anew on each request, so that a change holds at once.
 */
@Component
class Sessions extends OncePerRequestFilter {
  static final String RUNS_PRODUCT = "RUNS_PRODUCT";
  private static final String PERSON = "person";

  private final People people;
  private final FindByIndexNameSessionRepository<? extends Session> repository;

  Sessions(People people, FindByIndexNameSessionRepository<? extends Session> repository) {
    this.people = people;
    this.repository = repository;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    person(request).ifPresent(Sessions::isThere);
    chain.doFilter(request, response);
  }

  private Optional<Person> person(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    return session != null && session.getAttribute(PERSON) instanceof Long id
        ? people.byId(id)
        : Optional.empty();
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

  /** Signs a person out everywhere. */
  void endAllOf(Person person) {
    repository
        .findByPrincipalName(Long.toString(person.id()))
        .keySet()
        .forEach(repository::deleteById);
  }
}
