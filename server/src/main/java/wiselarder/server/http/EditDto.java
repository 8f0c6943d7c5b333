package wiselarder.server.http;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.OwnForage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Grid;
import wiselarder.core.land.Outline;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.PlanEdit;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Scenario;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/** One edit: exactly one of its members is given. */
@Schema(name = "Edit")
public record EditDto(
    @Schema(nullable = true) Field putField,
    @Schema(nullable = true) String removeField,
    @Schema(nullable = true) AnimalGroup putGroup,
    @Schema(nullable = true) String removeGroup,
    @Schema(nullable = true) Lot putLot,
    @Schema(nullable = true) String removeLot,
    @Schema(nullable = true) FeedingDto setFeeding,
    @Schema(nullable = true) Closing shutField,
    @Schema(nullable = true) String removeClosing,
    @Schema(nullable = true) HayCut putCut,
    @Schema(nullable = true) String removeCut,
    @Schema(nullable = true) Purchase buyHay,
    @Schema(nullable = true) String removePurchase,
    @Schema(nullable = true) YearDto setYear,
    @Schema(nullable = true) SettingsDto setFarm,
    @Schema(nullable = true) String namePlan,
    @Schema(nullable = true) Sowing putSowing,
    @Schema(nullable = true) String removeSowing,
    @Schema(nullable = true) Dressing putDressing,
    @Schema(nullable = true) String removeDressing,
    @Schema(nullable = true) Irrigation putIrrigation,
    @Schema(nullable = true) String removeIrrigation,
    @Schema(nullable = true) Scenario putScenario,
    @Schema(nullable = true) String removeScenario,
    @Schema(nullable = true) LightPass putPass,
    @Schema(nullable = true) String removePass,
    @Schema(nullable = true) OwnForage putForage,
    @Schema(nullable = true) String removeForage,
    @Schema(nullable = true) SplitDto splitField) {

  /** A line that parts a field, and what the smaller piece is called. */
  @Schema(name = "Split")
  public record SplitDto(String id, List<Outline.Point> line, String newId, String newName) {}

  /** A group's whole order of feeds. */
  @Schema(name = "Feeding")
  public record FeedingDto(String groupId, List<FeedStep> steps) {}

  /** First day and length of the plan. */
  @Schema(name = "YearSetting")
  public record YearDto(LocalDate start, int months) {}

  /** The farm's settings. */
  @Schema(name = "Settings")
  public record SettingsDto(
      String name,
      String note,
      String climateId,
      Farm.UnitSystem units,
      String currency,
      double audKg,
      List<Farm.Machine> machines,
      Grid grid) {}

  static EditDto of(PlanEdit edit) {
    Closing closing = edit instanceof PlanEdit.ShutField s ? s.closing() : null;
    Purchase purchase = edit instanceof PlanEdit.BuyHay b ? b.purchase() : null;
    return new EditDto(
        null, null, null, null, null, null, null, closing, null, null, null, purchase, null, null,
        null, null, null, null, null, null, null, null, null, null, null, null, null, null, null);
  }

  PlanEdit edit() {
    List<PlanEdit> given =
        Stream.of(
                putField == null ? null : new PlanEdit.PutField(putField),
                removeField == null ? null : new PlanEdit.RemoveField(removeField),
                putGroup == null ? null : new PlanEdit.PutGroup(putGroup),
                removeGroup == null ? null : new PlanEdit.RemoveGroup(removeGroup),
                putLot == null ? null : new PlanEdit.PutLot(putLot),
                removeLot == null ? null : new PlanEdit.RemoveLot(removeLot),
                setFeeding == null
                    ? null
                    : new PlanEdit.SetFeeding(setFeeding.groupId, setFeeding.steps),
                shutField == null ? null : new PlanEdit.ShutField(shutField),
                removeClosing == null ? null : new PlanEdit.RemoveClosing(removeClosing),
                putCut == null ? null : new PlanEdit.PutCut(putCut),
                removeCut == null ? null : new PlanEdit.RemoveCut(removeCut),
                buyHay == null ? null : new PlanEdit.BuyHay(buyHay),
                removePurchase == null ? null : new PlanEdit.RemovePurchase(removePurchase),
                setYear == null
                    ? null
                    : new PlanEdit.SetYear(new PlanYear(setYear.start, setYear.months)),
                setFarm == null
                    ? null
                    : new PlanEdit.SetFarm(
                        setFarm.name,
                        setFarm.note,
                        setFarm.climateId,
                        setFarm.units,
                        setFarm.currency,
                        setFarm.audKg,
                        setFarm.machines,
                        setFarm.grid),
                namePlan == null ? null : new PlanEdit.NamePlan(namePlan),
                put(Items.SOWINGS, putSowing),
                remove(Items.SOWINGS, removeSowing),
                put(Items.DRESSINGS, putDressing),
                remove(Items.DRESSINGS, removeDressing),
                put(Items.IRRIGATIONS, putIrrigation),
                remove(Items.IRRIGATIONS, removeIrrigation),
                put(Items.SCENARIOS, putScenario),
                remove(Items.SCENARIOS, removeScenario),
                put(Items.PASSES, putPass),
                remove(Items.PASSES, removePass),
                put(Items.FORAGES, putForage),
                remove(Items.FORAGES, removeForage),
                splitField == null
                    ? null
                    : new PlanEdit.SplitField(
                        splitField.id, splitField.line, splitField.newId, splitField.newName))
            .filter(Objects::nonNull)
            .map(PlanEdit.class::cast)
            .toList();
    if (given.size() != 1) {
      throw new Refused("one_edit", "edits", given.size(), "an edit has exactly one member");
    }
    return given.get(0);
  }

  private static <T extends Record> PlanEdit put(Items<T> items, T item) {
    return item == null ? null : new PlanEdit.Put<>(items, item);
  }

  private static <T extends Record> PlanEdit remove(Items<T> items, String id) {
    return id == null ? null : new PlanEdit.Remove<>(items, id);
  }
}
