package kolonne.core.model;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;

/**
 * Bounds of every number of a model, far beyond anything that is built: what lies outside is a slip of the unit or of a digit, and would
 * overflow or lose all digits in the analysis. NaN and infinite values lie outside.
 */
final class NumberCheck {
    /** Coordinates: national grids reach 10 000 km [mm]. */
    static final double COORDINATE = 1e10;
    /** Extent of a model: 20 km [mm]. */
    static final double EXTENT = 2e7;
    /** A member: 1 km [mm]. */
    static final double LENGTH = 1e6;
    /** Forces [N], moments [Nmm], forces per length [N/mm] and per area [N/mm2]. */
    static final double FORCE = 1e12;

    static final double MOMENT = 1e16;
    static final double LINE_LOAD = 1e7;
    static final double PRESSURE = 1e3;
    /** Factors on load cases and on the weight. */
    static final double FACTOR = 1e3;
    /** Factors on stiffness. */
    static final double STIFFNESS_MOST = 1e4;

    static final double STIFFNESS_LEAST = 1e-6;
    /** Stiffness of springs and connections [N/mm], [Nmm/rad]. */
    static final double SPRING = 1e12;

    static final double ROTATION_SPRING = 1e18;
    /** Movements of the ground [mm], [rad]. */
    static final double MOVEMENT = 1e4;

    static final double ROTATION = 1;
    /** Angles [rad]. */
    static final double ANGLE = 100;
    /** Thickness of slabs [mm] and their weight [N/mm3]. */
    static final double THICKNESS = 5e3;

    static final double WEIGHT = 40e-6;

    private final Consumer<Finding> out;

    private NumberCheck(Consumer<Finding> out) {
        this.out = out;
    }

    static void run(Building b, Consumer<Finding> out) {
        NumberCheck c = new NumberCheck(out);
        c.places(b);
        c.stiffness(b);
        c.loads(b);
        c.forces(b.stationForces());
    }

    private void places(Building b) {
        b.storeys().forEach(s -> within("storey " + s.id(), "elevation", s.elevation(), COORDINATE, 1e-3, "m"));
        b.gridLines()
                .forEach(g -> all(
                        "grid line " + g.id(), "coordinate", COORDINATE, 1e-3, "m", g.x1(), g.y1(), g.x2(), g.y2()));
        b.joints().forEach(j -> all("joint " + j.id(), "coordinate", COORDINATE, 1e-3, "m", j.x(), j.y(), j.z()));
        for (SlabPanel p : b.panels()) {
            String where = "slab panel " + p.id();
            within(where, "thickness", p.thickness(), THICKNESS, 1, "mm");
            within(where, "unit weight", p.weight(), WEIGHT, 1e6, "kN/m3");
            within(where, "angle of the span", p.spanAngle(), ANGLE, 180 / Math.PI, "degrees");
            p.holes()
                    .forEach(h -> h.forEach(
                            q -> all(where, "coordinate of an opening", COORDINATE, 1e-3, "m", q.x(), q.y())));
        }
    }

    private void stiffness(Building b) {
        AnalysisOptions o = b.options();
        factors("analysis options", o.beams());
        factors("analysis options", o.columns());
        o.pDelta()
                .forEach(t ->
                        within("analysis options", "factor of P-Delta on " + t.loadCase(), t.factor(), FACTOR, 1, ""));
        for (Member m : b.members()) {
            String where = "member " + m.id();
            within(where, "angle", m.angle(), ANGLE, 180 / Math.PI, "degrees");
            if (m.stiffness() != null) {
                factors(where, m.stiffness());
            }
            connection(where, m.startRelease());
            connection(where, m.endRelease());
        }
        for (Spring s : b.springs()) {
            for (int i = 0; i < 6; i++) {
                within(
                        "spring at " + s.joint(),
                        "stiffness",
                        s.at(i),
                        i < 3 ? SPRING : ROTATION_SPRING,
                        i < 3 ? 1 : 1e-6,
                        i < 3 ? "kN/m" : "kNm/rad");
            }
        }
    }

    private void connection(String where, Release r) {
        for (int i = 0; i < 6; i++) {
            if (r.at(i) < Release.RIGID) {
                within(
                        where,
                        "stiffness of a connection",
                        r.at(i),
                        i < 3 ? SPRING : ROTATION_SPRING,
                        i < 3 ? 1 : 1e-6,
                        i < 3 ? "kN/m" : "kNm/rad");
            }
        }
    }

    private void factors(String where, StiffnessFactors f) {
        for (double v : new double[] {f.area(), f.shearY(), f.shearZ(), f.iy(), f.iz(), f.torsion()}) {
            if (v > 0 && !(v >= STIFFNESS_LEAST && v <= STIFFNESS_MOST)) {
                out.accept(Finding.fails(
                        "value.bounds",
                        where,
                        String.format(
                                Locale.ROOT,
                                "A stiffness factor is %.3g, outside %.0e to %.0e.",
                                v,
                                STIFFNESS_LEAST,
                                STIFFNESS_MOST),
                        "Use a factor nearer to 1: the digits of the analysis would be lost."));
            }
        }
    }

    private void loads(Building b) {
        b.loadCases()
                .forEach(c -> within("load case " + c.id(), "factor on the weight", c.selfWeight(), FACTOR, 1, ""));
        for (MemberLoad l : b.memberLoads()) {
            String where = "member load on " + l.member() + " in " + l.loadCase();
            boolean moment = l.kind() == MemberLoad.Kind.MOMENT;
            double limit = switch (l.kind()) {
                case POINT -> FORCE;
                case MOMENT -> MOMENT;
                case DISTRIBUTED -> LINE_LOAD;
                case DISTRIBUTED_MOMENT -> FORCE;
            };
            double shown = l.kind() == MemberLoad.Kind.DISTRIBUTED ? 1 : moment ? 1e-6 : 1e-3;
            String unit = l.kind() == MemberLoad.Kind.DISTRIBUTED
                    ? "kN/m"
                    : moment ? "kNm" : l.kind() == MemberLoad.Kind.POINT ? "kN" : "kNm/m";
            all(where, "load", limit, shown, unit, l.w1(), l.w2());
        }
        b.areaLoads()
                .forEach(l -> within(
                        "area load on " + l.panel() + " in " + l.loadCase(),
                        "pressure",
                        l.pressure(),
                        PRESSURE,
                        1e3,
                        "kN/m2"));
        for (JointLoad l : b.jointLoads()) {
            for (int i = 0; i < 6; i++) {
                within(
                        "joint load on " + l.joint() + " in " + l.loadCase(),
                        i < 3 ? "force" : "moment",
                        l.at(i),
                        i < 3 ? FORCE : MOMENT,
                        i < 3 ? 1e-3 : 1e-6,
                        i < 3 ? "kN" : "kNm");
            }
        }
        for (Settlement s : b.settlements()) {
            for (int i = 0; i < 6; i++) {
                within(
                        "settlement of " + s.joint() + " in " + s.loadCase(),
                        i < 3 ? "movement" : "rotation",
                        s.at(i),
                        i < 3 ? MOVEMENT : ROTATION,
                        1,
                        i < 3 ? "mm" : "rad");
            }
        }
        b.combinations()
                .forEach(c -> c.terms()
                        .forEach(t -> within(
                                "combination " + c.id(), "factor on " + t.loadCase(), t.factor(), FACTOR, 1, "")));
    }

    private void forces(List<StationForces> all) {
        for (StationForces s : all) {
            String where = "station forces of " + s.member() + " in " + s.loadCase();
            within(where, "place", s.x(), EXTENT, 1e-3, "m");
            all(where, "force", FORCE, 1e-3, "kN", s.n(), s.vy(), s.vz());
            all(where, "moment", MOMENT, 1e-6, "kNm", s.t(), s.my(), s.mz());
        }
    }

    private void all(String where, String name, double limit, double factor, String unit, double... values) {
        for (double v : values) {
            if (!(Math.abs(v) <= limit)) {
                within(where, name, v, limit, factor, unit);
                return;
            }
        }
    }

    private void within(String where, String name, double v, double limit, double factor, String unit) {
        if (!(Math.abs(v) <= limit)) {
            String units = unit.isEmpty() ? "" : " " + unit;
            String value = Double.isNaN(v)
                    ? "not a number"
                    : Double.isInfinite(v)
                            ? "beyond any number"
                            : String.format(Locale.ROOT, "%.3g%s", v * factor, units);
            out.accept(Finding.fails(
                    "value.bounds",
                    where,
                    String.format(
                            Locale.ROOT, "The %s is %s; at most %.3g%s is read.", name, value, limit * factor, units),
                    "Check the number and the units of the file."));
        }
    }
}
