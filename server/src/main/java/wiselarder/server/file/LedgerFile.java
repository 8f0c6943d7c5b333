package wiselarder.server.file;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import wiselarder.core.balance.Ledger;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.server.lists.CsvUnit;

/** The ledger as a table: one row a month and one for the year, dry matter. */
public final class LedgerFile {
  private record Column(String name, ToDoubleFunction<Ledger.Line> kg) {}

  private static final List<Column> MASSES =
      List.of(
          new Column("need", Ledger.Line::needKg),
          new Column("growing", Ledger.Line::growingKg),
          new Column("standing", Ledger.Line::standingKg),
          new Column("put_by", Ledger.Line::putByKg),
          new Column("bought_in", Ledger.Line::boughtInKg),
          new Column("bare", Ledger.Line::bareKg),
          new Column("grown", Ledger.Line::grownKg),
          new Column("store_at_end", Ledger.Line::storeKg));

  private LedgerFile() {}

  /** The ledger in the given units. */
  public static Table table(YearBalance balance, UnitSystem system) {
    List<List<Object>> rows = new ArrayList<>();
    for (Ledger.Line line : Ledger.months(balance)) {
      rows.add(row(line.month().toString(), line, system));
    }
    rows.add(row("year", Ledger.total(balance), system));
    return new Table(header(system), rows, true);
  }

  private static List<String> header(UnitSystem system) {
    List<String> header = new ArrayList<>(List.of("month"));
    MASSES.forEach(c -> header.add(c.name + CsvUnit.MASS.suffix(system)));
    header.add("units_opened");
    return header;
  }

  private static List<Object> row(String month, Ledger.Line line, UnitSystem system) {
    List<Object> row = new ArrayList<>(List.of(month));
    MASSES.forEach(c -> row.add(Math.round(CsvUnit.MASS.fromSi(c.kg.applyAsDouble(line), system))));
    row.add((long) line.unitsOpened());
    return row;
  }
}
