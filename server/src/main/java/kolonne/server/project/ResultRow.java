package kolonne.server.project;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.JointFits;
import kolonne.core.design.Quantities;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.schedule.Schedules;

/**
 * A row of the worklist: one beam line or column stack.
 *
 * @param role     beam or column
 * @param storeys  ids of the storeys that it touches
 * @param place    where the governing check is
 * @param bars     in words, where the governing check is
 * @param causes   ids of the causes for which it fails
 * @param steelKg  of its cage
 * @param id       of the line or stack, which its mark may change but never its id
 * @param handSet  whether a person has set a part of it
 * @param type     mark of the type whose cage it has; empty where it has its own
 * @param local    names of the local settings that hold for it
 * @param crowded  layers of beams' bars that do not pass in joints of it
 */
public record ResultRow(
        String id,
        String mark,
        String role,
        List<String> storeys,
        String section,
        String check,
        String place,
        double utilisation,
        String combination,
        String clause,
        boolean satisfied,
        boolean overstressed,
        String bars,
        String stirrups,
        List<String> causes,
        String finding,
        int notes,
        int parts,
        double steelKg,
        boolean handSet,
        String type,
        List<String> local,
        int crowded) {
    /** Rows of a design, worst first. */
    public static List<ResultRow> of(BuildingDesign d, JointFits fits) {
        List<ResultRow> out = new ArrayList<>();
        Map<String, String> types = d.typeMarks();
        Map<String, Integer> crowded = crowded(fits);
        d.beams().forEach(b -> out.add(beam(d, b, types, crowded)));
        d.columns().forEach(c -> out.add(column(d, c, types, crowded)));
        return sorted(out);
    }

    private static Map<String, Integer> crowded(JointFits fits) {
        Map<String, Integer> out = new HashMap<>();
        for (JointFits.Misfit m : fits.all()) {
            out.merge(m.line().id(), 1, Integer::sum);
            out.merge(m.stack().id(), 1, Integer::sum);
        }
        return out;
    }

    /** The rows with those of lines and stacks that are designed otherwise, or have another type, made anew. */
    static List<ResultRow> replaced(List<ResultRow> rows, BuildingDesign was, BuildingDesign d, JointFits fits) {
        Map<String, ResultRow> now = new HashMap<>();
        Map<String, Integer> crowded = crowded(fits);
        Map<String, String> before = was.typeMarks();
        Map<String, String> types = d.typeMarks();
        for (int i = 0; i < d.beams().size(); i++) {
            BeamDesign b = d.beams().get(i);
            String id = b.line().id();
            if (b != was.beams().get(i) || !Objects.equals(before.get(id), types.get(id))) {
                now.put(id, beam(d, b, types, crowded));
            }
        }
        for (int i = 0; i < d.columns().size(); i++) {
            ColumnDesign c = d.columns().get(i);
            String id = c.stack().id();
            if (c != was.columns().get(i) || !Objects.equals(before.get(id), types.get(id))) {
                now.put(id, column(d, c, types, crowded));
            }
        }
        return sorted(new ArrayList<>(rows.stream()
                .map(r -> now.getOrDefault(r.id(), r).crowdedBy(crowded.getOrDefault(r.id(), 0)))
                .toList()));
    }

    private ResultRow crowdedBy(int layers) {
        return layers == crowded
                ? this
                : new ResultRow(
                        id,
                        mark,
                        role,
                        storeys,
                        section,
                        check,
                        place,
                        utilisation,
                        combination,
                        clause,
                        satisfied,
                        overstressed,
                        bars,
                        stirrups,
                        causes,
                        finding,
                        notes,
                        parts,
                        steelKg,
                        handSet,
                        type,
                        local,
                        layers);
    }

    private static List<ResultRow> sorted(List<ResultRow> out) {
        out.sort(Comparator.comparing(ResultRow::satisfied)
                .thenComparing(
                        Comparator.comparingDouble(ResultRow::utilisation).reversed())
                .thenComparing(ResultRow::mark));
        return out;
    }

    private static ResultRow beam(
            BuildingDesign d, BeamDesign b, Map<String, String> types, Map<String, Integer> crowded) {
        CheckResult g = b.governing();
        BeamLine.Span s = b.line().spans().get(g.part());
        SectionCut cut =
                SectionCut.at(b.line(), b.cage(), b.basis(), s, Math.max(s.faceFrom(), Math.min(s.faceTo(), g.x())));
        String bars = cut.words(BeamCage.Face.TOP) + " top, " + cut.words(BeamCage.Face.BOTTOM) + " bottom";
        BeamCage.Zone z = cut.zone();
        String stirrups = z == null
                ? ""
                : z.bar().label() + "-" + Schedules.spacing(z.spacing(), d.basis()) + ", " + z.legs() + " legs";
        Told t = Told.of(b.findings());
        return new ResultRow(
                b.line().id(),
                b.line().mark(),
                "beam",
                List.of(b.line().storey()),
                s.section().shape().label(d.basis().usUnits()),
                g.title(),
                g.place(),
                g.utilisation(),
                g.combination(),
                g.clause().text(),
                b.satisfied(),
                b.overstressed(),
                bars,
                stirrups,
                t.causes(),
                t.first(),
                t.notes(),
                b.line().spans().size(),
                Quantities.of(b).steel(),
                !b.hand().isEmpty(),
                types.getOrDefault(b.line().id(), ""),
                names(d.contexts().local().holding(b.line())),
                crowded.getOrDefault(b.line().id(), 0));
    }

    private static ResultRow column(
            BuildingDesign d, ColumnDesign c, Map<String, String> types, Map<String, Integer> crowded) {
        CheckResult g = c.governing();
        ColumnDesign.LiftDesign l = c.lifts().get(g.part());
        List<String> storeys =
                c.lifts().stream().map(q -> q.lift().storey()).distinct().toList();
        Told t = Told.of(c.findings());
        return new ResultRow(
                c.stack().id(),
                c.stack().mark(),
                "column",
                storeys,
                l.lift().section().shape().label(d.basis().usUnits()),
                g.title(),
                g.place(),
                g.utilisation(),
                g.combination(),
                g.clause().text(),
                c.satisfied(),
                c.overstressed(),
                l.cage().layout().words(),
                Schedules.ties(l.cage(), d.basis()),
                t.causes(),
                t.first(),
                t.notes(),
                c.lifts().size(),
                Quantities.of(c).steel(),
                c.byHand(),
                types.getOrDefault(c.stack().id(), ""),
                names(d.contexts().local().holding(c.stack())),
                crowded.getOrDefault(c.stack().id(), 0));
    }

    private static List<String> names(List<LocalSettings> holding) {
        return holding.stream().map(LocalSettings::name).toList();
    }

    /** What findings tell in a row: causes of failure, the first of them in words, how many notes. */
    private record Told(List<String> causes, String first, int notes) {
        static Told of(List<Finding> findings) {
            List<Finding> fails = findings.stream()
                    .filter(f -> f.severity() == Severity.FAILS)
                    .toList();
            return new Told(
                    fails.stream().map(Finding::code).distinct().toList(),
                    fails.stream().map(Finding::what).findFirst().orElse(""),
                    (int) findings.stream()
                            .filter(f -> f.severity() == Severity.NOTE)
                            .count());
        }
    }
}
