package kolonne.server.api;

import io.javalin.http.Context;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.stream.Collectors;
import kolonne.core.advice.ColumnAdvice;
import kolonne.core.advice.SectionAdvice;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.choice.StirrupChoice;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Quantities;
import kolonne.core.model.Member;
import kolonne.core.shape.Shape;
import kolonne.server.project.Projects;

/** What the bars of a line would be under every preference, and what each costs. */
final class ChoiceRoutes {
    private final Projects projects;

    ChoiceRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                Route.get(
                        "/api/projects/{id}/members/{mark}/stirrups",
                        "Every arrangement of stirrups weighed for a span, the best first",
                        StirrupsWeighedDto.class,
                        this::stirrups,
                        "span"),
                Route.get(
                        "/api/projects/{id}/members/{mark}/sections",
                        "Other sections for a line, each designed for the forces as they are, the cheapest first, with the edits that put them in force",
                        SectionsDto.class,
                        this::sections),
                Route.get(
                        "/api/projects/{id}/columns/{mark}/sections",
                        "Other sections for a lift of a column and those that must follow it, the stack designed with each for the forces as they are, the cheapest first, with the edits that put them in force",
                        SectionsDto.class,
                        this::columnSections,
                        "lift"),
                Route.get(
                        "/api/projects/{id}/members/{mark}/preferences",
                        "The line designed under every preference: mass, bars, layers, sizes",
                        PreferencesDto.class,
                        this::preferences));
    }

    /** @param bars groups count bar by bar; layers the most in a face; sizes of longitudinal bars */
    record PreferenceDto(String preference, double steelKg, int bars, int layers, int sizes, boolean satisfied) {}

    record PreferencesDto(String current, List<PreferenceDto> preferences) {}

    /** @param lost why it lost; empty for the best. zones: where they begin along the line and their spacing [mm] */
    record WeighedDto(
            String size,
            int legs,
            List<Double> from,
            List<Double> spacing,
            double massKg,
            int pieces,
            boolean practical,
            String lost) {}

    record StirrupsWeighedDto(int span, List<WeighedDto> options) {}

    /**
     * @param inBand   whether the strength is used as far as the basis wishes
     * @param strength largest use of a strength
     * @param cost     steel, concrete and formwork together as kg of steel
     * @param where    lifts or spans that take it, in words; empty where a line takes it whole
     * @param edits    that put the section in force; empty for the present one
     */
    record TriedDto(
            String label,
            boolean inProject,
            boolean present,
            boolean satisfied,
            boolean inBand,
            double strength,
            double steelKg,
            double concreteM3,
            double formworkM2,
            double cost,
            String where,
            List<EditDto> edits) {
        static TriedDto of(SectionAdvice.Option o, String where, boolean us, List<EditDto> edits) {
            return new TriedDto(
                    o.shape().label(us),
                    !o.section().isEmpty() || o.present(),
                    o.present(),
                    o.satisfied(),
                    o.inBand(),
                    o.strength(),
                    o.steel(),
                    o.concrete(),
                    o.formwork(),
                    o.cost(),
                    where,
                    o.present() ? List.of() : edits);
        }
    }

    /** @param options empty where nothing is worth a try; @param why that is so, where it is not for the limits of the basis, else empty */
    record SectionsDto(List<TriedDto> options, String why) {}

    private void sections(Context c) {
        BuildingDesign d = design(c);
        BeamDesign b = d.beams().stream()
                .filter(q -> q.line().mark().equals(c.pathParam("mark")))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no beam line " + c.pathParam("mark") + "."));
        Optional<String> inVain = SectionAdvice.inVain(b);
        if (inVain.isPresent()) {
            c.json(new SectionsDto(List.of(), inVain.get()));
            return;
        }
        c.json(new SectionsDto(
                SectionAdvice.of(
                                b,
                                d.contexts().of(b.line()),
                                d.analysis().given().building().sections())
                        .stream()
                        .map(o -> TriedDto.of(o, where(b), d.basis().usUnits(), edits(d, b, o)))
                        .toList(),
                ""));
    }

    private void columnSections(Context c) {
        BuildingDesign d = design(c);
        ColumnDesign column = d.columns().stream()
                .filter(q -> q.stack().mark().equals(c.pathParam("mark")))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no column " + c.pathParam("mark") + "."));
        int lift = ResultRoutes.number(c, "lift", 0, 0, column.lifts().size() - 1);
        boolean us = d.basis().usUnits();
        c.json(new SectionsDto(
                ColumnAdvice.of(column, lift, d.contexts().of(column.stack())).stream()
                        .map(t -> TriedDto.of(
                                t.option(),
                                t.lifts().size() == 1 ? "1 lift" : t.lifts().size() + " lifts",
                                us,
                                edits(d, column.stack(), t)))
                        .toList(),
                ""));
    }

    private static List<EditDto> edits(BuildingDesign d, ColumnStack stack, ColumnAdvice.Tried t) {
        List<String> members =
                t.lifts().stream().map(i -> stack.lifts().get(i).member()).toList();
        return edits(d, members, t.option().shape());
    }

    /** Which spans take another section; empty where all do. */
    private static String where(BeamDesign b) {
        int taking = SectionAdvice.taking(b).size();
        int all = b.line().spans().size();
        return taking == all ? "" : taking + " of " + all + " spans";
    }

    private static List<EditDto> edits(BuildingDesign d, BeamDesign b, SectionAdvice.Option o) {
        List<String> members = SectionAdvice.taking(b).stream()
                .flatMap(s -> s.members().stream())
                .map(Member::id)
                .toList();
        return edits(d, members, o.shape());
    }

    /** In the words of the model as it is drawn. */
    private static List<EditDto> edits(BuildingDesign d, List<String> members, Shape shape) {
        SectionEdits edits =
                new SectionEdits(d.analysis().given().building(), d.basis().usUnits());
        Map<Shape, List<String>> drawn = members.stream()
                .collect(Collectors.groupingBy(
                        m -> d.analysis().asDrawn(d.analysis().index().memberNumber(m), shape),
                        LinkedHashMap::new,
                        Collectors.toList()));
        return drawn.entrySet().stream()
                .flatMap(e -> edits.give(e.getValue(), e.getKey()).stream())
                .toList();
    }

    private BuildingDesign design(Context c) {
        return ResultRoutes.published(projects, c).design();
    }

    private void stirrups(Context c) {
        BuildingDesign d = design(c);
        BeamDesign b = d.beams().stream()
                .filter(q -> q.line().mark().equals(c.pathParam("mark")))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no beam line " + c.pathParam("mark") + "."));
        int span = ResultRoutes.number(c, "span", 0, 0, b.line().spans().size() - 1);
        List<StirrupChoice.Option> all =
                StirrupChoice.options(b, span, d.contexts().of(b.line()));
        c.json(new StirrupsWeighedDto(
                span,
                all.stream()
                        .map(o -> new WeighedDto(
                                o.bar().label(),
                                o.legs(),
                                o.zones().stream().map(BeamCage.Zone::from).toList(),
                                o.zones().stream().map(BeamCage.Zone::spacing).toList(),
                                o.mass(),
                                o.pieces(),
                                o.practical(),
                                lost(o, all.get(0))))
                        .toList()));
    }

    /** By the order of the search: what can be built, mass (within 2 % alike), number of zones, pieces. */
    private static String lost(StirrupChoice.Option o, StirrupChoice.Option best) {
        if (o == best) {
            return "";
        }
        if (!o.practical()) {
            return "needs a closer spacing than the basis allows";
        }
        double more = o.mass() / best.mass() - 1;
        if (Math.abs(more) > 0.02) {
            return String.format(Locale.ROOT, "%.0f %% heavier", 100 * more);
        }
        return o.zones().size() > best.zones().size() ? "as heavy, more zones" : "as heavy, more pieces to bend";
    }

    private void preferences(Context c) {
        BuildingDesign d = design(c);
        BeamDesign b = d.beams().stream()
                .filter(q -> q.line().mark().equals(c.pathParam("mark")))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no beam line " + c.pathParam("mark") + "."));
        c.json(new PreferencesDto(
                word(b.basis().bars().preference()),
                Arrays.stream(Preference.values()).map(q -> of(d, b, q)).toList()));
    }

    private static PreferenceDto of(BuildingDesign d, BeamDesign now, Preference q) {
        BeamDesign b = BeamDesigner.design(
                now.line(), d.contexts().of(now.line()).with(now.basis().with(q)));
        List<BeamCage.Group> groups = b.cage().groups();
        return new PreferenceDto(
                word(q),
                Quantities.of(b).steel(),
                groups.stream().mapToInt(BeamCage.Group::count).sum(),
                groups.stream().mapToInt(BeamCage.Group::layer).max().orElse(0),
                (int) groups.stream().map(g -> g.bar().label()).distinct().count(),
                b.satisfied());
    }

    private static String word(Preference q) {
        return q.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
