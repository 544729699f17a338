package kolonne.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import kolonne.core.finding.Finding;
import kolonne.core.shape.Shape;

/**
 * What looks wrong in the shape of a model that is sound otherwise: joints nearly in one place, members that cross without a
 * joint, beam ends in mid-air, columns that nothing carries down, sizes that suggest a wrong unit. All are notes: the model
 * can be analysed, and the person knows whether it is meant so.
 */
final class GeometryCheck {
    /** Joints closer than this are likely meant to be one [mm]. */
    private static final double NEAR = 50;
    /** A column leans where it is longer than so many times its height. */
    private static final double LEANING = 1.005;
    /** A member passes through another if their axes come this close [mm]. */
    private static final double TOUCH = 1;
    /** A free end this close to a member is likely meant to be joined to it [mm]. */
    private static final double REACH = 300;
    /** A cantilever longer than this is told [mm]. */
    private static final double LONG_CANTILEVER = 4000;
    /** Side of the cubes in which neighbours are sought [mm]. */
    private static final double CELL = 4000;
    /** Findings of one kind beyond this number are counted, not listed. */
    private static final int MOST = 40;

    private final Building b;
    private final BuildingIndex index;
    private final Map<String, Integer> told = new HashMap<>();
    private final List<Finding> out = new ArrayList<>();
    private final Map<Long, List<Integer>> membersIn = new HashMap<>();

    private GeometryCheck(Building b) {
        this.b = b;
        this.index = new BuildingIndex(b);
    }

    static List<Finding> run(Building b) {
        GeometryCheck c = new GeometryCheck(b);
        c.nearJoints();
        c.fill();
        c.crossings();
        c.ends();
        c.columns();
        c.sizes();
        c.told.forEach((code, n) -> {
            if (n > MOST) {
                c.out.add(Finding.note(
                        code,
                        "model",
                        "There are " + (n - MOST) + " more of these.",
                        "Mend those listed and look again."));
            }
        });
        return c.out;
    }

    private void note(String code, String where, String what, String mend) {
        if (told.merge(code, 1, Integer::sum) <= MOST) {
            out.add(Finding.note(code, where, what, mend));
        }
    }

    private static long cell(long x, long y, long z) {
        return (x * 73_856_093L) ^ (y * 19_349_663L << 20) ^ (z * 83_492_791L << 40);
    }

    // ---- joints -----------------------------------------------------------------------------------------------------

    private void nearJoints() {
        Map<Long, List<Joint>> cells = new HashMap<>();
        for (Joint j : b.joints()) {
            if (index.membersAt(j.id()).isEmpty()) {
                continue;
            }
            long x = (long) Math.floor(j.x() / NEAR);
            long y = (long) Math.floor(j.y() / NEAR);
            long z = (long) Math.floor(j.z() / NEAR);
            for (long k = 0; k < 27; k++) {
                for (Joint o : cells.getOrDefault(cell(x + k % 3 - 1, y + k / 3 % 3 - 1, z + k / 9 - 1), List.of())) {
                    double d = j.distanceTo(o);
                    if (d < NEAR) {
                        note(
                                "joint.near",
                                "joint " + j.id(),
                                String.format(
                                        Locale.ROOT,
                                        "The joint lies %.1f mm from joint %s, and they are not one.",
                                        d,
                                        o.id()),
                                "Join the members at one of the two, unless the gap is meant.");
                    }
                }
            }
            cells.computeIfAbsent(cell(x, y, z), q -> new ArrayList<>()).add(j);
        }
    }

    // ---- members ----------------------------------------------------------------------------------------------------

    private void fill() {
        for (int m = 0; m < b.members().size(); m++) {
            int number = m;
            eachCell(
                    b.members().get(m),
                    (c, ignored) ->
                            membersIn.computeIfAbsent(c, q -> new ArrayList<>()).add(number));
        }
    }

    /** The cells around a member, piece by piece along it. */
    private void eachCell(Member m, BiConsumer<Long, Member> use) {
        Joint i = index.joint(m.start());
        Joint j = index.joint(m.end());
        int pieces = (int) Math.ceil(index.length(m) / CELL);
        Set<Long> cells = new HashSet<>();
        for (int k = 0; k < pieces; k++) {
            double a = (double) k / pieces;
            double c = (k + 1.0) / pieces;
            double[][] ends = new double[3][];
            ends[0] = new double[] {i.x() + a * (j.x() - i.x()), i.x() + c * (j.x() - i.x())};
            ends[1] = new double[] {i.y() + a * (j.y() - i.y()), i.y() + c * (j.y() - i.y())};
            ends[2] = new double[] {i.z() + a * (j.z() - i.z()), i.z() + c * (j.z() - i.z())};
            for (long x = low(ends[0][0], ends[0][1]); x <= high(ends[0][0], ends[0][1]); x++) {
                for (long y = low(ends[1][0], ends[1][1]); y <= high(ends[1][0], ends[1][1]); y++) {
                    for (long z = low(ends[2][0], ends[2][1]); z <= high(ends[2][0], ends[2][1]); z++) {
                        cells.add(cell(x, y, z));
                    }
                }
            }
        }
        cells.forEach(c -> use.accept(c, m));
    }

    private static long low(double a, double b) {
        return (long) Math.floor((Math.min(a, b) - REACH) / CELL);
    }

    private static long high(double a, double b) {
        return (long) Math.floor((Math.max(a, b) + REACH) / CELL);
    }

    private Set<Integer> near(int m) {
        Set<Integer> found = new HashSet<>();
        eachCell(b.members().get(m), (c, q) -> found.addAll(membersIn.getOrDefault(c, List.of())));
        found.remove(m);
        return found;
    }

    private void crossings() {
        for (int m = 0; m < b.members().size(); m++) {
            for (int o : near(m)) {
                if (o > m && !shareJoint(b.members().get(m), b.members().get(o))) {
                    crossing(b.members().get(m), b.members().get(o));
                }
            }
        }
    }

    private static boolean shareJoint(Member p, Member q) {
        return p.start().equals(q.start())
                || p.start().equals(q.end())
                || p.end().equals(q.start())
                || p.end().equals(q.end());
    }

    private void crossing(Member p, Member q) {
        Closest c =
                Closest.of(index.joint(p.start()), index.joint(p.end()), index.joint(q.start()), index.joint(q.end()));
        if (c.distance() < TOUCH) {
            note(
                    "member.crossing",
                    "member " + p.id(),
                    String.format(
                            Locale.ROOT,
                            "The member passes through member %s at (%.2f, %.2f, %.2f) m without a joint: they do not carry each other.",
                            q.id(),
                            c.x() / 1000,
                            c.y() / 1000,
                            c.z() / 1000),
                    "Split both at a common joint, unless they pass freely.");
        }
    }

    private void ends() {
        Set<String> held = new HashSet<>();
        b.supports().forEach(s -> held.add(s.joint()));
        b.springs().forEach(s -> held.add(s.joint()));
        for (int m = 0; m < b.members().size(); m++) {
            Member q = b.members().get(m);
            for (String end : List.of(q.start(), q.end())) {
                if (q.role() == Role.BEAM && index.membersAt(end).size() == 1 && !held.contains(end)) {
                    freeEnd(m, q, end);
                }
            }
        }
    }

    private void freeEnd(int number, Member m, String end) {
        Joint e = index.joint(end);
        for (int o : near(number)) {
            Member q = b.members().get(o);
            double d = Closest.of(index.joint(q.start()), index.joint(q.end()), e, e)
                    .distance();
            if (d < REACH && !shareJoint(m, q)) {
                note(
                        "member.mid-air",
                        "member " + m.id(),
                        String.format(
                                Locale.ROOT,
                                "The beam ends at joint %s, %.0f mm from member %s, and is not joined to it.",
                                end,
                                d,
                                q.id()),
                        "Split member " + q.id() + " at the joint, or move the joint onto it.");
                return;
            }
        }
        if (index.length(m) > LONG_CANTILEVER) {
            note(
                    "member.free-end",
                    "member " + m.id(),
                    String.format(
                            Locale.ROOT,
                            "The beam ends in the air at joint %s: a cantilever of %.1f m.",
                            end,
                            index.length(m) / 1000),
                    "Join it to what carries it, unless it is a cantilever.");
        }
    }

    private void columns() {
        Set<String> held = new HashSet<>();
        b.supports().stream().filter(Support::uz).forEach(s -> held.add(s.joint()));
        b.springs().stream().filter(s -> s.uz() > 0).forEach(s -> held.add(s.joint()));
        for (Member m : b.members()) {
            if (m.role() != Role.COLUMN) {
                continue;
            }
            String foot = index.joint(m.start()).z() <= index.joint(m.end()).z() ? m.start() : m.end();
            double z = index.joint(foot).z();
            boolean carried = held.contains(foot)
                    || index.membersAt(foot).stream()
                            .anyMatch(o -> o != m
                                    && o.role() == Role.COLUMN
                                    && index.joint(index.otherEnd(o, foot)).z() < z);
            if (!carried) {
                planted(m, foot);
            }
        }
    }

    private void planted(Member column, String foot) {
        List<String> beams = index.membersAt(foot).stream()
                .filter(o -> o.role() == Role.BEAM)
                .map(Member::id)
                .toList();
        if (beams.isEmpty()) {
            note(
                    "column.hanging",
                    "member " + column.id(),
                    "Nothing carries the column at its foot, joint " + foot + ".",
                    "Carry it down, support the joint, or make sure that it is meant to hang.");
        } else {
            note(
                    "column.planted",
                    "member " + column.id(),
                    "The column does not go down: it stands on " + (beams.size() == 1 ? "beam " : "beams ")
                            + String.join(", ", beams) + " at joint " + foot + ".",
                    "Check that the beams below are meant to carry it.");
        }
    }

    /** Bars and ties of columns are counted by heights. */
    private void leaning(Member column) {
        double length = index.length(column);
        double height = index.upper(column).z() - index.lower(column).z();
        if (height > 0 && length > LEANING * height) {
            note(
                    "column.leans",
                    "member " + column.id(),
                    String.format(
                            Locale.ROOT,
                            "The column leans: it is %.2f m long over %.2f m of height. Its bars, ties and concrete are listed by the "
                                    + "height, %.0f %% less than they are.",
                            length / 1000,
                            height / 1000,
                            100 * (1 - height / length)),
                    "Lengthen them by hand, and look at the joints at its ends.");
        }
    }

    private void sizes() {
        for (Member m : b.members()) {
            if (m.role() == Role.COLUMN) {
                leaning(m);
            }
            Shape s = index.sectionOf(m).shape();
            if (Math.max(s.depth(), s.webWidth()) > index.length(m)) {
                note(
                        "member.stubby",
                        "member " + m.id(),
                        String.format(
                                Locale.ROOT,
                                "The member is %.2f m long and its section %s mm: deeper than long.",
                                index.length(m) / 1000,
                                s.label()),
                        "Check the units of sections and coordinates.");
            }
        }
        double[] low = {1e30, 1e30, 1e30};
        double[] high = {-1e30, -1e30, -1e30};
        for (Joint j : b.joints()) {
            double[] p = {j.x(), j.y(), j.z()};
            for (int i = 0; i < 3; i++) {
                low[i] = Math.min(low[i], p[i]);
                high[i] = Math.max(high[i], p[i]);
            }
        }
        double largest = Math.max(high[0] - low[0], Math.max(high[1] - low[1], high[2] - low[2]));
        if (largest > 1e6 || largest < 1000) {
            note(
                    "model.size",
                    "model",
                    String.format(Locale.ROOT, "The model measures %.3g m.", largest / 1000),
                    "Check the length unit of the file.");
        }
    }

    /** Where two straight pieces come closest. */
    private record Closest(double distance, double x, double y, double z) {
        static Closest of(Joint a, Joint b, Joint c, Joint d) {
            double[] u = {b.x() - a.x(), b.y() - a.y(), b.z() - a.z()};
            double[] v = {d.x() - c.x(), d.y() - c.y(), d.z() - c.z()};
            double[] w = {a.x() - c.x(), a.y() - c.y(), a.z() - c.z()};
            double uu = dot(u, u);
            double uv = dot(u, v);
            double vv = dot(v, v);
            double det = uu * vv - uv * uv;
            double s = det > 1e-9 * uu * Math.max(vv, 1) ? clamp((uv * dot(v, w) - vv * dot(u, w)) / det) : 0;
            double t = vv > 0 ? clamp((uv * s + dot(v, w)) / vv) : 0;
            s = clamp((uv * t - dot(u, w)) / uu);
            double x = a.x() + s * u[0];
            double y = a.y() + s * u[1];
            double z = a.z() + s * u[2];
            double dx = x - c.x() - t * v[0];
            double dy = y - c.y() - t * v[1];
            double dz = z - c.z() - t * v[2];
            return new Closest(Math.sqrt(dx * dx + dy * dy + dz * dz), x, y, z);
        }

        private static double clamp(double s) {
            return Math.max(0, Math.min(1, s));
        }

        private static double dot(double[] p, double[] q) {
            return p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
        }
    }
}
