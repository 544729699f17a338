package kolonne.exchange.ifc;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.check.CheckResult;
import kolonne.core.design.BuildingDesign;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.project.ProjectData;
import kolonne.core.space.Body;
import kolonne.core.space.BuildingInSpace;
import kolonne.core.space.Frame;
import kolonne.core.space.Point3;
import kolonne.core.space.SpaceBar;
import kolonne.core.work.Progress;

/**
 * A designed building as IFC 4: storeys; beams and columns with profiles, materials, quantities and what the design says of them; every bar at its place. Lengths in
 * millimetres. The same design gives the same bytes.
 */
public final class DesignIfc {
    private final BuildingDesign design;
    private final StepWriter w;
    private final IfcFrame f;
    private final IfcSections sections;
    private final BarsIfc bars;
    private final Map<StepWriter.Ref, List<Object>> bySet = new LinkedHashMap<>();
    private final Map<Double, StepWriter.Ref> rises = new HashMap<>();

    private DesignIfc(BuildingDesign design, ProjectData project, Writer out) {
        Building b = design.analysis().index().building();
        this.design = design;
        w = new StepWriter(out);
        w.header("ViewDefinition [ReferenceView_V1.2]", b.name() + ".ifc", IfcFrame.stamp(project));
        f = new IfcFrame(w, b, project.title(b.name()), false);
        sections = new IfcSections(w, 1);
        bars = new BarsIfc(f);
    }

    /**
     * @param withBars whether bars are written, or concrete alone
     */
    public static void write(
            BuildingDesign design, ProjectData project, boolean withBars, Progress progress, Writer out)
            throws IOException {
        try {
            DesignIfc d = new DesignIfc(design, project, out);
            BuildingInSpace.each(design, progress, p -> d.piece(p, withBars));
            d.end();
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private void end() throws IOException {
        f.containment();
        bySet.forEach((set, members) -> w.add(
                "IFCRELASSOCIATESMATERIAL",
                f.ids.of("material " + set.number()),
                null,
                null,
                null,
                members,
                w.add("IFCMATERIALPROFILESETUSAGE", set, 5, null)));
        bars.relations(sections);
        w.end();
    }

    private void piece(BuildingInSpace.Piece p, boolean withBars) {
        List<Object> told = new ArrayList<>();
        for (Body b : p.placed().bodies()) {
            told.add(member(p, b));
        }
        if (withBars && !p.placed().bars().isEmpty()) {
            told.add(cage(p));
        }
        if (!told.isEmpty()) {
            properties(p, told);
        }
    }

    private StepWriter.Ref member(BuildingInSpace.Piece p, Body b) {
        Frame frame = p.placed().frame();
        String id = b.member().id();
        StepWriter.Ref at = f.inStorey(p.storey(), frame.global(b.at()), frame.z(), frame.x());
        StepWriter.Ref position = rises.computeIfAbsent(
                b.rise(), r -> f.placement(new Point3(0, 0, r), new Point3(1, 0, 0), new Point3(0, 1, 0)));
        StepWriter.Ref solid = w.add(
                "IFCEXTRUDEDAREASOLID",
                sections.profile(b.section(), !p.beam()),
                position,
                f.direction(new Point3(0, 0, 1)),
                b.length());
        StepWriter.Ref shape = w.add(
                "IFCPRODUCTDEFINITIONSHAPE",
                null,
                null,
                List.of(w.add("IFCSHAPEREPRESENTATION", f.body, "Body", "SweptSolid", List.of(solid))));
        StepWriter.Ref member = w.add(
                p.beam() ? "IFCBEAM" : "IFCCOLUMN",
                f.ids.of("member " + id),
                null,
                id,
                null,
                b.section().id(),
                at,
                shape,
                p.mark(),
                new StepWriter.Word(p.beam() ? "BEAM" : "COLUMN"));
        f.holds(p.storey(), member);
        bySet.computeIfAbsent(sections.set(b.section(), b.material(), !p.beam()), k -> new ArrayList<>())
                .add(member);
        quantities(p, b, member);
        return member;
    }

    private void quantities(BuildingInSpace.Piece p, Body b, StepWriter.Ref member) {
        double area = b.section().shape().A() * 1e-6;
        StepWriter.Ref set = w.add(
                "IFCELEMENTQUANTITY",
                f.ids.of("quantities " + b.member().id()),
                null,
                p.beam() ? "Qto_BeamBaseQuantities" : "Qto_ColumnBaseQuantities",
                null,
                null,
                List.of(
                        w.add("IFCQUANTITYLENGTH", "Length", null, null, b.length(), null),
                        w.add("IFCQUANTITYAREA", "CrossSectionArea", null, null, area, null),
                        w.add("IFCQUANTITYVOLUME", "GrossVolume", null, null, area * b.length() / 1000, null)));
        w.add(
                "IFCRELDEFINESBYPROPERTIES",
                f.ids.of("quantities of " + b.member().id()),
                null,
                null,
                null,
                List.of(member),
                set);
    }

    /** The bars of a line or lift, as one unit. */
    private StepWriter.Ref cage(BuildingInSpace.Piece p) {
        Frame frame = p.placed().frame();
        String name = cageName(p);
        StepWriter.Ref at = f.inStorey(p.storey(), frame.at(), frame.z(), frame.x());
        StepWriter.Ref cage = w.add(
                "IFCELEMENTASSEMBLY",
                f.ids.of("cage " + name),
                null,
                name,
                null,
                p.type() ? p.schedule() : null,
                at,
                null,
                p.schedule(),
                null,
                new StepWriter.Word("REINFORCEMENT_UNIT"));
        List<Object> parts = new ArrayList<>();
        double mass = 0;
        for (SpaceBar b : p.placed().bars()) {
            parts.add(bars.bar(b, at, "bar " + name + " " + parts.size(), p.schedule() + " " + b.mark(), p.fy()));
            mass += b.item().mass() / b.item().number();
        }
        f.aggregate("cage " + name, cage, parts);
        f.holds(p.storey(), cage);
        attach(
                "steel of " + name,
                "Kolonne_Reinforcement",
                List.of(cage),
                List.of(
                        sections.single("Bars", "IFCCOUNTMEASURE", parts.size()),
                        sections.single("Mass", "IFCMASSMEASURE", mass)));
        return cage;
    }

    /** Its line's mark, or its stack's with the member of the lift. */
    private String cageName(BuildingInSpace.Piece p) {
        return p.beam()
                ? p.mark()
                : p.mark() + " " + p.placed().bodies().get(0).member().id();
    }

    /** What the design says of a line or lift, on its members and its cage. */
    private void properties(BuildingInSpace.Piece p, List<Object> of) {
        List<Object> all = new ArrayList<>();
        all.add(label("Mark", p.mark()));
        if (p.type()) {
            all.add(label("Type", p.schedule()));
        }
        all.add(label("DesignCode", design.basis().entry().name()));
        CheckResult c = p.governing();
        if (c != null) {
            all.add(sections.single("Utilisation", "IFCRATIOMEASURE", c.utilisation()));
            all.add(label("GoverningCheck", c.kind().title()));
            all.add(label("Place", c.place()));
            all.add(label("Combination", c.combination()));
        }
        List<Finding> fails = p.findings().stream()
                .filter(x -> x.severity() == Severity.FAILS)
                .toList();
        all.add(sections.single("Satisfied", "IFCBOOLEAN", fails.isEmpty()));
        if (!fails.isEmpty()) {
            all.add(w.add(
                    "IFCPROPERTYLISTVALUE",
                    "Fails",
                    null,
                    fails.stream()
                            .map(x -> (Object) new StepWriter.Typed("IFCTEXT", x.where() + ": " + x.what()))
                            .toList(),
                    null));
        }
        all.add(sections.single("ConcreteCover", "IFCPOSITIVELENGTHMEASURE", p.cover()));
        attach("design of " + cageName(p), "Kolonne_Design", of, all);
    }

    private void attach(String what, String name, List<Object> of, List<Object> properties) {
        StepWriter.Ref set = w.add("IFCPROPERTYSET", f.ids.of("set " + what), null, name, null, properties);
        w.add("IFCRELDEFINESBYPROPERTIES", f.ids.of(what), null, null, null, of, set);
    }

    private StepWriter.Ref label(String name, String value) {
        return sections.single(name, "IFCLABEL", value);
    }
}
