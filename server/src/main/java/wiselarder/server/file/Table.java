package wiselarder.server.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;

/**
 * A table as a file. Cells are text, numbers ({@link Long}, or {@link Double} as it is to be read),
 * days ({@link LocalDate}) or null for empty.
 *
 * @param header names of the columns
 * @param total true where the last row sums up the others
 */
public record Table(List<String> header, List<List<Object>> rows, boolean total) {
  private static final int WIDTH = 18 * 256;

  /** Text that a spreadsheet would take for a formula is kept text by a mark before it. */
  private static Object safe(Object cell) {
    return cell instanceof String s && s.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + s : cell;
  }

  /** The table as CSV. */
  public String csv() {
    StringWriter out = new StringWriter();
    try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
      printer.printRecord(header);
      for (List<Object> row : rows) {
        printer.printRecord(row.stream().map(Table::safe).toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  /** The table as a spreadsheet (Office Open XML) of one sheet. */
  public byte[] xlsx(String name) {
    try (XSSFWorkbook book = new XSSFWorkbook();
        ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      Sheet sheet = book.createSheet(name);
      Font bold = book.createFont();
      bold.setBold(true);
      CellStyle strong = book.createCellStyle();
      strong.setFont(bold);
      CellStyle figures = style(book, "#,##0");
      CellStyle days = style(book, "yyyy-mm-dd");
      write(sheet.createRow(0), header, figures, days, strong);
      for (int n = 0; n < rows.size(); n++) {
        boolean sums = total && n == rows.size() - 1;
        write(sheet.createRow(n + 1), rows.get(n), figures, days, sums ? strong : null);
      }
      sheet.createFreezePane(1, 1);
      for (int c = 0; c < header.size(); c++) {
        sheet.setColumnWidth(c, WIDTH);
      }
      book.write(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static CellStyle style(XSSFWorkbook book, String format) {
    CellStyle style = book.createCellStyle();
    style.setDataFormat(book.createDataFormat().getFormat(format));
    return style;
  }

  private static void write(
      Row row, List<?> values, CellStyle figures, CellStyle days, CellStyle text) {
    for (int c = 0; c < values.size(); c++) {
      Cell cell = row.createCell(c);
      if (values.get(c) instanceof Long number) {
        cell.setCellValue(number);
        cell.setCellStyle(figures);
      } else if (values.get(c) instanceof Double number) {
        cell.setCellValue(number);
      } else if (values.get(c) instanceof LocalDate day) {
        cell.setCellValue(day);
        cell.setCellStyle(days);
      } else if (values.get(c) != null) {
        cell.setCellValue(values.get(c).toString());
        if (text != null) {
          cell.setCellStyle(text);
        }
      }
    }
  }
}
