package kolonne.audit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Sway;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.cage.StirrupPlaces;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.model.BuildingIndex;
import kolonne.core.shape.Shape;
import kolonne.core.space.BuildingInSpace;
import kolonne.core.space.SpaceBar;
import kolonne.core.work.Progress;

/** Copies what is drawn out of a design. The only class of the auditor that knows the designer's; it computes nothing. */
final class Drawn {
    private Drawn() {}

    static Sheet.Basis basis(Basis b) {
        Sheet.Code code =
                b.code().startsWith("en") ? Sheet.Code.EN : b.usUnits() ? Sheet.Code.ACI_US : Sheet.Code.ACI_SI;
        return new Sheet.Basis(
                code,
                b.fy(),
                b.fyt(),
                b.beamCover(),
                b.columnCover(),
                b.aggregate(),
                b.frame().swayX() != Sway.BRACED,
                b.frame().swayY() != Sway.BRACED,
                b.frame().lengths() == EffectiveLengths.FROM_ENDS,
                b.frame().lengthX(),
                b.frame().lengthY(),
                b.national().getOrDefault("secondOrder", 1.0) == 2,
                frame(b.frame().ductility()),
                b.bars().stockLength());
    }

    private static Sheet.Frame frame(Ductility d) {
        return d == Ductility.OUTSIDE ? Sheet.Frame.SPECIAL : Sheet.Frame.valueOf(d.name());
    }

    static Sheet.Line line(BeamDesign d, Basis basis) {
        BeamLine l = d.line();
        List<Sheet.Span> spans = new ArrayList<>();
        List<Sheet.Cut> cuts = new ArrayList<>();
        for (BeamLine.Span s : l.spans()) {
            Shape shape = s.shape();
            double hf = shape instanceof Shape.Flanged f && !(shape instanceof Shape.InvertedTee) ? f.hf() : 0;
            spans.add(new Sheet.Span(
                    s.from(),
                    s.to(),
                    s.faceFrom(),
                    s.faceTo(),
                    shape.width(),
                    shape.webWidth(),
                    shape.depth(),
                    hf,
                    s.material().fc(),
                    l.supports().get(s.number()).kind() == BeamLine.SupportKind.COLUMN,
                    l.supports().get(s.number() + 1).kind() == BeamLine.SupportKind.COLUMN,
                    l.cantilever(s.number())));
            List<Double> at = new ArrayList<>();
            for (double x : l.cutPlaces(s)) {
                at.add(x);
            }
            d.cage().groups().forEach(g -> at.addAll(List.of(g.from() + 5, g.to() - 5)));
            for (double x : at) {
                if (x >= s.faceFrom() && x <= s.faceTo()) {
                    cuts.add(new Sheet.Cut(
                            x,
                            s.number(),
                            SectionCut.at(l, d.cage(), basis, s, x).bars().stream()
                                    .map(q -> new Sheet.Spot(
                                            q.y(), q.z(), q.bar().diameter(), q.face() == BeamCage.Face.TOP, q.layer()))
                                    .toList()));
                }
            }
        }
        return new Sheet.Line(
                l.mark(),
                spans,
                l.stations().stream()
                        .map(s -> new Sheet.Place(s.x(), s.span(), s.memberNumber(), s.station(), s.reversed()))
                        .toList(),
                d.cage().groups().stream()
                        .map(g -> new Sheet.Bars(
                                g.face() == BeamCage.Face.TOP,
                                g.layer(),
                                g.count(),
                                g.bar().diameter(),
                                g.bar().area(),
                                g.offset(),
                                g.from(),
                                g.to(),
                                g.hookFrom(),
                                g.hookTo(),
                                g.pairs()))
                        .toList(),
                d.cage().zones().stream()
                        .map(z -> new Sheet.Stirrups(
                                z.span(),
                                z.from(),
                                z.to(),
                                z.bar().diameter(),
                                z.bar().area(),
                                z.legs(),
                                z.spacing()))
                        .toList(),
                cuts,
                laps(l, d.cage(), basis),
                d.cage().zones().stream()
                        .flatMap(z -> StirrupPlaces.of(d.cage().zones(), z).stream())
                        .sorted()
                        .toList());
    }

    private static List<Sheet.Lap> laps(BeamLine l, BeamCage cage, Basis basis) {
        List<Sheet.Lap> out = new ArrayList<>();
        for (int i = 0; i < cage.groups().size(); i++) {
            int number = i;
            Laps.of(l, cage.groups().get(i), basis).forEach(p -> out.add(new Sheet.Lap(number, p.from(), p.to())));
        }
        return out;
    }

    static Sheet.Lift lift(ColumnDesign d, int number, Basis basis) {
        ColumnStack.Lift l = d.stack().lifts().get(number);
        ColumnCage.LiftCage c = d.cage().lifts().get(number);
        RectangleBars r = c.layout() instanceof RectangleBars rows ? rows : null;
        Shape s = l.section().shape();
        List<Sheet.Dot> dots = c.bars(s, basis.columnCover()).stream()
                .map(p -> new Sheet.Dot(p.x(), p.y(), 2 * Math.sqrt(p.area() / Math.PI), p.area()))
                .toList();
        return new Sheet.Lift(
                d.stack().mark() + " lift " + (number + 1),
                l.memberNumber(),
                s instanceof Shape.Circle,
                c.layout() instanceof RingBars ring && ring.spiral(),
                s.width(),
                s.depth(),
                l.material().fc(),
                l.material().E(),
                dots,
                c.tie().diameter(),
                c.tie().area(),
                TiePlaces.crossings(l, c, basis.beamCover()),
                r == null ? List.of() : r.heldX(),
                r == null ? List.of() : r.heldY(),
                r == null ? c.count() : r.alongX(),
                r == null ? 0 : r.alongY(),
                s instanceof Shape.Flanged f
                        ? legs(
                                f,
                                (LegBars) c.layout(),
                                basis.columnCover() + c.tie().diameter())
                        : null);
    }

    /** The vertical bars of every lift, by the number of its member. */
    static Map<Integer, List<Sheet.Standing>> standing(BuildingDesign d) {
        Map<String, List<BuildingInSpace.Piece>> pieces = new HashMap<>();
        BuildingInSpace.each(d, Progress.NONE, q -> {
            if (!q.beam()) {
                pieces.computeIfAbsent(q.mark(), k -> new ArrayList<>()).add(q);
            }
        });
        Map<Integer, List<Sheet.Standing>> out = new HashMap<>();
        for (ColumnDesign c : d.columns()) {
            for (ColumnStack.Lift l : c.stack().lifts()) {
                out.put(l.memberNumber(), standing(pieces.get(c.stack().mark()).get(l.number()), l.base()));
            }
        }
        return out;
    }

    /** Vertical bars of a lift with its foot at a height. */
    static List<Sheet.Standing> standing(BuildingInSpace.Piece p, double base) {
        return p.placed().bars().stream()
                .filter(s -> s.use() == SpaceBar.Use.MAIN)
                .map(s -> new Sheet.Standing(
                        s.item().bar().diameter(),
                        s.item().shape().equals("11"),
                        s.shape().moved(s.at()).points().stream()
                                .map(q -> new double[] {q.x() + base, q.y(), q.z()})
                                .toList()))
                .toList();
    }

    private static Sheet.Legs legs(Shape.Flanged f, LegBars bars, double inset) {
        List<double[]> across = new ArrayList<>();
        List<double[]> over = new ArrayList<>();
        bars.crossTies(f, inset).forEach(t -> (t.acrossWeb() ? across : over).add(new double[] {t.x(), t.y()}));
        double[][] r = rectangles(f);
        return new Sheet.Legs(r[0], r[1], across, over);
    }

    /** {left, lower, right, upper} of the web beside the flange, and of the flange, about the centroid. */
    static double[][] rectangles(Shape.Flanged f) {
        double w = f.bf() / 2;
        double left = f instanceof Shape.Ell ? -w : -f.bw() / 2;
        boolean below = f instanceof Shape.InvertedTee;
        double[] web = {left, below ? f.hf() : 0, left + f.bw(), below ? f.h() : f.h() - f.hf()};
        double[] flange = {-w, below ? 0 : f.h() - f.hf(), w, below ? f.hf() : f.h()};
        double a = f.bw() * (f.h() - f.hf());
        double g = f.bf() * f.hf();
        double x = (a * (web[0] + web[2]) / 2 + g * (flange[0] + flange[2]) / 2) / (a + g);
        double y = (a * (web[1] + web[3]) / 2 + g * (flange[1] + flange[3]) / 2) / (a + g);
        for (double[] r : List.of(web, flange)) {
            r[0] -= x;
            r[2] -= x;
            r[1] -= y;
            r[3] -= y;
        }
        return new double[][] {web, flange};
    }

    /** Depths of the sections of all members [mm]. */
    static double[] depths(BuildingIndex index) {
        return index.building().members().stream()
                .mapToDouble(m -> index.sectionOf(m).shape().depth())
                .toArray();
    }
}
