package wiselarder.server.watch;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wiselarder.server.problem.Answers;
import wiselarder.server.problem.BodyRefused;

/**
 * How much each operation takes, once it is known who asks: a stranger's sign-in fits in {@value
 * Bodies#STRANGER_BYTES} bytes, an edit in a million, a file of a whole farm in twelve.
 */
@Component
@Order(0) // within the chain that knows who asks
class BodyLimit extends OncePerRequestFilter {
  private static final long MEMBER_BYTES = 1_000_000;
  private static final long FILE_BYTES = 12_000_000;

  /** What an instrument sends at once. */
  private static final long INSTRUMENT_BYTES = 100_000;

  private static final String INSTRUMENTS = "/instruments/";

  /** Files, maps, weather and lists; an edit may hold what such a file gave. */
  private static final Pattern FILES =
      Pattern.compile("/api/.*/(file|map|weather|lists|edits|trial)(/.*)?");

  private final Answers answers;

  BodyLimit(Answers answers) {
    this.answers = answers;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long most = most(request);
    if (request.getAttribute(Bodies.Body.class.getName()) instanceof Bodies.Body body) {
      body.most(most);
    }
    if (request.getContentLengthLong() > most) {
      BodyRefused why = BodyRefused.tooLarge(most);
      answers.write(response, HttpStatus.valueOf(why.status()), why.refused());
      return;
    }
    chain.doFilter(request, response);
  }

  private static long most(HttpServletRequest request) {
    if (request.getRequestURI().startsWith(INSTRUMENTS)) {
      return INSTRUMENT_BYTES;
    }
    if (request.getUserPrincipal() == null) {
      return Bodies.STRANGER_BYTES;
    }
    return FILES.matcher(request.getRequestURI()).matches() ? FILE_BYTES : MEMBER_BYTES;
  }
}
