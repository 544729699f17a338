package kolonne.core.column.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.Bends;
import kolonne.core.code.Detailing;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.section.Developed;
import kolonne.core.section.PlacedBar;

/** What the bars of a lift develop at the faces of its joints: all of their strength but where they end, at its head, or stand on a beam. */
final class BarEnds {
    private final Basis basis;
    private final Detailing detailing;
    private final ColumnStack.Lift lift;
    private final List<PlacedBar> bars;
    private final List<VerticalBars.Standing> standing;

    /** @param standing bars of the lift as they stand with its cage */
    BarEnds(ColumnStack.Lift lift, ColumnCage.LiftCage here, List<VerticalBars.Standing> standing, Basis basis) {
        this.basis = basis;
        this.detailing = basis.designCode().detailing();
        this.lift = lift;
        this.bars = here.bars(lift.section().shape(), basis.columnCover());
        this.standing = standing;
    }

    /** At the head, or the foot; empty where all bars are developed whole. In the order in which the cage tells its bars. */
    List<Developed> at(boolean head) {
        List<Developed> out = new ArrayList<>();
        boolean whole = true;
        for (PlacedBar p : bars) {
            Developed d = head ? atHead(p) : atFoot(p);
            out.add(d);
            whole &= d.whole();
        }
        return whole ? List.of() : out;
    }

    private Developed atHead(PlacedBar p) {
        // what they end in is not in the model where no beams are: a note says so
        VerticalBars.Standing s = lift.inHead() > 0 ? ending(p) : null;
        return s == null ? Developed.WHOLE : developed(s, s.hookHead(), s.to() - soffit());
    }

    private double soffit() {
        return lift.top() - lift.base() - lift.inHead();
    }

    /** The bar itself where it ends at the head; else null. */
    private VerticalBars.Standing ending(PlacedBar p) {
        return standing.stream()
                .filter(s -> s.use() == VerticalBars.Use.ENDS && Math.hypot(s.x() - p.x(), s.y() - p.y()) < 1)
                .findFirst()
                .orElse(null);
    }

    /** By the starter bar that stands nearest, in the beam beneath; foundations are made as deep as starter bars need. */
    private Developed atFoot(PlacedBar p) {
        if (!lift.planted() || lift.inFoot() <= 0) {
            return Developed.WHOLE;
        }
        VerticalBars.Standing s = starter(p);
        return s == null ? Developed.WHOLE : developed(s, s.hookFoot(), lift.inFoot() - s.from());
    }

    private VerticalBars.Standing starter(PlacedBar p) {
        VerticalBars.Standing nearest = null;
        for (VerticalBars.Standing s : standing) {
            boolean starter = s.use() == VerticalBars.Use.STARTER;
            if (starter && (nearest == null || apart(s, p) < apart(nearest, p))) {
                nearest = s;
            }
        }
        return nearest;
    }

    private static double apart(VerticalBars.Standing s, PlacedBar p) {
        return Math.hypot(s.x() - p.x(), s.y() - p.y());
    }

    /** Records what a bar that ends has and needs: the first of those that develop least. */
    void explain(boolean head, Trace t) {
        if (!t.on()) {
            return;
        }
        List<Developed> all = at(head);
        int least = 0;
        for (int i = 1; i < all.size(); i++) {
            least = all.get(i).least() < all.get(least).least() ? i : least;
        }
        VerticalBars.Standing s = head ? ending(bars.get(least)) : starter(bars.get(least));
        double room = head ? s.to() - soffit() : lift.inFoot() - s.from();
        double fc = lift.material().fc();
        t.say(
                head ? "Bars that end at the head" : "Bars anchored in the beam below",
                s.bar().label() + ", the force that they have room to develop",
                detailing.hookClause());
        t.step("room", "from the face of the joint to the end of the bar", "", room, Quantity.LENGTH, Clause.NONE);
        if (s.hookHead() || s.hookFoot()) {
            detailing.standingHookLength(s.bar(), fc, basis.fy(), t);
        } else {
            t.step("ld", "straight", "", straight(s.bar()), Quantity.LENGTH, detailing.developmentClause());
        }
        t.step(
                "ldc",
                "in compression, without the bend",
                "",
                detailing.compressionDevelopment(s.bar(), fc, basis.fy()),
                Quantity.LENGTH,
                detailing.compressionDevelopmentClause());
        t.step("ft / fy", "developed in tension", "", all.get(least).tension(), Quantity.NUMBER, Clause.NONE);
        t.step("fc / fy", "developed in compression", "", all.get(least).compression(), Quantity.NUMBER, Clause.NONE);
    }

    /** @param room from the face of the joint to the outside of its end [mm] */
    private Developed developed(VerticalBars.Standing s, boolean hooked, double room) {
        double fc = lift.material().fc();
        double pull = hooked ? detailing.standingHookLength(s.bar(), fc, basis.fy(), Trace.OFF) : straight(s.bar());
        double push = detailing.compressionDevelopment(s.bar(), fc, basis.fy());
        Bends bends = basis.entry().bends();
        double bend = hooked ? bends.barRadius(s.bar()) + s.bar().diameter() : 0;
        return new Developed(part(room, pull), part(room - bend, push));
    }

    private double straight(Bar bar) {
        return detailing.developmentLength(
                bar, lift.material().fc(), basis.fy(), false, 2 * bar.diameter(), basis.columnCover(), true);
    }

    private static double part(double has, double needs) {
        return Math.max(0, Math.min(1, has / needs));
    }
}
