package wiselarder.server.watch;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;

/**
 * An answer is written down, and the database goes just as the session is stored with it: that is
 * told by {@link Faults} as anything else of the database, and not as a fault of the writing.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class UnwrittenAnswers implements HandlerExceptionResolver {
  @Override
  public ModelAndView resolveException(
      HttpServletRequest request, HttpServletResponse response, Object handler, Exception fault) {
    if (fault instanceof HttpMessageNotWritableException unwritten
        && DatabaseTrouble.of(unwritten).isPresent()) {
      throw unwritten;
    }
    return null;
  }
}
