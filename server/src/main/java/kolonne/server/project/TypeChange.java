package kolonne.server.project;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.TypeFacts;
import kolonne.core.finding.Finding;
import kolonne.core.model.Role;
import kolonne.core.type.Curve;
import kolonne.core.type.Likeness;
import kolonne.core.type.MemberType;
import kolonne.core.type.Types;
import kolonne.server.jobs.Jobs;

/** What a person does to types: worked out from those in force, or refused with the reason. */
public final class TypeChange {
    private final BuildingDesign design;
    private final TypeFacts facts;
    private final Map<String, String> ids = new HashMap<>();
    private final Map<String, Likeness> likeness = new HashMap<>();
    private final Map<String, Role> roles = new HashMap<>();

    public TypeChange(BuildingDesign design) {
        this.design = design;
        this.facts = new TypeFacts(design);
        for (BeamDesign b : design.beams()) {
            known(b.line().id(), b.line().mark(), Role.BEAM, Likeness.of(b));
        }
        for (ColumnDesign c : design.columns()) {
            known(c.stack().id(), c.stack().mark(), Role.COLUMN, Likeness.of(c));
        }
    }

    private void known(String id, String mark, Role role, Likeness l) {
        ids.put(mark, id);
        roles.put(id, role);
        likeness.put(id, l);
    }

    private static Jobs.Refused refused(String where, String why, String mend) {
        return new Jobs.Refused(List.of(Finding.fails("types", where, why, mend)));
    }

    private List<String> ids(List<String> marks) {
        Set<String> out = new LinkedHashSet<>();
        for (String m : marks) {
            String id = ids.get(m);
            if (id == null) {
                throw refused(
                        "member " + m,
                        "There is no beam line or column " + m + ".",
                        "Choose among those of the project.");
            }
            out.add(id);
        }
        if (out.isEmpty()) {
            throw refused("types", "No member is named.", "Choose the members first.");
        }
        return List.copyOf(out);
    }

    private static MemberType type(Types types, String id) {
        MemberType t = types.all().get(id);
        if (t == null) {
            throw refused("type " + id, "This type is no more.", "Look at the types as they are now and choose again.");
        }
        return t;
    }

    /** Types of a role as they are at a point of its curve. */
    public Changes.TypesChanged adopted(Types now, Curve curve, int point) {
        if (curve.points().stream().noneMatch(p -> p.types() == point)) {
            throw refused("curve", "The curve has no point of " + point + " types.", "Choose a point of the curve.");
        }
        List<List<String>> groups = curve.types(point).stream()
                .map(Curve.Node::members)
                .sorted(facts.inOrder())
                .toList();
        Types then = now.adopted(curve.role(), groups, ids.keySet());
        String what = curve.role() == Role.BEAM ? "beams" : "columns";
        return new Changes.TypesChanged(then, point == 1 ? "1 type of " + what : point + " types of " + what);
    }

    /** Every member of a role that is in no locked type has a cage of its own again. */
    public Changes.TypesChanged none(Types now, Role role) {
        return new Changes.TypesChanged(
                now.adopted(role, List.of(), ids.keySet()),
                "every " + (role == Role.BEAM ? "beam" : "column") + " has a cage of its own");
    }

    /** Members as one type. @param into id of the type that they join; null for that of which most of them are, or a new one */
    public Changes.TypesChanged merged(Types now, List<String> marks, String into) {
        List<String> members = ids(marks);
        members.forEach(m -> now.of(m).filter(t -> !t.id().equals(into)).ifPresent(TypeChange::unlocked));
        if (into != null) {
            unlocked(type(now, into));
        }
        Role role = roles.get(members.get(0));
        Types then = into == null ? now.merged(role, members, ids.keySet()) : now.joined(into, members);
        MemberType t = then.of(members.get(0))
                .orElseThrow(() -> refused(
                        "types", "One member is no type.", "Choose at least two members that shall share a cage."));
        alike(t.members(), then.tolerance());
        return new Changes.TypesChanged(then, String.join(", ", some(marks)) + " as type " + t.mark());
    }

    private static void unlocked(MemberType t) {
        if (t.locked()) {
            throw refused(
                    "type " + t.mark(),
                    "Type " + t.mark() + " is locked.",
                    "Unlock it first, or leave its members out.");
        }
    }

    private void alike(List<String> members, double tolerance) {
        List<String> present = members.stream().filter(likeness::containsKey).toList();
        for (int i = 0; i < present.size(); i++) {
            for (int j = 0; j < i; j++) {
                if (!likeness.get(present.get(i)).shares(likeness.get(present.get(j)), tolerance)) {
                    boolean lengths = likeness.get(present.get(i)).builtAs(likeness.get(present.get(j)));
                    throw refused(
                            "types",
                            facts.mark(present.get(j)) + " and " + facts.mark(present.get(i)) + " cannot share a cage: "
                                    + (lengths
                                            ? "their lengths differ more than the tolerance."
                                            : "their sections, concrete, numbers of spans or supports differ."),
                            lengths
                                    ? "Let lengths differ more, or leave one of them out."
                                    : "Choose members that are built alike.");
                }
            }
        }
    }

    private static List<String> some(List<String> marks) {
        return marks.size() <= 4 ? marks : List.of(marks.get(0), marks.get(1), (marks.size() - 2) + " more");
    }

    /** Members that get cages of their own. */
    public Changes.TypesChanged apart(Types now, List<String> marks) {
        List<String> members = ids(marks);
        members.forEach(m -> now.of(m).ifPresent(TypeChange::unlocked));
        Types then = now.apart(members);
        if (then.equals(now)) {
            throw refused("types", "None of them is in a type.", "Choose members of types.");
        }
        return new Changes.TypesChanged(
                then, String.join(", ", some(marks)) + (members.size() == 1 ? " by itself" : " by themselves"));
    }

    /** A type that is no more; its members have cages of their own. */
    public Changes.TypesChanged dissolved(Types now, String id) {
        MemberType t = type(now, id);
        unlocked(t);
        return new Changes.TypesChanged(now.apart(t.members()), "type " + t.mark() + " dissolved");
    }

    public Changes.TypesChanged locked(Types now, String id, boolean lock) {
        MemberType t = type(now, id);
        return new Changes.TypesChanged(now.locked(id, lock), "type " + t.mark() + (lock ? " locked" : " unlocked"));
    }

    public Changes.TypesChanged renamed(Types now, String id, String mark) {
        MemberType t = type(now, id);
        named(now, Map.of(id, mark));
        return new Changes.TypesChanged(now.renamed(Map.of(id, mark)), "type " + t.mark() + " is " + mark + " now");
    }

    private void named(Types now, Map<String, String> marks) {
        now.refused(marks, ids.keySet()).ifPresent(why -> {
            throw refused("mark", why, "Give marks that nothing else has; {n} in a pattern counts.");
        });
    }

    /** Marks of the types of a role by a pattern, in the order of plans. */
    public Map<String, String> byPattern(Types now, Role role, String pattern) {
        TypeFacts.wrong(pattern).ifPresent(why -> {
            throw refused("pattern", why, "Write for instance {storey}-{role}{n}.");
        });
        Map<String, List<String>> members = new LinkedHashMap<>();
        List<MemberType> ordered = new ArrayList<>(now.all().values());
        ordered.sort((a, b) -> facts.inOrder().compare(a.members(), b.members()));
        for (MemberType t : ordered) {
            List<String> present =
                    t.members().stream().filter(roles::containsKey).toList();
            if (t.role() == role && !present.isEmpty()) {
                members.put(t.id(), present);
            }
        }
        return facts.marks(pattern, role, members);
    }

    public Changes.TypesChanged renamed(Types now, Role role, String pattern) {
        Map<String, String> marks = byPattern(now, role, pattern);
        if (marks.isEmpty()) {
            throw refused("types", "There are no types to name.", "Make types first.");
        }
        named(now, marks);
        return new Changes.TypesChanged(
                now.renamed(marks), "types of " + (role == Role.BEAM ? "beams" : "columns") + " named by " + pattern);
    }

    public Changes.TypesChanged tolerance(Types now, double mm) {
        if (!(mm >= 0 && mm <= Types.MOST_TOLERANCE)) {
            throw refused(
                    "tolerance",
                    "Lengths of members that share a cage may differ by 0 to " + (int) Types.MOST_TOLERANCE + " mm.",
                    "Give a length in this range.");
        }
        return new Changes.TypesChanged(
                now.withTolerance(mm),
                "lengths within "
                        + kolonne.core.explain.Quantity.LENGTH.text(
                                mm, design.basis().usUnits()) + " share types");
    }
}
