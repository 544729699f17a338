package kolonne.server.command;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine;

/** {@code kolonne office …}: projects on a server that runs somewhere. */
@CommandLine.Command(
        name = "office",
        mixinStandardHelpOptions = true,
        description = "Lists, adds and reads projects on a running server.",
        subcommands = {OfficeCommand.ListProjects.class, OfficeCommand.Send.class, OfficeCommand.Fetch.class})
public final class OfficeCommand implements Runnable {
    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public void run() {
        spec.commandLine().usage(spec.commandLine().getOut());
    }

    /** What the commands have in common: a server, and a refusal in its words. */
    private abstract static class OnServer implements Callable<Integer> {
        @CommandLine.Mixin
        protected OfficeServer server;

        @CommandLine.Spec
        protected CommandLine.Model.CommandSpec spec;

        @Override
        public final Integer call() throws IOException {
            try {
                int status = answer(spec.commandLine().getOut());
                spec.commandLine().getOut().flush();
                return status;
            } catch (OfficeServer.Refused e) {
                spec.commandLine().getErr().println(e.getMessage());
                return Input.BAD_INPUT;
            }
        }

        abstract int answer(PrintWriter out) throws IOException;
    }

    /** {@code kolonne office list}. */
    @CommandLine.Command(
            name = "list",
            mixinStandardHelpOptions = true,
            description = "The projects that the account may see: id, version and name. Exit status 0: done, 2: not.")
    static final class ListProjects extends OnServer {
        @Override
        int answer(PrintWriter out) throws IOException {
            server.get("api/projects")
                    .path("projects")
                    .forEach(p -> out.println(p.path("id").asText() + "  version "
                            + p.path("version").asInt() + "  " + p.path("name").asText()));
            return Input.SATISFIED;
        }
    }

    /** {@code kolonne office send MODEL}. */
    @CommandLine.Command(
            name = "send",
            mixinStandardHelpOptions = true,
            description =
                    "Makes a project of a model, waits until it is designed there and says how it stands; the first "
                            + "word on the output is its id. Exit status 0: everything satisfied, 1: something fails, 2: not done.")
    static final class Send extends OnServer {
        @CommandLine.Parameters(paramLabel = "MODEL", description = "Model: a file; a folder of tables as a zip.")
        private Path model;

        @CommandLine.Option(names = "--name", description = "Name of the project; the file's if left out.")
        private String name;

        @Override
        int answer(PrintWriter out) throws IOException {
            if (!Files.isRegularFile(model)) {
                throw new OfficeServer.Refused("There is no file " + model + ". A folder of tables is sent as a zip.");
            }
            String file = model.getFileName().toString();
            String title = name == null ? file.replaceFirst("\\.[^.]*$", "") : name;
            JsonNode job = server.post(
                    "api/projects?name=" + OfficeServer.encoded(title) + "&fileName=" + OfficeServer.encoded(file),
                    HttpRequest.BodyPublishers.ofFile(model));
            String project = server.done(job);
            JsonNode totals = server.current(project).path("totals");
            int failing =
                    totals.path("failing").asInt() + totals.path("overstressed").asInt();
            out.println(String.format(
                    Locale.ROOT,
                    "%s  %s: %d members in %d lines and stacks, %d overstressed, %d failing, %.1f t of steel",
                    project,
                    title,
                    totals.path("members").asInt(),
                    totals.path("lines").asInt(),
                    totals.path("overstressed").asInt(),
                    totals.path("failing").asInt(),
                    totals.path("steelKg").asDouble() / 1000));
            return failing == 0 ? Input.SATISFIED : Input.FAILS;
        }
    }

    /** {@code kolonne office fetch PROJECT FILE...}. */
    @CommandLine.Command(
            name = "fetch",
            mixinStandardHelpOptions = true,
            description = "Writes files of a project: " + Fetch.FILES + ". Exit status 0: done, 2: not.")
    static final class Fetch extends OnServer {
        static final String FILES =
                "report.pdf, schedules.pdf, schedules.xlsx, quantities.csv, drawings.pdf, drawings.dxf, "
                        + "building.ifc, analysis.ifc, bending.json, bending.csv, checks.csv, results.json, basis.json, history.csv, "
                        + "project.zip";

        @CommandLine.Parameters(index = "0", paramLabel = "PROJECT", description = "Its id.")
        private String project;

        @CommandLine.Parameters(
                index = "1..*",
                arity = "1..*",
                paramLabel = "FILE",
                description = "Files by their names.")
        private List<String> files;

        @CommandLine.Option(names = "--out", defaultValue = ".", description = "Folder to write to (this one).")
        private Path folder;

        @Override
        int answer(PrintWriter out) throws IOException {
            for (String f : files) {
                if (!List.of(FILES.split(", ")).contains(f)) {
                    throw new OfficeServer.Refused("A project has no file " + f + ", but " + FILES + ".");
                }
            }
            Files.createDirectories(folder);
            // what is fetched is what was last asked for, not what was designed before it
            server.current(project);
            for (String f : files) {
                JsonNode job = server.post(
                        "api/projects/" + OfficeServer.encoded(project) + "/exports/" + f,
                        HttpRequest.BodyPublishers.noBody());
                Path file = folder.resolve(f);
                server.download("api/jobs/" + OfficeServer.encoded(server.done(job)) + "/file", file);
                out.println(file);
            }
            return Input.SATISFIED;
        }
    }
}
