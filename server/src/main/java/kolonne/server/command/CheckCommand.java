package kolonne.server.command;

import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import picocli.CommandLine;

/** {@code kolonne check MODEL}. */
@CommandLine.Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description = "Reads a model, solves it and says everything that is wrong with it.")
public final class CheckCommand implements Callable<Integer> {
    @CommandLine.Parameters(
            paramLabel = "MODEL",
            description = "Model file (.json, .zip, .ifc), folder of CSV tables, or - for the standard input.")
    private Path model;

    @CommandLine.Option(names = "--json", description = "Findings as JSON on the standard output.")
    private boolean json;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    /** Every finding, also of a model that is sound; the exit status says whether it is. */
    private int asJson() throws IOException {
        List<Finding> findings = new ArrayList<>();
        boolean sound = Input.findings(model, findings);
        List<Map<String, String>> out = findings.stream()
                .map(f -> {
                    Map<String, String> m = new LinkedHashMap<>();
                    m.put("severity", f.severity().word());
                    m.put("code", f.code());
                    m.put("where", f.where());
                    m.put("what", f.what());
                    m.put("mend", f.mend());
                    return m;
                })
                .toList();
        spec.commandLine()
                .getOut()
                .println(new JsonMapper().writeValueAsString(Map.of("sound", sound, "findings", out)));
        spec.commandLine().getOut().flush();
        return sound ? Input.SATISFIED : Input.BAD_INPUT;
    }

    @Override
    public Integer call() throws IOException {
        if (json) {
            return asJson();
        }
        try {
            Building b = Input.frame(model, spec.commandLine().getErr());
            Input.analysis(b, spec.commandLine().getErr());
            spec.commandLine()
                    .getOut()
                    .println("The model is sound: " + b.members().size() + " members, "
                            + b.joints().size() + " joints.");
            spec.commandLine().getOut().flush();
            return Input.SATISFIED;
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
    }
}
