package wiselarder.server.lists;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wiselarder.core.balance.Ledger;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.Difference;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.LotTested;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.file.FarmFile;
import wiselarder.server.file.LedgerFile;
import wiselarder.server.problem.RowProblem;

/** Fields, groups and lots as CSV, and the ledger as CSV and spreadsheet. */
class ListsTest {
  private static final Engine ENGINE = Engine.load();
  private static final FarmFile.Content QUILLBACK = DemoFarms.read("quillback");
  private static final FarmPlan DEMO = QUILLBACK.plans().get(0);
  private static final FarmRecords WRITTEN = FarmRecords.of(QUILLBACK.records());
  private static final Lists LISTS = new Lists(ENGINE.catalogue());

  private static Lists.Read read(Lists.Kind kind, String csv, FarmPlan plan) {
    return LISTS.read(kind, csv, plan, WRITTEN);
  }

  private static String write(Lists.Kind kind, FarmPlan plan) {
    return LISTS.write(kind, plan, WRITTEN);
  }

  private static FarmPlan take(Lists.Read read) {
    FarmPlan plan = DEMO;
    for (PlanEdit e : read.edits()) {
      plan = e.apply(plan);
    }
    return plan;
  }

  @ParameterizedTest
  @EnumSource
  void whatIsTakenOutAndInAgainChangesNothing(Lists.Kind kind) {
    Lists.Read read = read(kind, write(kind, DEMO), DEMO);
    assertThat(read.problems()).isEmpty();
    assertThat(Difference.between(DEMO, take(read))).isEmpty();
  }

  @Test
  void columnsAreInTheFarmsUnitsAndReadInEither() {
    assertThat(write(Lists.Kind.FIELDS, DEMO))
        .startsWith("id,name,area_ac,block,stand,yearly_growth_lb_per_ac,")
        .contains("\"Saddle\"".replace("\"", ""));
    Lists.Read imperial = read(Lists.Kind.FIELDS, "name,area_ac\nSaddle,10\n", DEMO);
    Lists.Read metric = read(Lists.Kind.FIELDS, "name,area_ha\nSaddle,4.0468564224\n", DEMO);
    assertThat(take(imperial).field("saddle").areaHa()).isCloseTo(4.0468564224, offset(1e-12));
    assertThat(take(metric).field("saddle").areaHa()).isEqualTo(4.0468564224);
    assertThat(Difference.between(DEMO, take(imperial)))
        .singleElement()
        .satisfies(
            c -> assertThat(c.members()).extracting("member").containsExactly("field.areaHa"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "name,area_ac;Saddle,-3 | 2 | area_ac | cell_out_of_range {cell=-3, min=0.02471, max=12360.0}",
        "name,area_ac;Saddle,ten | 2 | area_ac | no_number {cell=ten}",
        "name,stand;Saddle,moss | 2 | stand | not_known {cell=moss}",
        "name,hayable;Saddle,perhaps | 2 | hayable | no_yes_or_no {cell=perhaps}",
        "name,there_from;Saddle,soon | 2 | there_from | no_date {cell=soon}",
        "name,grazing;Saddle,sometimes | 2 | grazing | not_one_of {cell=sometimes, choices=ROTATIONAL, SET_STOCKED, STRIP}",
        "name,area_ac;Saddle,5;Saddle,6 | 3 | name | twice {name=Saddle}",
        "name,area_ac;New field,5 | 2 | stand | missing {}",
        "name,acres;Saddle,5 | 1 | acres | unknown_column {known=id, name, area_ha",
        "area_ac;5 | 1 | name | missing_column {column=name}",
        "name | 1 | '' | no_rows {}",
      })
  void eachBadRowIsToldWithItsColumnAndWhatIsAccepted(
      String csv, int row, String column, String message) {
    Lists.Read read = read(Lists.Kind.FIELDS, csv.replace(';', '\n'), DEMO);
    assertThat(read.problems())
        .anySatisfy(
            p -> {
              assertThat(p.row()).isEqualTo(row);
              assertThat(p.column()).isEqualTo(column);
              assertThat(p.problem().code() + " " + p.problem().values()).contains(message);
            });
  }

  /** A file that no farm fills is read no further than that is clear. */
  @Test
  void aFileOfHundredsOfThousandsOfRowsIsNotReadToItsEnd() {
    String rows = "\nx,-3".repeat(300_000);
    Lists.Read read = read(Lists.Kind.FIELDS, "name,area_ac" + rows, DEMO);
    assertThat(read.problems()).hasSize(5001);
    RowProblem last = read.problems().get(5000);
    assertThat(last.row()).isEqualTo(5002);
    assertThat(last.problem().code()).isEqualTo("too_many_rows");
    assertThat(last.problem().values()).containsEntry("most", 5000);
  }

  @Test
  void theGoodRowsAreReadBesideTheBad() {
    Lists.Read read = read(Lists.Kind.LOTS, "name,units\nNew bales,9\nOthers,many\n", DEMO);
    assertThat(read.problems()).extracting(RowProblem::row).containsExactly(2, 3);
    assertThat(read.problems().get(0).column()).isEqualTo("weight_of_one_as_fed_kg");
  }

  @Test
  void aNewGroupEatsAtOnce() {
    FarmPlan after =
        take(
            read(
                Lists.Kind.GROUPS,
                "name,kind,head,weight_lb,first_birth\nGoats,goat doe,12,120,03-20\n",
                DEMO));
    assertThat(after.farm().groups()).hasSize(DEMO.farm().groups().size() + 1);
    assertThat(after.plan().steps()).filteredOn(s -> s.groupId().equals("goats")).hasSize(2);
    assertThat(ENGINE.simulate(after).totalBareKg()).isGreaterThan(0);
  }

  @Test
  void aNameThatLooksLikeAFormulaComesOutHarmlessAndInUnchanged() {
    Field f = DEMO.field("saddle");
    FarmPlan odd =
        new PlanEdit.Put<>(
                Items.FIELDS,
                new Field(
                    "saddle",
                    "=1+1",
                    f.areaHa(),
                    f.stand(),
                    f.grazing(),
                    null,
                    null,
                    null,
                    true,
                    "@x",
                    null))
            .apply(DEMO);
    String csv = write(Lists.Kind.FIELDS, odd);
    assertThat(csv).contains("saddle,'=1+1,").doesNotContain("saddle,=1");
    Lists.Read read = read(Lists.Kind.FIELDS, csv, odd);
    assertThat(((Field) ((PlanEdit.Put<?>) read.edits().get(6)).item()).name()).isEqualTo("=1+1");
  }

  @Test
  void theLedgerAsCsvAndAsSpreadsheetHoldTheSameFigures() throws IOException {
    YearBalance year = ENGINE.simulate(DEMO);
    List<String> lines = LedgerFile.table(year, UnitSystem.METRIC).csv().lines().toList();
    assertThat(lines.get(0)).startsWith("month,need_kg,growing_kg");
    assertThat(lines).hasSize(14);
    assertThat(lines.get(13))
        .startsWith("year,%d,".formatted(Math.round(Ledger.total(year).needKg())));
    byte[] xlsx = LedgerFile.table(year, UnitSystem.METRIC).xlsx("Ledger");
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(xlsx))) {
      Sheet sheet = book.getSheetAt(0);
      for (int r = 1; r < lines.size(); r++) {
        String[] cells = lines.get(r).split(",");
        assertThat(sheet.getRow(r).getCell(0).getStringCellValue()).isEqualTo(cells[0]);
        for (int c = 1; c < cells.length; c++) {
          assertThat(sheet.getRow(r).getCell(c).getNumericCellValue())
              .isEqualTo(Double.parseDouble(cells[c]));
        }
      }
    }
  }

  @Test
  void groupsAndLotsBringHowTheyAreKept() {
    FarmPlan herd =
        take(
            read(
                Lists.Kind.GROUPS,
                """
                name,shelter,wind_mi_per_hour,condition_floor,by_energy,fed_besides_lb_per_day
                Cows,open,10,5,yes,2
                """,
                DEMO));
    var keeping = herd.farm().groups().get(0).keeping();
    assertThat(keeping.shelter()).hasToString("OPEN");
    assertThat(keeping.windKmPerHour()).isCloseTo(16.09344, offset(1e-9));
    assertThat(keeping.conditionFloor()).isEqualTo(5);
    assertThat(keeping.byEnergy()).isTrue();
    assertThat(keeping.besidesKgPerDay()).isCloseTo(0.90718474, offset(1e-9));
    FarmPlan store =
        take(
            read(
                Lists.Kind.LOTS,
                """
                name,feed,wrap,kept_back_units,kept_back_for_from,kept_back_for_to,diameter_ft,width_ft,rind_in
                First-cut fescue,hay_bahia_mid,twine,20,07-01,09-15,5,4,4
                """,
                DEMO));
    var lot = store.farm().lots().get(0);
    assertThat(lot.origin().feedId()).isEqualTo("hay_bahia_mid");
    assertThat(lot.reserve().units()).isEqualTo(20);
    assertThat(lot.size().diameterM()).isCloseTo(1.524, offset(1e-9));
    assertThat(lot.size().rindShare()).isCloseTo(1 - Math.pow(1 - 8 / 60.0, 2), offset(1e-9));
  }

  @Test
  void aReportInAFileIsWrittenDownOnceAndACorrectedOneStrikesTheOtherOut() {
    String csv = write(Lists.Kind.TESTS, DEMO);
    assertThat(csv.lines()).hasSize(3);
    assertThat(read(Lists.Kind.TESTS, csv, DEMO).seen()).as("it is all known").isEmpty();
    Lists.Read more =
        read(
            Lists.Kind.TESTS,
            """
            id,lot,sampled_on,protein_pct
            fescue-2027,First-cut fescue,2027-07-12,9.6
            ,Alfalfa squares,2027-09-05,19.2
            """,
            DEMO);
    assertThat(more.edits()).isEmpty();
    assertThat(more.seen())
        .extracting(s -> s.fact().getClass().getSimpleName())
        .containsExactly("Struck", "LotTested", "LotTested");
    assertThat(((LotTested) more.seen().get(1).fact()).test().tdnPct())
        .as("what the file does not name stays")
        .isEqualTo(53.0);
    assertThat(more.told())
        .extracting(Difference.Change::kind)
        .containsExactly(Difference.Kind.CHANGED, Difference.Kind.ADDED);
  }
}
