package kolonne.exchange.paper;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.PrintSetup;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;

/** The schedules as a workbook, one sheet a table; numbers are numbers, texts are never formulas. */
public final class ScheduleWorkbook {
    private static final int WIDTH_UNIT = 256;

    private ScheduleWorkbook() {}

    public static void write(Scheduled all, ProjectData project, Progress progress, OutputStream out)
            throws IOException {
        String title = project.title(all.design().analysis().index().building().name());
        String name = project.line().isEmpty() ? title : title + " · " + project.line();
        try (SXSSFWorkbook book = new SXSSFWorkbook(200)) {
            Font bold = book.createFont();
            bold.setBold(true);
            CellStyle head = book.createCellStyle();
            head.setFont(bold);
            List<ScheduleTables.Table> tables = ScheduleTables.all(all);
            for (int i = 0; i < tables.size(); i++) {
                progress.at(tables.get(i).title(), i, tables.size());
                sheet(book, tables.get(i), head, name);
            }
            book.write(out);
        }
    }

    /** Landscape, as wide as the page, headings on every page, a filter, the project in the header and pages in the footer. */
    private static void asAnOfficePrints(Sheet sheet, ScheduleTables.Table t, String name) {
        sheet.getPrintSetup().setLandscape(true);
        sheet.getPrintSetup().setPaperSize(PrintSetup.A4_PAPERSIZE);
        sheet.setFitToPage(true);
        sheet.getPrintSetup().setFitWidth((short) 1);
        sheet.getPrintSetup().setFitHeight((short) 0);
        sheet.setRepeatingRows(new CellRangeAddress(0, 0, 0, t.columns().size() - 1));
        sheet.setAutoFilter(
                new CellRangeAddress(0, t.rows().size(), 0, t.columns().size() - 1));
        // an ampersand begins a code of the header's own
        sheet.getHeader().setLeft(name.replace("&", "&&"));
        sheet.getHeader().setRight(t.title());
        sheet.getFooter().setRight("page &P of &N");
    }

    /** A number without the digits that only the machine has; sums still hold. */
    private static double rounded(double v) {
        return Double.isFinite(v)
                ? BigDecimal.valueOf(v).setScale(6, RoundingMode.HALF_UP).doubleValue()
                : v;
    }

    private static void sheet(SXSSFWorkbook book, ScheduleTables.Table t, CellStyle head, String name) {
        Sheet sheet = book.createSheet(t.title());
        sheet.createFreezePane(0, 1);
        asAnOfficePrints(sheet, t, name);
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
                    cell.setCellValue(rounded(n));
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
