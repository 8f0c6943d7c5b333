package wiselarder.server.http;

import java.util.NoSuchElementException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import tools.jackson.databind.DatabindException;
import wiselarder.core.quantity.Refused;
import wiselarder.server.farm.Farms;
import wiselarder.server.json.Json;
import wiselarder.server.lists.BadRows;
import wiselarder.server.people.Attempts;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.plan.StaleRevision;

/** Refusals as problem+json: a code, the field, its value, and what would be accepted, in SI. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE) // before Spring's own, which knows no refusals
class Problems {
  @ExceptionHandler
  ProblemDetail refused(Refused e) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
    problem.setTitle("Refused");
    problem.setProperty("code", e.code());
    problem.setProperty("field", e.field());
    problem.setProperty("value", e.value());
    problem.setProperty("min", e.min());
    problem.setProperty("max", e.max());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail unreadable(HttpMessageNotReadableException e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof DatabindException d) {
        return refused(Json.refusal(d));
      }
    }
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, "the request is not JSON");
    problem.setProperty("code", "not_json");
    return problem;
  }

  @ExceptionHandler
  ProblemDetail stale(StaleRevision e) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, "The plan was changed meanwhile.");
    problem.setProperty("code", "stale_revision");
    problem.setProperty("revision", e.current());
    problem.setProperty("since", e.since());
    problem.setProperty("clashes", e.clashes());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail notAllowed(NotAllowed e) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.FORBIDDEN, e.getMessage());
    problem.setProperty("code", "role_too_low");
    problem.setProperty("needed", e.needed());
    problem.setProperty("has", e.has());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail visitor(Farms.VisitorsMakeNothing e) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.FORBIDDEN, e.getMessage());
    problem.setProperty("code", "visitor");
    return problem;
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> tooMany(Attempts.TooMany e) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(HttpStatus.TOO_MANY_REQUESTS, e.getMessage());
    problem.setProperty("code", "too_many");
    problem.setProperty("value", e.waitSeconds());
    return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
        .header("Retry-After", Long.toString(e.waitSeconds()))
        .body(problem);
  }

  @ExceptionHandler
  ProblemDetail badRows(BadRows e) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "%d rows cannot be taken".formatted(e.problems().size()));
    problem.setProperty("code", "bad_rows");
    problem.setProperty("problems", e.problems());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail missing(NoSuchElementException e) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.NOT_FOUND, "There is nothing at this address that you may see.");
    problem.setProperty("code", "not_found");
    return problem;
  }
}
