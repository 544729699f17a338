package kolonne.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kolonne.core.basis.Basis;
import kolonne.core.beam.BeamDesign;
import kolonne.core.beam.BeamLine;
import kolonne.core.column.ColumnDesign;
import kolonne.core.column.ColumnStack;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.BeamBars;
import kolonne.core.detail.ColumnBars;
import kolonne.core.explain.Quantity;

/** Steel and concrete. @param steel [kg]; @param concrete [mm3] */
public record Quantities(double steel, double concrete) {
    public static final Quantities NONE = new Quantities(0, 0);

    public Quantities plus(Quantities o) {
        return new Quantities(steel + o.steel, concrete + o.concrete);
    }

    public Quantities minus(Quantities o) {
        return new Quantities(steel - o.steel, concrete - o.concrete);
    }

    /** Steel per concrete [kg/m3]; 0 without concrete. */
    public double density() {
        return concrete > 0 ? steel / (concrete / 1e9) : 0;
    }

    /** In words: tonnes and cubic metres, or tons of 2000 lb and cubic yards. */
    public String words(boolean us) {
        double lb = Quantity.MASS.display(steel, true);
        double yards = concrete / Math.pow(914.4, 3);
        return us ? String.format(Locale.ROOT, "steel %.1f tons, concrete %.0f yd³, %.0f lb/yd³", lb / 2000, yards, yards > 0 ? lb / yards : 0)
            : String.format(Locale.ROOT, "steel %.1f t, concrete %.0f m³, %.0f kg/m³", steel / 1000, concrete / 1e9, density());
    }

    /** Of a beam line as it is modelled; concrete between the faces of its supports. */
    public static Quantities of(BeamDesign d, Basis basis) {
        double concrete = 0;
        for (BeamLine.Span s : d.line().spans()) {
            concrete += s.section().shape().A() * s.clear();
        }
        return new Quantities(mass(bars(d, basis)), concrete);
    }

    /** Of one lift. */
    public static Quantities of(ColumnDesign d, int lift, Basis basis) {
        ColumnStack.Lift l = d.stack().lifts().get(lift);
        return new Quantities(mass(bars(d, lift, basis)), l.section().shape().A() * (l.top() - l.base()));
    }

    /** Of a whole stack. */
    public static Quantities of(ColumnDesign d, Basis basis) {
        Quantities sum = NONE;
        for (int i = 0; i < d.lifts().size(); i++) {
            sum = sum.plus(of(d, i, basis));
        }
        return sum;
    }

    /** The bars of a line. */
    public static List<BarItem> bars(BeamDesign d, Basis basis) {
        return BeamBars.of(d.line(), d.cage(), basis);
    }

    /** The bars of a lift; none where the section is out of scope. */
    public static List<BarItem> bars(ColumnDesign d, int lift, Basis basis) {
        ColumnStack.Lift l = d.stack().lifts().get(lift);
        if (d.lifts().get(lift).checks().stream().anyMatch(c -> c.kind().equals("shape"))) {
            return new ArrayList<>();
        }
        return ColumnBars.of(l, d.cage().lifts().get(lift), lift == d.lifts().size() - 1, basis);
    }

    private static double mass(List<BarItem> bars) {
        return bars.stream().mapToDouble(BarItem::mass).sum();
    }
}
