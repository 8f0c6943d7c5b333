package wiselarder.server.closing;

import java.time.LocalDate;
import java.util.List;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.closing.CropChoice;
import wiselarder.core.closing.Fitting;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.people.Person;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.weather.FarmWeather;

/** Crops for a gap, with what they make there. */
@RestController
@RequestMapping("/api")
class CropsController {
  private final KeptSums kept;
  private final FarmWeather weather;

  CropsController(KeptSums kept, FarmWeather weather) {
    this.kept = kept;
    this.weather = weather;
  }

  /**
   * A crop for a gap; as {@link CropChoice}.
   *
   * @param nitrogenCostPerHa null where no price is known
   * @param gainLowKg null with {@code gainHighKg} where nothing is said
   * @param costPerHa null where a price is not known, or it does not fit
   */
  record CropView(
      String forageId,
      String purpose,
      LocalDate bestFrom,
      LocalDate bestTo,
      LocalDate latest,
      LocalDate firstUse,
      double lowKgPerHa,
      double likelyKgPerHa,
      double highKgPerHa,
      double lostAWeekLateKgPerHa,
      double failShare,
      Double gainLowKg,
      Double gainHighKg,
      Double costPerHa,
      double atHandHa,
      double nitrogenKgPerHa,
      Double nitrogenCostPerHa,
      List<CropChoice.Risk> risks,
      List<Fitting.Reason> against,
      List<PlanEdit> edits) {}

  /** Crops that could be sown on a field for a gap, those that fit first. */
  @GetMapping("/plans/{id}/crops")
  List<CropView> crops(
      @PathVariable String id,
      @RequestParam int gap,
      @RequestParam String fieldId,
      @RequestParam(defaultValue = "GRAZE") CropChoice.Use use,
      @RequestParam(defaultValue = "normal") String season,
      @ParameterObject AskedGap.Part part,
      @AuthenticationPrincipal Person person) {
    return kept.of(
        id,
        person,
        plan -> crops(plan, gap, fieldId, use, season, part),
        "crops",
        gap,
        fieldId,
        use,
        season,
        part);
  }

  private List<CropView> crops(
      StoredPlan plan,
      int gap,
      String fieldId,
      CropChoice.Use use,
      String season,
      AskedGap.Part part) {
    Engine engine = weather.engine(season, plan);
    FarmPlan stated = plan.content();
    int field = stated.farm().fields().indexOf(stated.field(fieldId));
    return CropChoice.of(engine, stated, AskedGap.of(engine, stated, gap, part), field, use)
        .stream()
        .map(CropsController::crop)
        .toList();
  }

  /** A crop sown on a day; as {@link CropChoice.SownOn}. */
  record CropSownOn(
      LocalDate sowOn,
      double lowKgPerHa,
      double likelyKgPerHa,
      double highKgPerHa,
      double failShare) {}

  /** What a crop makes on a field by the day on which it is sown. */
  @GetMapping("/plans/{id}/crops/dates")
  List<CropSownOn> cropDates(
      @PathVariable String id,
      @RequestParam int gap,
      @RequestParam String fieldId,
      @RequestParam String forageId,
      @RequestParam String purpose,
      @RequestParam(defaultValue = "normal") String season,
      @ParameterObject AskedGap.Part part,
      @AuthenticationPrincipal Person person) {
    return kept.of(
        id,
        person,
        plan -> cropDates(plan, gap, fieldId, forageId, purpose, season, part),
        "crops/dates",
        gap,
        fieldId,
        forageId,
        purpose,
        season,
        part);
  }

  private List<CropSownOn> cropDates(
      StoredPlan plan,
      int gap,
      String fieldId,
      String forageId,
      String purpose,
      String season,
      AskedGap.Part part) {
    Engine engine = weather.engine(season, plan);
    FarmPlan stated = plan.content();
    int field = stated.farm().fields().indexOf(stated.field(fieldId));
    Gap its = AskedGap.of(engine, stated, gap, part);
    return CropChoice.byDate(engine, stated, its, field, forageId, purpose).stream()
        .map(
            s ->
                new CropSownOn(
                    s.sowOn(), s.lowKgPerHa(), s.likelyKgPerHa(), s.highKgPerHa(), s.failShare()))
        .toList();
  }

  private static CropView crop(CropChoice c) {
    return new CropView(
        c.forageId(),
        c.purpose(),
        c.bestFrom(),
        c.bestTo(),
        c.latest(),
        c.firstUse(),
        c.lowKgPerHa(),
        c.likelyKgPerHa(),
        c.highKgPerHa(),
        c.lostAWeekLateKgPerHa(),
        c.failShare(),
        AskedGap.orNull(c.gainLowKg()),
        AskedGap.orNull(c.gainHighKg()),
        AskedGap.orNull(c.costPerHa()),
        c.atHandHa(),
        c.nitrogenKgPerHa(),
        AskedGap.orNull(c.nitrogenCostPerHa()),
        c.risks(),
        c.against(),
        c.edits());
  }
}
