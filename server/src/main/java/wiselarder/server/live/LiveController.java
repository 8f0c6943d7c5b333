package wiselarder.server.live;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;

/** What happens to an open plan, as it happens. */
@RestController
@RequestMapping("/api")
class LiveController {
  private final Plans plans;
  private final Hearers hearers;

  LiveController(Plans plans, Hearers hearers) {
    this.plans = plans;
    this.hearers = hearers;
  }

  /**
   * First an event "stands" with the revision of this plan, then events "changed": a plan of the
   * farm with its new revision, or neither where records of the farm were written. They say that
   * there is something to ask for and nothing of what it is.
   */
  @Hidden // a stream, which the description of the API has no words for
  @GetMapping(path = "/plans/{id}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  ResponseEntity<SseEmitter> live(
      @PathVariable("id") String id, @AuthenticationPrincipal Person person) {
    return ResponseEntity.ok()
        .header("X-Accel-Buffering", "no") // a proxy in front passes each on as it comes
        .body(
            hearers.add(
                person.id(),
                plans.get(id, person).farmId(),
                () -> new Change.Told(id, plans.get(id, person).revision())));
  }
}
