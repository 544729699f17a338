package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.model.Building;
import kolonne.core.model.Storey;
import kolonne.core.project.ProjectData;
import kolonne.core.space.Point3;

/** What every file begins with: project, site, building and storeys, points and axes. */
final class IfcFrame {
    final StepWriter w;
    final IfcIds ids;
    final StepWriter.Ref body;
    private final StepWriter.Ref project;
    private final StepWriter.Ref building;
    private final StepWriter.Ref worldPlacement;
    private final Map<Point3, StepWriter.Ref> directions = new HashMap<>();
    private final Map<String, StepWriter.Ref> storeys = new LinkedHashMap<>();
    private final Map<String, StepWriter.Ref> storeyPlacements = new HashMap<>();
    private final Map<String, Double> elevations = new HashMap<>();
    private final Map<String, List<Object>> contained = new LinkedHashMap<>();
    private final double unit;

    IfcFrame(StepWriter w, Building b, String title, boolean analysis) {
        this.w = w;
        this.ids = new IfcIds(b.name());
        this.unit = analysis ? 1e-3 : 1;
        StepWriter.Ref world = placement(Point3.ORIGIN);
        StepWriter.Ref context = w.add("IFCGEOMETRICREPRESENTATIONCONTEXT", null, "Model", 3, 1e-5, world, null);
        body = w.add(
                "IFCGEOMETRICREPRESENTATIONSUBCONTEXT",
                analysis ? "Reference" : "Body",
                "Model",
                StepWriter.DERIVED,
                StepWriter.DERIVED,
                StepWriter.DERIVED,
                StepWriter.DERIVED,
                context,
                null,
                new StepWriter.Word(analysis ? "GRAPH_VIEW" : "MODEL_VIEW"),
                null);
        project = w.add(
                "IFCPROJECT",
                ids.of("project"),
                null,
                title,
                null,
                null,
                null,
                null,
                List.of(context),
                analysis ? IfcUnits.ofAnalysis(w) : IfcUnits.ofBuilding(w));
        worldPlacement = w.add("IFCLOCALPLACEMENT", null, world);
        StepWriter.Word element = new StepWriter.Word("ELEMENT");
        StepWriter.Ref site = w.add(
                "IFCSITE",
                ids.of("site"),
                null,
                "Site",
                null,
                null,
                w.add("IFCLOCALPLACEMENT", null, world),
                null,
                null,
                element,
                null,
                null,
                null,
                null,
                null);
        building = w.add(
                "IFCBUILDING",
                ids.of("building"),
                null,
                b.name(),
                null,
                null,
                worldPlacement,
                null,
                null,
                element,
                null,
                null,
                null);
        aggregate("site", project, List.of(site));
        aggregate("building", site, List.of(building));
        storeys(b, analysis);
    }

    /** Date of a project as a stamp of a file; the same always where there is none, so that the same input gives the same bytes. */
    static String stamp(ProjectData p) {
        String date = p.text(ProjectData.Field.DATE);
        return date.matches("\\d{4}-\\d{2}-\\d{2}") ? date + "T00:00:00" : "2000-01-01T00:00:00";
    }

    private void storeys(Building b, boolean analysis) {
        List<Object> all = new ArrayList<>();
        List<Storey> upwards = b.storeys().stream()
                .sorted(Comparator.comparingDouble(Storey::elevation))
                .toList();
        for (Storey s : upwards) {
            StepWriter.Ref at = w.add("IFCLOCALPLACEMENT", worldPlacement, placement(new Point3(0, 0, s.elevation())));
            StepWriter.Ref storey = w.add(
                    "IFCBUILDINGSTOREY",
                    ids.of("storey " + s.id()),
                    null,
                    analysis ? s.id() : s.name(),
                    null,
                    null,
                    at,
                    null,
                    analysis ? s.name() : null,
                    new StepWriter.Word("ELEMENT"),
                    s.elevation() * unit);
            storeys.putIfAbsent(s.name(), storey);
            storeyPlacements.putIfAbsent(s.name(), at);
            elevations.putIfAbsent(s.name(), s.elevation());
            all.add(storey);
        }
        if (!all.isEmpty()) {
            aggregate("storeys", building, all);
        }
    }

    void aggregate(String what, StepWriter.Ref whole, List<Object> parts) {
        w.add("IFCRELAGGREGATES", ids.of("parts of " + what), null, null, null, whole, parts);
    }

    StepWriter.Ref project() {
        return project;
    }

    StepWriter.Ref building() {
        return building;
    }

    StepWriter.Ref world() {
        return worldPlacement;
    }

    /** @param p [mm] */
    StepWriter.Ref point(Point3 p) {
        return w.add("IFCCARTESIANPOINT", List.of(p.x() * unit, p.y() * unit, p.z() * unit));
    }

    StepWriter.Ref direction(Point3 p) {
        return directions.computeIfAbsent(p, q -> w.add("IFCDIRECTION", List.of(q.x(), q.y(), q.z())));
    }

    /** An axis placement along the world's axes. */
    StepWriter.Ref placement(Point3 at) {
        return w.add("IFCAXIS2PLACEMENT3D", point(at), null, null);
    }

    /** @param z axis, {@code x} reference direction */
    StepWriter.Ref placement(Point3 at, Point3 z, Point3 x) {
        return w.add("IFCAXIS2PLACEMENT3D", point(at), direction(z), direction(x));
    }

    /** An object's placement in its storey, or in the building where it has none. */
    StepWriter.Ref inStorey(String storey, Point3 at, Point3 z, Point3 x) {
        StepWriter.Ref of = storeyPlacements.getOrDefault(storey, worldPlacement);
        Point3 from = at.minus(new Point3(0, 0, elevations.getOrDefault(storey, 0.0)));
        return w.add("IFCLOCALPLACEMENT", of, placement(from, z, x));
    }

    /** Says that a storey holds a product. */
    void holds(String storey, StepWriter.Ref product) {
        contained
                .computeIfAbsent(storeys.containsKey(storey) ? storey : "", k -> new ArrayList<>())
                .add(product);
    }

    /** Writes which storey holds what. */
    void containment() {
        contained.forEach((storey, products) -> w.add(
                "IFCRELCONTAINEDINSPATIALSTRUCTURE",
                ids.of("held by " + storey),
                null,
                null,
                null,
                products,
                storeys.getOrDefault(storey, building)));
    }
}
