package kolonne.exchange.paper;

import java.io.IOException;
import java.io.OutputStream;
import kolonne.core.design.BuildingDesign;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;

/** The schedules as a workbook, one sheet a table; numbers are numbers, texts are never formulas. */
public final class ScheduleWorkbook {
    private static final int WIDTH_UNIT = 256;

    private ScheduleWorkbook() {}

    public static void write(BuildingDesign d, OutputStream out) throws IOException {
        try (SXSSFWorkbook book = new SXSSFWorkbook(200)) {
            Font bold = book.createFont();
            bold.setBold(true);
            CellStyle head = book.createCellStyle();
            head.setFont(bold);
            for (ScheduleTables.Table t : ScheduleTables.all(d)) {
                sheet(book, t, head);
            }
            book.write(out);
        }
    }

    private static void sheet(SXSSFWorkbook book, ScheduleTables.Table t, CellStyle head) {
        Sheet sheet = book.createSheet(t.title());
        sheet.createFreezePane(0, 1);
        CellStyle[] styles = new CellStyle[t.columns().size()];
        Row first = sheet.createRow(0);
        for (int c = 0; c < styles.length; c++) {
            Cell cell = first.createCell(c);
            cell.setCellValue(t.columns().get(c));
            cell.setCellStyle(head);
            sheet.setColumnWidth(c, (t.widths().get(c) + 6) * WIDTH_UNIT);
            if (t.numeric(c)) {
                styles[c] = book.createCellStyle();
                int decimals = t.decimals().get(c);
                styles[c].setDataFormat(
                        book.createDataFormat().getFormat(decimals == 0 ? "0" : "0." + "0".repeat(decimals)));
            }
        }
        for (int r = 0; r < t.rows().size(); r++) {
            Row row = sheet.createRow(r + 1);
            for (int c = 0; c < styles.length; c++) {
                Object v = t.rows().get(r).get(c);
                Cell cell = row.createCell(c);
                if (v instanceof Double n) {
                    cell.setCellValue(n);
                    if (styles[c] != null) {
                        cell.setCellStyle(styles[c]);
                    }
                } else {
                    cell.setCellValue(String.valueOf(v));
                }
            }
        }
    }
}
