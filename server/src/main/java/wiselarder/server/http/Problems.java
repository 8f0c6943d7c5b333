package wiselarder.server.http;

import static wiselarder.server.problem.Answers.problem;

import java.time.Duration;
import java.util.NoSuchElementException;
import java.util.concurrent.CancellationException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.InputCoercionException;
import tools.jackson.databind.DatabindException;
import wiselarder.core.quantity.Refused;
import wiselarder.server.farm.Farms;
import wiselarder.server.json.Json;
import wiselarder.server.lists.BadRows;
import wiselarder.server.people.Attempts;
import wiselarder.server.people.Busy;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.plan.ClashesElsewhere;
import wiselarder.server.plan.StaleRevision;
import wiselarder.server.problem.BodyRefused;
import wiselarder.server.problem.ServerReason;

/** Refusals as problem+json: a code, the field, and values in SI. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE) // before Spring's own, which knows no refusals
class Problems {
  private final Duration longest;

  Problems(@Value("${larder.longest-request}") Duration longest) {
    this.longest = longest;
  }

  @ExceptionHandler
  ProblemDetail refused(Refused e) {
    return problem(HttpStatus.UNPROCESSABLE_CONTENT, e);
  }

  @ExceptionHandler
  ProblemDetail unreadable(HttpMessageNotReadableException e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof BodyRefused b) {
        return bodyRefused(b);
      }
      if (t instanceof DatabindException || t instanceof InputCoercionException) {
        return refused(Json.refusal((JacksonException) t));
      }
    }
    return problem(HttpStatus.BAD_REQUEST, ServerReason.NOT_JSON, 0, 0);
  }

  @ExceptionHandler
  ProblemDetail bodyRefused(BodyRefused e) {
    return problem(HttpStatus.valueOf(e.status()), e.refused());
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> busy(Busy e) {
    return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
        .header("Retry-After", "5")
        .body(problem(HttpStatus.SERVICE_UNAVAILABLE, ServerReason.BUSY));
  }

  /** Whoever asked is told; what worked for it has ended. */
  @ExceptionHandler
  ProblemDetail tookTooLong(CancellationException e) {
    return problem(HttpStatus.SERVICE_UNAVAILABLE, ServerReason.TOOK_TOO_LONG, longest.toSeconds());
  }

  @ExceptionHandler
  ProblemDetail stale(StaleRevision e) {
    ProblemDetail problem = problem(HttpStatus.CONFLICT, ServerReason.STALE_REVISION);
    problem.setProperty("revision", e.current());
    problem.setProperty("since", e.since());
    problem.setProperty("clashes", e.clashes());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail elsewhere(ClashesElsewhere e) {
    ProblemDetail problem = problem(HttpStatus.CONFLICT, ServerReason.CLASHES_ELSEWHERE);
    problem.setProperty("against", e.against());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail notAllowed(NotAllowed e) {
    return problem(
        HttpStatus.FORBIDDEN, ServerReason.ROLE_TOO_LOW, e.needed().name(), e.has().name());
  }

  @ExceptionHandler
  ProblemDetail visitor(Farms.VisitorsMakeNothing e) {
    return problem(HttpStatus.FORBIDDEN, ServerReason.VISITOR);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> tooMany(Attempts.TooMany e) {
    return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
        .header("Retry-After", Long.toString(e.waitSeconds()))
        .body(problem(HttpStatus.TOO_MANY_REQUESTS, ServerReason.TOO_MANY, e.waitSeconds()));
  }

  @ExceptionHandler
  ProblemDetail badRows(BadRows e) {
    ProblemDetail problem =
        problem(HttpStatus.UNPROCESSABLE_CONTENT, ServerReason.BAD_ROWS, e.problems().size());
    problem.setProperty("problems", e.problems());
    return problem;
  }

  /** Nothing at this address that the person may see. */
  @ExceptionHandler
  ProblemDetail missing(NoSuchElementException e) {
    return problem(HttpStatus.NOT_FOUND, ServerReason.NOT_FOUND);
  }
}
