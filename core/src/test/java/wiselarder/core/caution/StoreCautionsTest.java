package wiselarder.core.caution;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Purchase;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;

/** What is put by and whom it may hurt. */
class StoreCautionsTest {
  private static Farms with(String kind, Lot lot) {
    Farms farm = new Farms();
    farm.groups.add(
        new AnimalGroup("g", "G", kind, 5, 200, 0, 5.0, null, 1, 0, null, null, null, null));
    farm.lots.add(lot);
    return farm.feed("g", null, null);
  }

  private static List<Caution> of(Farms farm) {
    return Cautions.load().of(farm.build(), FarmRecords.NONE, ENGINE.catalogue());
  }

  @ParameterizedTest
  @CsvSource({
    "horse/adult, hay_millet, hz_not_for_horses, true",
    "horse/adult, hay_sorghum_sudan, hz_not_for_horses, true",
    "horse/mare, hay_tall_fescue_late, hz_endophyte_mares, true",
    "horse/adult, haylage_grass, hz_botulism_wrapped, true",
    "horse/adult, molasses_block, hz_urea_hungry, true",
    "beef/steer, molasses_block, hz_urea_hungry, false",
    "sheep/ewe, corn_gluten_feed, hz_copper_sheep, true",
    "sheep/ewe, silage_grass, hz_silage_listeria, false",
    "beef/steer, maize_grain, hz_grain_overload, false",
    "beef/steer, hay_sweetclover, hz_sweetclover_mould, false",
    "beef/steer, hay_oat, hz_nitrate_stored, false",
  })
  void aFeedRaisesItsHazardAndIsShutWhereItMust(
      String kind, String feedId, String hazard, boolean blocks) {
    assertThat(of(with(kind, Farms.of("lot", 5, feedId))))
        .filteredOn(c -> c.hazard().id().equals(hazard))
        .anySatisfy(
            c -> {
              assertThat(c.blocks()).isEqualTo(blocks);
              assertThat(c.lotId()).isEqualTo("lot");
              assertThat(c.hazard().whoToAsk()).isNotBlank();
            });
  }

  @ParameterizedTest
  @CsvSource({
    "horse/adult, hay_timothy_late",
    "beef/steer, hay_millet",
    "beef/cow, haylage_grass",
    "sheep/ewe, hay_grass_clover",
  })
  void whatSuitsThemIsNotShut(String kind, String feedId) {
    assertThat(of(with(kind, Farms.of("lot", 5, feedId)))).noneMatch(Caution::blocks);
  }

  @Test
  void aProneFeedBoughtUnseenIsHeldUntilItIsTested() {
    Farms farm = with("beef/steer", Farms.of("own", 5, "hay_smooth_brome_mid"));
    Lot bought = Farms.of("bought", 5, "hay_oat");
    farm.purchases.add(new Purchase("p", START.plusDays(10), bought, List.of("g")));
    assertThat(of(farm))
        .filteredOn(c -> "bought".equals(c.lotId()))
        .anyMatch(c -> c.blocks() && c.groupId() == null);
  }

  @Test
  void wrapIsToldOfAndTornFilmIsShutToSmallStock() {
    Origin net = new Origin("hay_timothy_late", null, Origin.Wrap.NET, "", true, null, null);
    assertThat(of(with("beef/steer", Farms.with(Farms.bale("lot", 5), net))))
        .anyMatch(c -> c.hazard().id().equals("hz_wrap_ingestion") && !c.blocks());
    Lot torn = new Lot("lot", "l", "bale", 5, 600, 0.5, "s_wrapped_torn", "f_cone", null, "");
    assertThat(of(with("goat/doe", torn))).anyMatch(Caution::blocks);
    assertThat(of(with("beef/steer", torn))).noneMatch(Caution::blocks);
  }

  @Test
  void aLotThatNobodyEatsRaisesNothingButItsNitrate() {
    Farms farm = new Farms();
    farm.lots.add(Farms.of("lot", 5, "molasses_block"));
    assertThat(of(farm)).isEmpty();
  }
}
