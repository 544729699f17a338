package kolonne.audit;

import java.util.Comparator;
import java.util.List;
import kolonne.core.analysis.Analysis;

/**
 * Torsion of a drawn lift, a rectangle or a circle, by the statics of its truss at 45°: shear flows round the tube, ties hold it up, bars hold its thrust.
 * ACI 318-19 22.7.4.1, 22.7.6.1, 22.7.7.1; EN 1992-1-1 6.3.2.
 */
final class TorsionReading {
    private final Sheet.Lift l;
    private final Sheet.Basis b;
    private final Forces f;
    private final Materials m;
    private final ShearReading shear;

    TorsionReading(Sheet.Lift l, Sheet.Basis b, Forces f) {
        this.l = l;
        this.b = b;
        this.f = f;
        this.m = new Materials(b);
        this.shear = new ShearReading(l, b);
    }

    private double thick() {
        return l.bars().stream().mapToDouble(Sheet.Dot::d).max().orElse(0);
    }

    /** Area of a figure like the section, so far inside its faces; and its perimeter. */
    private double area(double inside) {
        double x = l.b() - 2 * inside;
        return l.round() ? Math.PI * x * x / 4 : x * (l.h() - 2 * inside);
    }

    private double round(double inside) {
        return l.round() ? Math.PI * (l.b() - 2 * inside) : 2 * (l.b() + l.h() - 4 * inside);
    }

    private double torque(int k) {
        double out = 0;
        for (int i = 0; i < f.analysis().stationCount(l.member()); i++) {
            out = Math.max(out, Math.abs(f.at(l.member(), i, k, Analysis.T, 1)));
        }
        return out;
    }

    private double least(int k) {
        double out = Double.POSITIVE_INFINITY;
        for (int i = 0; i < f.analysis().stationCount(l.member()); i++) {
            out = Math.min(out, -f.at(l.member(), i, k, Analysis.N, 1));
        }
        return out;
    }

    boolean counts(int k) {
        double acp = area(0);
        if (b.en()) {
            double t = acp / round(0);
            return torque(k) > 0.1 * 0.7 * m.fctm(l.fc()) / 1.5 * 2 * area(t / 2) * t;
        }
        double plain = 0.75 * m.root(0.083, 1, l.fc(), true) * acp * acp / round(0);
        double axial = 1 + least(k) / (acp * m.root(0.33, 4, l.fc(), true));
        return torque(k) > plain * Math.max(0.05, Math.sqrt(Math.max(0, axial)));
    }

    /** How far inside the faces the shear flows. */
    private double inside() {
        double wall = Math.max(area(0) / round(0), 2 * b.columnCover() + 2 * l.tie() + thick());
        return b.en() ? wall / 2 : b.columnCover() + l.tie() / 2;
    }

    /** What flows round the tube [N/mm]. */
    private double flow(int k) {
        return torque(k) / (2 * area(inside()) * (b.en() ? 1 : 0.85));
    }

    private double stress(double f) {
        return b.en() ? f / 1.15 : 0.75 * Math.min(f, m.inches(420, 60_000 * 0.006894757293168 / 25.4));
    }

    /** Of the tension that the bars can bear, what their thrust leaves. */
    double left(int k) {
        double all = l.bars().stream().mapToDouble(Sheet.Dot::area).sum() * stress(b.fy());
        return Math.max(0, 1 - flow(k) * round(inside()) / all);
    }

    /** What a leg of the ties bears of its strength, with its share of a shear. @param concrete what carries shear without ties by ACI */
    private double leg(int k, double v, boolean alongX, double gap, double concrete) {
        double d = shear.depth(alongX);
        double ties = b.en()
                ? v / (0.9 * d * m.links()) / (l.round() ? Math.PI / 4 : 1)
                : Math.max(0, v / 0.75 - concrete) / (m.links() * d);
        double needed = flow(k) / stress(b.fyt()) + ties / shear.legs(alongX);
        return needed * gap / l.tieArea();
    }

    /** How far apart ties and bars may lie, and how thin bars may be (9.7.5, 9.7.6.3.3; 9.2.3(3), (4)). */
    private void places(double gap, Findings out) {
        double ties = b.en()
                ? Math.min(round(0) / 8, Math.min(l.b(), l.round() ? l.b() : l.h()))
                : Math.min(round(inside()) / 8, m.inches(300, 12));
        out.add("torsion-spacing", gap / (ties + 0.1), "ties");
        out.add("torsion-bar-spacing", apart() / (b.en() ? 350 : m.inches(300, 12)), "bars");
        double thin = l.bars().stream().mapToDouble(Sheet.Dot::d).min().orElseThrow();
        out.add("torsion-bar-size", b.en() ? 0 : Math.max(0.042 * gap, 9.5) / thin, "bars");
    }

    /** Between neighbours on the way round. */
    private double apart() {
        List<Sheet.Dot> dots = l.bars().stream()
                .sorted(Comparator.comparingDouble(d -> Math.atan2(d.y(), d.x())))
                .toList();
        double out = 0;
        for (int i = 0; i < dots.size(); i++) {
            Sheet.Dot p = dots.get(i);
            Sheet.Dot q = dots.get((i + 1) % dots.size());
            out = Math.max(out, Math.hypot(p.x() - q.x(), p.y() - q.y()));
        }
        return out;
    }

    /** Hoops beside the joints of a special frame, where the concrete carries nothing (18.7.6.2.1). */
    void hoops(int k, double v, boolean alongX, double gap, Findings out) {
        out.add("column-torsion-hoops", leg(k, v, alongX, gap, 0), alongX ? "x" : "y");
    }

    /** Ties with their share of a shear, and the concrete that both press. @param p compression; {@code gap} of the ties */
    void beside(int k, double v, boolean alongX, double p, double gap, Findings out) {
        double concrete = b.en() ? 0 : shear.concrete(alongX, p, gap);
        double d = shear.depth(alongX);
        out.add("column-torsion", leg(k, v, alongX, gap, concrete), alongX ? "x" : "y");
        out.add("column-torsion", left(k) > 0 ? 0 : 99, "bars");
        places(gap, out);
        double bw = shear.width(alongX);
        if (b.en()) {
            double struts = 0.6 * (1 - l.fc() / 250) * l.fc() / 1.5;
            double t = 2 * inside();
            out.add(
                    "column-torsion-limit",
                    torque(k) / (struts * area(inside()) * t) + v / (struts * bw * 0.9 * d / 2),
                    alongX ? "x" : "y");
            return;
        }
        double tau = torque(k) * round(inside()) / (1.7 * Math.pow(area(inside()), 2));
        double both = Math.hypot(v / (bw * d), tau);
        double limit = 0.75 * (concrete / (bw * d) + m.root(0.66, 8, l.fc(), false));
        out.add("column-torsion-limit", both / limit, alongX ? "x" : "y");
    }
}
