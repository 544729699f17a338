package kolonne.server.command;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import kolonne.core.model.Building;
import kolonne.core.project.ProjectData;
import kolonne.exchange.ifc.AnalysisIfc;
import kolonne.exchange.model.ModelWriter;
import picocli.CommandLine;

/** {@code kolonne convert MODEL OUT}. */
@CommandLine.Command(
        name = "convert",
        mixinStandardHelpOptions = true,
        description = "Writes a model as JSON (.json), as a zip of CSV tables (.zip), or as a folder of them.")
public final class ConvertCommand implements Callable<Integer> {
    @CommandLine.Parameters(
            index = "0",
            paramLabel = "MODEL",
            description = "Model file or folder, or - for the standard input.")
    private Path model;

    @CommandLine.Parameters(
            index = "1",
            paramLabel = "OUT",
            description = "File ending in .json, .zip or .ifc, a folder, or - for JSON on the standard output.")
    private Path out;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        try {
            write(Input.frame(model, spec.commandLine().getErr()), out);
            return Input.SATISFIED;
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
    }

    /** The standard output in place of a file. */
    static final String STREAM = "-";

    static void write(Building b, Path out) throws IOException {
        String name = out.getFileName().toString();
        if (name.equals(STREAM)) {
            ModelWriter.json(b, System.out);
            System.out.flush();
        } else if (name.endsWith(".json")) {
            WholeFile.bytes(out, o -> ModelWriter.json(b, o));
        } else if (name.endsWith(".zip")) {
            WholeFile.bytes(out, o -> {
                ZipOutputStream z = new ZipOutputStream(o, StandardCharsets.UTF_8);
                for (Map.Entry<String, String> f : ModelWriter.csv(b).entrySet()) {
                    z.putNextEntry(new ZipEntry(f.getKey()));
                    z.write(f.getValue().getBytes(StandardCharsets.UTF_8));
                }
                z.finish();
            });
        } else if (name.endsWith(".ifc")) {
            WholeFile.text(out, w -> AnalysisIfc.write(b, ProjectData.EMPTY, w));
        } else {
            Files.createDirectories(out);
            for (Map.Entry<String, String> f : ModelWriter.csv(b).entrySet()) {
                WholeFile.text(out.resolve(f.getKey()), w -> w.write(f.getValue()));
            }
        }
    }
}
