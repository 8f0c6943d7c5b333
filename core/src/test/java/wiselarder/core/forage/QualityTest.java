package wiselarder.core.forage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;

/** What stands and what is eaten is worth, by ripeness, dead share and weathering. */
class QualityTest {
  private static final QualityTable TABLE = Farms.ENGINE.catalogue().quality();
  private static final int PROTEIN = QualityTable.Values.PROTEIN;
  private static final int TDN = QualityTable.Values.TDN;

  @Test
  void betweenTheTablesStagesValuesRunStraight() {
    QualityTable.Values fescue = TABLE.of("tall_fescue_novel");
    // leafy 18.0 and 66, full leaf 15.5 and 63: half way 16.75 and 64.5
    assertThat(fescue.green(PROTEIN, 0)).isEqualTo(18.0);
    assertThat(fescue.green(PROTEIN, 0.125)).isCloseTo(16.75, within(1e-9));
    assertThat(fescue.green(TDN, 0.125)).isCloseTo(64.5, within(1e-9));
    assertThat(fescue.green(TDN, 1)).isEqualTo(51);
    // kept standing from 63 to 57 over its 110 days: half way after 55
    assertThat(fescue.dead(TDN, 0)).isEqualTo(63);
    assertThat(fescue.dead(TDN, 55)).isCloseTo(60, within(1e-9));
  }

  @Test
  void residueFallsFromItsFirstWeeksToItsLast() {
    // 6.0 and 56 in the first weeks, 4.5 and 49 in the last, after 75 days
    QualityTable.Values stalks = TABLE.of("corn_residue");
    assertThat(stalks.dead(PROTEIN, 0)).isEqualTo(6.0);
    assertThat(stalks.dead(TDN, 75)).isCloseTo(49, within(1e-9));
  }

  @Test
  void aFrostedSodIsWorthStubbleNotLeaf() {
    Farms farm = new Farms();
    farm.start = LocalDate.of(2027, 9, 1);
    farm.fields.add(field("bermudagrass", 1500, 0));
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    assertThat(b.standingProteinPct(0, b.year().day(LocalDate.of(2028, 1, 15)))).isLessThan(11);
  }

  @Test
  void aMissingStageIsFilledFromItsNeighbours() {
    // natural grassland has no boot row: half of leafy 62 and ripe 49 is 55.5
    assertThat(TABLE.of("natural_grassland_warm").green(TDN, 0.5)).isCloseTo(55.5, within(1e-9));
    for (Forage f : Farms.ENGINE.catalogue().forages().values()) {
      if (f.grows()) {
        assertThat(TABLE.of(f.id()).green(PROTEIN, 1)).as(f.id()).isBetween(2.0, 40.0);
      }
    }
  }

  private static Field field(String forage, double cover, double dead) {
    return new Field(
        "a",
        "A",
        10,
        new Stand(forage, null, null, cover, dead, null, null),
        Field.Grazing.ROTATIONAL,
        null,
        null,
        null,
        true,
        "",
        null);
  }

  private static AnimalGroup group(String kind, int head, double kg) {
    return new AnimalGroup("g", "G", kind, head, 60, 0, kg, null, 1, 0, null, null, null, null);
  }

  @Test
  void leftAloneTheSpringFlushRipensAndLosesProtein() {
    Farms farm = new Farms();
    farm.start = LocalDate.of(2027, 3, 1);
    farm.fields.add(field("tall_fescue_novel", 1500, 0));
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    // what a mower takes: the stubble of last year still stands below it
    double april = b.mownProteinPct(0, b.year().day(LocalDate.of(2027, 4, 10)));
    double june = b.standingProteinPct(0, b.year().day(LocalDate.of(2027, 6, 20)));
    assertThat(april).isGreaterThan(14);
    assertThat(june).isLessThan(11);
  }

  @Test
  void takenDownItGrowsLeafAgain() {
    double[] july = new double[2];
    for (int i = 0; i < 2; i++) {
      Farms farm = new Farms();
      farm.start = LocalDate.of(2027, 3, 1);
      farm.fields.add(field("tall_fescue_novel", 1500, 0));
      if (i == 1) {
        farm.groups.add(group("beef/bull", 200, 12));
        farm.graze("g", LocalDate.of(2027, 6, 1), LocalDate.of(2027, 6, 20), "a");
      }
      YearBalance b = Farms.ENGINE.simulate(farm.build());
      july[i] = b.standingTdnPct(0, b.year().day(LocalDate.of(2027, 7, 5)));
    }
    assertThat(july[1]).isGreaterThan(july[0] + 2);
  }

  @Test
  void point6_twoLayers_sheepPickTheGreenWhereACowTakesBothInOneMouthful() {
    double[] eaten = new double[2];
    double[] greenLeft = new double[2];
    String[] kinds = {"beef/bull", "sheep/ewe"};
    for (int i = 0; i < 2; i++) {
      Farms farm = new Farms();
      farm.start = LocalDate.of(2027, 4, 1);
      farm.fields.add(field("tall_fescue_novel", 3000, 0.6));
      farm.groups.add(group(kinds[i], 100, 3));
      farm.graze("g", null, null, "a");
      YearBalance b = Farms.ENGINE.simulate(farm.build());
      eaten[i] = b.grazedProteinPct(0, 5);
      greenLeft[i] = b.greenKgPerHa(0, 5) / b.coverKgPerHa(0, 5);
      // what is eaten is better than what stands
      assertThat(b.grazedTdnPct(0, 5)).isGreaterThan(b.standingTdnPct(0, 5));
    }
    assertThat(eaten[1]).isGreaterThan(eaten[0] + 0.3);
    assertThat(greenLeft[1]).isLessThan(greenLeft[0]);
  }

  @Test
  void point5_frostTakesNoQualityTimeDoes() {
    Farms farm = new Farms();
    farm.start = LocalDate.of(2027, 9, 1);
    farm.fields.add(field("bermudagrass", 5000, 0));
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    int frost = b.year().day(LocalDate.of(2027, 10, 21));
    double after = b.standingTdnPct(0, frost + 14);
    double february = b.standingTdnPct(0, frost + 110);
    assertThat(b.standingTdnPct(0, frost - 1) - after).isLessThan(4);
    assertThat(february).isLessThan(after - 2);
  }

  @Test
  void aJointedCropIsWorthLessEachWeek() {
    CropRules.Course rye = CropRules.Course.of(Farms.ENGINE.catalogue().forage("cereal_rye"));
    QualityTable.Values values = TABLE.of("cereal_rye");
    List<Double> tdn =
        List.of(0.0, 300.0, 500.0, 1050.0).stream()
            .map(heat -> values.green(TDN, Maturity.ofCrop(rye, heat, 0)))
            .toList();
    // leafy 74; at heading, 500 degree-days, 58; ripe 50
    assertThat(tdn).isSortedAccordingTo(java.util.Comparator.reverseOrder());
    assertThat(tdn.get(2)).isCloseTo(58, within(1e-9));
    assertThat(tdn.get(3)).isCloseTo(50, within(1e-9));
  }
}
