package wiselarder.server.year;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.SampleSent;
import wiselarder.core.records.Seen;
import wiselarder.core.records.Struck;
import wiselarder.core.records.WeatherMeasured;
import wiselarder.server.json.Json;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.problem.Problem;
import wiselarder.server.problem.ServerReason;
import wiselarder.server.records.Records;

/** What was seen or done, over HTTP. No request here names a revision. */
@RestController
@RequestMapping("/api/plans/{id}/records")
class RecordController {
  /** More than so many of the newest are not shown at once. */
  private static final int MOST_SHOWN = 400;

  private final Records records;
  private final Plans plans;
  private final PlanViews views;

  RecordController(Records records, Plans plans, PlanViews views) {
    this.records = records;
    this.plans = plans;
    this.views = views;
  }

  /**
   * A record.
   *
   * @param struckBy who struck it out, or null while it counts
   */
  record RecordLine(
      String id,
      LocalDate on,
      Fact fact,
      String who,
      Instant at,
      String device,
      @Schema(nullable = true) String struckBy) {}

  /** A fact and its day. */
  record NewRecord(LocalDate on, Fact fact) {}

  /**
   * Facts to write down together.
   *
   * @param commandId the device's own name for this request; sent again it brings nothing new
   */
  record WriteRequest(String commandId, String device, List<NewRecord> records) {}

  /** The newest records about one lot, group or field, or about all; the newest first. */
  @GetMapping
  List<RecordLine> list(
      @PathVariable String id,
      @RequestParam(required = false) String about,
      @AuthenticationPrincipal Person person) {
    FarmRecords known = records.of(plans.get(id, person).farmId());
    Map<String, String> struck = struck(known);
    List<RecordLine> views = new ArrayList<>();
    for (FarmRecord r : known.written()) {
      boolean wanted =
          about == null
              || about.equals(r.fact().lotId())
              || about.equals(r.fact().groupId())
              || about.equals(r.fact().fieldId());
      if (wanted && !(r.fact() instanceof Struck)) {
        views.add(view(r, struck.get(r.id())));
      }
    }
    Collections.reverse(views);
    return views.stream().limit(MOST_SHOWN).toList();
  }

  /** Writes facts down and shows the plan's year with them. */
  @PostMapping
  PlanView write(
      @PathVariable String id,
      @RequestBody WriteRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    PlanViews.known(season);
    records.write(id, person, command(request));
    return views.of(plans.open(id, person), season);
  }

  /** More than this at once a device splits. */
  private static final int MOST_QUEUED = 500;

  /**
   * What became of a request that waited on a device.
   *
   * @param refused why nothing of it is kept; null where all of it is, or was before
   */
  record Taken(String commandId, @Schema(nullable = true) Problem refused) {}

  /**
   * Takes in what was written down where there was no signal, in its order. Each request is kept or
   * refused for itself: what is wrong with one keeps no other back.
   */
  @PostMapping("/queued")
  List<Taken> queued(
      @PathVariable String id,
      @io.swagger.v3.oas.annotations.parameters.RequestBody(
              content =
                  @Content(
                      array = @ArraySchema(schema = @Schema(implementation = WriteRequest.class))))
          @RequestBody
          List<ObjectNode> waited,
      @AuthenticationPrincipal Person person) {
    NotAllowed.unless(plans.get(id, person).role(), Role.HELPER);
    Check.range("command.seen", Check.present("command.seen", waited).size(), 1, MOST_QUEUED);
    waited.forEach(request -> Check.present("command.id", request));
    return records.together(
        waited,
        request -> new Taken(request.path("commandId").asString(""), refused(id, person, request)));
  }

  private Problem refused(String plan, Person person, ObjectNode request) {
    try {
      records.write(plan, person, command(Json.MAPPER.treeToValue(request, WriteRequest.class)));
      return null;
    } catch (Refused e) {
      return Problem.of(e);
    } catch (JacksonException e) {
      return Problem.of(Json.refusal(e));
    } catch (NotAllowed e) {
      return Problem.of(
          new Refused(ServerReason.ROLE_TOO_LOW, "", e.needed().name(), e.has().name()));
    }
  }

  private static Records.Command command(WriteRequest request) {
    List<Seen> seen = new ArrayList<>();
    for (NewRecord r : Check.present("command.seen", request.records)) {
      Check.present("record.fact", r);
      // these two have a door of their own, which says what they need
      Check.present(
          "record.fact",
          r.fact instanceof SampleSent || r.fact instanceof WeatherMeasured ? null : r.fact);
      seen.add(new Seen(r.on, r.fact));
    }
    return new Records.Command(request.commandId, request.device, seen);
  }

  /** Who struck out what does not count. */
  private static Map<String, String> struck(FarmRecords known) {
    Map<String, String> by = new HashMap<>();
    known.each(Struck.class, (r, f) -> by.put(f.record(), r.written().who()));
    return by;
  }

  private static RecordLine view(FarmRecord r, String struckBy) {
    FarmRecord.Written w = r.written();
    return new RecordLine(r.id(), r.on(), r.fact(), w.who(), w.at(), w.device(), struckBy);
  }
}
