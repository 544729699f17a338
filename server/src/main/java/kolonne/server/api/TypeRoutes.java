package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import kolonne.core.check.CheckResult;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.TypeFacts;
import kolonne.core.model.Role;
import kolonne.core.type.Curve;
import kolonne.core.type.Steel;
import kolonne.core.type.TypeDesign;
import kolonne.core.type.Types;
import kolonne.server.project.Changes;
import kolonne.server.project.Projects;
import kolonne.server.project.ResultRow;
import kolonne.server.project.TypeChange;
import kolonne.server.project.Workspace;

/** Types: those there are, the curve of their number against steel, and what people do to them. */
final class TypeRoutes {
    private static final String PATH = "/api/projects/{id}/types";

    private final Projects projects;

    TypeRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                Route.get(PATH, "Types and members with cages of their own", TypesDto.class, this::types),
                new Route(
                        HandlerType.PUT,
                        PATH,
                        "Changes types (If-Match: version): adopt a point of the curve, none, merge, apart, dissolve, lock, "
                                + "rename, pattern, tolerance",
                        TypeChangeDto.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        this::change),
                Route.get(
                        PATH + "/curve/{role}",
                        "The curve of types against steel, beam or column; not ready before it is made",
                        TypeCurveDto.class,
                        this::curve),
                new Route(
                                HandlerType.POST,
                                PATH + "/curve/{role}",
                                "Starts making the curve",
                                null,
                                Answers.JobDto.class,
                                new String[0],
                                this::make)
                        .needs(Needs.READER),
                Route.get(
                        PATH + "/curve/{role}/{types}",
                        "The types at a point of the curve, dearest first",
                        TypesAtDto.class,
                        this::point),
                Route.get(
                        PATH + "/pattern/{role}",
                        "Marks that a pattern would give",
                        TypePatternDto.class,
                        this::pattern,
                        "pattern"));
    }

    // ---- what there is -------------------------------------------------------------------------------------------

    /** @param parts spans or lifts that it has */
    record TypeMemberDto(String mark, int parts, double utilisation, boolean satisfied) {}

    /** @param why it has a cage of its own */
    record TypeLeftDto(String mark, String why) {}

    /**
     * Members that share a cage, or one member with its own.
     *
     * @param id        empty for a member by itself
     * @param governing mark of the member whose check is used most
     * @param aloneKg   steel of the same members with cages of their own
     * @param congestion largest use of a distance between bars, 1 where they lie as near each other as they may
     * @param sound     whether sharing makes nothing fail
     */
    record TypeDto(
            String id,
            String mark,
            String role,
            boolean locked,
            List<TypeMemberDto> members,
            List<TypeLeftDto> left,
            String storeys,
            String section,
            String bars,
            String stirrups,
            String governing,
            String check,
            double utilisation,
            boolean satisfied,
            double steelKg,
            double aloneKg,
            double densityKgM3,
            double congestion,
            boolean sound) {}

    /** @param toleranceMm within which lengths of members that share a cage may differ */
    record TypesDto(int version, double toleranceMm, List<TypeDto> types) {}

    private void types(Context c) {
        Workspace.Published p = ResultRoutes.published(projects, c);
        BuildingDesign d = p.design();
        TypeFacts facts = new TypeFacts(d);
        Map<String, ResultRow> rows = new HashMap<>();
        p.rows().forEach(r -> rows.put(r.id(), r));
        List<TypeDto> out = new ArrayList<>();
        Set<String> shared = new HashSet<>();
        for (TypeDesign t : d.typed()) {
            if (!t.members().isEmpty()) {
                out.add(shared(t, facts, rows));
                shared.addAll(t.members());
            }
        }
        d.beams().stream()
                .map(b -> b.line().id())
                .filter(id -> !shared.contains(id))
                .forEach(id -> out.add(alone(id, "beam", facts, rows)));
        d.columns().stream()
                .map(k -> k.stack().id())
                .filter(id -> !shared.contains(id))
                .forEach(id -> out.add(alone(id, "column", facts, rows)));
        c.json(new TypesDto(p.version(), d.types().tolerance(), out));
    }

    private static TypeDto shared(TypeDesign t, TypeFacts facts, Map<String, ResultRow> rows) {
        String governing = facts.governingMember(t.members());
        ResultRow row = rows.get(governing);
        CheckResult check = facts.governing(governing);
        double concrete = t.members().stream().mapToDouble(facts::concrete).sum();
        return new TypeDto(
                t.type().id(),
                t.type().mark(),
                role(t.type().role()),
                t.type().locked(),
                t.members().stream()
                        .map(m -> new TypeMemberDto(
                                facts.mark(m),
                                rows.get(m).parts(),
                                facts.governing(m).utilisation(),
                                facts.satisfied(m)))
                        .toList(),
                t.left().stream()
                        .map(l ->
                                new TypeLeftDto(facts.mark(l.member()), l.why().words()))
                        .toList(),
                facts.storeyWords(t.members(), " to "),
                facts.sections(t.members()),
                row.bars(),
                row.stirrups(),
                facts.mark(governing),
                check.title(),
                check.utilisation(),
                t.members().stream().allMatch(facts::satisfied),
                t.steel().kg(),
                t.alone().kg(),
                t.steel().kg() / (concrete / 1e9),
                facts.congestion(t.members()),
                t.sound());
    }

    private static TypeDto alone(String id, String role, TypeFacts facts, Map<String, ResultRow> rows) {
        ResultRow row = rows.get(id);
        return new TypeDto(
                "",
                row.mark(),
                role,
                false,
                List.of(new TypeMemberDto(row.mark(), row.parts(), row.utilisation(), row.satisfied())),
                List.of(),
                facts.storeyWords(List.of(id), " to "),
                facts.sections(List.of(id)),
                row.bars(),
                row.stirrups(),
                row.mark(),
                row.check(),
                row.utilisation(),
                row.satisfied(),
                row.steelKg(),
                row.steelKg(),
                row.steelKg() / (facts.concrete(id) / 1e9),
                facts.congestion(List.of(id)),
                true);
    }

    private static String role(Role r) {
        return r.name().toLowerCase(Locale.ROOT);
    }

    private static Role role(String word) {
        return switch (word == null ? "" : word) {
            case "beam" -> Role.BEAM;
            case "column" -> Role.COLUMN;
            default -> throw new BadRequest(400, "role", "The role is " + word + ".", "Give beam or column.");
        };
    }

    // ---- the curve -----------------------------------------------------------------------------------------------

    /** @param marks items of the bar list */
    record TypeCountDto(int types, double kg, int pieces, int marks) {
        static TypeCountDto of(int types, Steel s) {
            return new TypeCountDto(types, s.kg(), s.pieces(), s.marks());
        }
    }

    /**
     * @param ready     whether the curve is made; all else is empty before
     * @param aloneKg   steel with a cage for every member by itself
     * @param suggested types at the point that is suggested
     * @param now       types in force and their steel
     */
    record TypeCurveDto(
            boolean ready,
            int members,
            double aloneKg,
            int alonePieces,
            List<TypeCountDto> points,
            int suggested,
            TypeCountDto now) {}

    private void curve(Context c) {
        Role role = role(c.pathParam("role"));
        BuildingDesign d = ResultRoutes.published(projects, c).design();
        Curve curve = projects.curves().find(c.pathParam("id"), role).orElse(null);
        TypeCountDto now = now(d, role);
        c.json(
                curve == null
                        ? new TypeCurveDto(false, 0, 0, 0, List.of(), 0, now)
                        : new TypeCurveDto(
                                true,
                                curve.members(),
                                curve.own().kg(),
                                curve.own().pieces(),
                                curve.points().stream()
                                        .map(p -> TypeCountDto.of(p.types(), p.steel()))
                                        .toList(),
                                curve.suggested().types(),
                                now));
    }

    /** What is in force, counted as the curve counts: a member by itself is a type. */
    private static TypeCountDto now(BuildingDesign d, Role role) {
        Set<String> shared = new HashSet<>();
        int types = 0;
        Steel sum = Steel.NONE;
        for (TypeDesign t : d.typed()) {
            if (t.type().role() == role && t.members().size() > 1) {
                types++;
                sum = sum.plus(t.steel());
                shared.addAll(t.members());
            }
        }
        List<Steel> others = role == Role.BEAM
                ? d.beams().stream()
                        .filter(b -> !shared.contains(b.line().id()))
                        .map(Steel::of)
                        .toList()
                : d.columns().stream()
                        .filter(k -> !shared.contains(k.stack().id()))
                        .map(Steel::of)
                        .toList();
        return TypeCountDto.of(types + others.size(), others.stream().reduce(sum, Steel::plus));
    }

    private void make(Context c) {
        ResultRoutes.published(projects, c);
        c.status(202);
        c.json(Answers.JobDto.of(projects.curves()
                .make(c.pathParam("id"), role(c.pathParam("role")))
                .status()));
    }

    private Curve made(Context c) {
        Curve curve = projects.curves()
                .find(c.pathParam("id"), role(c.pathParam("role")))
                .orElse(null);
        if (curve == null) {
            throw new BadRequest(
                    409,
                    "no-curve",
                    "The curve belongs to an older model, basis or tolerance.",
                    "Have it made again, then choose a point.");
        }
        return curve;
    }

    /** @param heaviest mark of the member that takes most steel by itself @param steelKg of all with the shared cage */
    record TypeGroupDto(
            List<String> members, String storeys, String section, String heaviest, double steelKg, double aloneKg) {}

    /** @param into mark of the heavier member of the two types; @param joins that of the other, of so many {@code lines} */
    record TypeMergeDto(String into, String joins, int lines, double extraKg) {}

    /** @param fewer merges that lead to the next point with fewer types */
    record TypesAtDto(int types, double kg, List<TypeGroupDto> groups, List<TypeMergeDto> fewer) {}

    private static TypeMergeDto merge(Curve curve, Curve.Node n, TypeFacts facts) {
        boolean left = curve.part(n, true).heaviest().equals(n.heaviest());
        Curve.Node other = curve.part(n, !left);
        return new TypeMergeDto(
                facts.mark(n.heaviest()),
                facts.mark(other.heaviest()),
                other.members().size(),
                curve.extra(n));
    }

    private void point(Context c) {
        TypeFacts facts = new TypeFacts(ResultRoutes.published(projects, c).design());
        Curve curve = made(c);
        int types;
        try {
            types = Integer.parseInt(c.pathParam("types"));
        } catch (NumberFormatException e) {
            types = -1;
        }
        int asked = types;
        Curve.Point p = curve.points().stream()
                .filter(q -> q.types() == asked)
                .findFirst()
                .orElseThrow(() -> new BadRequest(
                        400,
                        "types",
                        "The curve has no point of " + c.pathParam("types") + " types.",
                        "Choose a point of the curve."));
        c.json(new TypesAtDto(
                asked,
                p.steel().kg(),
                curve.types(asked).stream()
                        .sorted(java.util.Comparator.comparingDouble((Curve.Node n) ->
                                        n.alone().kg() - n.steel().kg())
                                .thenComparing(n -> -n.members().size()))
                        .map(n -> new TypeGroupDto(
                                n.members().stream().map(facts::mark).toList(),
                                facts.storeyWords(n.members(), " to "),
                                facts.sections(n.members()),
                                facts.mark(n.heaviest()),
                                n.steel().kg(),
                                n.alone().kg()))
                        .toList(),
                curve.mergesAfter(asked).stream()
                        .map(n -> merge(curve, n, facts))
                        .toList()));
    }

    // ---- what people do ------------------------------------------------------------------------------------------

    /**
     * @param action      adopt, none, merge, apart, dissolve, lock, unlock, rename, pattern or tolerance
     * @param role        beam or column, for adopt, none and pattern
     * @param types       point of the curve to adopt
     * @param members     marks of lines or stacks to merge or to take apart
     * @param type        id of the type that is meant, or that members join
     * @param mark        to give it, or the pattern
     * @param toleranceMm for tolerance
     */
    record TypeChangeDto(
            String action,
            @MayBeAbsent String role,
            @MayBeAbsent Integer types,
            @MayBeAbsent List<String> members,
            @MayBeAbsent String type,
            @MayBeAbsent String mark,
            @MayBeAbsent Double toleranceMm) {}

    private void change(Context c) {
        TypeChangeDto asked = Body.of(c, TypeChangeDto.class);
        String id = c.pathParam("id");
        TypeChange change = new TypeChange(ResultRoutes.published(projects, c).design());
        Curve curve = "adopt".equals(asked.action())
                ? projects.curves().find(id, role(asked.role())).orElse(null)
                : null;
        if (curve == null && "adopt".equals(asked.action())) {
            throw new BadRequest(
                    409,
                    "no-curve",
                    "The curve belongs to an older model, basis or tolerance.",
                    "Have it made again, then choose a point.");
        }
        ProjectRoutes.moved(
                c,
                projects.changes()
                        .types(id, ProjectRoutes.version(c), now -> changed(now, asked, change, curve), People.of(c)));
    }

    private static Changes.TypesChanged changed(Types now, TypeChangeDto a, TypeChange change, Curve curve) {
        List<String> members = a.members() == null ? List.of() : a.members();
        return switch (a.action() == null ? "" : a.action()) {
            case "adopt" -> change.adopted(now, curve, a.types() == null ? -1 : a.types());
            case "none" -> change.none(now, role(a.role()));
            case "merge" -> change.merged(now, members, a.type());
            case "apart" -> change.apart(now, members);
            case "dissolve" -> change.dissolved(now, a.type());
            case "lock" -> change.locked(now, a.type(), true);
            case "unlock" -> change.locked(now, a.type(), false);
            case "rename" ->
                change.renamed(now, a.type(), a.mark() == null ? "" : a.mark().strip());
            case "pattern" ->
                change.renamed(
                        now, role(a.role()), a.mark() == null ? "" : a.mark().strip());
            case "tolerance" -> change.tolerance(now, a.toleranceMm() == null ? Double.NaN : a.toleranceMm());
            default ->
                throw new BadRequest(
                        400, "action", "The action is " + a.action() + ".", "See /api/openapi.json for what there is.");
        };
    }

    record TypePatternMarkDto(String type, String was, String mark) {}

    record TypePatternDto(List<TypePatternMarkDto> marks) {}

    private void pattern(Context c) {
        TypeChange change = new TypeChange(ResultRoutes.published(projects, c).design());
        Types now = projects.types(c.pathParam("id"));
        String pattern = c.queryParam("pattern");
        c.json(new TypePatternDto(
                change.byPattern(now, role(c.pathParam("role")), pattern == null ? "" : pattern).entrySet().stream()
                        .map(e -> new TypePatternMarkDto(
                                e.getKey(), now.all().get(e.getKey()).mark(), e.getValue()))
                        .toList()));
    }
}
