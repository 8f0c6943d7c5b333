package wiselarder.server.weather;

import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.server.http.Transfer;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.problem.RowProblem;

/** Recorded weather over HTTP. */
@RestController
@RequestMapping("/api/plans/{id}/weather")
class WeatherController {
  /** Bad rows named one by one; the rest is counted. */
  private static final int MOST_BAD_ROWS = 50;

  private final FarmWeather weather;
  private final Plans plans;
  private final Engine engine;

  WeatherController(FarmWeather weather, Plans plans, Engine engine) {
    this.weather = weather;
    this.plans = plans;
    this.engine = engine;
  }

  /** A record with the years of it that a plan can be laid on. */
  record RecordView(
      String id, String name, LocalDate start, LocalDate endExclusive, List<RecordYear> years) {}

  /** One year of a record, and what had to be filled in it. */
  record RecordYear(LocalDate first, RecordedWeather.Filled filled) {}

  /** What a file holds: days read, rows left out. */
  record WeatherRead(int rows, int badRows, List<RowProblem> bad, RecordView record) {}

  @GetMapping
  List<RecordView> list(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return weather.recorded(plan).entrySet().stream()
        .map(e -> view(e.getKey(), e.getValue(), plan))
        .toList();
  }

  /** What taking a file would give; nothing is kept. */
  @PostMapping("/preview")
  WeatherRead preview(
      @PathVariable String id,
      @RequestParam String name,
      @RequestBody byte[] body,
      @AuthenticationPrincipal Person person) {
    return read("", RecordedWeather.read(name, Transfer.text(body)), plans.get(id, person));
  }

  /** Keeps a file's days as a record of the farm. */
  @PostMapping
  WeatherRead add(
      @PathVariable String id,
      @RequestParam String name,
      @RequestBody byte[] body,
      @AuthenticationPrincipal Person person) {
    RecordedWeather.Read read = RecordedWeather.read(name, Transfer.text(body));
    String slug = weather.add(id, person, read.weather());
    return read(slug, read, plans.get(id, person));
  }

  @DeleteMapping("/{record}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(
      @PathVariable String id,
      @PathVariable String record,
      @AuthenticationPrincipal Person person) {
    weather.remove(id, person, record);
  }

  private WeatherRead read(String slug, RecordedWeather.Read read, StoredPlan plan) {
    return new WeatherRead(
        read.rows(),
        read.bad().size(),
        read.bad().stream().limit(MOST_BAD_ROWS).map(b -> RowProblem.of(b.row(), b.why())).toList(),
        view(slug, read.weather(), plan));
  }

  private RecordView view(String slug, RecordedWeather w, StoredPlan plan) {
    PlanYear year = plan.content().plan().year();
    Climate climate = engine.catalogue().climate(plan.content().farm().climateId());
    return new RecordView(
        slug,
        w.name(),
        w.start(),
        w.endExclusive(),
        w.yearsFor(year).stream()
            .map(first -> new RecordYear(first, w.on(year, first, climate).filled()))
            .toList());
  }
}
