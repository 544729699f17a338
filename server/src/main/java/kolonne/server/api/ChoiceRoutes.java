package kolonne.server.api;

import io.javalin.http.Context;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.NoSuchElementException;
import kolonne.core.basis.Basis;
import kolonne.core.beam.BeamCage;
import kolonne.core.beam.BeamDesign;
import kolonne.core.beam.BeamDesigner;
import kolonne.core.beam.BeamLine;
import kolonne.core.beam.StirrupChoice;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Quantities;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;

/** What the bars of a line would be under every preference, and what each costs. */
final class ChoiceRoutes {
    private final Projects projects;

    ChoiceRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(Route.get("/api/projects/{id}/members/{mark}/stirrups", "Every arrangement of stirrups weighed for a span, the best first", StirrupsWeighedDto.class,
            this::stirrups, "span"), Route.get("/api/projects/{id}/members/{mark}/preferences", "The line designed under every preference: mass, bars, layers, sizes",
            PreferencesDto.class, this::preferences));
    }

    /** @param bars groups count bar by bar; layers the most in a face; sizes of longitudinal bars */
    record PreferenceDto(String preference, double steelKg, int bars, int layers, int sizes, boolean satisfied) {}

    record PreferencesDto(String current, List<PreferenceDto> preferences) {}

    /** @param lost why it lost; empty for the best. zones: where they begin along the line and their spacing [mm] */
    record WeighedDto(String size, int legs, List<Double> from, List<Double> spacing, double massKg, int pieces, boolean practical, String lost) {}

    record StirrupsWeighedDto(int span, List<WeighedDto> options) {}

    private BuildingDesign design(Context c) {
        Workspace.Published p = projects.open(c.pathParam("id")).published();
        if (p == null) {
            throw new BadRequest(409, "designing", "The building is being designed.", "Ask again when it is done.");
        }
        return p.design();
    }

    private void stirrups(Context c) {
        BuildingDesign d = design(c);
        BeamDesign b = d.beams().stream().filter(q -> q.line().mark().equals(c.pathParam("mark"))).findFirst()
            .orElseThrow(() -> new NoSuchElementException("There is no beam line " + c.pathParam("mark") + "."));
        int span = ResultRoutes.number(c, "span", 0, 0, b.line().spans().size() - 1);
        List<StirrupChoice.Option> all = StirrupChoice.options(b, span, d.beamContext());
        c.json(new StirrupsWeighedDto(span, all.stream().map(o -> new WeighedDto(o.bar().label(), o.legs(), o.zones().stream().map(BeamCage.Zone::from).toList(),
            o.zones().stream().map(BeamCage.Zone::spacing).toList(), o.mass(), o.pieces(), o.practical(), lost(o, all.get(0)))).toList()));
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
        BeamLine line = d.beams().stream().map(BeamDesign::line).filter(q -> q.mark().equals(c.pathParam("mark"))).findFirst()
            .orElseThrow(() -> new NoSuchElementException("There is no beam line " + c.pathParam("mark") + "."));
        c.json(new PreferencesDto(word(d.basis().preference()), Arrays.stream(Basis.Preference.values()).map(q -> of(d, line, q)).toList()));
    }

    private static PreferenceDto of(BuildingDesign d, BeamLine line, Basis.Preference q) {
        Basis basis = d.basis().with(q);
        BeamDesign b = BeamDesigner.design(line, d.beamContext().with(basis));
        List<BeamCage.Group> groups = b.cage().groups();
        return new PreferenceDto(word(q), Quantities.of(b, basis).steel(), groups.stream().mapToInt(BeamCage.Group::count).sum(),
            groups.stream().mapToInt(BeamCage.Group::layer).max().orElse(0), (int) groups.stream().map(g -> g.bar().label()).distinct().count(), b.satisfied());
    }

    private static String word(Basis.Preference q) {
        return q.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
