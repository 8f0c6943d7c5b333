package wiselarder.server.watch;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wiselarder.server.people.Person;
import wiselarder.server.problem.Answers;
import wiselarder.server.problem.ServerReason;

/**
 * Every request has a deadline. Sums that run many years come one at a time for each person, and as
 * many at once as there are cores, in the order in which they were asked for; who would wait too
 * long is told so.
 */
@Component
@Order(1) // within the chain that knows who asks
class HeavySums extends OncePerRequestFilter {
  private static final Pattern HEAVY =
      Pattern.compile(
          "/api/plans/[^/]+/"
              + "(levers|ways|sureness|waiting|mix|advice|policies|crops|crops/dates|jobs/waiting"
              + "|thousand/hold|thousand/gauge|map|map/preview|lists/.*)");

  /** Others keep their threads. */
  private static final int MOST_WAITING = 50;

  private final Answers answers;
  private final Duration longest;
  private final Semaphore cores =
      new Semaphore(Math.max(2, Runtime.getRuntime().availableProcessors()), true);
  private final Map<String, Turn> turns = new ConcurrentHashMap<>();
  private final AtomicInteger there = new AtomicInteger();

  /** The one sum of a person, and how many of theirs are there. */
  private record Turn(Semaphore one, int users) {
    Turn and(int more) {
      return new Turn(one, users + more);
    }
  }

  HeavySums(Answers answers, @Value("${larder.longest-request}") Duration longest) {
    this.answers = answers;
    this.longest = longest;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Deadline.begin(longest.toNanos());
    try {
      String who = who(request);
      if (who == null || !isHeavy(request.getRequestURI())) {
        chain.doFilter(request, response);
      } else {
        inTurn(who, request, response, chain);
      }
    } finally {
      Deadline.forget();
    }
  }

  /** True of a sum that runs many years. */
  static boolean isHeavy(String path) {
    return HEAVY.matcher(path).matches();
  }

  /** A person; of the visitor, who is many, the browser. */
  private static String who(HttpServletRequest request) {
    return request.getUserPrincipal() instanceof Authentication a
            && a.getPrincipal() instanceof Person p
        ? p.visitor() ? "visitor " + request.getSession().getId() : "person " + p.id()
        : null;
  }

  private void inTurn(
      String who, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Semaphore mine =
        turns.merge(who, new Turn(new Semaphore(1, true), 1), (was, x) -> was.and(1)).one;
    try {
      boolean room = there.incrementAndGet() <= MOST_WAITING;
      if (!room || !took(mine)) {
        busy(response);
        return;
      }
      try {
        if (!took(cores)) {
          busy(response);
          return;
        }
        try {
          chain.doFilter(request, response);
        } finally {
          cores.release();
        }
      } finally {
        mine.release();
      }
    } finally {
      there.decrementAndGet();
      turns.computeIfPresent(who, (w, t) -> t.users == 1 ? null : t.and(-1));
    }
  }

  private static boolean took(Semaphore turn) {
    try {
      return turn.tryAcquire(Math.max(0, Deadline.left()), TimeUnit.NANOSECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  private void busy(HttpServletResponse response) throws IOException {
    response.setHeader("Retry-After", "10");
    answers.write(response, HttpStatus.SERVICE_UNAVAILABLE, ServerReason.BUSY);
  }
}
