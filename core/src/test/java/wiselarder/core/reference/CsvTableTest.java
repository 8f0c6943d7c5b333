package wiselarder.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.StringReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.plan.Catalogue;

class CsvTableTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "id,kg\\na,12\\nb,many | row 3 column kg: 'many' should be a number",
        "id,kg\\na,999 | row 2 column kg: '999' should be a number from 0.0 to 100.0",
        "id,kg\\na, | row 2 column kg: '' should be a value",
        "id,lb\\na,3 | row 2 column kg: '' should be a column of this name",
      })
  void aBadRowIsNamedWithRowAndColumn(String table, String message) {
    assertThatThrownBy(
            () ->
                CsvTable.read(
                    "weights.csv",
                    new StringReader(table.replace("\\n", "\n")),
                    r -> r.number("kg", 0, 100)))
        .isInstanceOf(IllegalStateException.class)
        .hasMessage("weights.csv " + message);
  }

  @Test
  void quotesHoldCommasLineEndsAndQuotes() throws IOException {
    String table = "id,said\r\na,\"wet, \"\"cold\"\"\nand late\"\r\n\nb,\"\"\"x\"\"\"";
    assertThat(CsvTable.read("t.csv", new StringReader(table), r -> r.text("said")))
        .containsExactly("wet, \"cold\"\nand late", "\"x\"");
  }

  @Test
  void anEmptyTableIsRefused() {
    assertThatThrownBy(() -> CsvTable.read("t.csv", new StringReader("id\n"), r -> r.text("id")))
        .hasMessage("t.csv: table has no rows");
  }

  @Test
  void everyShippedTableLoads() {
    Catalogue catalogue = Catalogue.load();
    assertThat(catalogue.climates()).hasSize(8);
    assertThat(catalogue.forages()).hasSize(60);
    assertThat(
            catalogue
                .growth()
                .curve("transition_humid", "bermudagrass")
                .orElseThrow()
                .annualKgPerHa())
        .isEqualTo(7016);
    assertThat(catalogue.losses()).containsKeys("s_net_ground", "f_ring_open", "h_haylage");
    assertThat(catalogue.herd().kinds()).contains("beef/cow", "sheep/ewe", "horse/adult");
  }
}
