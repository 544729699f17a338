package kolonne.server.command;

import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.revision.CaseTotals;
import kolonne.core.revision.Difference;
import kolonne.core.revision.ModelComparison;
import picocli.CommandLine;

/** {@code kolonne compare OLD NEW}. */
@CommandLine.Command(
        name = "compare",
        mixinStandardHelpOptions = true,
        description =
                "Says what differs between two models of a building: members new, gone, moved, resized, reloaded, and the sums of"
                        + " every load case. Exit status 0: nothing differs, 1: something does, 2: bad input.")
public final class CompareCommand implements Callable<Integer> {
    /** Members or panels named after a difference; more are counted. */
    private static final int NAMED = 8;
    /** Sums of load cases that differ by less are the same. */
    private static final double ROUNDING = 1e-6;

    @CommandLine.Parameters(index = "0", paramLabel = "OLD", description = "The older model: file or folder.")
    private Path old;

    @CommandLine.Parameters(index = "1", paramLabel = "NEW", description = "The newer model: file or folder.")
    private Path newer;

    @CommandLine.Option(names = "--json", description = "Differences as JSON on the standard output.")
    private boolean json;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        PrintWriter out = spec.commandLine().getOut();
        try {
            Building a = Input.frame(old, err);
            Building b = Input.frame(newer, err);
            Analysis before = Input.analysis(a, err);
            Analysis after = Input.analysis(b, err);
            ModelComparison c = ModelComparison.of(new BuildingIndex(a), new BuildingIndex(b));
            List<CaseTotals.Total> totals = CaseTotals.of(before, after).stream()
                    .filter(t -> t.was() == null || t.now() == null || t.change() > ROUNDING)
                    .toList();
            if (json) {
                out.println(new JsonMapper().writeValueAsString(asMap(c, totals)));
            } else {
                print(c, totals, out);
            }
            out.flush();
            return c.same() && totals.isEmpty() ? Input.SATISFIED : Input.FAILS;
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
    }

    private static Map<String, Object> asMap(ModelComparison c, List<CaseTotals.Total> totals) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("found", c.members().found());
        m.put("differences", c.differences().stream().map(CompareCommand::asMap).toList());
        m.put("totals", totals.stream().map(CompareCommand::asMap).toList());
        return m;
    }

    private static Map<String, Object> asMap(Difference d) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("kind", d.kind().name().toLowerCase(Locale.ROOT));
        m.put("what", d.what());
        m.put("was", d.was());
        m.put("now", d.now());
        m.put("parts", d.parts());
        return m;
    }

    private static Map<String, Object> asMap(CaseTotals.Total t) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("case", t.loadCase());
        m.put("wasN", t.was());
        m.put("nowN", t.now());
        return m;
    }

    private static void print(ModelComparison c, List<CaseTotals.Total> totals, PrintWriter out) {
        if (c.same() && totals.isEmpty()) {
            out.println("Nothing differs.");
            return;
        }
        Difference.Kind title = null;
        for (Difference d : c.differences()) {
            if (d.kind() != title) {
                title = d.kind();
                out.println(title.title());
            }
            out.println("  " + words(d));
        }
        if (!totals.isEmpty()) {
            out.println("Sums of load cases, X Y Z [kN]");
        }
        for (CaseTotals.Total t : totals) {
            out.println("  " + t.loadCase() + ": " + sums(t.was()) + " → " + sums(t.now())
                    + (Double.isFinite(t.change()) && t.now() != null
                            ? String.format(Locale.ROOT, " (%.1f %%)", 100 * t.change())
                            : ""));
        }
    }

    private static String sums(double[] n) {
        return n == null ? "none" : String.format(Locale.ROOT, "%.1f %.1f %.1f", n[0] / 1000, n[1] / 1000, n[2] / 1000);
    }

    private static String words(Difference d) {
        String change = d.was().isEmpty() && d.now().isEmpty()
                ? ""
                : d.was().isEmpty()
                        ? " " + d.now()
                        : d.now().isEmpty() ? " " + d.was() : " " + d.was() + " → " + d.now();
        int n = d.parts().size();
        String who = n == 0
                ? ""
                : "; " + (n == 1 ? "" : n + (d.kind() == Difference.Kind.SLABS ? " panels: " : " members: "))
                        + String.join(", ", d.parts().subList(0, Math.min(NAMED, n)))
                        + (n > NAMED ? ", …" : "");
        return d.what() + change + who;
    }
}
