package kolonne.core.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Sway;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.mark.Marks;

/**
 * A designed building.
 *
 * @param beams   in order of storey and plan
 * @param columns in plan order
 * @param beamContext, columnContext what the checks read, to explain or check again
 */
public record BuildingDesign(
        Analysis analysis,
        Basis basis,
        List<BeamDesign> beams,
        List<ColumnDesign> columns,
        BeamContext beamContext,
        ColumnContext columnContext,
        Quantities quantities) {
    public BuildingDesign {
        beams = List.copyOf(beams);
        columns = List.copyOf(columns);
    }

    /**
     * Counts of members (spans and lifts) by state.
     *
     * @param failing members with an unmet requirement that is not a strength
     */
    public record State(int members, int satisfied, int overstressed, int failing, int withNotes) {}

    /** Members are counted as analysis members: a line or stack that fails counts with the spans or lifts it has. */
    public State state() {
        int lines = beams.size() + columns.size();
        int over = 0;
        int failing = 0;
        int notes = 0;
        for (BeamDesign b : beams) {
            over += b.overstressed() ? 1 : 0;
            failing += !b.satisfied() && !b.overstressed() ? 1 : 0;
            notes += b.satisfied() && hasNote(b.findings()) ? 1 : 0;
        }
        for (ColumnDesign c : columns) {
            over += c.overstressed() ? 1 : 0;
            failing += !c.satisfied() && !c.overstressed() ? 1 : 0;
            notes += c.satisfied() && hasNote(c.findings()) ? 1 : 0;
        }
        return new State(lines, lines - over - failing, over, failing, notes);
    }

    /** The same with some lines as now set by hand; all else stays as it was designed. @param hand of the whole building */
    public BuildingDesign with(Map<String, HandCage> hand, Set<String> lines) {
        return with(Marks.NONE, hand, lines);
    }

    /**
     * The same with some lines and stacks as now set by hand or marked; all else stays as it was designed.
     *
     * @param marks of the whole building; where a line is not among them it keeps its own
     * @param hand  of the whole building
     * @param lines ids of those that changed
     */
    public BuildingDesign with(Marks marks, Map<String, HandCage> hand, Set<String> lines) {
        BeamContext context = beamContext.with(hand);
        List<BeamDesign> now = new ArrayList<>(beams);
        Quantities q = quantities;
        for (int i = 0; i < now.size(); i++) {
            BeamLine line = now.get(i).line();
            if (lines.contains(line.id())) {
                BeamDesign d = BeamDesigner.design(line.with(marks.markOf(line.id(), line.mark())), context);
                q = q.minus(Quantities.of(now.get(i), basis)).plus(Quantities.of(d, basis));
                now.set(i, d);
            }
        }
        List<ColumnDesign> stacks = columns.stream()
                .map(c -> lines.contains(c.stack().id())
                        ? ColumnDesigner.design(
                                c.stack()
                                        .with(marks.markOf(
                                                c.stack().id(), c.stack().mark())),
                                columnContext)
                        : c)
                .toList();
        return new BuildingDesign(analysis, basis, now, stacks, context, columnContext, q);
    }

    /** What concerns the building as a whole. */
    public List<Finding> findings() {
        boolean asked =
                basis.frame().swayX() == Sway.FROM_MODEL || basis.frame().swayY() == Sway.FROM_MODEL;
        boolean known = columns.isEmpty()
                || !columnContext.sway().storeys().isEmpty()
                        && columnContext.sway().storeys().stream().allMatch(s -> s.knownX() && s.knownY());
        List<Finding> out = new ArrayList<>();
        if (asked && !known) {
            out.add(Finding.note(
                    "sway.unknown",
                    "frame",
                    "For some storeys the sway index is not known, since no "
                            + "wind or earthquake case shears them or the model lists no storeys: their columns are designed as braced.",
                    "Add storeys and lateral load cases, or set the sway in the basis to braced."));
        }
        if (!columns.isEmpty()) {
            basis.designCode().slenderness().imperfectionNote().ifPresent(out::add);
        }
        if (!columns.isEmpty()) {
            basis.designCode()
                    .ductile(basis.ductility())
                    .ifPresent(rules -> out.add(Finding.note(
                            "frame.ductile-columns",
                            "frame",
                            "Seismic detailing is applied to beams only; columns and joints are designed without it.",
                            "Check columns, joints and the ratio of their strengths by hand (" + rules.columnsClause()
                                    + ").")));
        }
        Set<String> lines = beams.stream().map(b -> b.line().id()).collect(Collectors.toSet());
        long lost = beamContext.hand().keySet().stream()
                .filter(id -> !lines.contains(id))
                .count();
        if (lost > 0) {
            out.add(Finding.note(
                    "hand-set.no-line",
                    "frame",
                    "What was set by hand for " + lost + (lost == 1 ? " beam line" : " beam lines")
                            + " belongs to no line of the model any more: its first member is gone or lies inside another line.",
                    "Undo the change of the model, or set the bars again on the line that took its place."));
        }
        if (!beams.isEmpty()
                && (beamContext.service().count() == 0
                        || beamContext.sustained().count() == 0)) {
            out.add(Finding.note(
                    "deflection.no-service-combinations",
                    "frame",
                    "The model has no service combinations of both purposes: deflections "
                            + "are not computed, and every span must be as deep as the code's table asks for.",
                    "Add a service-characteristic and a service-quasi-permanent combination."));
        }
        return out;
    }

    private static boolean hasNote(List<Finding> f) {
        return f.stream().anyMatch(x -> x.severity() == Severity.NOTE);
    }

    /** How many lines and stacks fail for each cause; one may count under several. */
    public Map<String, Integer> causes() {
        Map<String, Integer> out = new LinkedHashMap<>();
        List<List<Finding>> all = new ArrayList<>();
        beams.forEach(b -> all.add(b.findings()));
        columns.forEach(c -> all.add(c.findings()));
        for (List<Finding> f : all) {
            f.stream()
                    .filter(x -> x.severity() == Severity.FAILS)
                    .map(Finding::code)
                    .distinct()
                    .forEach(code -> out.merge(code, 1, Integer::sum));
        }
        return out;
    }
}
