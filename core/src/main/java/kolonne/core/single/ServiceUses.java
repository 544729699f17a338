package kolonne.core.single;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.check.CheckResult;
import kolonne.core.code.CrackWidth;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Steel;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Finding;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.StrainState;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.general.ElasticState;
import kolonne.core.section.general.Outline;
import kolonne.core.single.SectionUses.Use;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Kind;
import kolonne.core.single.SingleSection.Spot;

/**
 * A section of any outline under service load, beside its strength: stresses of the cracked section under axial force with biaxial bending, and the width of
 * its cracks by codes that compute them. Forces act at the centroid of the concrete. Shear and torque of such sets are left out.
 */
public final class ServiceUses implements Uses {
    private final Uses strength;
    private final Outline outline;
    private final List<Spot> spots;
    private final List<PlacedBar> bars;
    private final double fc;
    private final double fy;
    /** Modulus of steel over that of concrete, without creep. */
    private final double modular;

    /** @param ec modulus of elasticity of the concrete [MPa] */
    public ServiceUses(Uses strength, double fc, double fy, double ec) {
        this.strength = strength;
        Drawn drawn = strength.drawn();
        double d = drawn.diameter();
        Outline whole = drawn.outline() == null ? Outline.circle(0, d / 2, d) : drawn.outline();
        Outline.Corner c = whole.centroid();
        this.outline = whole.moved(-c.x(), -c.y());
        this.spots = drawn.bars();
        this.bars = spots.stream()
                .map(b -> new PlacedBar(b.x() - c.x(), b.z() - c.y(), b.area()))
                .toList();
        this.fc = fc;
        this.fy = fy;
        this.modular = Steel.ES / ec;
    }

    @Override
    public List<Use> uses(Forces f) {
        if (f.kind() == Kind.STRENGTH) {
            return strength.uses(f);
        }
        List<Use> out = uses(f, Trace.OFF);
        out.sort(Comparator.comparingDouble(Use::utilisation).reversed());
        return out;
    }

    private List<Use> uses(Forces f, Trace t) {
        List<Use> out = new ArrayList<>();
        Optional<ElasticState> state = state(f);
        if (state.isEmpty()) {
            double m = Math.hypot(f.my(), f.mz());
            boolean bent = m > 0;
            out.add(use(
                    "no-equilibrium",
                    bent ? m : Math.abs(f.n()),
                    0,
                    bent ? Quantity.MOMENT : Quantity.FORCE,
                    code().flexureClause()));
            return out;
        }
        explain(state.get(), t);
        code().crackWidth().ifPresent(rules -> {
            if (f.kind() == Kind.CHARACTERISTIC) {
                stresses(f, rules, out);
            } else {
                crack(state.get(), rules, out, t);
            }
        });
        return out;
    }

    /** That of long duration creeps. */
    private Optional<ElasticState> state(Forces f) {
        return state(f, f.kind() == Kind.QUASI_PERMANENT);
    }

    private Optional<ElasticState> state(Forces f, boolean late) {
        double creep = late ? code().crackWidth().map(CrackWidth::creep).orElse(0.0) : 0;
        return ElasticState.of(outline, bars, modular * (1 + creep), -f.n(), f.my(), f.mz());
    }

    /** Limits of stresses, before creep and after it. */
    private void stresses(Forces f, CrackWidth rules, List<Use> out) {
        double steel = 0;
        double concrete = 0;
        for (boolean late : new boolean[] {false, true}) {
            Optional<ElasticState> s = state(f, late);
            steel = Math.max(steel, s.map(this::pulled).orElse(Double.POSITIVE_INFINITY));
            concrete = Math.max(concrete, s.map(this::pressed).orElse(Double.POSITIVE_INFINITY));
        }
        out.add(use("steel-stress", steel, rules.steelStress(fy), Quantity.STRESS, rules.stressClause()));
        double most = rules.concreteStress(fc);
        if (Double.isFinite(most)) {
            out.add(use("concrete-stress", concrete, most, Quantity.STRESS, rules.stressClause()));
        }
    }

    private void crack(ElasticState s, CrackWidth rules, List<Use> out, Trace t) {
        if (pulled(s) <= 0) {
            return;
        }
        double widest = 0;
        CrackWidth.Cracked worst = null;
        for (double[] u : towards(s)) {
            CrackWidth.Cracked c = cracked(s, u[0], u[1]);
            if (c.as() <= 0) {
                out.add(use("bars-near-face", 1, 0, Quantity.COUNT, rules.clause()));
                return;
            }
            double w = rules.width(c, Trace.OFF);
            worst = w > widest ? c : worst;
            widest = Math.max(widest, w);
        }
        if (worst != null) {
            rules.width(worst, t);
        }
        out.add(use("crack-width", widest, rules.limit(), Quantity.CRACK, rules.clause()));
    }

    /** Directions of the compression side; all four where the section is pulled evenly. */
    private List<double[]> towards(ElasticState s) {
        double slope = s.slope();
        if (slope * Math.sqrt(outline.area()) < 1e-6 * Math.abs(s.a())) {
            return List.of(new double[] {1, 0}, new double[] {-1, 0}, new double[] {0, 1}, new double[] {0, -1});
        }
        return List.of(new double[] {s.b() / slope, s.c() / slope});
    }

    /**
     * What the width of cracks comes from. The code has its rule for bending about one axis: here depths are measured across the neutral axis, and the effective
     * area of concrete is the band along the edge that is pulled most (EN 1992-1-1 7.3.2(3) and figure 7.1).
     */
    private CrackWidth.Cracked cracked(ElasticState s, double ux, double uy) {
        double edge = outline.reach(-ux, -uy);
        double h = edge + outline.reach(ux, uy);
        double rise = s.b() * ux + s.c() * uy;
        double pressed = s.a() + rise * outline.reach(ux, uy);
        double pulled = s.a() - rise * edge;
        double x = rise > 0 ? pressed / rise : Double.NEGATIVE_INFINITY;
        double area = 0;
        double moment = 0;
        double stress = 0;
        int most = 0;
        for (int i = 0; i < bars.size(); i++) {
            PlacedBar b = bars.get(i);
            double q = s.bar(b.x(), b.y());
            // of a section that is pulled all through, the half next to the edge (figure 7.1 c)
            boolean counts = pressed >= 0 || b.x() * ux + b.y() * uy <= h / 2 - edge;
            if (q > 0 && counts) {
                area += b.area();
                moment += b.area() * (outline.reach(ux, uy) - (b.x() * ux + b.y() * uy));
            }
            most = q > stress ? i : most;
            stress = Math.max(stress, q);
        }
        double d = area > 0 ? moment / area : h;
        double band = Math.min(Math.min(2.5 * (h - d), (h - x) / 3), h / 2);
        Band near = band(s, ux, uy, band - edge);
        double pull = pressed < 0 ? (pulled + pressed) / (2 * pulled) : CrackWidth.BENT;
        double cover = outline.distance(bars.get(most).x(), bars.get(most).y())
                - spots.get(most).diameter() / 2;
        double width = outline.moments(band - edge, -ux, -uy)[0] / band;
        return new CrackWidth.Cracked(
                h, d, x, width, near.area, near.diameter, Math.max(0, cover), near.gap, stress, fc, pull);
    }

    /** Bars in tension near the edge. @param diameter (7.12); @param gap widest between neighbours along the edge [mm] */
    private record Band(double area, double diameter, double gap) {}

    /** @param to how far up the band reaches, along (ux, uy) from the centroid */
    private Band band(ElasticState s, double ux, double uy, double to) {
        double area = 0;
        double sum = 0;
        double squares = 0;
        List<Double> along = new ArrayList<>();
        for (int i = 0; i < bars.size(); i++) {
            PlacedBar b = bars.get(i);
            if (s.bar(b.x(), b.y()) > 0 && b.x() * ux + b.y() * uy <= to) {
                double phi = spots.get(i).diameter();
                area += b.area();
                sum += phi;
                squares += phi * phi;
                along.add(b.y() * ux - b.x() * uy);
            }
        }
        along.sort(Comparator.naturalOrder());
        double gap = along.size() < 2 ? Double.POSITIVE_INFINITY : 0;
        for (int i = 1; i < along.size(); i++) {
            gap = Math.max(gap, along.get(i) - along.get(i - 1));
        }
        return new Band(area, sum > 0 ? squares / sum : 0, gap);
    }

    /** Greatest tension of a bar [MPa]. */
    private double pulled(ElasticState s) {
        return bars.stream().mapToDouble(b -> s.bar(b.x(), b.y())).max().orElse(0);
    }

    /** Greatest compression of the concrete [MPa]. */
    private double pressed(ElasticState s) {
        double slope = s.slope();
        return Math.max(0, slope > 0 ? s.a() + slope * outline.reach(s.b() / slope, s.c() / slope) : s.a());
    }

    private void explain(ElasticState s, Trace t) {
        if (!t.on()) {
            return;
        }
        t.say("Cracked section", "elastic, concrete without tension", Clause.NONE);
        boolean creeps = s.n() > modular * (1 + 1e-9);
        t.step("αe", creeps ? "Es (1 + φ) / Ec" : "Es / Ec", "", s.n(), Quantity.NUMBER, Clause.NONE);
        t.step("σc", "largest compression of the concrete", "", pressed(s), Quantity.STRESS, Clause.NONE);
        t.step("σs", "largest tension of a bar", "", Math.max(0, pulled(s)), Quantity.STRESS, Clause.NONE);
        double slope = s.slope();
        if (pressed(s) > 0 && slope > 0) {
            t.step("x", "neutral axis from the compressed edge", "", pressed(s) / slope, Quantity.LENGTH, Clause.NONE);
        }
    }

    @Override
    public Map<String, Double> beside(Forces f) {
        if (f.kind() == Kind.STRENGTH) {
            return strength.beside(f);
        }
        Map<String, Double> out = new LinkedHashMap<>();
        state(f).ifPresent(s -> {
            double low =
                    bars.stream().mapToDouble(b -> s.bar(b.x(), b.y())).min().orElse(0);
            out.put("concreteCompressionMpa", pressed(s));
            out.put("barTensionMpa", Math.max(0, pulled(s)));
            out.put("barCompressionMpa", Math.max(0, -low));
            double slope = s.slope();
            if (pressed(s) > 0 && slope > 0) {
                out.put("neutralAxisMm", pressed(s) / slope);
                out.put("compressionTowardsDeg", Math.toDegrees(Math.atan2(s.c(), s.b())));
            }
        });
        return out;
    }

    @Override
    public List<Double> barStresses(Forces f) {
        return f.kind() == Kind.STRENGTH
                ? List.of()
                : state(f).map(s -> bars.stream().map(b -> s.bar(b.x(), b.y())).toList())
                        .orElse(List.of());
    }

    @Override
    public Optional<StrainState> strains(Forces f) {
        return f.kind() == Kind.STRENGTH ? strength.strains(f) : state(f).map(this::strains);
    }

    /** Strains of the bars, which those of the concrete beside them are as well. */
    private StrainState strains(ElasticState s) {
        double[] u = towards(s).get(0);
        double top = outline.reach(u[0], u[1]);
        double size = top + outline.reach(-u[0], -u[1]);
        double slope = s.b() * u[0] + s.c() * u[1];
        double edge = s.a() + slope * top;
        double far = edge - slope * size;
        double strain = s.n() / Steel.ES;
        List<StrainState.OfBar> of = bars.stream()
                .map(b -> new StrainState.OfBar(
                        top - (b.x() * u[0] + b.y() * u[1]), strain * s.plane(b.x(), b.y()), -s.bar(b.x(), b.y())))
                .toList();
        List<StrainState.Fibre> concrete = edge <= 0
                ? List.of()
                : far >= 0
                        ? List.of(
                                new StrainState.Fibre(0, edge),
                                new StrainState.Fibre(size, far),
                                new StrainState.Fibre(size, 0))
                        : List.of(new StrainState.Fibre(0, edge), new StrainState.Fibre(edge / slope, 0));
        return new StrainState(Math.atan2(u[1], u[0]), size, strain * edge, strain * far, of, concrete);
    }

    @Override
    public List<Step> explain(Forces f) {
        if (f.kind() == Kind.STRENGTH) {
            return strength.explain(f);
        }
        Trace t = Trace.recording();
        uses(f, t)
                .forEach(u -> t.step(
                        u.check(),
                        "demand / capacity",
                        "{0} / {1}",
                        u.utilisation(),
                        Quantity.UTILISATION,
                        u.clause(),
                        Trace.in(u.demand(), u.quantity()),
                        Trace.in(u.capacity(), u.quantity())));
        return t.steps();
    }

    private static Use use(String check, double demand, double capacity, Quantity q, Clause clause) {
        return new Use(check, demand, capacity, q, CheckResult.use(demand, capacity), clause);
    }

    @Override
    public String id() {
        return strength.id();
    }

    @Override
    public double fc() {
        return fc;
    }

    @Override
    public double fy() {
        return fy;
    }

    @Override
    public DesignCode code() {
        return strength.code();
    }

    @Override
    public Map<String, Double> strengths() {
        return strength.strengths();
    }

    @Override
    public List<Finding> findings() {
        return strength.findings();
    }

    @Override
    public Optional<StrengthSurface> surface() {
        return strength.surface();
    }

    @Override
    public Drawn drawn() {
        return strength.drawn();
    }
}
