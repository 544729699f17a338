package kolonne.server.command;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Predicate;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.project.ProjectData;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.project.LogoFile;
import kolonne.exchange.project.ProjectFile;

/** Reads models and bases for the commands; says what is wrong on the error stream. */
final class Input {
    static final int SATISFIED = 0;
    static final int FAILS = 1;
    static final int BAD_INPUT = 2;

    /** More than any basis, project data or logo may have [bytes]. */
    private static final int MOST = 4 << 20;

    private Input() {}

    /** The input cannot be used; the findings are printed already. */
    static final class Bad extends Exception {}

    /** A model to design. */
    static Building model(Path path, PrintWriter err) throws IOException, Bad {
        return model(path, err, ModelReader.Read::sound);
    }

    /** A model to analyse or to convert; it may lack combinations for strength. */
    static Building frame(Path path, PrintWriter err) throws IOException, Bad {
        return model(path, err, ModelReader.Read::analysable);
    }

    private static Building model(Path path, PrintWriter err, Predicate<ModelReader.Read> serves)
            throws IOException, Bad {
        ModelReader.Read read = read(path);
        print(read.findings(), err);
        if (!serves.test(read)) {
            throw new Bad();
        }
        return read.building();
    }

    /** The standard input where the path is {@code -}. */
    private static ModelReader.Read read(Path path) throws IOException {
        if (path.toString().equals("-")) {
            return ModelReader.read(System.in.readNBytes((int) ModelReader.LARGEST + 1));
        }
        return Files.exists(path)
                ? ModelReader.read(path)
                : new ModelReader.Read(
                        null,
                        List.of(Finding.fails(
                                "file.missing", path.toString(), "There is no file " + path + ".", "Check the path.")));
    }

    /** All that is said of a model, read and solved. @return whether it is sound */
    static boolean findings(Path path, List<Finding> out) throws IOException {
        ModelReader.Read read = read(path);
        out.addAll(read.findings());
        if (!read.analysable()) {
            return false;
        }
        try {
            out.addAll(FrameAnalysis.solve(new BuildingIndex(read.building())).findings());
            return true;
        } catch (AnalysisFailed e) {
            out.addAll(e.findings());
            return false;
        }
    }

    static Analysis analysis(Building b, PrintWriter err) throws Bad {
        try {
            Analysis a = FrameAnalysis.solve(new BuildingIndex(b));
            print(a.findings(), err);
            return a;
        } catch (AnalysisFailed e) {
            print(e.findings(), err);
            throw new Bad();
        }
    }

    /** The basis of a file, or the standard one in the model's units. */
    static Basis basis(Path path, Building b, PrintWriter err) throws IOException, Bad {
        if (path == null) {
            return Basis.standard(b.unitSystem().equals("US"));
        }
        BasisFile.Read read = BasisFile.read(bytes(path, err));
        print(read.findings(), err);
        if (read.basis() == null) {
            throw new Bad();
        }
        return read.basis();
    }

    /** Project data of a file, with the logo that lies beside it; empty where none is given. */
    static ProjectData project(Path path, PrintWriter err) throws IOException, Bad {
        if (path == null) {
            return ProjectData.EMPTY;
        }
        ProjectFile.Read read = ProjectFile.read(bytes(path, err));
        print(read.findings(), err);
        if (read.data() == null) {
            throw new Bad();
        }
        if (read.logo() == null || read.logo().isBlank()) {
            return read.data();
        }
        LogoFile.Read logo = LogoFile.read(bytes(path.resolveSibling(read.logo()), err));
        print(logo.findings(), err);
        if (logo.logo() == null) {
            throw new Bad();
        }
        return read.data().with(logo.logo());
    }

    private static byte[] bytes(Path path, PrintWriter err) throws IOException, Bad {
        if (!Files.isRegularFile(path)) {
            err.println("There is no file " + path + ".");
            err.flush();
            throw new Bad();
        }
        try (InputStream in = Files.newInputStream(path)) {
            return in.readNBytes(MOST);
        }
    }

    static void print(List<Finding> findings, PrintWriter err) {
        for (Finding f : findings) {
            err.println(f);
        }
        long fails =
                findings.stream().filter(f -> f.severity() == Severity.FAILS).count();
        if (fails > 0) {
            err.println(fails == 1 ? "This must be mended first." : "These " + fails + " must be mended first.");
        }
        err.flush();
    }
}
