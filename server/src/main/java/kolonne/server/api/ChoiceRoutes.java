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
        return List.of(Route.get("/api/projects/{id}/members/{mark}/preferences", "The line designed under every preference: mass, bars, layers, sizes",
            PreferencesDto.class, this::preferences));
    }

    /** @param bars groups count bar by bar; layers the most in a face; sizes of longitudinal bars */
    record PreferenceDto(String preference, double steelKg, int bars, int layers, int sizes, boolean satisfied) {}

    record PreferencesDto(String current, List<PreferenceDto> preferences) {}

    private void preferences(Context c) {
        Workspace.Published p = projects.open(c.pathParam("id")).published();
        if (p == null) {
            throw new BadRequest(409, "designing", "The building is being designed.", "Ask again when it is done.");
        }
        BuildingDesign d = p.design();
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
