package kolonne.exchange.hand;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.exchange.json.MayBeNull;

/** What is set on lifts of columns, to and from its wire form. */
public final class LiftForm {
    private static final int MOST_ALONG = 20;
    private static final int FEWEST_ROUND = 3;
    private static final int MOST_ROUND = 60;
    private static final double CLOSEST = 25;
    private static final double FARTHEST = 1000;

    private final HandForm form;

    LiftForm(HandForm form) {
        this.form = form;
    }

    /**
     * Bars along the faces of a rectangle.
     *
     * @param alongX bars along each face parallel to x, corners included; {@code alongY} along each face parallel to y
     * @param heldX  which bars of the faces parallel to x are held, corner to corner; both lists empty where Kolonne is to choose
     */
    public record HandRowsDto(
            int alongX, int alongY, String corner, String face, List<Boolean> heldX, List<Boolean> heldY) {}

    /** Equal bars round a ring. @param spiral whether a spiral encloses them between the joints; hoops if left out */
    public record HandRingDto(
            int count, String size, @MayBeNull Boolean spiral) {}

    /** @param joint spacing in the joints, {@code end} next to them, {@code middle} between; foot and head how far the closer ones reach [mm] */
    public record HandTiesDto(String size, double joint, double end, double middle, double foot, double head) {}

    /**
     * Bars of an ell or a tee.
     *
     * @param overhangs  1 for an ell, 2 for a tee
     * @param web        bars along each side of the web between its free end and the flange; {@code flange} of what juts out, between web and end
     * @param heldWeb    which pairs cross-ties hold, from the free end to the flange, both of these included; empty for Kolonne's choice
     * @param heldFlange the same from the web to an end of the flange
     */
    public record HandLegsDto(
            int overhangs,
            int web,
            int flange,
            String corner,
            String face,
            List<Boolean> heldWeb,
            List<Boolean> heldFlange) {}

    /** What is set on a lift: rows, a ring or legs, and ties; null is Kolonne's. */
    public record HandLiftDto(
            @MayBeNull HandRowsDto rows,
            @MayBeNull HandRingDto ring,
            @MayBeNull HandLegsDto legs,
            @MayBeNull HandTiesDto ties) {}

    /** What is set on a stack, by number of lift from 0; what is left out is Kolonne's. */
    public record HandLiftsDto(Map<String, HandLiftDto> lifts) {}

    HandLift lift(HandLiftDto d, String where) {
        if (d == null) {
            return HandLift.NONE;
        }
        if (Stream.of(d.rows(), d.ring(), d.legs()).filter(Objects::nonNull).count() > 1) {
            form.fail(
                    where,
                    "Bars are told in more than one way.",
                    "Give rows for a rectangle, a ring for a circle, or legs for an ell or a tee.");
        }
        BarLayout bars = d.rows() != null
                ? rows(d.rows(), where + ".rows")
                : d.ring() != null
                        ? ring(d.ring(), where + ".ring")
                        : d.legs() != null ? legs(d.legs(), where + ".legs") : null;
        return new HandLift(bars, d.ties() == null ? null : ties(d.ties(), where + ".ties"));
    }

    private BarLayout rows(HandRowsDto d, String where) {
        form.range(d.alongX(), 2, MOST_ALONG, where + ".alongX", "");
        form.range(d.alongY(), 2, MOST_ALONG, where + ".alongY", "");
        Bar corner = form.bar(d.corner(), where + ".corner");
        Bar face = form.bar(d.face(), where + ".face");
        List<Boolean> x = held(d.heldX(), d.alongX(), where + ".heldX");
        List<Boolean> y = held(d.heldY(), d.alongY(), where + ".heldY");
        if (x.isEmpty() != y.isEmpty()) {
            form.fail(where, "Only one direction tells which bars are held.", "Give heldX and heldY, or neither.");
        }
        return corner == null || face == null ? null : new RectangleBars(d.alongX(), d.alongY(), corner, face, x, y);
    }

    /** Ties go round the corners, so corners are always held. */
    private List<Boolean> held(List<Boolean> told, int along, String where) {
        if (told == null || told.isEmpty()) {
            return List.of();
        }
        List<Boolean> out = new ArrayList<>();
        told.forEach(h -> out.add(Boolean.TRUE.equals(h)));
        boolean corners = out.get(0) && out.get(out.size() - 1);
        if (out.size() != along || !corners) {
            form.fail(
                    where,
                    "Bars that are held must be told for all " + along + " of a face, with both corners held.",
                    "Give " + along + " values, the first and the last true.");
        }
        return out;
    }

    private BarLayout ring(HandRingDto d, String where) {
        form.range(d.count(), FEWEST_ROUND, MOST_ROUND, where + ".count", "");
        Bar bar = form.bar(d.size(), where + ".size");
        return bar == null ? null : new RingBars(d.count(), bar, Boolean.TRUE.equals(d.spiral()));
    }

    private BarLayout legs(HandLegsDto d, String where) {
        form.range(d.overhangs(), 1, 2, where + ".overhangs", "");
        form.range(d.web(), 0, MOST_ALONG - 2, where + ".web", "");
        form.range(d.flange(), 0, MOST_ALONG - 2, where + ".flange", "");
        Bar corner = form.bar(d.corner(), where + ".corner");
        Bar face = form.bar(d.face(), where + ".face");
        List<Boolean> web = held(d.heldWeb(), d.web() + 2, where + ".heldWeb");
        List<Boolean> flange = held(d.heldFlange(), d.flange() + 2, where + ".heldFlange");
        if (web.isEmpty() != flange.isEmpty()) {
            form.fail(where, "Only one leg tells which bars are held.", "Give heldWeb and heldFlange, or neither.");
        }
        return corner == null || face == null
                ? null
                : new LegBars(d.overhangs(), d.web(), d.flange(), corner, face, web, flange);
    }

    private HandLift.Ties ties(HandTiesDto d, String where) {
        form.range(d.joint(), CLOSEST, FARTHEST, where + ".joint", " mm");
        form.range(d.end(), CLOSEST, FARTHEST, where + ".end", " mm");
        form.range(d.middle(), CLOSEST, FARTHEST, where + ".middle", " mm");
        form.range(d.foot(), 0, HandForm.FAR, where + ".foot", " mm");
        form.range(d.head(), 0, HandForm.FAR, where + ".head", " mm");
        Bar bar = form.bar(d.size(), where + ".size");
        return bar == null
                ? null
                : new HandLift.Ties(bar, new TieSpacing(d.joint(), d.end(), d.middle(), d.foot(), d.head()));
    }

    /** The wire form of what is set on a lift. */
    public static HandLiftDto dto(HandLift h) {
        HandLift.Ties t = h.ties();
        return new HandLiftDto(
                h.bars() instanceof RectangleBars r
                        ? new HandRowsDto(
                                r.alongX(),
                                r.alongY(),
                                r.corner().label(),
                                r.face().label(),
                                r.heldX(),
                                r.heldY())
                        : null,
                h.bars() instanceof RingBars r
                        ? new HandRingDto(r.count(), r.bar().label(), r.spiral())
                        : null,
                h.bars() instanceof LegBars l
                        ? new HandLegsDto(
                                l.overhangs(),
                                l.web(),
                                l.flange(),
                                l.corner().label(),
                                l.face().label(),
                                l.heldWeb(),
                                l.heldFlange())
                        : null,
                t == null
                        ? null
                        : new HandTiesDto(
                                t.bar().label(),
                                t.spacing().joint(),
                                t.spacing().end(),
                                t.spacing().middle(),
                                t.spacing().foot(),
                                t.spacing().head()));
    }

    static Map<String, HandLiftDto> dto(Map<String, HandLift> lifts) {
        Map<String, HandLiftDto> out = new LinkedHashMap<>();
        lifts.forEach((m, h) -> out.put(m, dto(h)));
        return out;
    }

    static List<Bar> used(HandLift h) {
        List<Bar> out = new ArrayList<>();
        if (h.bars() instanceof RectangleBars r) {
            out.add(r.corner());
            out.add(r.face());
        } else if (h.bars() instanceof LegBars l) {
            out.add(l.corner());
            out.add(l.face());
        } else if (h.bars() instanceof RingBars r) {
            out.add(r.bar());
        }
        if (h.ties() != null) {
            out.add(h.ties().bar());
        }
        return out;
    }
}
