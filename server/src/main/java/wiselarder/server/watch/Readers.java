package wiselarder.server.watch;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wiselarder.server.problem.Answers;
import wiselarder.server.problem.ServerReason;

/**
 * Few who read are answered at once, in the order in which they came, so that somebody who edits
 * shares the cores with those few and not with a crowd. Heavy sums have a queue of their own; what
 * goes on for long, and whether the product is well, waits for nobody.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3) // in the log, and before anything asks the database
class Readers extends OncePerRequestFilter {
  private static final int FOR_EACH_CORE = 2;

  /** Whoever takes an answer so slowly gives its place to the next. */
  private static final long LONGEST_NANOS = Duration.ofSeconds(2).toNanos();

  private final Answers answers;
  private final Duration longest;
  private final Semaphore places;
  private final Queue<Place> taken = new ConcurrentLinkedQueue<>();

  /** A place among those who are answered; it is given back once. */
  private static final class Place {
    private final long since = System.nanoTime();
    private final AtomicBoolean there = new AtomicBoolean(true);
  }

  @Autowired
  Readers(Answers answers, @Value("${larder.longest-request}") Duration longest) {
    this(answers, longest, FOR_EACH_CORE * Runtime.getRuntime().availableProcessors());
  }

  Readers(Answers answers, Duration longest, int places) {
    this.answers = answers;
    this.longest = longest;
    this.places = new Semaphore(places, true);
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    String path = request.getRequestURI();
    return !request.getMethod().equals("GET")
        || path.startsWith("/actuator")
        || path.endsWith("/live")
        || HeavySums.isHeavy(path);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Place place = place();
    if (place == null) {
      response.setHeader("Retry-After", "10");
      answers.write(response, HttpStatus.SERVICE_UNAVAILABLE, ServerReason.BUSY);
      return;
    }
    try {
      chain.doFilter(request, response);
    } finally {
      giveBack(place);
    }
  }

  /** Null where none became free in time. */
  private Place place() {
    long end = System.nanoTime() + longest.toNanos();
    try {
      while (!places.tryAcquire(LONGEST_NANOS / 4, TimeUnit.NANOSECONDS)) {
        if (System.nanoTime() > end) {
          return null;
        }
        takeFromTheSlow();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return null;
    }
    Place place = new Place();
    taken.add(place);
    return place;
  }

  private void takeFromTheSlow() {
    long now = System.nanoTime();
    for (Place p : taken) {
      if (now - p.since > LONGEST_NANOS) {
        giveBack(p);
      }
    }
  }

  private void giveBack(Place place) {
    if (place.there.compareAndSet(true, false)) {
      taken.remove(place);
      places.release();
    }
  }
}
