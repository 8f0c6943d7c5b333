package wiselarder.server.morning;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.morning.Verdict;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.quantity.Check;
import wiselarder.server.http.Transfer;
import wiselarder.server.people.Person;
import wiselarder.server.work.Workers;

/** The farms of a person on one page: how each stands this morning. */
@RestController
@RequestMapping("/api/mornings")
class MorningController {
  private static final int MOST = 200;
  private static final int LONGEST_NAME = 80;

  /** More than one person may own; a file of all of them. */
  private static final int MOST_IN_FILE = 20_000;

  private final MorningRepository repository;
  private final Workers workers;

  MorningController(MorningRepository repository, Workers workers) {
    this.repository = repository;
    this.workers = workers;
  }

  /** How many farms of a person stand so; verdict null for those not reckoned. */
  record VerdictCount(Verdict verdict, int farms) {}

  /**
   * How far the farms of a person are.
   *
   * @param late farms with a late job
   * @param changed not of today, or changed since
   * @param waiting of them wait for a worker
   */
  record Progress(int farms, int late, int changed, int waiting) {
    static Progress of(List<MorningRepository.Standing> all) {
      return new Progress(
          all.stream().mapToInt(MorningRepository.Standing::farms).sum(),
          all.stream().mapToInt(MorningRepository.Standing::late).sum(),
          all.stream().mapToInt(MorningRepository.Standing::changed).sum(),
          all.stream().mapToInt(MorningRepository.Standing::waiting).sum());
    }
  }

  /**
   * A page of farms.
   *
   * @param found how many there are of those that were asked for
   * @param counts of all farms of the person, by how they stand, the worst first
   * @param progress of all of them
   */
  record MorningPage(
      List<FarmMorning> farms, int found, List<VerdictCount> counts, Progress progress) {}

  @GetMapping
  MorningPage page(
      @RequestParam(defaultValue = "") String find,
      @RequestParam(defaultValue = "") Set<Verdict> verdict,
      @RequestParam(defaultValue = "false") boolean late,
      @RequestParam(defaultValue = "WORST") Wanted.Order order,
      @RequestParam(defaultValue = "false") boolean back,
      @RequestParam(defaultValue = "0") int from,
      @RequestParam(defaultValue = "50") int most,
      @AuthenticationPrincipal Person person) {
    Wanted wanted = wanted(find, verdict, late, order, back);
    Check.range("mornings.from", from, 0, 1_000_000);
    Check.range("mornings.most", most, 1, MOST);
    var today = Mornings.today();
    List<MorningRepository.Standing> all = repository.standing(person.id(), today);
    Progress progress = Progress.of(all);
    return new MorningPage(
        repository.of(person.id(), wanted, today, from, most),
        wanted.isAll() ? progress.farms : repository.count(person.id(), wanted),
        all.stream().map(s -> new VerdictCount(s.verdict(), s.farms())).toList(),
        progress);
  }

  private static Wanted wanted(
      String find, Set<Verdict> verdict, boolean late, Wanted.Order order, boolean back) {
    return new Wanted(
        Check.note("mornings.find", find, LONGEST_NAME).strip(), verdict, late, order, back);
  }

  /** Lets those that changed, or are not of today, wait for a worker before others. */
  @PostMapping
  Progress bringUpToDate(@AuthenticationPrincipal Person person) {
    var today = Mornings.today();
    repository.lineUp(today, person.id());
    workers.wake();
    return Progress.of(repository.standing(person.id(), today));
  }

  /** The kinds of file. */
  enum Format {
    CSV,
    XLSX
  }

  private static final MediaType XLSX =
      MediaType.parseMediaType("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");

  /** All farms that are asked for, in that order, as a file. */
  @GetMapping("/file")
  ResponseEntity<byte[]> file(
      @RequestParam(defaultValue = "") String find,
      @RequestParam(defaultValue = "") Set<Verdict> verdict,
      @RequestParam(defaultValue = "false") boolean late,
      @RequestParam(defaultValue = "WORST") Wanted.Order order,
      @RequestParam(defaultValue = "false") boolean back,
      @RequestParam(defaultValue = "METRIC") UnitSystem units,
      @RequestParam(defaultValue = "CSV") Format format,
      @AuthenticationPrincipal Person person) {
    var today = Mornings.today();
    List<FarmMorning> farms =
        repository.of(
            person.id(), wanted(find, verdict, late, order, back), today, 0, MOST_IN_FILE);
    return format == Format.CSV
        ? Transfer.file(
            MorningFile.table(farms, units).csv().getBytes(StandardCharsets.UTF_8),
            "farms-" + today + ".csv",
            Transfer.CSV)
        : Transfer.file(
            MorningFile.table(farms, units).xlsx("Farms"), "farms-" + today + ".xlsx", XLSX);
  }
}
