package wiselarder.server.laboratory;

import java.time.LocalDate;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.quantity.Check;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.year.PlanView;
import wiselarder.server.year.PlanViews;

/** Samples sent to the forage laboratory, and its reports. */
@RestController
@RequestMapping("/api/plans/{id}")
class SampleController {
  private final Plans plans;
  private final PlanViews views;
  private final Samples samples;

  SampleController(Plans plans, PlanViews views, Samples samples) {
    this.plans = plans;
    this.views = views;
    this.samples = samples;
  }

  /**
   * A sample to send.
   *
   * @param commandId the device's own name for this request
   */
  record NewSample(String commandId, String device, String lotId, LocalDate sampledOn) {}

  /** Which device asks. */
  record Device(String device) {}

  @GetMapping("/samples")
  List<Samples.Sent> sent(@PathVariable String id, @AuthenticationPrincipal Person person) {
    return samples.of(id, person);
  }

  /** Sends a sample of a lot to the laboratory; sent twice under one name it is sent once. */
  @PostMapping("/samples")
  Samples.Sent send(
      @PathVariable String id,
      @RequestBody NewSample sample,
      @AuthenticationPrincipal Person person) {
    Check.text("command.id", sample.commandId, 80);
    Check.present("sample.lotId", sample.lotId);
    Check.present("sample.sampledOn", sample.sampledOn);
    Samples.Command command = new Samples.Command(sample.commandId, sample.device);
    return samples.send(id, person, command, sample.lotId, sample.sampledOn);
  }

  /** Writes a report that has come down of its lot. */
  @PostMapping("/samples/{sample}/take")
  PlanView take(
      @PathVariable String id,
      @PathVariable String sample,
      @RequestBody Device device,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    PlanViews.known(season);
    samples.take(id, person, sample, device.device);
    return views.of(plans.open(id, person), season);
  }
}
