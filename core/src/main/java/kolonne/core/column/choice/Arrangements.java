package kolonne.core.column.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.RoundTies;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.check.ColumnTieCheck;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/** Arrangements of a lift's bars to choose among: all counts and sizes that fit its section. */
final class Arrangements {
    private static final int MOST_ALONG = 8;
    private static final int MOST_IN_CIRCLE = 16;

    private final Basis basis;
    private final DesignCode code;
    /** Ties that people have set, or null. */
    private final Bar set;
    /** Diameter of the thinnest ties that bars are chosen within [mm]. */
    private final double leastTie;

    Arrangements(Basis basis, HandLift hand, double leastTie) {
        this.basis = basis;
        this.code = basis.designCode();
        this.set = hand.ties() == null ? null : hand.ties().bar();
        this.leastTie = leastTie;
    }

    /** All arrangements that fit, within the code's limits of steel, least steel first (or fewest bars first). */
    List<ColumnCage.LiftCage> of(ColumnStack.Lift lift, ColumnCage.LiftCage above, double least) {
        Shape s = lift.section().shape();
        List<ColumnCage.LiftCage> out = new ArrayList<>();
        List<ColumnCage.LiftCage> unlimited = new ArrayList<>();
        for (Bar corner : basis.columnBarList()) {
            for (Bar face : basis.columnBarList()) {
                if (face.diameter() > corner.diameter() || s instanceof Shape.Circle && face != corner) {
                    continue;
                }
                counts(s, corner, face, unlimited);
            }
        }
        for (ColumnCage.LiftCage c : unlimited) {
            double ratio = c.area() / s.A();
            boolean legal = ratio >= least - 1e-9 && ratio <= code.columns().columnMaximumRatio() + 1e-9;
            if (legal && fits(c, s) && notLess(c, above)) {
                out.add(c);
            }
        }
        if (out.isEmpty()) {
            out.add(above != null ? above : unlimited.get(0));
        }
        Comparator<ColumnCage.LiftCage> byArea = Comparator.comparingDouble(ColumnCage.LiftCage::area);
        Comparator<ColumnCage.LiftCage> byCount = Comparator.comparingInt(ColumnCage.LiftCage::count);
        double piece = ColumnPractice.piece(basis);
        Comparator<ColumnCage.LiftCage> byCost = Comparator.comparingDouble(c -> c.area() + piece * c.count());
        out.sort(
                switch (basis.bars().preference()) {
                    case FEWEST_BARS -> byCount.thenComparing(byArea);
                    case PRACTICAL -> byCost.thenComparing(byCount);
                    default -> byArea.thenComparing(byCount);
                });
        return out;
    }

    private void counts(Shape s, Bar corner, Bar face, List<ColumnCage.LiftCage> out) {
        if (s instanceof Shape.Circle) {
            boolean spiral = basis.practice().roundTies() == RoundTies.SPIRALS;
            for (int n = 6; n <= MOST_IN_CIRCLE; n += 2) {
                RingBars ring = new RingBars(n, corner, spiral);
                out.add(new ColumnCage.LiftCage(
                        ring, tieFor(ring), basis.stirrups().least()));
            }
            return;
        }
        Bar tie = tieFor(code.columns().smallestTie(corner));
        if (s instanceof Shape.Flanged f) {
            for (int web = 0; web <= MOST_ALONG - 2; web++) {
                for (int flange = 0; flange <= MOST_ALONG - 2; flange++) {
                    if (web + flange > 0 || face == corner) {
                        out.add(new ColumnCage.LiftCage(
                                LegBars.of(f.overhangs(), web, flange, corner, face),
                                tie,
                                basis.stirrups().least()));
                    }
                }
            }
            return;
        }
        for (int nx = 2; nx <= MOST_ALONG; nx++) {
            for (int ny = 2; ny <= MOST_ALONG; ny++) {
                if (nx == 2 && ny == 2 && face != corner) {
                    continue;
                }
                out.add(new ColumnCage.LiftCage(
                        new RectangleBars(nx, ny, corner, face, HeldBars.along(nx, 1, 0), HeldBars.along(ny, 1, 0)),
                        tie,
                        basis.stirrups().least()));
            }
        }
    }

    /** The ties that bars ask for, no thinner than the thinnest. */
    Bar tieFor(BarLayout layout) {
        Bar thick = layout.largest();
        boolean wound = layout instanceof RingBars r && r.spiral();
        return tieFor(wound ? code.spirals().smallest(thick) : code.columns().smallestTie(thick));
    }

    /** @param least diameter [mm] */
    private Bar tieFor(double least) {
        if (set != null) {
            return set;
        }
        List<Bar> ties = basis.stirrupList();
        return ties.stream()
                .filter(t -> t.diameter() >= Math.max(least, leastTie))
                .findFirst()
                .orElse(ties.get(ties.size() - 1));
    }

    /** Whether the bars lie far enough apart. */
    boolean fits(ColumnCage.LiftCage c, Shape s) {
        double needed = code.detailing().columnClearSpacing(c.layout().largest().diameter(), basis.aggregate());
        for (double g : c.layout().gaps(s, ColumnTieCheck.inset(c, basis))) {
            if (g < needed - 1e-6) {
                return false;
            }
        }
        return true;
    }

    private static boolean notLess(ColumnCage.LiftCage c, ColumnCage.LiftCage above) {
        return above == null || c.layout().below(above.layout()) == above.count();
    }
}
