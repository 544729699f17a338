package kolonne.exchange.forces;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.ZipInputStream;
import kolonne.core.finding.Finding;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.ss.usermodel.WorkbookFactory;

/**
 * The cells of a table as texts: one header line and the rows below it. A cell with a formula gives its last computed value.
 *
 * @param sheets    names of the sheets of a workbook; empty for CSV
 * @param sheet     the sheet read, or empty
 * @param headerRow number of the header line in the file, from 1
 * @param rowNumbers number of each row in the file; empty lines are left out
 * @param headers   names of the columns; a column without one is named after its letter
 * @param units     of a row of units beneath the header, one a column; empty if there is no such row
 * @param rows      cells of each row below the header, as many as there are headers
 */
public record ForceTable(
        List<String> sheets,
        String sheet,
        int headerRow,
        List<Integer> rowNumbers,
        List<String> headers,
        List<String> units,
        List<List<String>> rows) {
    /** Most bytes that are read, of a workbook also after it is unpacked eightfold; most rows, columns and cells; the longest cell. */
    public static final int LARGEST = 64 << 20;

    private static final int MOST_ROWS = 1_000_000;
    private static final int MOST_COLUMNS = 200;
    private static final int MOST_CELLS = 20_000_000;
    private static final int LONGEST_CELL = 1000;
    private static final long MOST_UNPACKED = 8L * LARGEST;

    /** More than a table may hold: what, and where. */
    private static final class TooMuch extends RuntimeException {
        TooMuch(String what) {
            super(what);
        }
    }

    /** A table, or why there is none. */
    public record Read(ForceTable table, List<Finding> findings) {}

    /** Reads a CSV text (separated by commas, semicolons or tabs) or a workbook. @param sheet its sheet; null for the one that looks most like forces */
    public static Read read(byte[] bytes, String sheet) {
        if (bytes.length == 0) {
            return failed("file.empty", "The file is empty.", "Choose a table of forces.");
        }
        if (bytes.length > LARGEST) {
            return failed(
                    "file.too-large",
                    "The file has " + (bytes.length >> 20) + " MB; at most " + (LARGEST >> 20) + " MB are read.",
                    "Split it by load case.");
        }
        boolean workbook = bytes[0] == 'P' && bytes.length > 1 && bytes[1] == 'K';
        try {
            return workbook ? workbook(bytes, sheet) : text(bytes);
        } catch (TooMuch e) {
            return failed(
                    "table.too-large",
                    e.getMessage(),
                    "Keep the columns member, case, place and forces, and split the table by load case.");
        }
    }

    /** Rows without anything in them are left out; a table past its bounds is refused before it fills the memory. */
    private static final class Lines {
        private final List<List<String>> kept = new ArrayList<>();
        private final List<Integer> numbers = new ArrayList<>();
        private int cells;

        void add(int number, List<String> line) {
            if (line.stream().allMatch(String::isEmpty)) {
                return;
            }
            cells += line.size();
            if (kept.size() == MOST_ROWS || cells > MOST_CELLS) {
                throw new TooMuch("The table goes on after line " + number + ": at most " + MOST_ROWS + " rows and "
                        + MOST_CELLS + " cells are read.");
            }
            kept.add(line);
            numbers.add(number);
        }
    }

    private static void width(int columns, int line) {
        if (columns > MOST_COLUMNS) {
            throw new TooMuch("Line " + line + " has more than " + MOST_COLUMNS + " columns.");
        }
    }

    private static String bounded(String cell, int line) {
        if (cell.length() > LONGEST_CELL) {
            throw new TooMuch("A cell of line " + line + " has more than " + LONGEST_CELL + " characters.");
        }
        return cell;
    }

    /** Bytes that a workbook unpacks to, counted no further than the bound. */
    private static void unpacked(byte[] bytes) throws IOException {
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            byte[] piece = new byte[1 << 16];
            long sum = 0;
            while (in.getNextEntry() != null) {
                for (int n = in.read(piece); n >= 0; n = in.read(piece)) {
                    sum += n;
                    if (sum > MOST_UNPACKED) {
                        throw new TooMuch("The workbook unpacks to more than " + (MOST_UNPACKED >> 20) + " MB.");
                    }
                }
            }
        }
    }

    private static Read failed(String code, String what, String mend) {
        return new Read(null, List.of(Finding.fails(code, "file", what, mend)));
    }

    private static Read workbook(byte[] bytes, String wanted) {
        try {
            unpacked(bytes);
        } catch (IOException | IllegalArgumentException e) {
            return damaged();
        }
        try (Workbook w = WorkbookFactory.create(new ByteArrayInputStream(bytes))) {
            List<String> sheets = new ArrayList<>();
            w.sheetIterator().forEachRemaining(s -> sheets.add(s.getSheetName()));
            if (wanted == null) {
                return firstTable(w, sheets);
            }
            Sheet s = w.getSheet(wanted);
            if (s == null) {
                return failed(
                        "sheet.missing",
                        "There is no sheet " + wanted + ".",
                        "Choose one of " + String.join(", ", sheets) + ".");
            }
            return sheet(s, sheets);
        } catch (TooMuch e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            return damaged();
        }
    }

    /** The sheet whose headers name most quantities: cover sheets and notes are passed over. Where none holds a table, the first says why. */
    private static Read firstTable(Workbook w, List<String> sheets) {
        Read best = null;
        long most = -1;
        for (Sheet s : w) {
            Read r = sheet(s, sheets);
            long named = r.table() == null || r.table().rows().isEmpty() ? -1 : ForceHeader.named(r.table());
            if (best == null || named > most) {
                best = r;
                most = named;
            }
        }
        return best == null ? damaged() : best;
    }

    private static Read sheet(Sheet s, List<String> sheets) {
        Lines lines = new Lines();
        for (Row row : s) {
            int number = row.getRowNum() + 1;
            List<String> cells = new ArrayList<>();
            width(row.getLastCellNum(), number);
            for (int c = 0; c < row.getLastCellNum(); c++) {
                cells.add(bounded(cell(row.getCell(c)), number));
            }
            lines.add(number, cells);
        }
        return table(sheets, s.getSheetName(), lines);
    }

    private static Read damaged() {
        return failed(
                "file.damaged",
                "The workbook cannot be read: it is cut short, damaged, protected, or none.",
                "Save it again as .xlsx without a password, or as CSV.");
    }

    private static String cell(Cell c) {
        if (c == null) {
            return "";
        }
        CellType type = c.getCellType() == CellType.FORMULA ? c.getCachedFormulaResultType() : c.getCellType();
        return switch (type) {
            case NUMERIC -> plain(c.getNumericCellValue());
            case STRING -> c.getStringCellValue().strip();
            case BOOLEAN -> Boolean.toString(c.getBooleanCellValue());
            case ERROR -> "#ERROR";
            default -> "";
        };
    }

    private static String plain(double v) {
        return v == Math.rint(v) && Math.abs(v) < 1e15 ? Long.toString((long) v) : Double.toString(v);
    }

    private static Read text(byte[] bytes) {
        String all;
        try {
            all = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(java.nio.ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            all = new String(bytes, StandardCharsets.ISO_8859_1); // spreadsheets of western Europe still write it
        }
        if (all.startsWith("\uFEFF")) {
            all = all.substring(1);
        }
        if (all.indexOf('\0') >= 0) {
            return failed("file.not-text", "The file is neither text nor a workbook.", "Choose a CSV or XLSX file.");
        }
        char separator = separator(all);
        Lines lines = new Lines();
        int number = 0;
        for (String line : (Iterable<String>) all.lines()::iterator) {
            number++;
            if (!line.isBlank()) {
                lines.add(number, split(line, separator, number));
            }
        }
        return table(List.of(), "", lines);
    }

    /** The one of comma, semicolon and tab that the first lines hold most of. */
    private static char separator(String all) {
        String head = all.substring(0, Math.min(all.length(), 5000));
        char best = ',';
        long most = -1;
        for (char c : new char[] {'\t', ';', ','}) {
            long n = head.chars().filter(k -> k == c).count();
            if (n > most) {
                most = n;
                best = c;
            }
        }
        return best;
    }

    private static List<String> split(String line, char separator, int number) {
        List<String> out = new ArrayList<>();
        StringBuilder cell = new StringBuilder();
        boolean quoted = false;
        for (int i = 0; i < line.length(); i++) {
            char c = line.charAt(i);
            if (c == '"') {
                boolean doubled = quoted && i + 1 < line.length() && line.charAt(i + 1) == '"';
                if (doubled) {
                    cell.append('"');
                    i++;
                } else {
                    quoted = !quoted;
                }
            } else if (c == separator && !quoted) {
                out.add(bounded(cell.toString().strip(), number));
                width(out.size() + 1, number);
                cell.setLength(0);
            } else {
                cell.append(c);
            }
        }
        out.add(bounded(cell.toString().strip(), number));
        return out;
    }

    /** The header is the first line with at least three texts that are not numbers, and with the most cells from there on. */
    private static Read table(List<String> sheets, String sheet, Lines read) {
        List<List<String>> lines = read.kept;
        int header = -1;
        for (int i = 0; i < lines.size() && i < 50 && header < 0; i++) {
            long words = lines.get(i).stream()
                    .filter(c -> !c.isBlank() && number(c) == null)
                    .count();
            header = words >= 3 ? i : -1;
        }
        if (header < 0) {
            return failed(
                    "table.no-header",
                    "No line of the table has three or more names of columns.",
                    "Put one header line above the rows.");
        }
        List<String> headers = new ArrayList<>();
        for (int c = 0; c < lines.get(header).size(); c++) {
            String name = lines.get(header).get(c);
            String unique = name.isBlank() ? "column " + (char) ('A' + c % 26) : name;
            headers.add(headers.contains(unique) ? unique + " (" + (c + 1) + ")" : unique);
        }
        if ((long) headers.size() * (lines.size() - header) > MOST_CELLS) {
            throw new TooMuch("The table has " + (lines.size() - header) + " rows of " + headers.size()
                    + " columns: at most " + MOST_CELLS + " cells are read.");
        }
        boolean units = header + 1 < lines.size() && isUnits(lines.get(header + 1));
        int first = header + (units ? 2 : 1);
        List<List<String>> rows = new ArrayList<>();
        for (int i = first; i < lines.size(); i++) {
            rows.add(padded(lines.get(i), headers.size()));
        }
        return new Read(
                new ForceTable(
                        sheets,
                        sheet,
                        read.numbers.get(header),
                        read.numbers.subList(first, lines.size()),
                        List.copyOf(headers),
                        units ? padded(lines.get(header + 1), headers.size()) : List.of(),
                        rows),
                List.of());
    }

    private static List<String> padded(List<String> line, int width) {
        String[] row = new String[width];
        Arrays.fill(row, "");
        for (int c = 0; c < Math.min(width, line.size()); c++) {
            row[c] = line.get(c);
        }
        return List.of(row);
    }

    /** Whether a line beneath the header says units: at least one that is known, and no number. */
    private static boolean isUnits(List<String> line) {
        return line.stream().noneMatch(c -> number(c) != null)
                && line.stream().anyMatch(c -> ForceUnits.known(c.replaceAll("[\\[\\](){}]", "")));
    }

    private static final Pattern GROUPED =
            Pattern.compile("[+-]?\\d{1,3}(?:(?:,\\d{3})+(?:\\.\\d*)?|(?:\\.\\d{3})+,\\d*)(?:[eE][+-]?\\d+)?");

    /** A number written with a point or a comma, with or without marks between thousands, or null. */
    static Double number(String cell) {
        String s = cell.replace('\u2212', '-').replaceAll("[\\s\\u00a0\\u2009\\u202f]", "");
        boolean both = s.indexOf(',') >= 0 && s.indexOf('.') >= 0;
        boolean many = s.indexOf(',') != s.lastIndexOf(',');
        if ((both || many) && GROUPED.matcher(s).matches()) {
            s = s.lastIndexOf(',') > s.lastIndexOf('.') && both
                    ? s.replace(".", "").replace(',', '.')
                    : s.replace(",", "");
        } else if (!both) {
            s = s.replace(',', '.');
        }
        try {
            double v = Double.parseDouble(s);
            return Double.isFinite(v)
                            && !s.isEmpty()
                            && (Character.isDigit(s.charAt(s.length() - 1)) || s.endsWith("."))
                    ? v
                    : null;
        } catch (NumberFormatException e) {
            return null;
        }
    }
}
