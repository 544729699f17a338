package kolonne.exchange.paper;

import java.awt.Color;
import java.io.IOException;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.design.BuildingDesign;
import kolonne.core.drawing.Drawing;
import kolonne.core.drawing.SectionPicture;
import kolonne.core.explain.Quantity;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.SurfaceCurves;
import kolonne.core.shape.Shape;

/** Pictures beside the steps of a calculation: demand and capacity along a line, its sections, a lift's section and its curve of strength. */
final class CalculationPictures {
    private static final Color DEMAND = new Color(0xC9D9DB);

    private final BuildingDesign d;
    private final PdfPaper paper;
    private final boolean us;

    CalculationPictures(BuildingDesign d, PdfPaper paper) {
        this.d = d;
        this.paper = paper;
        this.us = d.basis().usUnits();
    }

    /** The moments and the shears of a line, with the places that are calculated. */
    void line(BeamDesign b, Collection<Integer> stations) throws IOException {
        if (b.profile().size() < 2) {
            return;
        }
        diagram(
                b,
                stations,
                Quantity.MOMENT,
                "Moment, sagging downwards",
                List.of(p -> -p.mPos(), p -> -p.mNeg()),
                List.of(p -> -p.capPos(), p -> -p.capNeg()));
        diagram(
                b,
                stations,
                Quantity.FORCE,
                "Shear",
                List.of(p -> Math.max(0, p.vMax()), p -> Math.min(0, p.vMin())),
                List.of(BeamDesign.Point::vn, p -> -p.vn()));
    }

    private void diagram(
            BeamDesign b,
            Collection<Integer> stations,
            Quantity q,
            String title,
            List<ToDoubleFunction<BeamDesign.Point>> demand,
            List<ToDoubleFunction<BeamDesign.Point>> capacity)
            throws IOException {
        Box box = Box.of(paper.room(90)).above(9);
        List<BeamDesign.Point> profile = b.profile();
        double largest = largest(profile, demand, Double.MAX_VALUE);
        double most = Math.max(1, Math.max(largest, largest(profile, capacity, 2 * largest)));
        float x0 = box.x() + 6;
        double fx = (box.w() - 12) / b.line().length();
        float axis = box.y() + box.h() / 2 - 5;
        double fy = (box.h() / 2 - 10) / most;
        String words = title + " along line " + b.line().mark() + ": greatest demand " + q.text(largest, us)
                + ", demand filled, capacity as a line";
        paper.figure(words, () -> {
            paper.glyphs(box.x(), box.y() + box.h() - 6, 8, true, false, PdfPaper.INK, title);
            paper.glyphs(
                    box.x() + 120,
                    box.y() + box.h() - 6,
                    7,
                    false,
                    false,
                    PdfPaper.SOFT,
                    "demand filled, capacity as a line; greatest demand " + q.text(largest, us));
            for (ToDoubleFunction<BeamDesign.Point> f : demand) {
                float[] line = points(profile, f, x0, fx, axis, fy, box);
                float[] area = new float[line.length + 4];
                System.arraycopy(line, 0, area, 0, line.length);
                area[line.length] = line[line.length - 2];
                area[line.length + 1] = axis;
                area[line.length + 2] = line[0];
                area[line.length + 3] = axis;
                paper.area(area, DEMAND, false);
            }
            for (ToDoubleFunction<BeamDesign.Point> f : capacity) {
                paper.path(points(profile, f, x0, fx, axis, fy, box), 1.1f, PdfPaper.ACCENT);
            }
            paper.thin(x0, axis, x0 + box.w() - 12, axis, PdfPaper.INK);
            marks(b, stations, x0, fx, box);
        });
    }

    /** The largest of what a diagram shows; what is beyond {@code cap} is cut. */
    private static double largest(
            List<BeamDesign.Point> profile, List<ToDoubleFunction<BeamDesign.Point>> of, double cap) {
        double out = 0;
        for (BeamDesign.Point p : profile) {
            for (ToDoubleFunction<BeamDesign.Point> f : of) {
                out = Math.max(out, Math.min(Math.abs(f.applyAsDouble(p)), cap));
            }
        }
        return out;
    }

    private static float[] points(
            List<BeamDesign.Point> profile,
            ToDoubleFunction<BeamDesign.Point> f,
            float x0,
            double fx,
            float axis,
            double fy,
            Box box) {
        float[] out = new float[2 * profile.size()];
        for (int i = 0; i < profile.size(); i++) {
            out[2 * i] = (float) (x0 + fx * profile.get(i).x());
            double y = axis + fy * f.applyAsDouble(profile.get(i));
            out[2 * i + 1] = (float) Math.max(box.y(), Math.min(box.y() + box.h() - 10, y));
        }
        return out;
    }

    /** Supports by their names, and the places that are calculated. */
    private void marks(BeamDesign b, Collection<Integer> stations, float x0, double fx, Box box) throws IOException {
        for (BeamLine.Support s : b.line().supports()) {
            float x = (float) (x0 + fx * s.x());
            paper.rule(x, box.y(), x, box.y() + box.h() - 10);
            paper.label(x, box.y() - 8, 7, false, PdfPaper.SOFT, false, s.label());
        }
        for (int i : stations) {
            float x = (float) (x0 + fx * b.line().stations().get(i).x());
            paper.path(new float[] {x, box.y(), x, box.y() + 5}, 1.1f, PdfPaper.OVER);
        }
    }

    /** The section of a line where it is calculated, and its bars in words. */
    void section(BeamDesign b, BeamLine.Station s) throws IOException {
        BeamLine.Span span = b.line().spans().get(s.span());
        double x = b.line().within(b.basis(), s.x());
        SectionCut cut = SectionCut.at(b.line(), b.cage(), b.basis(), span, x);
        double scale = Box.scale(Math.max(span.shape().depth(), span.shape().webWidth()), 84);
        Drawing picture = SectionPicture.of(cut, b.cage(), b.basis(), scale);
        Box box = Box.of(paper.room(90));
        String bars = words(cut, BeamCage.Face.TOP) + ", " + words(cut, BeamCage.Face.BOTTOM);
        paper.figure("Section " + span.section().shape().label(us) + ": " + bars, () -> {
            float right = box.picture(paper, picture);
            float y = box.y() + box.h() - 8;
            List<String> lines = List.of(
                    span.section().shape().label(us) + ", 1 : " + (int) scale,
                    words(cut, BeamCage.Face.TOP),
                    words(cut, BeamCage.Face.BOTTOM),
                    cut.zone() == null
                            ? "no stirrups"
                            : cut.zone().bar().label() + " at "
                                    + Quantity.LENGTH.text(cut.zone().spacing(), us) + ", "
                                    + cut.zone().legs() + " legs");
            for (String l : lines) {
                paper.glyphs(right + 14, y, 8, false, false, PdfPaper.SOFT, l);
                y -= 11;
            }
        });
    }

    private static String words(SectionCut cut, BeamCage.Face face) {
        String bars = cut.words(face);
        return (bars.isEmpty() ? "no bars" : bars) + " " + face.word();
    }

    /** A lift's section, and its strength at the angle of the governing demand with every demand as a dot. */
    void lift(ColumnDesign c, ColumnDesign.LiftDesign l) throws IOException {
        Shape shape = l.lift().section().shape();
        double scale = Box.scale(Math.max(shape.width(), shape.depth()), 110);
        Drawing section = SectionPicture.of(shape, l.cage(), c.basis(), scale);
        LiftDemands.Demand g = l.governing();
        StrengthSurface surface =
                d.contexts().of(c.stack()).surface(l.lift().section(), l.lift().material(), l.cage());
        List<SurfaceCurves.Point> curve =
                SurfaceCurves.meridian(surface, Math.atan2(g.mx(), g.my())).design();
        List<LiftDemands.Demand> all =
                LiftDemands.of(l.lift(), l.cage(), d.contexts().of(c.stack()));
        Box box = Box.of(paper.room(138)).above(9);
        double turned = (Math.toDegrees(Math.atan2(g.mx(), g.my())) + 360) % 180; // as the sheet on screen has it
        String angle = String.format(Locale.ROOT, "%.0f°", turned);
        String words =
                "Section " + shape.whole(us) + " with " + l.cage().layout().words()
                        + "; design strength at " + angle + " of the moments, governing demand "
                        + Quantity.FORCE.text(g.p(), us)
                        + " with " + Quantity.MOMENT.text(Math.hypot(g.mx(), g.my()), us);
        paper.figure(words, () -> {
            float right = box.picture(paper, section);
            paper.glyphs(box.x() + 4, box.y() - 8, 7, false, false, PdfPaper.SOFT, "1 : " + (int) scale);
            Box plot = new Box(Math.max(right + 60, box.x() + 190), box.y(), 220, box.h() - 6);
            new StrengthPlot(paper, us)
                    .draw(
                            curve,
                            all.stream()
                                    .filter(LiftDemands.Demand::stable)
                                    .map(CalculationPictures::dot)
                                    .toList(),
                            g.stable() ? dot(g) : null,
                            plot,
                            angle);
        });
    }

    private static StrengthPlot.Dot dot(LiftDemands.Demand q) {
        return new StrengthPlot.Dot(q.p(), Math.hypot(q.mx(), q.my()));
    }
}
