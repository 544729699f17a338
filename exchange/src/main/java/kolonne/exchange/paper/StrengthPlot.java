package kolonne.exchange.paper;

import java.awt.Color;
import java.io.IOException;
import java.util.List;
import kolonne.core.explain.Quantity;
import kolonne.core.section.SurfaceCurves;

/** Axial force over moment: a curve of strength, demands as dots, one of them marked. */
final class StrengthPlot {
    private final PdfPaper paper;
    private final boolean us;

    StrengthPlot(PdfPaper paper, boolean us) {
        this.paper = paper;
        this.us = us;
    }

    /** @param n compression positive [N]; {@code m} [Nmm] */
    record Dot(double n, double m) {}

    /** @param chosen null for none; {@code angle} of the moments of the curve, in words */
    void draw(List<SurfaceCurves.Point> curve, List<Dot> all, Dot chosen, Box box, String angle) throws IOException {
        double high = curve.stream().mapToDouble(SurfaceCurves.Point::n).max().orElse(1);
        double low = curve.stream().mapToDouble(SurfaceCurves.Point::n).min().orElse(0);
        double wide = curve.stream().mapToDouble(SurfaceCurves.Point::m).max().orElse(1);
        for (Dot q : all) {
            high = Math.max(high, q.n());
            low = Math.min(low, q.n());
            wide = Math.max(wide, q.m());
        }
        double fy = (box.h() - 8) / (high - low);
        double fx = (box.w() - 10) / wide;
        double zero = box.y() + 4 - fy * low;
        float[] line = new float[2 * curve.size()];
        for (int i = 0; i < curve.size(); i++) {
            line[2 * i] = (float) (box.x() + fx * curve.get(i).m());
            line[2 * i + 1] = (float) (zero + fy * curve.get(i).n());
        }
        paper.path(line, 1.1f, PdfPaper.ACCENT);
        paper.thin(box.x(), box.y(), box.x(), box.y() + box.h(), PdfPaper.INK);
        paper.thin(box.x(), (float) zero, box.x() + box.w(), (float) zero, PdfPaper.INK);
        for (Dot q : all) {
            dot(q, box, fx, zero, fy, 1.1f, PdfPaper.SOFT);
        }
        if (chosen != null) {
            dot(chosen, box, fx, zero, fy, 2.4f, PdfPaper.OVER);
        }
        paper.glyphs(
                box.x() - 54, box.y() + box.h() - 6, 7, false, false, PdfPaper.SOFT, Quantity.FORCE.text(high, us));
        String most = Quantity.MOMENT.text(wide, us);
        paper.glyphs(box.x() + box.w() - 50, (float) zero - 9, 7, false, false, PdfPaper.SOFT, most);
        paper.glyphs(
                box.x() + box.w() + 8, box.y() + box.h() - 14, 7, false, false, PdfPaper.SOFT, "N over M at " + angle);
    }

    private void dot(Dot q, Box box, double fx, double zero, double fy, float r, Color color) throws IOException {
        float x = (float) (box.x() + fx * q.m());
        float y = (float) (zero + fy * q.n());
        paper.path(new float[] {x - r, y, x, y + r, x + r, y, x, y - r, x - r, y}, 0.9f, color);
    }
}
