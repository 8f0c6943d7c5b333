package wiselarder.server.papers;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.Difference;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.records.FarmRecords;
import wiselarder.server.farm.Farms;
import wiselarder.server.file.FarmFile;
import wiselarder.server.file.LedgerFile;
import wiselarder.server.http.Transfer;
import wiselarder.server.lists.BadRows;
import wiselarder.server.lists.Lists;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Slugs;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.plan.Told;
import wiselarder.server.problem.RowProblem;
import wiselarder.server.records.Records;
import wiselarder.server.year.PlanView;
import wiselarder.server.year.PlanViews;

/** Files out and in. Whatever comes in is shown first, and taken whole or not at all. */
@RestController
@RequestMapping("/api")
class FileController {
  private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
  private static final MediaType XLSX =
      MediaType.parseMediaType("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");

  private final Farms farms;
  private final Plans plans;
  private final Records records;
  private final Engine engine;
  private final PlanViews views;

  FileController(Farms farms, Plans plans, Records records, Engine engine, PlanViews views) {
    this.records = records;
    this.farms = farms;
    this.plans = plans;
    this.engine = engine;
    this.views = views;
  }

  /** What a farm file holds. */
  record FilePreview(String name, List<PlanSummary> plans) {}

  /** One plan of a file. */
  record PlanSummary(String name, String start, int fields, int groups, int lots) {}

  /** What a file would change in a plan, and what of it cannot be taken. */
  record ChangePreview(List<Difference.Change> changes, List<RowProblem> problems) {}

  /** Addresses of plans that were added. */
  record Added(List<String> plans) {}

  @GetMapping("/farms/{farm}/file")
  ResponseEntity<byte[]> out(@PathVariable String farm, @AuthenticationPrincipal Person person) {
    FarmFile.Content content = farms.whole(farm, person);
    return Transfer.file(
        FarmFile.write(content).getBytes(StandardCharsets.UTF_8),
        FarmFile.fileName(content.name()) + ".json",
        MediaType.APPLICATION_JSON);
  }

  @PostMapping("/farms/file/preview")
  FilePreview preview(@RequestBody byte[] body) {
    FarmFile.Content content = FarmFile.read(Transfer.text(body));
    Engine knowing = engine.knowing(FarmRecords.of(content.records()));
    content.plans().forEach(knowing::resolve);
    return new FilePreview(
        content.name(), content.plans().stream().map(FileController::summary).toList());
  }

  /** Makes a new farm of a file. */
  @PostMapping("/farms/file")
  Farms.Made makeFarm(@RequestBody byte[] body, @AuthenticationPrincipal Person person) {
    FarmFile.Content content = FarmFile.read(Transfer.text(body));
    return farms.make(person, content, Told.How.BEGAN_FROM_FILE);
  }

  /** Adds the plans of a file to a farm. */
  @PostMapping("/farms/{farm}/file")
  Added addPlans(
      @PathVariable String farm, @RequestBody byte[] body, @AuthenticationPrincipal Person person) {
    FarmFile.Content content = FarmFile.read(Transfer.text(body));
    return new Added(farms.addPlans(farm, person, content, Told.How.BEGAN_FROM_FILE));
  }

  /** What taking the first plan of a file would change. */
  @PostMapping("/plans/{id}/file/preview")
  ChangePreview previewReplace(
      @PathVariable String id, @RequestBody byte[] body, @AuthenticationPrincipal Person person) {
    FarmPlan now = plans.get(id, person).content();
    FarmPlan then = FarmFile.read(Transfer.text(body)).plans().get(0);
    engine.resolve(then);
    return new ChangePreview(Difference.between(now, then), List.of());
  }

  /** Replaces a plan by the first of a file, as one revision. */
  @PostMapping("/plans/{id}/file")
  PlanView replace(
      @PathVariable String id,
      @RequestParam int revision,
      @RequestParam(defaultValue = "normal") String season,
      @RequestBody byte[] body,
      @AuthenticationPrincipal Person person) {
    FarmPlan then = FarmFile.read(Transfer.text(body)).plans().get(0);
    return views.of(() -> plans.replace(id, person, revision, then), season);
  }

  @GetMapping("/plans/{id}/lists/{kind}")
  ResponseEntity<byte[]> list(
      @PathVariable String id,
      @PathVariable Lists.Kind kind,
      @AuthenticationPrincipal Person person) {
    StoredPlan stored = plans.get(id, person);
    FarmPlan plan = stored.content();
    return Transfer.file(
        lists(plan).write(kind, plan, records.of(stored.farmId())).getBytes(StandardCharsets.UTF_8),
        FarmFile.fileName(plan.farm().name() + "-" + kind.name()) + ".csv",
        CSV);
  }

  /** What a list would change, and the rows that cannot be taken. */
  @PostMapping("/plans/{id}/lists/{kind}/preview")
  ChangePreview previewList(
      @PathVariable String id,
      @PathVariable Lists.Kind kind,
      @RequestBody byte[] body,
      @AuthenticationPrincipal Person person) {
    StoredPlan stored = plans.get(id, person);
    FarmPlan now = stored.content();
    Lists.Read read = lists(now).read(kind, Transfer.text(body), now, records.of(stored.farmId()));
    FarmPlan then = engine.changed(now, read.edits());
    engine.resolve(then);
    List<Difference.Change> changes = new ArrayList<>(Difference.between(now, then));
    changes.addAll(read.told());
    return new ChangePreview(changes, read.problems());
  }

  /** Takes a list as one revision, when every row of it can be taken. */
  @PostMapping("/plans/{id}/lists/{kind}")
  PlanView takeList(
      @PathVariable String id,
      @PathVariable Lists.Kind kind,
      @RequestParam int revision,
      @RequestParam(defaultValue = "normal") String season,
      @RequestBody byte[] body,
      @AuthenticationPrincipal Person person) {
    PlanViews.known(season);
    StoredPlan now = plans.get(id, person);
    NotAllowed.unless(now.role(), Role.PLANNER);
    Lists.Read read =
        lists(now.content())
            .read(kind, Transfer.text(body), now.content(), records.of(now.farmId()));
    if (!read.problems().isEmpty()) {
      throw new BadRows(read.problems());
    }
    if (!read.seen().isEmpty()) {
      records.write(id, person, new Records.Command(Slugs.fresh("file"), "", read.seen()));
    }
    return views.of(
        read.edits().isEmpty()
            ? plans.open(id, person)
            : plans.edit(id, person, revision, null, read.edits()),
        season);
  }

  /** Lists that know the keeper's own forages too. */
  private Lists lists(FarmPlan plan) {
    return new Lists(engine.catalogue().on(plan.farm()));
  }

  /** The ledger as CSV or spreadsheet, in the farm's units unless others are named. */
  @GetMapping("/plans/{id}/ledger")
  ResponseEntity<byte[]> ledger(
      @PathVariable String id,
      @RequestParam LedgerFormat format,
      @RequestParam(required = false) UnitSystem units,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan stored = plans.get(id, person);
    FarmPlan plan = stored.content();
    UnitSystem system = units == null ? plan.farm().units() : units;
    YearBalance balance = views.engine(season, stored).simulate(plan);
    String name = FarmFile.fileName(plan.farm().name() + "-ledger");
    return format == LedgerFormat.XLSX
        ? Transfer.file(LedgerFile.table(balance, system).xlsx("Ledger"), name + ".xlsx", XLSX)
        : Transfer.file(
            LedgerFile.table(balance, system).csv().getBytes(StandardCharsets.UTF_8),
            name + ".csv",
            CSV);
  }

  /** How a ledger is written. */
  enum LedgerFormat {
    CSV,
    XLSX
  }

  private static PlanSummary summary(FarmPlan p) {
    return new PlanSummary(
        p.plan().name(),
        p.plan().year().start().toString(),
        p.farm().fields().size(),
        p.farm().groups().size(),
        p.farm().lots().size());
  }
}
