package wiselarder.server.answers;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Season;
import wiselarder.core.records.FarmRecords;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.file.FarmFile;

/**
 * What the engine says of the three demo farms, day by day, as it was when it was last agreed on. A
 * change of structure changes none of it; a change of the model renews the files ({@code
 * -Dlarder.answers.write=true}) and says in its commit what changed and why.
 */
class DemoAnswersTest {
  /** Largest difference of a day's figure, as a share of the largest of its series. */
  private static final double WITHIN = 1e-9;

  private static final Path KEPT = Path.of("src/test/resources/answers");
  private static final Engine ENGINE = Engine.load();

  @ParameterizedTest
  @CsvSource({
    "quillback,normal",
    "quillback,dry",
    "quillback,wet",
    "quillback,seed:3",
    "quillback,seed:17",
    "campo-garza-mora,normal",
    "campo-garza-mora,dry",
    "campo-garza-mora,wet",
    "campo-garza-mora,seed:3",
    "campo-garza-mora,seed:17",
    "spruce-hollow,normal",
    "spruce-hollow,dry",
    "spruce-hollow,wet",
    "spruce-hollow,seed:3",
    "spruce-hollow,seed:17"
  })
  void everyDayIsAsItWas(String farm, String season) throws IOException {
    FarmFile.Content content = DemoFarms.read(farm);
    YearBalance year =
        ENGINE
            .knowing(FarmRecords.of(content.records()))
            .in(Season.parse(season))
            .simulate(content.plans().get(0));
    Map<String, double[]> now = DailyFigures.of(year);
    Path file = KEPT.resolve(farm + "-" + season.replace(":", "") + ".figures");
    if (Boolean.getBoolean("larder.answers.write")) {
      Files.write(file, KeptFigures.write(now));
    }
    Map<String, double[]> then = KeptFigures.read(Files.readAllBytes(file));
    assertThat(now.keySet()).isEqualTo(then.keySet());
    assertThat(differences(then, now)).as("series, day, before, now").isEmpty();
  }

  @Test
  void aChangeOfOneMillionthOnOneDayIsSeen() {
    double[] day = {0, 812.25, 811.5, Double.NaN};
    double[] moved = {0, 812.25, 811.5 * (1 + 1e-6), Double.NaN};
    Map<String, double[]> kept = KeptFigures.read(KeptFigures.write(Map.of("x", day)));
    assertThat(differences(kept, Map.of("x", day))).isEmpty();
    assertThat(differences(kept, Map.of("x", moved))).hasSize(1);
    assertThat(differences(kept, Map.of("x", new double[] {0, 812.25, Double.NaN, 1}))).hasSize(2);
  }

  private static List<String> differences(Map<String, double[]> then, Map<String, double[]> now) {
    List<String> found = new ArrayList<>();
    for (Map.Entry<String, double[]> e : then.entrySet()) {
      double[] was = e.getValue();
      double[] is = now.get(e.getKey());
      double most = WITHIN * Math.max(1e-6, KeptFigures.largest(was));
      for (int d = 0; d < was.length && found.size() < 20; d++) {
        boolean same =
            Double.isNaN(was[d]) ? Double.isNaN(is[d]) : Math.abs(was[d] - is[d]) <= most;
        if (!same) {
          found.add("%s %d: %s %s".formatted(e.getKey(), d, was[d], is[d]));
        }
      }
    }
    return found;
  }
}
