package kolonne.exchange.model;

import com.fasterxml.jackson.databind.MappingIterator;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvParser;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;

/** Reads a CSV table of a model under bounds, so that no small file fills the memory. */
final class CsvTable {
    /** Most rows of all tables of a model; most columns of a table; longest line [bytes]. */
    static final int MOST_ROWS = 2_000_000;

    private static final int MOST_COLUMNS = 100;
    private static final int LONGEST_LINE = 1 << 20;
    private static final CsvMapper CSV = CsvMapper.builder()
            .enable(CsvParser.Feature.SKIP_EMPTY_LINES)
            .enable(CsvParser.Feature.WRAP_AS_ARRAY)
            .build();

    private final Consumer<Finding> told;
    private int left = MOST_ROWS;

    CsvTable(Consumer<Finding> told) {
        this.told = told;
    }

    /** The rows of a table; what cannot be read is told. */
    List<Row> rows(String table, byte[] bytes) {
        List<Row> out = new ArrayList<>();
        int longest = longestLine(bytes);
        if (longest > 0) {
            told.accept(Finding.fails(
                    "table.line",
                    table + ".csv line " + longest,
                    "The line is longer than " + (LONGEST_LINE >> 10) + " KB.",
                    "Save it as comma-separated UTF-8 text, one row a line."));
            return out;
        }
        try (MappingIterator<String[]> it = CSV.readerFor(String[].class).readValues(withoutMark(bytes))) {
            Map<String, Integer> header = it.hasNextValue() ? header(table, it.nextValue()) : Map.of();
            while (header != null && it.hasNextValue()) {
                String where = table + ".csv line " + (out.size() + 2);
                if (left-- <= 0) {
                    told.accept(Finding.fails(
                            "table.rows",
                            where,
                            "The tables of the model have more than " + MOST_ROWS + " rows.",
                            "Split the building, or leave out station forces."));
                    return out;
                }
                String[] cells = it.nextValue();
                if (cells.length > header.size()
                        && Arrays.stream(cells, header.size(), cells.length).anyMatch(c -> !c.isBlank())) {
                    told.accept(Finding.fails(
                            "table.damaged",
                            where,
                            "The row has " + cells.length + " cells, the header " + header.size() + ".",
                            "Put cells with commas in quotation marks."));
                }
                out.add(new CsvRow(where, header, cells));
            }
        } catch (IOException | RuntimeException e) {
            told.accept(Finding.fails(
                    "table.damaged",
                    table + ".csv line " + (out.size() + 2),
                    "The table cannot be read from here on: a quotation mark is not closed, or it is no UTF-8 text.",
                    "Save it as comma-separated UTF-8 text with one header line."));
        }
        return out;
    }

    /** Columns by name; null where there are too many. */
    private Map<String, Integer> header(String table, String[] names) {
        if (names.length > MOST_COLUMNS) {
            told.accept(Finding.fails(
                    "table.columns",
                    table + ".csv line 1",
                    "The table has " + names.length + " columns; at most " + MOST_COLUMNS + " are read.",
                    "Keep the columns that docs/formats/model.md names."));
            return null;
        }
        Map<String, Integer> out = new LinkedHashMap<>();
        for (int i = 0; i < names.length; i++) {
            out.putIfAbsent(names[i].strip(), i);
        }
        return out;
    }

    /** Number of the first line that is too long; 0 if none is. */
    private static int longestLine(byte[] bytes) {
        int from = 0;
        int line = 1;
        for (int i = 0; i <= bytes.length; i++) {
            if (i == bytes.length || bytes[i] == '\n') {
                if (i - from > LONGEST_LINE) {
                    return line;
                }
                from = i + 1;
                line++;
            }
        }
        return 0;
    }

    private static byte[] withoutMark(byte[] b) {
        boolean mark = b.length >= 3 && (b[0] & 255) == 0xEF && (b[1] & 255) == 0xBB && (b[2] & 255) == 0xBF;
        return mark ? Arrays.copyOfRange(b, 3, b.length) : b;
    }
}
