package kolonne.core.single;

import static kolonne.core.explain.Trace.in;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.check.CheckResult;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Finding;
import kolonne.core.section.ColumnSection.Resultant;
import kolonne.core.section.Developed;
import kolonne.core.section.InteractionSurface.Hit;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.general.GeneralSection;
import kolonne.core.section.general.GeneralSurface;
import kolonne.core.section.general.Outline;
import kolonne.core.single.SectionUses.Use;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Spot;

/** Strengths of a column of any outline, and the use of every check under sets of forces. Shear and torsion of polygons are out of scope. */
public final class GeneralUses implements Uses {
    private final GeneralColumn s;
    private final GeneralSurface surface;

    public GeneralUses(GeneralColumn s) {
        this.s = s;
        surface = surface(List.of());
    }

    /** @param developed of every bar; empty where all are */
    private GeneralSurface surface(List<Developed> developed) {
        return new GeneralSurface(new GeneralSection(s.outline(), placed(0, 0), developed, s.fc(), s.fy(), s.code()));
    }

    private List<PlacedBar> placed(double x, double z) {
        return s.bars().stream()
                .map(b -> new PlacedBar(b.x() - x, b.z() - z, b.area()))
                .toList();
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
    public Optional<StrengthSurface> surface() {
        return Optional.of(surface);
    }

    @Override
    public Drawn drawn() {
        return new Drawn(s.outline(), 0, s.bars());
    }

    @Override
    public Map<String, Double> strengths() {
        Map<String, Double> out = new LinkedHashMap<>();
        Outline.Corner c = s.outline().centroid();
        out.put("areaMm2", s.outline().area());
        out.put("centroidXMm", c.x());
        out.put("centroidZMm", c.y());
        out.put("phiPnMaxN", surface.section().axialCap());
        out.put("phiTnTensionN", 1 / surface.exact(-1, 0, 0).utilisation());
        return out;
    }

    @Override
    public List<Finding> findings() {
        List<Finding> out = new ArrayList<>(SectionScope.of(
                s.id(),
                s.code(),
                s.fc(),
                s.fy(),
                s.sheared() == null ? s.fy() : s.sheared().fyt()));
        SectionScope.collision(s.id(), s.bars()).ifPresent(out::add);
        for (Spot b : s.bars()) {
            if (s.outline().distance(b.x(), b.z()) < b.diameter() / 2 && b.whole()) {
                out.add(SectionScope.outOfConcrete(s.id(), b));
                break;
            }
        }
        return out;
    }

    private Hit hit(Forces f) {
        return surface.exact(-f.n(), f.my(), f.mz());
    }

    @Override
    public List<Use> uses(Forces f) {
        List<Use> out = new ArrayList<>(uses(f, Trace.OFF));
        // below its threshold torsion may be neglected: nothing is used by it
        out.sort(Comparator.comparingDouble((Use u) -> u.check().equals(SectionUses.THRESHOLD) ? -1 : u.utilisation())
                .reversed());
        return out;
    }

    @Override
    public List<Step> explain(Forces f) {
        Trace t = Trace.recording();
        uses(f, t);
        return t.steps();
    }

    private List<Use> uses(Forces f, Trace t) {
        List<Use> out = new ArrayList<>();
        double p = -f.n();
        double m = Math.hypot(f.my(), f.mz());
        Hit hit = hit(f);
        Clause clause = s.code().axialBendingClause();
        double demand = m > 0 ? m : Math.abs(p);
        out.add(new Use(
                "axial-bending",
                demand,
                hit.utilisation() > 0 ? demand / hit.utilisation() : 0,
                m > 0 ? Quantity.MOMENT : Quantity.FORCE,
                hit.utilisation(),
                clause));
        if (t.on()) {
            explain(f, hit, clause, t);
        }
        out.add(use(
                "axial-limit",
                Math.max(0, p),
                surface.section().axialCap(),
                Quantity.FORCE,
                s.code().axialCapClause()));
        double shear = Math.hypot(f.vy(), f.vz());
        if (s.sheared() != null) {
            GeneralColumn.Sheared by = s.sheared();
            ColumnShear own = new ColumnShear(by.shape(), s.fc(), by.fyt(), s.bars(), by.stirrup(), s.code());
            own.uses(out, f, t);
            twist(by, own).uses(out, f, t);
            return out;
        }
        if (shear > 0) {
            // nothing is known of it: whatever acts is too much
            out.add(use("shear-out-of-scope", shear, 0, Quantity.FORCE, s.code().shearClause()));
        }
        double area = s.outline().area();
        double threshold =
                s.code().torsion().threshold(s.fc(), area, s.outline().perimeter(), false, t)
                        * s.code().torsion().axialFactor(p, area, s.fc(), t);
        // what passes it is out of scope: nothing is known of the ties
        out.add(use(
                torsion(f, threshold),
                Math.abs(f.t()),
                threshold,
                Quantity.MOMENT,
                s.code().torsion().thresholdClause()));
        return out;
    }

    private static String torsion(Forces f, double threshold) {
        return Math.abs(f.t()) > threshold ? "torsion-out-of-scope" : SectionUses.THRESHOLD;
    }

    private ColumnTwist twist(GeneralColumn.Sheared by, ColumnShear shear) {
        Outline.Corner c = s.outline().centroid();
        return new ColumnTwist(
                by.shape(),
                s.fc(),
                s.fy(),
                by.fyt(),
                by.cover(),
                ColumnTwist.thickest(s.bars()),
                placed(c.x(), c.y()),
                by.stirrup(),
                shear,
                s.code(),
                this::surface);
    }

    private void explain(Forces f, Hit hit, Clause clause, Trace t) {
        double steel = s.bars().stream().mapToDouble(Spot::area).sum();
        s.code().axialCap(s.fc(), s.fy(), s.outline().area(), steel, t);
        Resultant r = hit.nominal();
        t.step(
                "c",
                "neutral axis whose resultants have the ratio of the forces",
                "depth {0} from the edge towards {1}°",
                hit.c(),
                Quantity.LENGTH,
                clause,
                in(hit.c(), Quantity.LENGTH),
                in(Math.toDegrees(hit.theta()), Quantity.NUMBER));
        t.step(
                "φPn",
                "φ Pn with Mnx, Mny",
                "{0} × {1} with {2}, {3}",
                r.phi() * r.N(),
                Quantity.FORCE,
                clause,
                in(r.phi(), Quantity.NUMBER),
                in(r.N(), Quantity.FORCE),
                in(r.Mx(), Quantity.MOMENT),
                in(r.My(), Quantity.MOMENT));
        t.step(
                "use",
                "distance of (P, Mx, My) over that of the surface",
                "P = {0}, Mx = {1}, My = {2}",
                hit.utilisation(),
                Quantity.UTILISATION,
                clause,
                in(-f.n(), Quantity.FORCE),
                in(f.my(), Quantity.MOMENT),
                in(f.mz(), Quantity.MOMENT));
    }

    private static Use use(String check, double demand, double capacity, Quantity q, Clause clause) {
        return new Use(check, demand, capacity, q, CheckResult.use(demand, capacity), clause);
    }
}
