package kolonne.exchange.ifc;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.GridLine;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.Spring;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Support;
import kolonne.core.project.ProjectData;
import kolonne.core.shape.Shape;
import kolonne.core.space.Point3;

/**
 * The analysis model as IFC 4, structural analysis view: joints with supports and springs, members with sections, releases and axes, slab panels, load cases with
 * their loads, combinations. Metres and newtons. What the standard has no place for stands in property sets of our own.
 */
public final class AnalysisIfc {
    static final String MEMBER_SET = "Kolonne_Member";
    static final String PANEL_SET = "Kolonne_Panel";
    static final String ANALYSIS_SET = "Kolonne_Analysis";
    static final String RIGID = "RIGID_DIAPHRAGM";
    static final String FLEXIBLE = "FLEXIBLE_DIAPHRAGM";
    private static final double NEWTON_METRE = 1e-3;
    /** N/mm as N/m. */
    private static final double PER_METRE = 1e3;

    private final Building b;
    private final BuildingIndex index;
    private final StepWriter w;
    private final IfcFrame f;
    private final IfcSections sections;
    private final Map<String, StepWriter.Ref> points = new HashMap<>();
    private final Map<String, StepWriter.Ref> vertices = new HashMap<>();
    private final Map<String, StepWriter.Ref> shapes = new HashMap<>();
    private final Map<String, StepWriter.Ref> items = new LinkedHashMap<>();
    private final List<Object> all = new ArrayList<>();

    private AnalysisIfc(Building b, ProjectData project, Writer out) {
        this.b = b;
        this.index = new BuildingIndex(b);
        w = new StepWriter(out);
        w.header("ViewDefinition [StructuralAnalysisView]", b.name() + ".ifc", IfcFrame.stamp(project));
        f = new IfcFrame(w, b, project.title(b.name()), true);
        sections = new IfcSections(w, 1e-3);
    }

    /** Writes a sound model. */
    public static void write(Building b, ProjectData project, Writer out) throws IOException {
        try {
            AnalysisIfc a = new AnalysisIfc(b, project, out);
            a.joints();
            a.members();
            a.panels();
            List<Object> groups = new AnalysisIfcLoads(a).write();
            a.model(groups);
            a.diaphragms();
            a.grid();
            a.w.end();
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    // ---- what the loads need ---------------------------------------------------------------------------------------

    Building building() {
        return b;
    }

    BuildingIndex index() {
        return index;
    }

    IfcFrame frame() {
        return f;
    }

    /** The topology of a joint, member or panel, which its loads share. */
    StepWriter.Ref shape(String key) {
        return shapes.get(key);
    }

    StepWriter.Ref item(String key) {
        return items.get(key);
    }

    static String joint(String id) {
        return "joint " + id;
    }

    static String member(String id) {
        return "member " + id;
    }

    static String panel(String id) {
        return "panel " + id;
    }

    // ---- items -----------------------------------------------------------------------------------------------------

    private void item(String key, StepWriter.Ref item) {
        items.put(key, item);
        all.add(item);
    }

    private StepWriter.Ref topology(String key, String kind, StepWriter.Ref what) {
        StepWriter.Ref shape = w.add(
                "IFCPRODUCTDEFINITIONSHAPE",
                null,
                null,
                List.of(w.add("IFCTOPOLOGYREPRESENTATION", f.body, "Reference", kind, List.of(what))));
        shapes.put(key, shape);
        return shape;
    }

    private void joints() {
        Map<String, Support> held = new HashMap<>();
        b.supports().forEach(s -> held.put(s.joint(), s));
        Map<String, Spring> springs = new HashMap<>();
        b.springs().forEach(s -> springs.put(s.joint(), s));
        for (Joint j : b.joints()) {
            String key = joint(j.id());
            points.put(j.id(), f.point(new Point3(j.x(), j.y(), j.z())));
            vertices.put(j.id(), w.add("IFCVERTEXPOINT", points.get(j.id())));
            item(
                    key,
                    w.add(
                            "IFCSTRUCTURALPOINTCONNECTION",
                            f.ids.of(key),
                            null,
                            j.id(),
                            null,
                            null,
                            f.world(),
                            topology(key, "Vertex", vertices.get(j.id())),
                            support(held.get(j.id()), springs.get(j.id())),
                            null));
        }
    }

    private StepWriter.Ref support(Support s, Spring k) {
        if (s == null && k == null) {
            return null;
        }
        Object[] v = new Object[7];
        for (int i = 0; i < 6; i++) {
            boolean holds = s != null && s.holds(i);
            double stiffness = k == null ? 0 : k.at(i);
            v[i + 1] = holds || stiffness == 0
                    ? new StepWriter.Typed("IFCBOOLEAN", holds)
                    : stiffness(i, stiffness * (i < 3 ? PER_METRE : NEWTON_METRE));
        }
        return w.add("IFCBOUNDARYNODECONDITION", v);
    }

    private static StepWriter.Typed stiffness(int i, double v) {
        return new StepWriter.Typed(i < 3 ? "IFCLINEARSTIFFNESSMEASURE" : "IFCROTATIONALSTIFFNESSMEASURE", v);
    }

    /** Section and material, and whether it is of columns where their ells and tees lie otherwise. */
    private List<String> key(Member m) {
        boolean legs = m.role() == Role.COLUMN && index.sectionOf(m).shape() instanceof Shape.Flanged;
        return legs ? List.of(m.section(), m.material(), "column") : List.of(m.section(), m.material());
    }

    private void members() {
        Map<List<String>, List<Object>> bySection = new LinkedHashMap<>();
        for (Member m : b.members()) {
            String key = member(m.id());
            double[][] axes = LocalAxes.of(index.joint(m.start()), index.joint(m.end()), m.angle());
            StepWriter.Ref edge = w.add("IFCEDGE", vertices.get(m.start()), vertices.get(m.end()));
            StepWriter.Ref item = w.add(
                    "IFCSTRUCTURALCURVEMEMBER",
                    f.ids.of(key),
                    null,
                    m.id(),
                    null,
                    m.role().name(),
                    f.world(),
                    topology(key, "Edge", edge),
                    new StepWriter.Word("RIGID_JOINED_MEMBER"),
                    f.direction(new Point3(axes[2][0], axes[2][1], axes[2][2])));
            item(key, item);
            end(m, "start", m.start(), m.startRelease());
            end(m, "end", m.end(), m.endRelease());
            bySection.computeIfAbsent(key(m), k -> new ArrayList<>()).add(item);
            own(m, item);
        }
        bySection.forEach((of, list) -> {
            Member one = b.members().stream()
                    .filter(m -> m.section().equals(of.get(0)) && m.material().equals(of.get(1)))
                    .findFirst()
                    .orElseThrow();
            StepWriter.Ref set = sections.set(index.sectionOf(one), index.materialOf(one), of.size() > 2);
            w.add(
                    "IFCRELASSOCIATESMATERIAL",
                    f.ids.of("material " + of),
                    null,
                    null,
                    null,
                    list,
                    w.add("IFCMATERIALPROFILESETUSAGE", set, 5, null));
        });
    }

    private void end(Member m, String which, String joint, Release r) {
        StepWriter.Ref condition = null;
        if (r.any()) {
            Object[] v = new Object[7];
            for (int i = 0; i < 6; i++) {
                double k = r.at(i);
                v[i + 1] = k == 0 || k == Release.RIGID
                        ? new StepWriter.Typed("IFCBOOLEAN", k != 0)
                        : stiffness(i, k * (i < 3 ? PER_METRE : NEWTON_METRE));
            }
            condition = w.add("IFCBOUNDARYNODECONDITION", v);
        }
        w.add(
                "IFCRELCONNECTSSTRUCTURALMEMBER",
                f.ids.of(which + " of " + m.id()),
                null,
                null,
                null,
                items.get(member(m.id())),
                items.get(joint(joint)),
                condition,
                null,
                null,
                null);
    }

    /** What a member has of its own beside the standard. */
    private void own(Member m, StepWriter.Ref item) {
        List<Object> told = new ArrayList<>();
        length(told, "RigidStart", m.rigidStart());
        length(told, "RigidEnd", m.rigidEnd());
        if (m.stiffness() != null) {
            factors(told, "", m.stiffness());
        }
        attach("own of member " + m.id(), MEMBER_SET, item, told);
    }

    private void length(List<Object> told, String name, double mm) {
        if (mm != 0) {
            told.add(sections.single(name, "IFCLENGTHMEASURE", mm / 1000));
        }
    }

    private void factors(List<Object> told, String of, StiffnessFactors s) {
        double[] v = {s.area(), s.shearY(), s.shearZ(), s.iy(), s.iz(), s.torsion()};
        String[] names = {"Area", "ShearY", "ShearZ", "Iy", "Iz", "Torsion"};
        for (int i = 0; i < v.length; i++) {
            told.add(sections.single(of + "Factor" + names[i], "IFCREAL", v[i]));
        }
    }

    private void attach(String what, String name, StepWriter.Ref to, List<Object> properties) {
        if (!properties.isEmpty()) {
            StepWriter.Ref set = w.add("IFCPROPERTYSET", f.ids.of("set " + what), null, name, null, properties);
            w.add("IFCRELDEFINESBYPROPERTIES", f.ids.of(what), null, null, null, List.of(to), set);
        }
    }

    private void panels() {
        for (SlabPanel p : b.panels()) {
            String key = panel(p.id());
            List<Object> corners = new ArrayList<>();
            p.joints().forEach(j -> corners.add(points.get(j)));
            double z = index.joint(p.joints().get(0)).z();
            List<Object> bounds = new ArrayList<>();
            bounds.add(w.add("IFCFACEOUTERBOUND", w.add("IFCPOLYLOOP", corners), true));
            p.holes().forEach(hole -> {
                List<Object> round = new ArrayList<>();
                hole.forEach(q -> round.add(f.point(new Point3(q.x(), q.y(), z))));
                bounds.add(w.add("IFCFACEBOUND", w.add("IFCPOLYLOOP", round), true));
            });
            StepWriter.Ref item = w.add(
                    "IFCSTRUCTURALSURFACEMEMBER",
                    f.ids.of(key),
                    null,
                    p.id(),
                    null,
                    "SLAB",
                    f.world(),
                    topology(key, "Face", w.add("IFCFACE", bounds)),
                    new StepWriter.Word("SHELL"),
                    p.thickness() / 1000);
            item(key, item);
            List<Object> told = new ArrayList<>();
            told.add(sections.single("OneWay", "IFCBOOLEAN", p.oneWay()));
            told.add(sections.single("SpanAngleDegrees", "IFCREAL", Math.toDegrees(p.spanAngle())));
            // N/mm3 as N/m3
            told.add(sections.single("UnitWeight", "IFCREAL", p.weight() * 1e9));
            attach("own of panel " + p.id(), PANEL_SET, item, told);
        }
    }

    private void model(List<Object> groups) {
        StepWriter.Ref model = w.add(
                "IFCSTRUCTURALANALYSISMODEL",
                f.ids.of("analysis model"),
                null,
                b.name(),
                null,
                null,
                new StepWriter.Word("LOADING_3D"),
                null,
                groups.isEmpty() ? null : groups,
                null,
                f.world());
        w.add("IFCRELASSIGNSTOGROUP", f.ids.of("items of the model"), null, null, null, all, null, model);
        w.add(
                "IFCRELSERVICESBUILDINGS",
                f.ids.of("model of the building"),
                null,
                null,
                null,
                model,
                List.of(f.building()));
        List<Object> told = new ArrayList<>();
        told.add(sections.single("ShearDeformation", "IFCBOOLEAN", b.options().shearDeformation()));
        told.add(sections.single("PatternLive", "IFCBOOLEAN", b.options().patternLive()));
        told.add(sections.single("RigidEnds", "IFCREAL", b.options().rigidEnds()));
        told.add(sections.single("Inclination", "IFCREAL", b.options().inclination()));
        factors(told, "Beam", b.options().beams());
        factors(told, "Column", b.options().columns());
        b.options().pDelta().forEach(t -> told.add(sections.single("PDelta " + t.loadCase(), "IFCREAL", t.factor())));
        attach("own of the model", ANALYSIS_SET, model, told);
    }

    private void diaphragms() {
        for (Diaphragm d : b.diaphragms()) {
            StepWriter.Ref group = w.add(
                    "IFCGROUP", f.ids.of("diaphragm " + d.id()), null, d.id(), null, d.rigid() ? RIGID : FLEXIBLE);
            List<Object> joints = new ArrayList<>();
            d.joints().forEach(j -> joints.add(items.get(joint(j))));
            w.add("IFCRELASSIGNSTOGROUP", f.ids.of("joints of " + d.id()), null, null, null, joints, null, group);
        }
    }

    /** A grid has lines two ways; those that run rather along X first. */
    private void grid() {
        List<Object> u = new ArrayList<>();
        List<Object> v = new ArrayList<>();
        for (GridLine g : b.gridLines()) {
            StepWriter.Ref line = w.add(
                    "IFCPOLYLINE",
                    List.of(f.point(new Point3(g.x1(), g.y1(), 0)), f.point(new Point3(g.x2(), g.y2(), 0))));
            (Math.abs(g.x2() - g.x1()) >= Math.abs(g.y2() - g.y1()) ? u : v)
                    .add(w.add("IFCGRIDAXIS", g.id(), line, true));
        }
        if (!u.isEmpty() && !v.isEmpty()) {
            StepWriter.Ref grid =
                    w.add("IFCGRID", f.ids.of("grid"), null, "Grid", null, null, f.world(), null, u, v, null, null);
            f.holds("", grid);
            f.containment();
        }
    }
}
