package wiselarder.server.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.core.quantity.Reason;
import wiselarder.core.quantity.Refused;

/** Refusals as problem+json, also where no controller was reached. */
@Component
public class Answers {
  /** What a page of the product may load, and that nobody frames it. */
  public static final String CONTENT_POLICY =
      String.join(
          "; ",
          List.of(
              "default-src 'self'",
              "img-src 'self' data:",
              "style-src 'self'",
              "script-src 'self'",
              "object-src 'none'",
              "base-uri 'none'",
              "form-action 'self'",
              "frame-ancestors 'none'"));

  private final JsonMapper mapper;

  Answers(JsonMapper mapper) {
    this.mapper = mapper;
  }

  /** A refusal as problem+json; {@code detail} is for a log, the sentence is the client's. */
  public static ProblemDetail problem(HttpStatus status, Refused r) {
    Problem p = Problem.of(r);
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, r.getMessage());
    problem.setTitle("Refused");
    problem.setProperty("code", p.code());
    problem.setProperty("field", p.field());
    problem.setProperty("values", p.values());
    problem.setProperty("place", p.place());
    return problem;
  }

  /** As {@link #problem(HttpStatus, Refused)}, of no input. */
  public static ProblemDetail problem(HttpStatus status, Reason reason, Object... values) {
    return problem(status, new Refused(reason, "", values));
  }

  /** Writes a refusal where the chain that sets the headers is within. */
  public void write(HttpServletResponse response, HttpStatus status, Reason reason)
      throws IOException {
    write(response, status, new Refused(reason, ""));
  }

  /** As {@link #write(HttpServletResponse, HttpStatus, Reason)}. */
  public void write(HttpServletResponse response, HttpStatus status, Refused refused)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("Content-Security-Policy", CONTENT_POLICY);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("X-Frame-Options", "DENY");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.getOutputStream().write(mapper.writeValueAsBytes(problem(status, refused)));
  }
}
