package kolonne.server.project;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.CarriedCages;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.compare.AnalysisComparison;
import kolonne.core.design.HandSet;
import kolonne.core.mark.Marked;
import kolonne.core.mark.Marks;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.ModelEdit;
import kolonne.core.model.Storey;
import kolonne.core.revision.CarriedSettings;
import kolonne.core.revision.Difference;
import kolonne.core.revision.MemberMatching;
import kolonne.core.revision.ModelComparison;
import kolonne.core.revision.OwnChanges;
import kolonne.core.revision.RevisedLines;
import kolonne.exchange.model.ModelReader;

/**
 * A newer model of a project's building, between upload and adoption.
 *
 * @param project that it was uploaded for
 * @param read    in the units in which the project is shown
 */
public record RevisedModel(String project, String fileName, byte[] bytes, ModelReader.Read read) {
    /** Differences that a cage set by hand should be looked at again for. */
    private static final Map<Difference.Kind, String> MATTERS = Map.of(
            Difference.Kind.RESIZED, "section",
            Difference.Kind.CONCRETE, "concrete",
            Difference.Kind.CONNECTED, "connections");
    /** Forces that change by less need no other look at a cage. */
    private static final double LITTLE = 0.02;

    /**
     * The newer model against the one in force.
     *
     * @param newer    with the own changes that go on to it
     * @param matching of the members in force with the newer ones
     * @param own      what becomes of own changes; {@code kept} those that are made on the newer model
     */
    public record Compared(
            BuildingIndex older,
            BuildingIndex newer,
            ModelComparison comparison,
            OwnChanges.Carried own,
            List<ModelEdit> kept) {
        public MemberMatching matching() {
            return comparison.members();
        }

        /** What becomes of the local settings of a basis. */
        CarriedSettings settings(Basis basis) {
            return CarriedSettings.carry(
                    basis.local(),
                    matching().successors(),
                    newer.building().storeys().stream().map(Storey::name).collect(Collectors.toSet()));
        }

        CarriedCages.Lines lines(List<BeamLine> before) {
            return RevisedLines.of(before, older, newer, matching());
        }

        /** Lines and stacks of which parts were set by hand and stay although what it was set for is another, in sentences. */
        List<String> toBeChecked(Marks now, HandSet hand, HandSet carried, Analysis before, Analysis after) {
            Map<String, Set<String>> why = new HashMap<>();
            for (Difference d : comparison.differences()) {
                if (MATTERS.containsKey(d.kind())) {
                    d.parts()
                            .forEach(m ->
                                    why.computeIfAbsent(m, k -> new TreeSet<>()).add(MATTERS.get(d.kind())));
                }
            }
            UnaryOperator<String> renamed = id -> matching().pairs().getOrDefault(id, id);
            AnalysisComparison.of(before, after, Analysis.MY, renamed).stream()
                    .filter(c -> c.changed(LITTLE))
                    .forEach(c -> why.computeIfAbsent(c.member(), k -> new TreeSet<>())
                            .add("forces"));
            HandSet all = hand.with(carried);
            List<String> out = new ArrayList<>();
            for (Marked m : now.all().values()) {
                if (!all.line(m.id()).isEmpty()
                        || m.members().stream().anyMatch(q -> !all.lift(q).isEmpty())) {
                    Set<String> changed = new TreeSet<>();
                    m.members().forEach(q -> changed.addAll(why.getOrDefault(q, Set.of())));
                    if (!changed.isEmpty()) {
                        out.add("set by hand on " + m.mark() + " and to be looked at again: other "
                                + String.join(", ", changed));
                    }
                }
            }
            return out;
        }
    }

    /** @param keepOwn whether own changes go on to the newer model where it does not say otherwise */
    Compared against(Workspace w, boolean keepOwn) {
        BuildingIndex older = new BuildingIndex(w.building());
        BuildingIndex file = new BuildingIndex(read.building());
        MemberMatching matching = MemberMatching.of(older, file);
        OwnChanges.Carried own = OwnChanges.carry(w.read().building(), older, file, matching);
        List<ModelEdit> kept = keepOwn ? own.kept() : List.of();
        Building changed = ModelEdit.apply(read.building(), kept);
        BuildingIndex newer = new BuildingIndex(changed);
        return new Compared(older, newer, ModelComparison.of(older, newer), own, kept);
    }

    /** The sentence of the history. */
    String summary(Compared c) {
        Set<String> touched = new HashSet<>();
        c.comparison().differences().stream()
                .filter(d -> d.kind() != Difference.Kind.NEW
                        && d.kind() != Difference.Kind.GONE
                        && d.kind() != Difference.Kind.SLABS)
                .forEach(d -> touched.addAll(d.parts()));
        MemberMatching m = c.matching();
        return "newer model " + fileName + ": " + m.fresh().size() + " members new, "
                + m.gone().size() + " gone, " + touched.size() + " otherwise";
    }
}
