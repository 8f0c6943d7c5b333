package wiselarder.core.forage;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wiselarder.core.forage.WeedKey.Feature;
import wiselarder.core.forage.WeedKey.Plant;

class WeedKeyTest {
  private static final List<Feature> FEATURES = ENGINE.catalogue().weeds().features();

  /** What fits an answer to every feature, yes where its bit is set. */
  private static Set<Plant> fits(int answers) {
    Set<Plant> left = EnumSet.allOf(Plant.class);
    for (int i = 0; i < FEATURES.size(); i++) {
      boolean yes = (answers >> i & 1) == 1;
      left.retainAll(yes ? FEATURES.get(i).yesFits() : FEATURES.get(i).noFits());
    }
    return left;
  }

  /** All features together leave one plant or none: nothing looks like two. */
  @Test
  void noAnswerFitsTwoPlantsAndEachCanBeFound() {
    Set<Plant> found = new HashSet<>();
    for (int answers = 0; answers < 1 << FEATURES.size(); answers++) {
      assertThat(fits(answers)).hasSizeLessThanOrEqualTo(1);
      found.addAll(fits(answers));
    }
    assertThat(found).containsExactlyInAnyOrder(Plant.values());
  }

  @Test
  void theWeedySorghumHasThemAll() {
    assertThat(fits((1 << FEATURES.size()) - 1)).containsExactly(Plant.WEEDY_SORGHUM);
  }
}
