package kolonne.exchange.paper;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import kolonne.exchange.results.ResultsCsv;

/** A schedule as CSV, as a spreadsheet opens it: UTF-8 by its mark, texts that would be formulas defused. */
public final class ScheduleCsv {
    private ScheduleCsv() {}

    public static void write(ScheduleTables.Table t, OutputStream to) throws IOException {
        Writer out = new OutputStreamWriter(to, StandardCharsets.UTF_8);
        out.write('\uFEFF');
        out.write(String.join(",", t.columns().stream().map(ResultsCsv::text).toList()));
        out.write('\n');
        for (int r = 0; r < t.rows().size(); r++) {
            List<String> cells = new ArrayList<>();
            for (int c = 0; c < t.columns().size(); c++) {
                cells.add(t.rows().get(r).get(c) instanceof Double ? t.text(r, c) : ResultsCsv.text(t.text(r, c)));
            }
            out.write(String.join(",", cells));
            out.write('\n');
        }
        out.flush();
    }
}
