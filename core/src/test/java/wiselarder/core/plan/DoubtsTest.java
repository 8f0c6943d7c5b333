package wiselarder.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/** What is hard to believe is marked; what cannot be is refused. */
class DoubtsTest {
  private static List<Doubt> doubts(Farms farm) {
    return Doubts.of(farm.build(), ENGINE.catalogue());
  }

  private static AnimalGroup cows(double weightKg, Double flat, String weaning, String leave) {
    return new AnimalGroup(
        "cows",
        "Cows",
        "beef/cow",
        10,
        weightKg,
        0,
        flat,
        MonthDay.of(3, 1),
        60,
        0.9,
        weaning == null ? null : MonthDay.parse(weaning),
        leave == null ? null : MonthDay.parse(leave),
        null,
        null);
  }

  @Test
  void anOrdinaryFarmRaisesNoDoubt() {
    Farms farm = new Farms().field("a", 5, 25, 2000).bales("hay", 10);
    farm.groups.add(cows(550, null, "--10-05", null));
    assertThat(doubts(farm)).isEmpty();
  }

  @Test
  void aYieldThatNoClimateGrowsIsMarkedWithWhatIsUsual() {
    // 60 kg/ha/day all year is 21.9 t/ha; novel fescue's best climate grows far less
    Doubt doubt = doubts(new Farms().field("a", 5, 60, 2000)).get(0);
    assertThat(doubt.code()).isEqualTo(Doubt.Code.NO_CLIMATE_GROWS_THIS);
    assertThat(doubt.field()).isEqualTo("stand.monthlyKgPerHaDay");
    assertThat(doubt.value()).isEqualTo(60);
    assertThat(doubt.usualMax()).isBetween(25.0, 60.0);
  }

  @ParameterizedTest
  @CsvSource(
      nullValues = "-",
      value = {
        "55, -, group.weightKg",
        "1400, -, group.weightKg",
        "550, 1.2, group.flatIntakeKgPerHeadDay",
        "550, 39, group.flatIntakeKgPerHeadDay",
      })
  void aSlippedDigitInAGroupIsMarked(double weightKg, Double flat, String field) {
    Farms farm = new Farms();
    farm.groups.add(cows(weightKg, flat, null, null));
    assertThat(doubts(farm)).extracting(Doubt::field).containsExactly(field);
  }

  @Test
  void dampHayInADryStoreHeats() {
    Farms farm = new Farms();
    farm.lots.add(new Lot("h", "h", "bale", 5, 400, 0.75, "s_barn", "f_ring_open", null, ""));
    assertThat(doubts(farm))
        .containsExactly(new Doubt(Doubt.Code.DAMP_HAY_HEATS, "h", "lot.dmShare", 0.75, 0.8, 0.92));
  }

  @ParameterizedTest
  @CsvSource({"--02-20", "--03-01", "--04-15", "--02-10"})
  void weanedBeforeBirthIsRefusedWithTheDaysThatWouldDo(String weaning) {
    // births 1 March to 29 April; 330 days after 1 March is 25 January
    assertThatThrownBy(() -> cows(550, null, weaning, null))
        .isInstanceOfSatisfying(
            Refused.class,
            e -> {
              assertThat(e.code()).isEqualTo("weaned_before_birth");
              assertThat(e.field()).isEqualTo("group.weaning");
              assertThat(e.refusal().values())
                  .containsEntry("first", MonthDay.of(4, 30))
                  .containsEntry("last", MonthDay.of(1, 25));
            });
  }

  @Test
  void theYoungDoNotLeaveBeforeTheyAreWeaned() {
    assertThatThrownBy(() -> cows(550, null, "--10-05", "--09-01"))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.code()).isEqualTo("leave_before_weaning"));
    assertThat(cows(550, null, "--10-05", "--11-01").youngLeave()).isNotNull();
  }

  @Test
  void aFieldIsNotShutAndGrazedAtOnce() {
    Farms farm =
        new Farms()
            .eaters("herd", 5, 10)
            .field("a", 5, 20, 2000)
            .field("b", 5, 20, 2000)
            .graze("herd", START.plusDays(20), START.plusDays(60), "a")
            .shut("a", START.plusDays(10), START.plusDays(60));
    assertThatThrownBy(farm::build)
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.code()).isEqualTo("shut_and_grazed"));
    farm.closings.clear();
    assertThat(farm.shut("a", START.plusDays(10), START.plusDays(59)).build())
        .as("one day is left to graze it")
        .isNotNull();
  }
}
