package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.Detailing;
import kolonne.core.column.cage.VerticalBars.Standing;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.PlacedBar;

/**
 * The clear distance of a bar that laps to the bars beside it, but for the one that it laps with, where there is least of it for what is needed.
 *
 * @param clear, needed [mm]
 * @param foot   whether it is about starter bars, at the foot of the lift; else about bars at its head, over the floor
 */
public record LapGap(double clear, double needed, boolean foot) {
    /** A bar while it laps. @param own whether it belongs to the lift that the lap lies in */
    private record Lapped(double x, double y, double diameter, boolean own) {
        double clear(Lapped o) {
            // asked very often: Math.hypot takes ten times as long
            return Math.sqrt((x - o.x) * (x - o.x) + (y - o.y) * (y - o.y)) - (diameter + o.diameter) / 2;
        }
    }

    /** The worst of a lift's head and foot; empty where nothing laps. @param standing bars of the lift as they stand; {@code above} cage of the lift above, or null */
    public static Optional<LapGap> worst(
            ColumnStack stack,
            int number,
            List<Standing> standing,
            ColumnCage.LiftCage here,
            ColumnCage.LiftCage above,
            Basis basis) {
        LapGap head = least(over(stack, number, standing, here, above, basis), false, basis);
        LapGap foot = least(starters(stack.lifts().get(number), standing, here, basis), true, basis);
        return Optional.ofNullable(head == null || foot != null && foot.part() > head.part() ? foot : head);
    }

    /** Whether the bars of a lift leave room for bars like them that lap with them, from the foundation or the lift below. */
    public static boolean suffices(ColumnStack.Lift lift, ColumnCage.LiftCage here, Basis basis) {
        if (ColumnLaps.coupled(basis)) {
            return true;
        }
        List<PlacedBar> placed = here.bars(lift.section().shape(), basis.columnCover());
        List<Lapped> own = new ArrayList<>();
        List<Lapped> with = new ArrayList<>();
        for (PlacedBar p : placed) {
            double d = here.layout().at(p).diameter();
            double[] in = OverFloor.inwards(p, placed, lift.section().shape());
            own.add(new Lapped(p.x(), p.y(), d, true));
            with.add(new Lapped(p.x() + d * in[0], p.y() + d * in[1], d, false));
        }
        Detailing rules = basis.designCode().detailing();
        for (int i = 0; i < own.size(); i++) {
            for (int k = 0; k < own.size(); k++) {
                double d = Math.max(own.get(i).diameter, own.get(k).diameter);
                double clear =
                        Math.min(with.get(i).clear(own.get(k)), with.get(i).clear(with.get(k)));
                if (i != k && clear < rules.lapClearSpacing(d, basis.aggregate()) - 1e-6) {
                    return false;
                }
            }
        }
        return true;
    }

    public double part() {
        return needed / Math.max(clear, 0.1);
    }

    private static List<Lapped> over(
            ColumnStack stack,
            int number,
            List<Standing> standing,
            ColumnCage.LiftCage here,
            ColumnCage.LiftCage above,
            Basis basis) {
        List<Lapped> out = new ArrayList<>();
        for (Standing s : standing) {
            if (s.use() == VerticalBars.Use.ON || s.use() == VerticalBars.Use.DOWEL) {
                double dx = s.crank() == null ? 0 : s.crank().dx();
                double dy = s.crank() == null ? 0 : s.crank().dy();
                out.add(new Lapped(s.x() + dx, s.y() + dy, s.bar().diameter(), false));
            }
        }
        if (above != null && !out.isEmpty()) {
            new OverFloor(stack.lifts().get(number), stack.lifts().get(number + 1), here, above, basis)
                    .uppers()
                    .forEach(u -> out.add(new Lapped(u.x(), u.y(), u.bar().diameter(), true)));
        }
        return out;
    }

    private static List<Lapped> starters(
            ColumnStack.Lift lift, List<Standing> standing, ColumnCage.LiftCage here, Basis basis) {
        List<Lapped> out = new ArrayList<>();
        for (Standing s : standing) {
            if (s.use() == VerticalBars.Use.STARTER && !ColumnLaps.coupled(basis)) {
                out.add(new Lapped(s.x(), s.y(), s.bar().diameter(), false));
            }
        }
        if (!out.isEmpty()) {
            here.bars(lift.section().shape(), basis.columnCover()).forEach(p -> {
                Bar bar = here.layout().at(p);
                out.add(new Lapped(p.x(), p.y(), bar.diameter(), true));
            });
        }
        return out;
    }

    /** Among bars of which those from below lap with the nearest of the lift's own. */
    private static LapGap least(List<Lapped> all, boolean foot, Basis basis) {
        Detailing rules = basis.designCode().detailing();
        LapGap worst = null;
        for (Lapped a : all) {
            Lapped partner = a.own ? null : nearest(a, all);
            for (Lapped b : all) {
                if (a.own || b == a || b == partner) {
                    continue;
                }
                double needed = rules.lapClearSpacing(Math.max(a.diameter, b.diameter), basis.aggregate());
                LapGap g = new LapGap(a.clear(b), needed, foot);
                worst = worst == null || g.part() > worst.part() ? g : worst;
            }
        }
        return worst;
    }

    private static Lapped nearest(Lapped a, List<Lapped> all) {
        Lapped out = null;
        for (Lapped b : all) {
            out = b.own && (out == null || a.clear(b) < a.clear(out)) ? b : out;
        }
        return out;
    }
}
