package kolonne.server.command;

import java.io.PrintWriter;
import java.util.List;
import java.util.Set;
import kolonne.core.design.BuildingDesign;
import kolonne.exchange.paper.ReportSheets;
import picocli.CommandLine;

/** Whose calculations a report holds. */
final class ReportOptions {
    @CommandLine.Option(
            names = "--sheets",
            paramLabel = "MARK",
            split = ",",
            description = "Marks whose calculation sheets the report holds.")
    private List<String> sheets = List.of();

    @CommandLine.Option(
            names = "--calculations",
            paramLabel = "C",
            converter = Words.class,
            description =
                    "named (those of --sheets alone, the default), failing (of all that fails) or cages (of one member with each cage).")
    private ReportSheets calculations = ReportSheets.NAMED;

    /** As they are written on the command line. */
    static final class Words implements CommandLine.ITypeConverter<ReportSheets> {
        @Override
        public ReportSheets convert(String word) {
            return ReportSheets.of(word)
                    .orElseThrow(() -> new CommandLine.TypeConversionException(
                            "expected named, failing or cages but was '" + word + "'"));
        }
    }

    /** Marks of all whose calculations are meant; says which of the named ones the building does not have. */
    Set<String> marks(BuildingDesign d, PrintWriter err) throws Input.Bad {
        List<String> unknown = sheets.stream()
                .filter(m -> d.beams().stream().noneMatch(b -> b.line().mark().equals(m))
                        && d.columns().stream().noneMatch(c -> c.stack().mark().equals(m)))
                .toList();
        if (!unknown.isEmpty()) {
            err.println("There is no beam line or column stack " + String.join(", ", unknown)
                    + "; --sheets takes marks such as "
                    + d.beams().stream().map(b -> b.line().mark()).findFirst().orElse("C-A1") + ".");
            err.flush();
            throw new Input.Bad();
        }
        return calculations.marks(d, sheets);
    }
}
