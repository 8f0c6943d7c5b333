package wiselarder.core.conflict;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.MixtureTable;
import wiselarder.core.forage.MixtureTable.Suits;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Sowing;

class GrownTogetherTest {
  private static final Catalogue TABLES = ENGINE.catalogue();

  private static Sowing sown(String id, String forage, int day, Sowing.Preparation way) {
    return new Sowing(id, "a", forage, START.plusDays(day), way, null, 1, null);
  }

  private static Suits suits(String a, String b) {
    return TABLES.mixtures().of(TABLES.forage(a), TABLES.forage(b)).orElseThrow().suits();
  }

  /** The order means nothing, and what is said of two forages stands above their groups. */
  @Test
  void whatIsSaidOfTwoForagesStandsAboveTheirGroups() {
    assertThat(suits("tall_fescue_novel", "tall_fescue_toxic")).isEqualTo(Suits.NO);
    assertThat(suits("orchardgrass", "tall_fescue_novel")).isEqualTo(Suits.WITH_CARE);
    assertThat(suits("bermudagrass", "crimson_clover")).isEqualTo(Suits.YES);
    assertThat(suits("crimson_clover", "bermudagrass")).isEqualTo(Suits.YES);
    assertThat(suits("bermudagrass", "annual_lespedeza")).isEqualTo(Suits.WITH_CARE);
    assertThat(suits("orchardgrass", "switchgrass")).as("slow beside fast").isEqualTo(Suits.NO);
  }

  @Test
  void ofFallowTheTableSaysNothing() {
    MixtureTable table = TABLES.mixtures();
    Forage fallow = TABLES.forage("fallow");
    assertThat(table.of(fallow, TABLES.forage("cereal_rye"))).isEmpty();
  }

  @Test
  void aCropIsHeldAgainstTheSodAndWhatIsSownWithIt() {
    Farms f = new Farms();
    f.fields.add(Farms.stand("a", 4, "bermudagrass", null, 1200));
    f.sowings.add(sown("vetch", "hairy_vetch", 25, Sowing.Preparation.GRAZE_DOWN));
    f.sowings.add(sown("late", "crimson_clover", 60, Sowing.Preparation.GRAZE_DOWN));
    FarmPlan plan = f.build();
    List<GrownTogether> rye =
        GrownTogether.of(
            plan, TABLES, sown("rye", "cereal_rye", 20, Sowing.Preparation.GRAZE_DOWN));
    assertThat(rye).extracting(GrownTogether::b).containsExactly("bermudagrass", "hairy_vetch");
    assertThat(rye).extracting(t -> t.rule().suits()).containsOnly(Suits.YES);
    // in a bed nothing is left of the sod; one sown before stays itself
    assertThat(
            GrownTogether.of(
                plan, TABLES, sown("vetch", "cereal_rye", 25, Sowing.Preparation.FULL_SEEDBED)))
        .isEmpty();
    assertThat(
            GrownTogether.of(
                plan,
                TABLES,
                sown("sudan", "sorghum_sudangrass", 250, Sowing.Preparation.GRAZE_DOWN)))
        .extracting(t -> t.rule().suits())
        .containsExactly(Suits.NO);
  }

  @Test
  void ofASwardEachPartIsHeldAgainstEach() {
    List<GrownTogether> among =
        GrownTogether.among(
            TABLES, List.of("white_clover", "perennial_ryegrass", "chicory", "chicory"));
    assertThat(among).hasSizeGreaterThanOrEqualTo(2).allMatch(t -> !t.a().equals(t.b()));
    assertThat(among)
        .anyMatch(
            t ->
                t.a().equals("perennial_ryegrass")
                    && t.b().equals("white_clover")
                    && t.rule().suits() == Suits.YES);
  }
}
