package wiselarder.core.caution;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.herd.AnimalGroup;

class CautionsTest {
  private static List<Caution> cautions(String forage, String kind, boolean grazes) {
    Farms farm = new Farms();
    farm.groups.add(
        new AnimalGroup("g", "G", kind, 3, 400, 0, 7.0, null, 1, 0, null, null, null, null));
    farm.fields.add(Farms.stand("f", 5, forage, Collections.nCopies(12, 10.0), 2000));
    if (grazes) {
      farm.graze("g", null, null, "f");
    }
    return Cautions.load().of(farm.build(), ENGINE.catalogue());
  }

  @ParameterizedTest
  @CsvSource({
    "sorghum_sudangrass, beef/steer, hz_frost_kill_sorghum, true",
    "johnsongrass, beef/steer, hz_frost_kill_sorghum, true",
    "sudangrass, beef/steer, hz_young_sorghum, false",
    "sorghum_sudangrass, horse/adult, hz_not_for_horses, true",
    "switchgrass, horse/adult, hz_not_for_horses, true",
    "tall_fescue_toxic, horse/mare, hz_endophyte_mares, true",
    "tall_fescue_toxic, beef/steer, hz_endophyte_hot, false",
  })
  void theHazardIsRaisedAndBlocksWhereItMust(
      String forage, String kind, String hazard, boolean blocks) {
    assertThat(cautions(forage, kind, true))
        .filteredOn(c -> c.hazard().id().equals(hazard))
        .isNotEmpty()
        .allSatisfy(
            c -> {
              assertThat(c.blocks()).isEqualTo(blocks);
              assertThat(c.hazard().whoToAsk()).isNotBlank();
            });
  }

  @ParameterizedTest
  @CsvSource({
    "tall_fescue_novel, beef/steer",
    "tall_fescue_novel, horse/mare",
    "bermudagrass, horse/adult",
  })
  void harmlessGrazingRaisesNothing(String forage, String kind) {
    assertThat(cautions(forage, kind, true)).isEmpty();
  }

  @Test
  void aFieldNobodyGrazesRaisesNothing() {
    assertThat(cautions("sorghum_sudangrass", "beef/steer", false)).isEmpty();
  }
}
