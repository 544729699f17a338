package kolonne.server.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine;

/** A command that designs a building and writes one file of it. */
abstract class PaperCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private Designed designed;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @CommandLine.Option(names = "--out", paramLabel = "FILE", required = true, description = "The file to write.")
    private Path out;

    /** Writes the file; complains of what it is asked for wrongly. */
    abstract void write(Designed.Told told, Path file, PrintWriter err) throws IOException, Input.Bad;

    @Override
    public final Integer call() throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        Designed.Told told;
        try {
            told = designed.design(err);
            if (out.toAbsolutePath().getParent() != null) {
                Files.createDirectories(out.toAbsolutePath().getParent());
            }
            write(told, out, err);
        } catch (Input.Bad e) {
            return Input.BAD_INPUT;
        }
        spec.commandLine().getOut().println(Files.size(out) / 1000 + " kB in " + out);
        spec.commandLine().getOut().flush();
        return told.status();
    }

    /** The ending of a file's name, small, without its point. */
    static String ending(Path file) {
        String name = file.getFileName().toString();
        return name.substring(name.lastIndexOf('.') + 1).toLowerCase(java.util.Locale.ROOT);
    }

    /** Says which endings can be written. */
    static Input.Bad otherEnding(Path file, String endings, PrintWriter err) {
        err.println("What " + file.getFileName() + " is to be cannot be told by its name; end it in " + endings + ".");
        err.flush();
        return new Input.Bad();
    }
}
