package wiselarder.server.watch;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * One line for each request of the API, with an id that the answer carries too, so that a keeper
 * who reports an error can name it. Neither bodies nor queries are written: they may hold secrets.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestLog extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(RequestLog.class);

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !request.getRequestURI().startsWith("/api");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String id = UUID.randomUUID().toString().substring(0, 8);
    long began = System.nanoTime();
    MDC.put("request", id);
    response.setHeader("X-Request-Id", id);
    response.setHeader("Cache-Control", "no-store");
    try {
      chain.doFilter(request, response);
    } finally {
      LOG.info(
          "{} {} {} {} ms person {}",
          request.getMethod(),
          plain(request.getRequestURI()),
          response.getStatus(),
          (System.nanoTime() - began) / 1_000_000,
          MDC.get("person") == null ? "-" : MDC.get("person"));
      MDC.clear();
    }
  }

  /** An invitation's token is a secret, and a line of the log is one line. */
  private static String plain(String uri) {
    return uri.replaceAll("(/api/invitations/)[^/]+", "$1...").replaceAll("\\p{Cntrl}", "?");
  }
}
