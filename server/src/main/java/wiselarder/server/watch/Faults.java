package wiselarder.server.watch;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wiselarder.server.problem.Answers;
import wiselarder.server.problem.ServerReason;

/** Says in plain words what the database cannot do just now, wherever in a request it showed. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class Faults extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(Faults.class);

  private final Answers answers;

  Faults(Answers answers) {
    this.answers = answers;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getRequestURI().equals("/error")
        && request.getDispatcherType() == DispatcherType.REQUEST) {
      // where faults are sent to; nobody asks for it
      answers.write(response, HttpStatus.NOT_FOUND, ServerReason.NOT_FOUND);
      return;
    }
    try {
      chain.doFilter(request, response);
    } catch (RuntimeException | ServletException e) {
      DatabaseTrouble trouble = DatabaseTrouble.of(e).orElse(null);
      if (trouble == null || response.isCommitted()) {
        throw e;
      }
      LOG.warn("the database: {}", root(e));
      response.reset();
      if (trouble.status() == HttpStatus.SERVICE_UNAVAILABLE) {
        response.setHeader("Retry-After", "5");
      }
      answers.write(response, trouble.status(), trouble.reason());
    }
  }

  private static String root(Throwable e) {
    Throwable last = e;
    while (last.getCause() != null) {
      last = last.getCause();
    }
    return last.getMessage();
  }
}
