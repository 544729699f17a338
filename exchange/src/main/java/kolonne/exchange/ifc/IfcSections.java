package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.model.Material;
import kolonne.core.model.Section;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Shape;

/** Profiles and materials, each written once. Profiles lie about the middle of their width and depth; seen along the member y is to the left of x, z up. */
final class IfcSections {
    private final StepWriter w;
    private final double unit;
    private final Map<String, StepWriter.Ref> profiles = new HashMap<>();
    private final Map<String, StepWriter.Ref> materials = new HashMap<>();
    private final Map<List<String>, StepWriter.Ref> sets = new HashMap<>();

    /** @param unit what a millimetre is in the file's unit of length */
    IfcSections(StepWriter w, double unit) {
        this.w = w;
        this.unit = unit;
    }

    /** @param column whose ells and tees lie about their centroid, x along the member's y axis */
    StepWriter.Ref profile(Section s, boolean column) {
        boolean legs = legs(s, column);
        String key = s.id() + (legs ? " of a column" : "");
        StepWriter.Ref known = profiles.get(key);
        if (known == null) {
            known = legs ? centred(s.id(), s.shape()) : profile(s.id(), s.shape());
            profiles.put(key, known);
        }
        return known;
    }

    private static boolean legs(Section s, boolean column) {
        return column && s.shape() instanceof Shape.Flanged;
    }

    private StepWriter.Ref centred(String name, Shape shape) {
        List<Object> points = new ArrayList<>();
        for (Outline.Corner c : Outline.centred(shape).rings().get(0).corners()) {
            points.add(w.add("IFCCARTESIANPOINT", List.of(at(c.x()), at(c.y()))));
        }
        points.add(points.get(0));
        return w.add("IFCARBITRARYCLOSEDPROFILEDEF", new StepWriter.Word("AREA"), name, w.add("IFCPOLYLINE", points));
    }

    private double at(double mm) {
        return mm * unit;
    }

    private StepWriter.Ref profile(String name, Shape shape) {
        StepWriter.Word area = new StepWriter.Word("AREA");
        if (shape instanceof Shape.Rectangle r) {
            return w.add("IFCRECTANGLEPROFILEDEF", area, name, null, at(r.b()), at(r.h()));
        }
        if (shape instanceof Shape.Circle c) {
            return w.add("IFCCIRCLEPROFILEDEF", area, name, null, at(c.d() / 2));
        }
        Shape.Flanged f = (Shape.Flanged) shape;
        if (shape instanceof Shape.Ell) {
            return w.add("IFCARBITRARYCLOSEDPROFILEDEF", area, name, outline(f));
        }
        StepWriter.Ref position = shape instanceof Shape.InvertedTee
                ? w.add(
                        "IFCAXIS2PLACEMENT2D",
                        w.add("IFCCARTESIANPOINT", List.of(0.0, 0.0)),
                        w.add("IFCDIRECTION", List.of(-1.0, 0.0)))
                : null;
        return w.add(
                "IFCTSHAPEPROFILEDEF",
                area,
                name,
                position,
                at(f.h()),
                at(f.bf()),
                at(f.bw()),
                at(f.hf()),
                null,
                null,
                null,
                null,
                null);
    }

    /** An ell: its web about the middle, the flange to the right seen along the member, which is away from the profile's x. */
    private StepWriter.Ref outline(Shape.Flanged f) {
        double x = f.bw() / 2;
        double flange = f.bf() - x;
        double top = f.h() / 2;
        double[][] corners = {
            {x, -top}, {x, top}, {-flange, top}, {-flange, top - f.hf()}, {-x, top - f.hf()}, {-x, -top}
        };
        List<Object> points = new ArrayList<>();
        for (double[] c : corners) {
            points.add(w.add("IFCCARTESIANPOINT", List.of(at(c[0]), at(c[1]))));
        }
        points.add(points.get(0));
        return w.add("IFCPOLYLINE", points);
    }

    /** A concrete with its strength and stiffness. */
    StepWriter.Ref material(Material m) {
        StepWriter.Ref known = materials.get(m.id());
        if (known == null) {
            known = w.add("IFCMATERIAL", m.id(), null, "concrete");
            materials.put(m.id(), known);
            properties(
                    "Pset_MaterialConcrete", known, single("CompressiveStrength", "IFCPRESSUREMEASURE", 1e6 * m.fc()));
            properties(
                    "Pset_MaterialMechanical",
                    known,
                    single("YoungModulus", "IFCMODULUSOFELASTICITYMEASURE", 1e6 * m.E()),
                    single("PoissonRatio", "IFCPOSITIVERATIOMEASURE", m.poisson()));
            // N/mm3 of reinforced concrete as kg/m3
            properties(
                    "Pset_MaterialCommon", known, single("MassDensity", "IFCMASSDENSITYMEASURE", m.weight() * 1e9 / G));
        }
        return known;
    }

    /** Standard gravity [m/s2]. */
    static final double G = 9.80665;

    private void properties(String set, StepWriter.Ref of, StepWriter.Ref... properties) {
        w.add("IFCMATERIALPROPERTIES", set, null, List.of((Object[]) properties), of);
    }

    StepWriter.Ref single(String name, String type, Object value) {
        return w.add("IFCPROPERTYSINGLEVALUE", name, null, new StepWriter.Typed(type, value), null);
    }

    /** Reinforcement. @param fy [MPa] */
    StepWriter.Ref steel(double fy) {
        String name = "Reinforcement, fy " + StepWriter.real(fy).replaceFirst("\\.$", "") + " MPa";
        StepWriter.Ref known = materials.get(name);
        if (known == null) {
            known = w.add("IFCMATERIAL", name, null, "steel");
            materials.put(name, known);
            properties("Pset_MaterialSteel", known, single("YieldStress", "IFCPRESSUREMEASURE", 1e6 * fy));
        }
        return known;
    }

    /** A section of a material. @param column as of {@link #profile(Section, boolean)} */
    StepWriter.Ref set(Section s, Material m, boolean column) {
        List<String> key = List.of(s.id(), m.id(), legs(s, column) ? "column" : "");
        StepWriter.Ref known = sets.get(key);
        if (known == null) {
            StepWriter.Ref one = w.add("IFCMATERIALPROFILE", s.id(), null, material(m), profile(s, column), null, null);
            known = w.add("IFCMATERIALPROFILESET", s.id() + ", " + m.id(), null, List.of(one), null);
            sets.put(key, known);
        }
        return known;
    }
}
