package kolonne.server.project;

import java.io.IOException;
import java.io.Writer;
import java.time.ZoneOffset;
import java.util.List;
import kolonne.exchange.results.ResultsCsv;

/** The history of a project as a table: a row for everything that was done, undone or not. */
public final class HistoryCsv {
    private HistoryCsv() {}

    /** Times are UTC; persons stand as they call themselves. */
    public static void write(List<EditHistory.Entry> entries, Writer out) throws IOException {
        // spreadsheets take a file for UTF-8 only where it says so
        out.write("\uFEFFversion,time,person,kind,change,in force,effects\n");
        for (EditHistory.Entry e : entries) {
            out.write(String.join(
                    ",",
                    Integer.toString(e.version()),
                    e.at().atOffset(ZoneOffset.UTC).toString(),
                    ResultsCsv.text(e.person()),
                    e.kind(),
                    ResultsCsv.text(e.summary()),
                    Boolean.toString(e.inForce()),
                    ResultsCsv.text(String.join("; ", e.effects()))));
            out.write('\n');
        }
    }
}
