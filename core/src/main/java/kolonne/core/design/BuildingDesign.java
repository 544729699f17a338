package kolonne.core.design;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Slenderness;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demand.Sidesway;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.joint.BeamsAtJoints;
import kolonne.core.mark.Marks;
import kolonne.core.model.Role;
import kolonne.core.type.MemberType;
import kolonne.core.type.Steel;
import kolonne.core.type.TypeDesign;
import kolonne.core.type.TypedDesign;
import kolonne.core.type.Types;

/**
 * A designed building.
 *
 * @param beams   in order of storey and plan
 * @param columns in plan order
 * @param contexts what the checks read, to explain or check again
 * @param types   that people have made; @param typed the same as they are designed, in their order
 */
public record BuildingDesign(
        Analysis analysis,
        Basis basis,
        List<BeamDesign> beams,
        List<ColumnDesign> columns,
        DesignContexts contexts,
        Quantities quantities,
        Types types,
        List<TypeDesign> typed) {
    public BuildingDesign {
        typed = List.copyOf(typed);
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

    /** What is set by hand. */
    public HandSet hand() {
        return new HandSet(contexts.beams().hand(), contexts.columns().hand());
    }

    /** The same with some lines and stacks as now set by hand; all else stays as it was designed. @param hand of the whole building */
    public BuildingDesign with(HandSet hand, Set<String> lines) {
        return with(new Decisions(Marks.NONE, hand, types), lines);
    }

    /**
     * The same with what people decide now; all else stays as it was designed.
     *
     * @param now   for the whole building
     * @param lines ids of lines and stacks whose mark, cage by hand or type changed; those that share a cage with them follow
     */
    public BuildingDesign with(Decisions now, Set<String> lines) {
        Set<String> again = new HashSet<>(lines);
        List<MemberType> changed = now.types().all().values().stream()
                .filter(t -> !t.sharesAs(types.all().get(t.id()))
                        || now.types().tolerance() != types.tolerance()
                        || t.members().stream().anyMatch(lines::contains))
                .toList();
        changed.forEach(t -> again.addAll(t.members()));
        types.all().values().stream()
                .filter(t -> !t.sharesAs(now.types().all().get(t.id())))
                .forEach(t -> again.addAll(t.members()));
        DesignContexts context = contexts.with(now.hand());
        List<BeamDesign> b = beams.parallelStream()
                .map(d -> again.contains(d.line().id()) ? alone(d.line(), now.marks(), context) : d)
                .toList();
        List<ColumnDesign> c = columns.parallelStream()
                .map(d -> again.contains(d.stack().id()) ? alone(d.stack(), now.marks(), context) : d)
                .toList();
        return new BuildingDesign(analysis, basis, b, c, context, quantities, types, typed)
                .sharing(now.types(), changed)
                .countedFrom(this);
    }

    private static BeamDesign alone(BeamLine l, Marks marks, DesignContexts contexts) {
        return BeamDesigner.design(l.with(marks.markOf(l.id(), l.mark())), contexts.of(l));
    }

    private static ColumnDesign alone(ColumnStack s, Marks marks, DesignContexts contexts) {
        return ColumnDesigner.design(s.with(marks.markOf(s.id(), s.mark())), contexts.of(s));
    }

    /** Some types take their common cages; their members must be designed by themselves here. @param now all types */
    BuildingDesign sharing(Types now, Collection<MemberType> changed) {
        if (now.all().isEmpty()) {
            return new BuildingDesign(analysis, basis, beams, columns, contexts, quantities, now, List.of()).followed();
        }
        TypedDesign.Typed<BeamDesign> b = TypedDesign.beams(now, changed, beams, contexts::beams);
        BuildingDesign joined = new BuildingDesign(
                        analysis,
                        basis,
                        beams.stream()
                                .map(d -> b.designs().getOrDefault(d.line().id(), d))
                                .toList(),
                        columns,
                        contexts,
                        quantities,
                        now,
                        typed)
                .followed();
        Set<String> moved = joined.moved(this);
        List<MemberType> follow = now.all().values().stream()
                .filter(t -> !changed.contains(t) && t.members().stream().anyMatch(moved::contains))
                .toList();
        Set<String> apart = follow.stream().flatMap(t -> t.members().stream()).collect(Collectors.toSet());
        apart.removeAll(moved);
        List<ColumnDesign> own = joined.columns.parallelStream()
                .map(d -> apart.contains(d.stack().id())
                        ? ColumnDesigner.design(d.stack(), joined.contexts.of(d.stack()))
                        : d)
                .toList();
        List<MemberType> again = new ArrayList<>(changed);
        again.addAll(follow);
        TypedDesign.Typed<ColumnDesign> c = TypedDesign.columns(now, again, own, joined.contexts::columns);
        Map<String, TypeDesign> byId = new HashMap<>();
        typed.forEach(t -> byId.put(t.type().id(), t));
        b.types().forEach(t -> byId.put(t.type().id(), t));
        c.types().forEach(t -> byId.put(t.type().id(), t));
        return new BuildingDesign(
                analysis,
                basis,
                joined.beams,
                own.stream()
                        .map(d -> c.designs().getOrDefault(d.stack().id(), d))
                        .toList(),
                joined.contexts,
                quantities,
                now,
                now.all().values().stream().map(t -> byId.get(t.id()).as(t)).toList());
    }

    /** The same with columns that answer to the beams as they are now: in a ductile frame those whose beams changed are designed anew. */
    private BuildingDesign followed() {
        BeamsAtJoints ends = BeamEnds.of(beams, analysis.index(), basis);
        Set<String> joints = ends.unlike(contexts.columns().beams());
        if (joints.isEmpty()) {
            return this;
        }
        DesignContexts context = contexts.with(ends);
        return new BuildingDesign(
                analysis,
                basis,
                beams,
                columns.parallelStream()
                        .map(d ->
                                meets(d.stack(), joints) ? ColumnDesigner.design(d.stack(), context.of(d.stack())) : d)
                        .toList(),
                context,
                quantities,
                types,
                typed);
    }

    private boolean meets(ColumnStack s, Set<String> joints) {
        return s.lifts().stream()
                .map(l -> analysis.index().member(l.member()))
                .anyMatch(m -> joints.contains(m.start()) || joints.contains(m.end()));
    }

    /** Ids of stacks that differ from another design of the building. */
    private Set<String> moved(BuildingDesign from) {
        if (columns == from.columns) {
            return Set.of();
        }
        Set<String> out = new HashSet<>();
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i) != from.columns.get(i)) {
                out.add(columns.get(i).stack().id());
            }
        }
        return out;
    }

    /** The same with the quantities of all members. */
    BuildingDesign counted() {
        return countedFrom(new BuildingDesign(
                analysis, basis, List.of(), List.of(), contexts, Quantities.NONE, Types.NONE, List.of()));
    }

    /** The same with quantities: only what differs from another design of the same building is counted anew. */
    private BuildingDesign countedFrom(BuildingDesign old) {
        Quantities q = old.quantities;
        for (int i = 0; i < beams.size(); i++) {
            BeamDesign was = i < old.beams.size() ? old.beams.get(i) : null;
            if (was != beams.get(i)) {
                q = (was == null ? q : q.minus(Quantities.of(was))).plus(Quantities.of(beams.get(i)));
            }
        }
        for (int i = 0; i < columns.size(); i++) {
            ColumnDesign was = i < old.columns.size() ? old.columns.get(i) : null;
            if (was != columns.get(i)) {
                q = (was == null ? q : q.minus(Quantities.of(was))).plus(Quantities.of(columns.get(i)));
            }
        }
        return new BuildingDesign(analysis, basis, beams, columns, contexts, q, types, typed);
    }

    /** Marks of the types whose cages lines and stacks have, by id; those with a cage of their own are not among them. */
    public Map<String, String> typeMarks() {
        Map<String, String> out = new HashMap<>();
        typed.stream()
                .filter(t -> t.members().size() > 1)
                .forEach(t -> t.members().forEach(m -> out.put(m, t.type().mark())));
        return out;
    }

    /** Steel of all beams or of all columns. */
    public Steel steel(Role role) {
        return role == Role.BEAM
                ? beams.stream().map(b -> Steel.of(b)).reduce(Steel.NONE, Steel::plus)
                : columns.stream().map(c -> Steel.of(c)).reduce(Steel.NONE, Steel::plus);
    }

    /** The same with a cage of its own for every line and stack. */
    public BuildingDesign alone() {
        return typed.isEmpty() ? this : with(new Decisions(Marks.NONE, hand(), Types.NONE), Set.of());
    }

    /** Where the frame is less out of plumb than the code asks for. */
    private void leaning(List<Finding> out) {
        double given =
                analysis.imported() ? 0 : analysis.index().building().options().inclination();
        Slenderness rules = basis.designCode().slenderness();
        double needed = columns.isEmpty() ? 0 : rules.inclination(height(), standing());
        if (given >= needed * (1 - 5e-3)) {
            return;
        }
        String is = given > 0 ? String.format(Locale.ROOT, "is out of plumb by %.5f", given) : "stands plumb";
        out.add(
                Finding.note(
                        "frame.imperfections",
                        "frame",
                        String.format(
                                Locale.ROOT,
                                "The frame %s, where %s asks for an inclination of %.5f (1/%.0f) of the whole; imperfections of single columns are taken into account.",
                                is,
                                rules.inclinationClause().text(),
                                needed,
                                1 / needed),
                        analysis.imported()
                                ? "Put notional horizontal forces of that part of the vertical loads into the analysis that the forces come from."
                                : "Set the inclination of the frame in the options of the analysis, on the Model page: notional horizontal "
                                        + "forces of that part of the vertical loads then stand in the combinations for strength."));
    }

    /** From the lowest foot of a column to the highest head [mm]. */
    private double height() {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (ColumnDesign c : columns) {
            low = Math.min(low, c.stack().lifts().get(0).base());
            high = Math.max(
                    high, c.stack().lifts().get(c.stack().lifts().size() - 1).top());
        }
        return high - low;
    }

    /** Stacks that stand on a foundation. */
    private int standing() {
        return (int) columns.stream()
                .filter(c -> !c.stack().lifts().get(0).planted())
                .count();
    }

    /** Whether the sway of every lift is looked after in both directions. */
    private boolean swayKnown(ColumnStack stack) {
        Sidesway sway = contexts.of(stack).sway();
        return stack.lifts().stream()
                .allMatch(l ->
                        Stream.of(l.aboutX(), l.aboutY()).allMatch(u -> sway.known(l.base(), l.top(), u.ux(), u.uy())));
    }

    /** What concerns the building as a whole. */
    public List<Finding> findings() {
        List<Finding> out = new ArrayList<>();
        long unknown = columns.stream().filter(c -> !swayKnown(c.stack())).count();
        if (unknown > 0) {
            out.add(Finding.note(
                    "sway.unknown",
                    "frame",
                    "The sway index of storeys that " + unknown + " of " + columns.size()
                            + " column stacks pass through is not known, since no wind or earthquake case shears them or the model does not list their floors: "
                            + "there the columns are designed as braced.",
                    "Add storeys and lateral load cases, or set the sway in the basis to braced."));
        }
        leaning(out);
        if (!columns.isEmpty()) {
            basis.designCode()
                    .ductile(basis.ductility())
                    .ifPresent(rules -> out.add(Finding.note(
                            "frame.ductile-slab",
                            "frame",
                            "Every column counts as one of the ductile frame that no setting puts outside it, and slab bars beside the beams are not known: "
                                    + "they make the beams stronger than the columns and joints are designed for.",
                            "Allow for slab bars within the effective flange by hand ("
                                    + rules.columns().joints().forcesClause().text()
                                    + ").")));
        }
        crowded(out);
        lost(out);
        idle(out);
        typed.stream().filter(t -> !t.left().isEmpty()).map(this::left).forEach(out::add);
        if (!beams.isEmpty()
                && (contexts.beams().service().count() == 0
                        || contexts.beams().sustained().count() == 0)) {
            out.add(Finding.note(
                    "deflection.no-service-combinations",
                    "frame",
                    "The model has no service combinations of both purposes: deflections "
                            + "are not computed, and every span must be as deep as the code's table asks for.",
                    "Add a service-characteristic and a service-quasi-permanent combination."));
        }
        return out;
    }

    private void crowded(List<Finding> out) {
        List<JointFits.Misfit> worst = JointFits.of(this).all().stream()
                .sorted(Comparator.comparingInt(m -> m.room() - m.bars()))
                .toList();
        if (!worst.isEmpty()) {
            long joints = worst.stream()
                    .map(m -> m.column() + " " + m.storey())
                    .distinct()
                    .count();
            String some = worst.stream()
                    .limit(3)
                    .map(m -> m.bars() + (m.top() ? " above" : " below") + " of " + m.beam() + " in " + m.column()
                            + (m.storey().isEmpty() ? "" : " at " + m.storey()) + ", room for " + m.room())
                    .collect(Collectors.joining("; "));
            out.add(
                    Finding.note(
                            "joint.crowded",
                            "frame",
                            "At " + joints + (joints == 1 ? " joint" : " joints")
                                    + " a beam has more bars side by side than pass between the bars of the column as far apart as they must be: "
                                    + some + (worst.size() > 3 ? "; and others." : "."),
                            "Look at these joints, which “crowded” finds among the results: bars of the beam in another layer or fewer and thicker, or other bars of the column, pass."));
        }
    }

    /** Parts set by hand whose members the model does not have any more. */
    private void lost(List<Finding> out) {
        Set<String> lines = beams.stream().map(b -> b.line().id()).collect(Collectors.toSet());
        long lost = contexts.beams().hand().keySet().stream()
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
        Set<String> lifts = columns.stream()
                .flatMap(c -> c.stack().lifts().stream())
                .map(ColumnStack.Lift::member)
                .collect(Collectors.toSet());
        List<String> gone = contexts.columns().hand().keySet().stream()
                .filter(m -> !lifts.contains(m))
                .sorted()
                .toList();
        if (!gone.isEmpty()) {
            out.add(Finding.note(
                    "hand-set.no-lift",
                    "frame",
                    "What was set by hand for "
                            + (gone.size() == 1 ? "the lift " : "the lifts ")
                            + gone.stream().limit(5).collect(Collectors.joining(", "))
                            + (gone.size() > 5 ? " and " + (gone.size() - 5) + " more" : "")
                            + " belongs to no column of the model any more.",
                    "Undo the change of the model, or set the bars again on the lift that took its place."));
        }
    }

    /** Local settings that hold for nothing, and members they name that are gone. */
    private void idle(List<Finding> out) {
        Set<LocalSettings> holding = new HashSet<>();
        beams.forEach(b -> holding.addAll(contexts.local().holding(b.line())));
        columns.forEach(c -> holding.addAll(contexts.local().holding(c.stack())));
        for (LocalSettings s : basis.local()) {
            boolean holds = holding.contains(s);
            List<String> gone = s.scope().members().stream()
                    .filter(m -> analysis.index().member(m) == null)
                    .sorted()
                    .toList();
            if (!holds || !gone.isEmpty()) {
                out.add(Finding.note(
                        "basis.local-idle",
                        "basis, local settings " + s.name(),
                        holds
                                ? "They name " + gone.size() + (gone.size() == 1 ? " member" : " members")
                                        + " that the model does not have: "
                                        + gone.stream().limit(5).collect(Collectors.joining(", "))
                                        + (gone.size() > 5 ? " and more." : ".")
                                : "They hold for no beam and no column of this model.",
                        "Name the members that are meant, or take the settings away (page Basis)."));
            }
        }
    }

    private Finding left(TypeDesign t) {
        String who = t.left().stream()
                .map(l -> markOf(l.member()) + " (" + l.why().words() + ")")
                .collect(Collectors.joining(", "));
        return Finding.note(
                "type.left",
                "type " + t.type().mark(),
                "Designed on its own, not as type " + t.type().mark() + ": " + who + ".",
                "Take it out of the type, release what is set by hand, or let lengths differ more on the Types page.");
    }

    private String markOf(String member) {
        return beams.stream()
                .map(BeamDesign::line)
                .filter(l -> l.id().equals(member))
                .map(BeamLine::mark)
                .findFirst()
                .or(() -> columns.stream()
                        .map(ColumnDesign::stack)
                        .filter(c -> c.id().equals(member))
                        .map(ColumnStack::mark)
                        .findFirst())
                .orElse(member);
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
