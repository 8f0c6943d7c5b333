package wiselarder.server.work;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wiselarder.server.problem.Answers;
import wiselarder.server.problem.ServerReason;

/** A process that only works answers how it is, and nothing else. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OnlyHealth extends OncePerRequestFilter {
  private final Role role;
  private final Answers answers;

  OnlyHealth(Role role, Answers answers) {
    this.role = role;
    this.answers = answers;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return role != Role.WORKER || request.getRequestURI().startsWith("/actuator/health");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    answers.write(response, HttpStatus.NOT_FOUND, ServerReason.NOT_FOUND);
  }
}
