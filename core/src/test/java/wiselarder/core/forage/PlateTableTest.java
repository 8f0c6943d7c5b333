package wiselarder.core.forage;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import org.junit.jupiter.api.Test;
import wiselarder.core.forage.HeightTable.Season;

class PlateTableTest {
  private static final PlateTable PLATES = ENGINE.catalogue().plates();

  private static PlateTable.Line line(String forage, Season season) {
    return PLATES.of(ENGINE.catalogue().forage(forage), season);
  }

  @Test
  void aSwardHasTheLineOfItsSeasonOrOfAll() {
    PlateTable.Line summer = line("perennial_ryegrass", Season.SUMMER);
    assertThat(summer.perClickKg()).isEqualTo(130);
    assertThat(summer.baseKg()).isEqualTo(700);
    assertThat(line("bermudagrass", Season.AUTUMN).baseKg()).isEqualTo(240);
    assertThat(line("wild_rye", Season.SPRING).usable()).isFalse();
    assertThat(line("wild_rye", Season.SPRING).note()).contains("stick or clip");
    // no line for timothy in autumn: none is made up
    assertThat(line("timothy", Season.AUTUMN)).isNull();
  }

  /** Within its range a line gives what could stand there. */
  @Test
  void linesGiveWhatCouldStand() {
    for (Forage f : ENGINE.catalogue().forages().values()) {
      for (Season s : Season.values()) {
        PlateTable.Line line = PLATES.of(f, s);
        if (line != null && line.usable()) {
          assertThat(line.baseKg() + line.perClickKg() * line.fromClicks())
              .isBetween(100.0, 3000.0);
          assertThat(line.baseKg() + line.perClickKg() * line.toClicks()).isBetween(1500.0, 6000.0);
        }
      }
    }
  }
}
