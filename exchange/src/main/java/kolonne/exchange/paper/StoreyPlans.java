package kolonne.exchange.paper;

import java.awt.Color;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Shade;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Storey;

/**
 * The plan of every storey: beams and columns in their true width, shaded by the strength in use; members that fail are hatched and named with what they use,
 * so that the plan is read in black and white as well.
 */
final class StoreyPlans {
    /** Upper ends of the steps of the shading. */
    static final double[] STEPS = {0.4, 0.6, 0.8, 0.92, 1.0};

    static final Color[] SHADES = {
        new Color(0xE2EAEA), new Color(0xBCD2D5), new Color(0x8AB3BA), new Color(0x538D98), new Color(0x266271)
    };
    /** Of a plan on the page, two of which stand on one [pt]. */
    private static final float HEIGHT = 290;

    private static final float EDGE = 14;
    private static final float LABEL = 5.5f;
    /** Members are seen at least so wide [pt]. */
    private static final float THIN = 1.6f;

    private final BuildingDesign d;
    private final BuildingIndex index;
    private final PdfPaper paper;
    private final double[] extent;
    private float scale;
    private float left;
    private float bottom;
    private final List<float[]> written = new ArrayList<>();

    /** What is written at a member that fails. */
    private record Named(double x, double y, double utilisation, String mark) {}

    StoreyPlans(BuildingDesign d, PdfPaper paper) {
        this.d = d;
        this.index = d.analysis().index();
        this.paper = paper;
        double[] e = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (Joint j : index.building().joints()) {
            e[0] = Math.min(e[0], j.x());
            e[1] = Math.min(e[1], j.y());
            e[2] = Math.max(e[2], j.x());
            e[3] = Math.max(e[3], j.y());
        }
        this.extent = e;
    }

    /** The plans from the top down; nothing where the model has no storeys. */
    void write() throws IOException {
        List<Storey> storeys = index.building().storeys().stream()
                .sorted(Comparator.comparingDouble(Storey::elevation).reversed())
                .filter(s -> d.beams().stream().anyMatch(b -> b.line().storey().equals(s.name()))
                        || d.columns().stream()
                                .flatMap(c -> c.lifts().stream())
                                .anyMatch(l -> l.lift().storey().equals(s.name())))
                .toList();
        if (storeys.isEmpty()) {
            return;
        }
        paper.newPage();
        paper.section("Plans", 1, 14);
        key();
        for (Storey s : storeys) {
            paper.need(HEIGHT + 40);
            paper.section(s.name(), 2, 11);
            float[] box = paper.room(HEIGHT);
            paper.figure(words(s.name()), () -> plan(s.name(), box));
        }
    }

    private void key() throws IOException {
        float[] box = paper.room(16);
        paper.figure("Key: shades by strength in use, hatched where something fails", () -> key(box));
    }

    /** A plan for those who do not see it. */
    private String words(String storey) {
        long beams =
                d.beams().stream().filter(b -> b.line().storey().equals(storey)).count();
        List<String> failing = new ArrayList<>();
        d.beams().stream()
                .filter(b -> b.line().storey().equals(storey) && !b.satisfied())
                .forEach(b -> failing.add(b.line().mark()));
        d.columns().stream()
                .filter(c -> c.lifts().stream()
                        .anyMatch(l -> l.lift().storey().equals(storey)
                                && l.checks().stream().anyMatch(k -> !k.satisfied())))
                .forEach(c -> failing.add(c.stack().mark()));
        return "Plan of storey " + storey + " with " + beams + " beam lines; "
                + (failing.isEmpty() ? "nothing fails" : "failing: " + String.join(", ", failing));
    }

    private void key(float[] box) throws IOException {
        float x = box[0];
        for (int i = 0; i < SHADES.length; i++) {
            paper.area(rectangle(x, box[1] + 4, x + 26, box[1] + 13), SHADES[i], false);
            String words = (i == 0 ? "to " : "") + String.format(Locale.ROOT, "%.2f", STEPS[i]);
            paper.label(x + 46, box[1] + 6, 7, false, PdfPaper.SOFT, false, words);
            x += 70;
        }
        paper.area(rectangle(x, box[1] + 4, x + 26, box[1] + 13), Color.WHITE, true);
        paper.label(x + 68, box[1] + 6, 7, false, PdfPaper.SOFT, false, "fails, with its utilisation");
    }

    private static float[] rectangle(float x1, float y1, float x2, float y2) {
        return new float[] {x1, y1, x2, y1, x2, y2, x1, y2};
    }

    private void plan(String storey, float[] box) throws IOException {
        double wide = Math.max(1, extent[2] - extent[0]);
        double high = Math.max(1, extent[3] - extent[1]);
        scale = (float) Math.min((box[2] - 2 * EDGE) / wide, (box[3] - 2 * EDGE) / high);
        left = box[0] + (float) (box[2] - scale * wide) / 2;
        bottom = box[1] + (float) (box[3] - scale * high) / 2;
        written.clear();
        List<Named> named = new ArrayList<>();
        for (BeamDesign b : d.beams()) {
            if (b.line().storey().equals(storey)) {
                line(b, named);
            }
        }
        for (ColumnDesign c : d.columns()) {
            for (ColumnDesign.LiftDesign l : c.lifts()) {
                if (l.lift().storey().equals(storey)) {
                    column(c, l, named);
                }
            }
        }
        // the worst are named first; what would lie over another name is in the table of what fails
        named.sort(Comparator.comparingDouble(Named::utilisation).reversed());
        for (Named n : named) {
            name(n);
        }
    }

    private float x(double mm) {
        return left + (float) (mm - extent[0]) * scale;
    }

    private float y(double mm) {
        return bottom + (float) (mm - extent[1]) * scale;
    }

    /** A line is shaded as a whole: of every kind of check the worst of its spans is known. Its name stands where the worst is. */
    private void line(BeamDesign b, List<Named> named) throws IOException {
        boolean fails = !b.satisfied();
        for (BeamLine.Span s : b.line().spans()) {
            Joint from = index.joint(b.line().supports().get(s.number()).joint());
            Joint to = index.joint(b.line().supports().get(s.number() + 1).joint());
            float half = Math.max(THIN, (float) s.shape().webWidth() * scale) / 2;
            float dx = x(to.x()) - x(from.x());
            float dy = y(to.y()) - y(from.y());
            float length = (float) Math.hypot(dx, dy);
            if (length < 0.1) {
                continue;
            }
            float nx = -dy / length * half;
            float ny = dx / length * half;
            paper.area(
                    new float[] {
                        x(from.x()) + nx,
                        y(from.y()) + ny,
                        x(to.x()) + nx,
                        y(to.y()) + ny,
                        x(to.x()) - nx,
                        y(to.y()) - ny,
                        x(from.x()) - nx,
                        y(from.y()) - ny
                    },
                    shade(b.checks()),
                    fails);
            if (fails && b.governing().part() == s.number()) {
                named.add(new Named(
                        (from.x() + to.x()) / 2,
                        (from.y() + to.y()) / 2,
                        worst(b.checks()),
                        b.line().mark()));
            }
        }
    }

    private void column(ColumnDesign c, ColumnDesign.LiftDesign l, List<Named> named) throws IOException {
        Joint j = index.upper(index.member(l.lift().member()));
        float w = Math.max(2 * THIN, (float) l.lift().section().shape().width() * scale) / 2;
        float h = Math.max(2 * THIN, (float) l.lift().section().shape().depth() * scale) / 2;
        boolean fails = l.checks().stream().anyMatch(q -> !q.satisfied());
        paper.area(rectangle(x(j.x()) - w, y(j.y()) - h, x(j.x()) + w, y(j.y()) + h), shade(l.checks()), fails);
        if (fails) {
            named.add(new Named(j.x(), j.y(), worst(l.checks()), c.stack().mark()));
        }
    }

    private static double worst(List<CheckResult> checks) {
        return checks.stream()
                .filter(c -> !c.satisfied())
                .mapToDouble(CheckResult::utilisation)
                .max()
                .orElse(0);
    }

    private static Color shade(List<CheckResult> checks) {
        double u = Shade.STRENGTH.of(checks);
        int i = 0;
        while (i < STEPS.length - 1 && u > STEPS[i]) {
            i++;
        }
        return SHADES[i];
    }

    private void name(Named n) throws IOException {
        String s = n.mark() + " "
                + (n.utilisation() >= CheckResult.NO_CAPACITY
                        ? "> 99"
                        : String.format(Locale.ROOT, "%.2f", n.utilisation()));
        float w = paper.labelWidth(LABEL, true, s) / 2 + 1;
        float cx = x(n.x());
        float base = y(n.y()) - 2;
        float[] box = {cx - w, base - 1.2f, cx + w, base + LABEL};
        if (written.stream().noneMatch(o -> box[0] < o[2] && o[0] < box[2] && box[1] < o[3] && o[1] < box[3])) {
            written.add(paper.label(cx, base, LABEL, true, PdfPaper.OVER, true, s));
        }
    }
}
