package kolonne.core.design;

import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import kolonne.core.analysis.Slabs;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.BeamBars;
import kolonne.core.detail.ColumnBars;
import kolonne.core.explain.Quantity;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.SlabPanel;
import kolonne.core.shape.Shape;

/**
 * Steel, concrete and formwork of beams and columns.
 *
 * @param steel    [kg]
 * @param concrete [mm3]
 * @param formwork sides and soffits of beams, sides of columns, as if there were no slabs [mm2]
 */
public record Quantities(double steel, double concrete, double formwork) {
    public static final Quantities NONE = new Quantities(0, 0, 0);

    public Quantities plus(Quantities o) {
        return new Quantities(steel + o.steel, concrete + o.concrete, formwork + o.formwork);
    }

    public Quantities minus(Quantities o) {
        return new Quantities(steel - o.steel, concrete - o.concrete, formwork - o.formwork);
    }

    /** Steel per concrete [kg/m3]; 0 without concrete. */
    public double density() {
        return concrete > 0 ? steel / (concrete / 1e9) : 0;
    }

    /** In words: tonnes and cubic metres, or tons of 2000 lb and cubic yards. */
    public String words(boolean us) {
        double lb = Quantity.MASS.display(steel, true);
        double yards = concrete / Math.pow(914.4, 3);
        return us
                ? String.format(
                        Locale.ROOT,
                        "steel %.1f tons, concrete %.0f yd³, %.0f lb/yd³",
                        lb / 2000,
                        yards,
                        yards > 0 ? lb / yards : 0)
                : String.format(
                        Locale.ROOT,
                        "steel %.1f t, concrete %.0f m³, %.0f kg/m³",
                        steel / 1000,
                        concrete / 1e9,
                        density());
    }

    /** Of a beam line as it is modelled; concrete between the faces of its supports. */
    public static Quantities of(BeamDesign d) {
        double concrete = 0;
        double formwork = 0;
        for (BeamLine.Span s : d.line().spans()) {
            Shape shape = s.section().shape();
            concrete += shape.A() * s.clear();
            formwork += (shape.webWidth() + 2 * shape.depth()) * s.clear();
        }
        return new Quantities(mass(bars(d)), concrete, formwork);
    }

    /** Of one lift. */
    public static Quantities of(ColumnDesign d, int lift) {
        ColumnStack.Lift l = d.stack().lifts().get(lift);
        Shape shape = l.section().shape();
        double round = shape instanceof Shape.Circle c ? Math.PI * c.d() : 2 * (shape.width() + shape.depth());
        return new Quantities(mass(bars(d, lift)), shape.A() * (l.top() - l.base()), round * l.clear());
    }

    /** Of a whole stack. */
    public static Quantities of(ColumnDesign d) {
        Quantities sum = NONE;
        for (int i = 0; i < d.lifts().size(); i++) {
            sum = sum.plus(of(d, i));
        }
        return sum;
    }

    /**
     * What floors add to beams and columns, so that no concrete and no formwork counts twice: slabs without what of them lies over columns and over
     * the webs and modelled flanges of beams, and their soffits without the beams, less the sides of beams behind slabs. The steel of slabs is not
     * designed.
     */
    public static Quantities ofFloors(BuildingDesign design) {
        BuildingIndex index = design.analysis().index();
        Slabs slabs = new Slabs(index);
        List<Head> heads = design.columns().stream()
                .flatMap(d -> d.stack().lifts().stream())
                .map(l -> Head.of(l, index))
                .toList();
        Quantities sum = NONE;
        for (SlabPanel p : index.building().panels()) {
            ToDoubleFunction<Joint> around = slabs.around(p);
            double over = heads.stream()
                    .mapToDouble(h -> h.area() * around.applyAsDouble(h.at()))
                    .sum();
            sum = sum.plus(new Quantities(0, (slabs.area(p) - over) * p.thickness(), slabs.area(p) - over));
        }
        for (BeamDesign d : design.beams()) {
            for (BeamLine.Span s : d.line().spans()) {
                sum = sum.minus(behind(s, slabs, index));
            }
        }
        return sum;
    }

    /** Upper end of a lift and the area of its section. */
    private record Head(Joint at, double area) {
        static Head of(ColumnStack.Lift l, BuildingIndex index) {
            Member m = index.member(l.member());
            Joint i = index.joint(m.start());
            Joint j = index.joint(m.end());
            return new Head(i.z() > j.z() ? i : j, l.section().shape().A());
        }
    }

    /** Of slabs over a span and beside it. */
    private static Quantities behind(BeamLine.Span s, Slabs slabs, BuildingIndex index) {
        Shape shape = s.section().shape();
        Shape.Flanged f = shape instanceof Shape.Flanged g && !(shape instanceof Shape.InvertedTee) ? g : null;
        double flange = f == null ? 0 : (f.bf() - f.bw()) / f.overhangs();
        double whole = s.members().stream().mapToDouble(index::length).sum();
        Quantities sum = NONE;
        for (Member m : s.members()) {
            double length = s.clear() * index.length(m) / whole;
            for (SlabPanel p : slabs.beside(m.id())) {
                double over = Math.min(p.thickness(), shape.depth());
                double area = shape.webWidth() / 2 * over + (f == null ? 0 : flange * Math.min(p.thickness(), f.hf()));
                sum = sum.plus(new Quantities(0, area * length, (shape.webWidth() / 2 + over) * length));
            }
        }
        return sum;
    }

    /** The bars of a line. */
    public static List<BarItem> bars(BeamDesign d) {
        return BeamBars.of(d.line(), d.cage(), d.basis());
    }

    /** The bars of a lift. */
    public static List<BarItem> bars(ColumnDesign d, int lift) {
        return ColumnBars.of(d.stack(), lift, d.cage(), d.basis());
    }

    private static double mass(List<BarItem> bars) {
        return bars.stream().mapToDouble(BarItem::mass).sum();
    }
}
