package kolonne.core.column.check;

import static kolonne.core.explain.Trace.in;

import kolonne.core.basis.Basis;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Spirals;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** The spiral of a lift: clear distance of its turns, and its volume over that of the core. */
final class SpiralCheck {
    private SpiralCheck() {}

    static void offer(
            ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis, At at, Governing governing, Trace t) {
        Spirals rules = basis.designCode().spirals();
        double d = cage.tie().diameter();
        double pitch = cage.ties().middle();
        governing.offer(
                CheckKind.COLUMN_SPIRAL_CLEAR,
                rules.leastClear(basis.aggregate()),
                Math.max(pitch - d, 1e-3),
                at,
                rules.clearClause());
        double outside = lift.section().shape().width() - 2 * basis.columnCover();
        double core = Math.PI * outside * outside / 4;
        double least = rules.leastRatio(
                lift.section().shape().A(), core, lift.material().fc(), basis.fyt(), t);
        if (least > 0) {
            // a turn along its middle over the core of a pitch
            double has = cage.tie().area() * Math.PI * (outside - d) / (core * pitch);
            governing.offer(CheckKind.COLUMN_SPIRAL_RATIO, least, has, at, rules.ratioClause());
            if (t.on()) {
                t.step(
                        "ρs",
                        "Asp π (Dch − dsp) / (Ach s)",
                        "{0} × π × ({1} − {2}) / ({3} × {4})",
                        has,
                        Quantity.RATIO,
                        rules.ratioClause(),
                        in(cage.tie().area(), Quantity.AREA),
                        in(outside, Quantity.LENGTH),
                        in(d, Quantity.LENGTH),
                        in(core, Quantity.AREA),
                        in(pitch, Quantity.LENGTH));
            }
        }
    }
}
