package kolonne.server.project;

import java.io.IOException;
import java.io.Writer;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.exchange.results.ResultsCsv;
import kolonne.server.store.DeedRow;

/** The history of a project as a table: a row for everything that was done, undone or not, and for every share, rename and download. */
public final class HistoryCsv {
    private record Line(LocalDateTime at, String text) {}

    private HistoryCsv() {}

    /** Times are UTC; persons stand as they are called. @param deeds of the project, which tell from where it was done */
    public static void write(List<EditHistory.Entry> entries, List<DeedRow> deeds, Writer out) throws IOException {
        // spreadsheets take a file for UTF-8 only where it says so
        out.write("\uFEFFversion,time,person,address,kind,change,in force,effects\n");
        Map<Integer, String> addresses = new HashMap<>();
        deeds.stream().filter(d -> d.version() != null).forEach(d -> addresses.put(d.version(), d.address()));
        List<Line> lines = new ArrayList<>();
        entries.forEach(e -> lines.add(new Line(e.at(), text(e, addresses.getOrDefault(e.version(), "")))));
        Set<Integer> told = entries.stream().map(EditHistory.Entry::version).collect(Collectors.toSet());
        deeds.stream()
                .filter(d -> d.version() == null || !told.contains(d.version()))
                .forEach(d -> lines.add(new Line(d.madeAt(), text(d))));
        lines.sort(Comparator.comparing(Line::at));
        for (Line l : lines) {
            out.write(l.text());
            out.write('\n');
        }
    }

    private static String text(EditHistory.Entry e, String address) {
        return String.join(
                ",",
                Integer.toString(e.version()),
                e.at().atOffset(ZoneOffset.UTC).toString(),
                ResultsCsv.text(e.person()),
                ResultsCsv.text(address),
                e.kind(),
                ResultsCsv.text(e.summary()),
                Boolean.toString(e.inForce()),
                ResultsCsv.text(String.join("; ", e.effects())));
    }

    private static String text(DeedRow d) {
        return String.join(
                ",",
                d.version() == null ? "" : d.version().toString(),
                d.madeAt().atOffset(ZoneOffset.UTC).toString(),
                ResultsCsv.text(d.person()),
                ResultsCsv.text(d.address()),
                d.kind(),
                ResultsCsv.text(d.detail()),
                "",
                "");
    }
}
