package kolonne.core.single;

import static kolonne.core.explain.Trace.in;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import kolonne.core.beam.line.IgnoredForces;
import kolonne.core.check.CheckResult;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.Spirals;
import kolonne.core.code.Torsion;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Finding;
import kolonne.core.section.BarLayer;
import kolonne.core.section.ColumnSection;
import kolonne.core.section.Developed;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.section.InteractionSurface;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.TorsionTube;
import kolonne.core.section.general.Outline;
import kolonne.core.section.general.Surfaces;
import kolonne.core.shape.Shape;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Spot;

/** Strengths of a section, and the use of every check under sets of forces. */
public final class SectionUses implements Uses {
    /** Bars nearer in height than this are one level of the perimeter [mm]. */
    private static final double ONE_LEVEL = 60;

    static final String THRESHOLD = "torsion-threshold";

    private final SingleSection s;
    private final double h;
    private final double bw;

    public SectionUses(SingleSection s) {
        this.s = s;
        h = s.shape().depth();
        bw = s.shape().webWidth();
    }

    /** A use: demand against capacity. @param clause of the code */
    public record Use(
            String check, double demand, double capacity, Quantity quantity, double utilisation, Clause clause) {}

    @Override
    public Optional<StrengthSurface> surface() {
        return s.column() ? Optional.of(columnSurface()) : Optional.empty();
    }

    @Override
    public Drawn drawn() {
        return s.shape() instanceof Shape.Circle c
                ? new Drawn(null, c.d(), s.bars())
                : new Drawn(Outline.of(s.shape()), 0, s.bars());
    }

    @Override
    public String id() {
        return s.id();
    }

    @Override
    public double fc() {
        return s.fc();
    }

    @Override
    public double fy() {
        return s.fy();
    }

    @Override
    public DesignCode code() {
        return s.code();
    }

    @Override
    public Map<String, Double> strengths() {
        Map<String, Double> out = new LinkedHashMap<>();
        if (s.column()) {
            StrengthSurface c = columnSurface();
            out.put("phiPnMaxN", c.axialCap());
            out.put("phiTnTensionN", c.tension());
        } else {
            for (boolean sagging : new boolean[] {true, false}) {
                FlexuralStrength f = flexure(sagging, 0, Trace.OFF);
                String name = sagging ? "Sagging" : "Hogging";
                out.put("phiMn" + name + "Nmm", f.phiMn());
                out.put("neutralAxis" + name + "Mm", f.c());
                out.put("tensionStrain" + name, f.epsT());
                out.put("phi" + name, f.phi());
            }
            Torsion t = s.code().torsion();
            TorsionSection tube = tube();
            out.put("phiTthNmm", t.threshold(tube, Trace.OFF));
            out.put("phiTcrNmm", t.cracking(tube, Trace.OFF));
            if (s.stirrup().spacing() > 0) {
                out.put("phiTnNmm", s.stirrup().area() / s.stirrup().spacing() / t.legSteel(1, tube, Trace.OFF));
            }
        }
        ShearStrength v = s.column() ? columnShear().strength(0, 0, true, Trace.OFF) : shear(true, Trace.OFF);
        out.put("phiVcN", v.concrete());
        out.put("phiVnN", v.total());
        out.put("phiVnMaxN", v.limit());
        return out;
    }

    @Override
    public List<Finding> findings() {
        List<Finding> out = new ArrayList<>(SectionScope.of(s.id(), s.code(), s.fc(), s.fy(), s.fyt()));
        SectionScope.collision(s.id(), s.bars()).ifPresent(out::add);
        return out;
    }

    @Override
    public List<Use> uses(Forces f) {
        List<Use> out = new ArrayList<>(s.column() ? column(f, Trace.OFF) : beam(f, Trace.OFF));
        // below its threshold torsion may be neglected: nothing is used by it
        out.sort(Comparator.comparingDouble((Use u) -> u.check().equals(THRESHOLD) ? -1 : u.utilisation())
                .reversed());
        return out;
    }

    @Override
    public List<Step> explain(Forces f) {
        Trace t = Trace.recording();
        if (s.column()) {
            column(f, t);
        } else {
            beam(f, t);
        }
        return t.steps();
    }

    // ---- beams
    // --------------------------------------------------------------------------------------------------------

    private List<Use> beam(Forces f, Trace t) {
        List<Use> out = new ArrayList<>();
        leftOut(out, f, t);
        boolean sagging = f.my() >= 0;
        Torsion rules = s.code().torsion();
        TorsionSection tube = tube();
        double torque = Math.abs(f.t());
        double v = Math.abs(f.vz());
        boolean twists = torque > rules.threshold(tube, t);
        double level = twists
                ? Math.max(rules.longitudinalSteel(torque, tube, t), rules.longitudinalMinimum(torque, tube, t))
                        / levels().size()
                : 0;
        double part = level > 0 ? Math.min(1, level / tension(sagging)) : 0;
        FlexuralStrength m = flexure(sagging, part, t);
        use(
                out,
                "flexure",
                Math.abs(f.my()),
                part < 1 ? m.phiMn() : 0,
                Quantity.MOMENT,
                s.code().flexureClause(),
                t);
        ShearStrength shear = shear(sagging, t);
        use(out, "shear", v, shear.total(), Quantity.FORCE, s.code().shearClause(), t);
        use(out, "shear-limit", v, shear.limit(), Quantity.FORCE, s.code().shearLimitClause(), t);
        if (!twists) {
            use(out, THRESHOLD, torque, rules.threshold(tube, Trace.OFF), Quantity.MOMENT, rules.thresholdClause(), t);
            return out;
        }
        double needed = rules.legSteel(torque, tube, t)
                + s.code().shearSteelBesideTorsion(shearInput(sagging), v)
                        / s.stirrup().legsAcross();
        double leg =
                s.stirrup().spacing() > 0 ? s.stirrup().area() / s.stirrup().spacing() : 0;
        use(out, "torsion", needed, leg, Quantity.AREA_PER_LENGTH, rules.legClause(), t);
        double limit = rules.limitUse(v, torque, tube, depth(sagging), shear.limit(), t);
        out.add(new Use("shear-torsion-limit", torque, torque / limit, Quantity.MOMENT, limit, rules.limitClause()));
        double weakest = levels().values().stream()
                .mapToDouble(Double::doubleValue)
                .min()
                .orElse(0);
        use(out, "torsion-bars", level, weakest, Quantity.AREA, rules.longitudinalClause(), t);
        use(
                out,
                "torsion-spacing",
                s.stirrup().spacing(),
                rules.stirrupSpacing(tube),
                Quantity.LENGTH,
                rules.stirrupSpacingClause(),
                t);
        return out;
    }

    /** Forces that the checks leave out, against how much may be left out. */
    private void leftOut(List<Use> out, Forces f, Trace t) {
        if (f.n() != 0) {
            use(
                    out,
                    "axial-force",
                    Math.abs(f.n()),
                    IgnoredForces.axial(s.code(), s.shape(), s.fc(), f.n() > 0),
                    Quantity.FORCE,
                    s.code().beamAxialClause(),
                    t);
        }
        if (f.mz() != 0) {
            use(
                    out,
                    "minor-moment",
                    Math.abs(f.mz()),
                    IgnoredForces.minorMoment(s.shape(), s.fc()),
                    Quantity.MOMENT,
                    s.code().flexureClause(),
                    t);
        }
        if (f.vy() != 0) {
            use(
                    out,
                    "minor-shear",
                    Math.abs(f.vy()),
                    IgnoredForces.minorShear(s.shape(), s.fc()),
                    Quantity.FORCE,
                    s.code().shearClause(),
                    t);
        }
    }

    /** Adds a use and records it as a step. */
    static void use(List<Use> out, String check, double demand, double capacity, Quantity q, Clause clause, Trace t) {
        double u = CheckResult.use(demand, capacity);
        out.add(new Use(check, demand, capacity, q, u, clause));
        if (t.on()) {
            t.step(
                    check,
                    "demand / capacity",
                    "{0} / {1}",
                    u,
                    Quantity.UTILISATION,
                    clause,
                    in(demand, q),
                    in(capacity, q));
        }
    }

    /** Bars by depth from the compression face, the tension half less a part taken by torsion. */
    private List<BarLayer> layers(boolean sagging, double part) {
        Map<Double, Double> byDepth = new TreeMap<>();
        for (Spot b : s.bars()) {
            double depth = sagging ? h - b.z() : b.z();
            byDepth.merge(depth, b.area() * (depth > h / 2 ? 1 - part : 1), Double::sum);
        }
        return byDepth.entrySet().stream()
                .map(e -> new BarLayer(e.getKey(), e.getValue()))
                .toList();
    }

    private double tension(boolean sagging) {
        return s.bars().stream()
                .filter(b -> (sagging ? h - b.z() : b.z()) > h / 2)
                .mapToDouble(Spot::area)
                .sum();
    }

    private FlexuralStrength flexure(boolean sagging, double part, Trace t) {
        return FlexuralStrength.of(s.shape(), sagging, layers(sagging, part), s.fc(), s.fy(), s.code(), t);
    }

    /** Depth of the bars of the tension half [mm]. */
    private double depth(boolean sagging) {
        double area = tension(sagging);
        double moment = s.bars().stream()
                .mapToDouble(b -> {
                    double d = sagging ? h - b.z() : b.z();
                    return d > h / 2 ? d * b.area() : 0;
                })
                .sum();
        return area > 0 ? moment / area : 0.8 * h;
    }

    /** Steel by level of the perimeter, from the soffit up [mm2]. */
    private Map<Double, Double> levels() {
        Map<Double, Double> out = new TreeMap<>();
        for (Spot b : s.bars()) {
            double z = out.keySet().stream()
                    .filter(q -> Math.abs(q - b.z()) < ONE_LEVEL)
                    .findFirst()
                    .orElse(b.z());
            out.merge(z, b.area(), Double::sum);
        }
        return out;
    }

    private TorsionSection tube() {
        return TorsionTube.of(
                s.shape(),
                s.fc(),
                s.fy(),
                s.fyt(),
                new TorsionTube.Wall(
                        s.cover(),
                        s.stirrup().diameter(),
                        s.bars().stream().mapToDouble(Spot::diameter).max().orElse(0)),
                s.code());
    }

    private ShearStrength shear(boolean sagging, Trace t) {
        return s.code().shear(shearInput(sagging), t);
    }

    private ShearInput shearInput(boolean sagging) {
        double d = depth(sagging);
        return new ShearInput(
                s.fc(),
                s.fyt(),
                bw,
                d,
                s.shape().A(),
                tension(sagging) / (bw * d),
                s.stirrup().avs(true),
                0);
    }

    // ---- columns
    // ------------------------------------------------------------------------------------------------------

    private StrengthSurface columnSurface() {
        return columnSurface(List.of());
    }

    /** @param developed of every bar; empty where all are */
    private StrengthSurface columnSurface(List<Developed> developed) {
        return Surfaces.of(s.shape(), placed(), developed, s.fc(), s.fy(), enclosed());
    }

    private List<PlacedBar> placed() {
        return s.bars().stream()
                .map(b -> new PlacedBar(b.x(), b.z() - h / 2, b.area()))
                .toList();
    }

    private ColumnTwist twist() {
        return new ColumnTwist(
                s.shape(),
                s.fc(),
                s.fy(),
                s.fyt(),
                s.cover(),
                ColumnTwist.thickest(s.bars()),
                placed(),
                s.stirrup(),
                columnShear(),
                s.code(),
                this::columnSurface);
    }

    private ColumnShear columnShear() {
        return new ColumnShear(s.shape(), s.fc(), s.fyt(), s.bars(), s.stirrup(), s.code());
    }

    /** The code for the strength of a column, inside its spiral where it has one. */
    private DesignCode enclosed() {
        return s.stirrup().spiral() ? s.code().spirals().strength() : s.code();
    }

    /** A spiral counts if it has the volume and the pitch of one. */
    private void spiral(List<Use> out, Trace t) {
        Spirals rules = s.code().spirals();
        double d = s.stirrup().diameter();
        double clear = Math.max(s.stirrup().spacing() - d, 0);
        double outside = s.shape().width() - 2 * s.cover();
        double core = Math.PI * outside * outside / 4;
        double least = rules.leastRatio(s.shape().A(), core, s.fc(), s.fyt(), t);
        if (least > 0) {
            double has = s.stirrup().area()
                    * Math.PI
                    * (outside - d)
                    / (core * s.stirrup().spacing());
            use(out, "spiral-ratio", least, has, Quantity.RATIO, rules.ratioClause(), t);
        }
        use(out, "spiral-clear", rules.leastClear(0), clear, Quantity.LENGTH, rules.clearClause(), t);
        if (Double.isFinite(rules.mostClear())) {
            use(out, "spiral-pitch", clear, rules.mostClear(), Quantity.LENGTH, rules.clearClause(), t);
        }
    }

    private List<Use> column(Forces f, Trace t) {
        List<Use> out = new ArrayList<>();
        StrengthSurface surface = columnSurface();
        double p = -f.n();
        InteractionSurface.Hit hit = surface.exact(p, f.my(), f.mz());
        double m = Math.hypot(f.my(), f.mz());
        out.add(new Use(
                "axial-bending",
                m > 0 ? m : Math.abs(p),
                hit.utilisation() > 0 ? (m > 0 ? m : Math.abs(p)) / hit.utilisation() : 0,
                m > 0 ? Quantity.MOMENT : Quantity.FORCE,
                hit.utilisation(),
                s.code().axialBendingClause()));
        if (t.on()) {
            ColumnSection.Resultant r = hit.nominal();
            enclosed()
                    .axialCap(
                            s.fc(),
                            s.fy(),
                            s.shape().A(),
                            s.bars().stream().mapToDouble(Spot::area).sum(),
                            t);
            t.step(
                    "use",
                    "distance of (P, Mx, My) over that of the surface",
                    "P = {0}, M = {1}, φ = {2}",
                    hit.utilisation(),
                    Quantity.UTILISATION,
                    s.code().axialBendingClause(),
                    in(p, Quantity.FORCE),
                    in(m, Quantity.MOMENT),
                    in(r == null ? 0 : r.phi(), Quantity.NUMBER));
        }
        use(
                out,
                "axial-limit",
                Math.max(0, p),
                surface.axialCap(),
                Quantity.FORCE,
                s.code().axialCapClause(),
                t);
        if (s.stirrup().spiral()) {
            spiral(out, t);
        }
        columnShear().uses(out, f, t);
        twist().uses(out, f, t);
        return out;
    }
}
