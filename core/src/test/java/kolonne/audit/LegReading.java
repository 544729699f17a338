package kolonne.audit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;

/** An ell or a tee of a frame for earthquakes as it is drawn, by our own reading of ACI 318-19 18.7: dimensions by walking, hoops by what holds each bar. */
final class LegReading {
    private final Sheet.Lift l;
    private final Sheet.Basis b;
    private final double[] web;
    private final double[] flange;
    private final double free;
    private final double outer;

    LegReading(Sheet.Lift l, Sheet.Basis b) {
        this.l = l;
        this.b = b;
        this.web = l.legs().web();
        this.flange = l.legs().flange();
        boolean up = flange[3] > web[3];
        this.free = up ? web[1] : web[3];
        this.outer = up ? flange[3] : flange[1];
    }

    private static double size(double[] r) {
        return (r[2] - r[0]) * (r[3] - r[1]);
    }

    double gross() {
        return size(web) + size(flange);
    }

    /** Of the leg along x (0) or y (1). */
    double thickness(int axis) {
        return axis == 0 ? flange[3] - flange[1] : web[2] - web[0];
    }

    double thinner() {
        return Math.min(thickness(0), thickness(1));
    }

    /** Second moment for bending along x (0) or y (1). */
    double inertia(int axis) {
        double out = 0;
        for (double[] r : l.legs().rectangles()) {
            double wide = r[2 + axis] - r[axis];
            double middle = (r[2 + axis] + r[axis]) / 2;
            out += size(r) * (wide * wide / 12 + middle * middle);
        }
        return out;
    }

    private boolean solid(double x, double y) {
        for (double[] r : l.legs().rectangles()) {
            if (x >= r[0] && x <= r[2] && y >= r[1] && y <= r[3]) {
                return true;
            }
        }
        return false;
    }

    /** How far one comes from the centroid both ways, by steps of 1 mm. */
    private double walk(double theta) {
        double out = 0;
        for (double side : new double[] {1, -1}) {
            double s = 0;
            while (solid(side * s * Math.cos(theta), side * s * Math.sin(theta))) {
                s += 1;
            }
            out += s;
        }
        return out;
    }

    /** 18.7.2.1. */
    void proportions(Map<String, Double> out) {
        double shortest = Double.POSITIVE_INFINITY;
        double across = 0;
        for (int i = 0; i < 360 && solid(0, 0); i++) {
            double w = walk(Math.toRadians(i / 2.0));
            across = w < shortest ? walk(Math.toRadians(i / 2.0 + 90)) : across;
            shortest = Math.min(shortest, w);
        }
        if (across == 0) {
            double[] long1 = {thickness(0), l.b()};
            double[] long2 = {thickness(1), l.h()};
            double[] worse = long1[0] / long1[1] < long2[0] / long2[1] ? long1 : long2;
            shortest = worse[0];
            across = worse[1];
        }
        out.put("least-side", 300 / shortest);
        out.put("side-ratio", 0.4 * across / shortest);
    }

    /** Whether the corner of a closed tie or a cross-tie bends round a bar. */
    private boolean held(Sheet.Dot d) {
        double[][] closed = {
            {web[0], Math.min(free, outer), web[2], Math.max(free, outer)}, {flange[0], flange[1], flange[2], flange[3]}
        };
        double near = b.columnCover() + l.tie() + d.d() / 2 + 3;
        for (double[] r : closed) {
            boolean besideX = Math.abs(d.x() - r[0]) < near || Math.abs(d.x() - r[2]) < near;
            boolean besideY = Math.abs(d.y() - r[1]) < near || Math.abs(d.y() - r[3]) < near;
            boolean within = d.x() > r[0] && d.x() < r[2] && d.y() > r[1] && d.y() < r[3];
            if (within && besideX && besideY) {
                return true;
            }
        }
        boolean inWeb = d.x() > web[0] && d.x() < web[2];
        boolean inFlange = d.y() > flange[1] && d.y() < flange[3];
        return inWeb && l.legs().across().stream().anyMatch(t -> Math.abs(t[1] - d.y()) < 1)
                || inFlange && l.legs().over().stream().anyMatch(t -> Math.abs(t[0] - d.x()) < 1);
    }

    /** Lines of held bars, each once. */
    private List<Double> lines(Predicate<Sheet.Dot> of, ToDoubleFunction<Sheet.Dot> where) {
        List<Double> out = new ArrayList<>();
        l.bars().stream()
                .filter(this::held)
                .filter(of)
                .mapToDouble(where)
                .sorted()
                .forEach(v -> {
                    if (out.isEmpty() || v - out.get(out.size() - 1) > 6) {
                        out.add(v);
                    }
                });
        return out;
    }

    private static double widest(List<Double> lines) {
        double out = 0;
        for (int i = 1; i < lines.size(); i++) {
            out = Math.max(out, lines.get(i) - lines.get(i - 1));
        }
        return out;
    }

    private List<Double> upTheWeb() {
        return lines(d -> d.x() > web[0] && d.x() < web[2], Sheet.Dot::y);
    }

    private List<Double> alongTheFlange() {
        return lines(d -> d.y() > flange[1] && d.y() < flange[3], Sheet.Dot::x);
    }

    /** Largest distance between held bars (18.7.5.2(e)). */
    double apart() {
        return Math.max(widest(upTheWeb()), widest(alongTheFlange()));
    }

    /** Table 18.7.5.4 in both legs, for hoops so far apart. */
    void confinement(double gap, double p, boolean heavy, Map<String, Double> out) {
        double c = 2 * b.columnCover();
        double across = thickness(1) - c;
        double over = thickness(0) - c;
        double core = across * (l.h() - c) + over * (l.b() - c) - across * over;
        double held = l.bars().stream().filter(this::held).count();
        double needed = Math.max(0.3 * (gross() / core - 1), 0.09) * l.fc() / b.fyt();
        needed = heavy
                ? Math.max(needed, 0.2 * Math.max(1, l.fc() / 175 + 0.6) * held / (held - 2) * p / (b.fyt() * core))
                : needed;
        double a = l.tieArea() / gap;
        out.put("confinement-x", needed / Math.min(2 * a / over, upTheWeb().size() * a / (l.h() - c)));
        out.put(
                "confinement-y",
                needed / Math.min(2 * a / across, alongTheFlange().size() * a / (l.b() - c)));
        out.put("held-distance", apart() / (heavy ? 200 : 350));
    }
}
