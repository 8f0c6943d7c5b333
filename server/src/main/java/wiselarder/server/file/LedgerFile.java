package wiselarder.server.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import wiselarder.core.balance.Ledger;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.server.lists.CsvUnit;

/** The ledger as CSV and as a spreadsheet: one row a month and one for the year, dry matter. */
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

  /** The ledger as CSV in the given units. */
  public static String csv(YearBalance balance, UnitSystem system) {
    StringWriter out = new StringWriter();
    try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
      printer.printRecord(header(system));
      for (Ledger.Line line : Ledger.months(balance)) {
        printer.printRecord(row(line.month().toString(), line, system));
      }
      printer.printRecord(row("year", Ledger.total(balance), system));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  /** The ledger as a spreadsheet (Office Open XML) in the given units. */
  public static byte[] xlsx(YearBalance balance, UnitSystem system) {
    try (XSSFWorkbook book = new XSSFWorkbook();
        ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      Sheet sheet = book.createSheet("Ledger");
      Font bold = book.createFont();
      bold.setBold(true);
      CellStyle strong = book.createCellStyle();
      strong.setFont(bold);
      CellStyle figures = book.createCellStyle();
      figures.setDataFormat(book.createDataFormat().getFormat("#,##0"));
      write(sheet.createRow(0), header(system), strong, strong);
      int n = 1;
      for (Ledger.Line line : Ledger.months(balance)) {
        List<Object> row = row(line.month().toString(), line, system);
        write(sheet.createRow(n++), row, figures, null);
      }
      List<Object> total = row("year", Ledger.total(balance), system);
      write(sheet.createRow(n), total, figures, strong);
      sheet.createFreezePane(1, 1);
      for (int c = 0; c < total.size(); c++) {
        sheet.setColumnWidth(c, 18 * 256);
      }
      book.write(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<Object> header(UnitSystem system) {
    List<Object> header = new ArrayList<>(List.of("month"));
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

  private static void write(Row row, List<Object> values, CellStyle figures, CellStyle text) {
    for (int c = 0; c < values.size(); c++) {
      var cell = row.createCell(c);
      if (values.get(c) instanceof Long number) {
        cell.setCellValue(number);
        cell.setCellStyle(figures);
      } else {
        cell.setCellValue(values.get(c).toString());
        if (text != null) {
          cell.setCellStyle(text);
        }
      }
    }
  }
}
