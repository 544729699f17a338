package kolonne.core.beam.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.Faces;
import kolonne.core.analysis.LocalAxes;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.GridNames;
import kolonne.core.model.Joint;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.Storey;
import kolonne.core.shape.Shape;

/**
 * Finds the beam lines of an analysed building. Members run on where they are collinear, connected in bending and of like size; a joint
 * supports the line where a column stands below it or where it pushes the line up under the gravity loads.
 */
public final class BeamLines {
    /** Cosine of the greatest angle between members of one line: 5°. */
    private static final double COLLINEAR = -Math.cos(Math.toRadians(5));
    /** Part of the line's largest gravity shear that a joint must push up to count as a support. */
    private static final double SUPPORT_PART = 0.25;
    /** A push up of an end below this part of the largest shear is rounding. */
    private static final double ROUNDING = 1e-6;

    /** Greatest ratio of depths, or of web widths, over which bars still run through from one section to the next. */
    private static final double ALIKE = 1.5;
    /** Stations this near a face are at it [mm]. */
    private static final double AT_FACE = 6;

    private final Faces faces;
    private final BuildingIndex index;
    private final Analysis analysis;
    private final Set<String> supported = new HashSet<>();
    private final int[] gravity;

    private BeamLines(Analysis analysis) {
        this.analysis = analysis;
        this.index = analysis.index();
        this.faces = new Faces(index);
        index.building().supports().stream().filter(s -> s.uz()).forEach(s -> supported.add(s.joint()));
        List<LoadCase> cases = index.building().loadCases();
        gravity = java.util.stream.IntStream.range(0, cases.size())
                .filter(i -> !cases.get(i).kind().isLateral())
                .toArray();
    }

    /** All lines, by storey from the ground, then in plan. */
    public static List<BeamLine> find(Analysis analysis) {
        return new BeamLines(analysis).all();
    }

    /** The same with the slabs as flanges, where the basis says so. */
    public static List<BeamLine> find(Analysis analysis, kolonne.core.basis.Basis basis) {
        List<BeamLine> out = find(analysis);
        if (!basis.beams().slabFlanges()) {
            return out;
        }
        SlabFlanges flanges = new SlabFlanges(analysis.index(), basis.designCode());
        return out.stream().map(flanges::of).toList();
    }

    private List<BeamLine> all() {
        Set<String> used = new HashSet<>();
        List<List<Step>> chains = new ArrayList<>();
        for (Member m : index.building().members()) {
            if (m.role() == Role.BEAM && !used.contains(m.id())) {
                List<Step> chain = chain(m);
                chain.forEach(s -> used.add(s.member().id()));
                chains.add(chain);
            }
        }
        chains.sort(Comparator.comparingDouble((List<Step> c) -> first(c).z())
                .thenComparingDouble(c -> -Math.rint(first(c).y()))
                .thenComparingDouble(c -> first(c).x())
                .thenComparing(c -> c.get(0).member().id()));
        Map<String, Integer> counts = new HashMap<>();
        List<BeamLine> out = new ArrayList<>();
        for (List<Step> chain : chains) {
            Storey storey = storeyAt(index, first(chain).z());
            String level = storey == null ? "Z" + Math.round(first(chain).z() / 100) / 10.0 : storey.id();
            int number = counts.merge(level, 1, Integer::sum);
            out.add(line(chain, String.format("%s-B%02d", level, number), storey == null ? level : storey.name()));
        }
        return out;
    }

    /** The storey nearest in height, within half a metre; null if there is none. */
    public static Storey storeyAt(BuildingIndex index, double z) {
        return index.building().storeys().stream()
                .filter(s -> Math.abs(s.elevation() - z) <= 500)
                .min(Comparator.comparingDouble(s -> Math.abs(s.elevation() - z)))
                .orElse(null);
    }

    /** A member of a chain; reversed if it runs against the line. */
    private record Step(Member member, boolean reversed) {
        String from() {
            return reversed ? member.end() : member.start();
        }

        String to() {
            return reversed ? member.start() : member.end();
        }
    }

    private Joint first(List<Step> chain) {
        return index.joint(chain.get(0).from());
    }

    private List<Step> chain(Member seed) {
        Joint i = index.joint(seed.start());
        Joint j = index.joint(seed.end());
        double dx = j.x() - i.x();
        double dy = j.y() - i.y();
        boolean reversed = Math.abs(dx) >= Math.abs(dy) ? dx < 0 : dy < 0;
        List<Step> out = new ArrayList<>();
        out.add(new Step(seed, reversed));
        for (Step next = after(out.get(0)); next != null && !contains(out, next); next = after(next)) {
            out.add(next);
        }
        for (Step back = before(out.get(0)); back != null && !contains(out, back); back = before(back)) {
            out.add(0, back);
        }
        return out;
    }

    private static boolean contains(List<Step> chain, Step s) {
        return chain.stream().anyMatch(c -> c.member() == s.member());
    }

    private Step after(Step s) {
        Member next = continuing(s.member(), s.to());
        return next == null ? null : new Step(next, !next.start().equals(s.to()));
    }

    private Step before(Step s) {
        Member previous = continuing(s.member(), s.from());
        return previous == null ? null : new Step(previous, !previous.end().equals(s.from()));
    }

    /** The beam that carries on from {@code m} past the joint, if both are connected in major bending. */
    private Member continuing(Member m, String joint) {
        if (released(m, joint)) {
            return null;
        }
        Member best = null;
        double bestCosine = COLLINEAR;
        for (Member o : index.membersAt(joint)) {
            if (o != m && o.role() == Role.BEAM && !released(o, joint) && alike(m, o)) {
                double cosine = cosine(m, o, joint);
                if (cosine < bestCosine) {
                    best = o;
                    bestCosine = cosine;
                }
            }
        }
        return best;
    }

    /** Whether one cage can run through both sections. */
    private boolean alike(Member a, Member b) {
        Shape s = index.sectionOf(a).shape();
        Shape t = index.sectionOf(b).shape();
        return ratio(s.depth(), t.depth()) <= ALIKE && ratio(s.webWidth(), t.webWidth()) <= ALIKE;
    }

    private static double ratio(double a, double b) {
        return Math.max(a, b) / Math.min(a, b);
    }

    private static boolean released(Member m, String joint) {
        return m.start().equals(joint)
                ? m.startRelease().frees(4)
                : m.endRelease().frees(4);
    }

    private double cosine(Member a, Member b, String joint) {
        Joint o = index.joint(joint);
        Joint p = index.joint(index.otherEnd(a, joint));
        Joint q = index.joint(index.otherEnd(b, joint));
        double dot = (p.x() - o.x()) * (q.x() - o.x())
                + (p.y() - o.y()) * (q.y() - o.y())
                + (p.z() - o.z()) * (q.z() - o.z());
        return dot / (o.distanceTo(p) * o.distanceTo(q));
    }

    private BeamLine line(List<Step> chain, String mark, String storey) {
        double[] at = new double[chain.size() + 1];
        for (int i = 0; i < chain.size(); i++) {
            at[i + 1] = at[i] + index.length(chain.get(i).member());
        }
        List<BeamLine.Support> supports = new ArrayList<>();
        List<Integer> supportJoint = new ArrayList<>();
        for (int i = 0; i <= chain.size(); i++) {
            BeamLine.Support s = supportAt(chain, i, at[i]);
            if (s != null) {
                supports.add(s);
                supportJoint.add(i);
            }
        }
        List<BeamLine.Span> spans = new ArrayList<>();
        List<BeamLine.Station> stations = new ArrayList<>();
        for (int s = 0; s + 1 < supports.size(); s++) {
            int a = supportJoint.get(s);
            int b = supportJoint.get(s + 1);
            BeamLine.Span span = span(chain.subList(a, b), s, supports.get(s), supports.get(s + 1));
            spans.add(span);
            List<BeamLine.Station> all = new ArrayList<>();
            for (int i = a; i < b; i++) {
                stations(chain.get(i), at[i], s, all);
            }
            between(all, span)
                    .forEach(q -> stations.add(new BeamLine.Station(
                            stations.size(), q.x(), q.span(), q.memberNumber(), q.station(), q.reversed())));
        }
        return new BeamLine(chain.get(0).member().id(), mark, storey, spans, supports, stations, at[chain.size()]);
    }

    private BeamLine.Span span(List<Step> steps, int number, BeamLine.Support left, BeamLine.Support right) {
        Step first = steps.get(0);
        Step last = steps.get(steps.size() - 1);
        double from = left.x() + face(left, first.member(), !first.reversed());
        double to = right.x() - face(right, last.member(), last.reversed());
        Member shallowest = steps.stream()
                .map(Step::member)
                .min(Comparator.comparingDouble(m -> index.sectionOf(m).shape().depth()))
                .orElseThrow();
        Section section = index.sectionOf(shallowest);
        return new BeamLine.Span(
                number,
                left.x(),
                right.x(),
                from,
                to,
                steps.stream().map(Step::member).toList(),
                section,
                section.shape(),
                index.materialOf(shallowest));
    }

    /** How far the face of a support lies from its centre; the rigid end where nothing holds the line up. */
    private double face(BeamLine.Support s, Member m, boolean atStart) {
        boolean built = s.kind() == BeamLine.SupportKind.COLUMN || s.kind() == BeamLine.SupportKind.BEAM;
        double face = built ? faces.of(m, atStart) : atStart ? m.rigidStart() : m.rigidEnd();
        // a carrier that is shallower than what it carries
        return s.kind() == BeamLine.SupportKind.BEAM && face == 0 ? s.depth() / 2 : face;
    }

    /** The stations from face to face; where a face has none (forces solved elsewhere), the next one inside the support stands for it. */
    private static List<BeamLine.Station> between(List<BeamLine.Station> all, BeamLine.Span span) {
        int first = 0;
        while (first + 1 < all.size() && all.get(first + 1).x() <= span.faceFrom() + AT_FACE) {
            first++;
        }
        int last = all.size() - 1;
        while (last > first && all.get(last - 1).x() >= span.faceTo() - AT_FACE) {
            last--;
        }
        return all.subList(first, last + 1);
    }

    private void stations(Step step, double at, int span, List<BeamLine.Station> out) {
        int m = index.memberNumber(step.member().id());
        int n = analysis.stationCount(m);
        double length = index.length(step.member());
        for (int k = 0; k < n; k++) {
            int s = step.reversed() ? n - 1 - k : k;
            double x = analysis.stationX(m, s);
            out.add(new BeamLine.Station(
                    out.size(), at + (step.reversed() ? length - x : x), span, m, s, step.reversed()));
        }
    }

    private BeamLine.Support supportAt(List<Step> chain, int i, double x) {
        String joint = i == 0 ? chain.get(0).from() : chain.get(i - 1).to();
        boolean end = i == 0 || i == chain.size();
        Member column = columnBelow(joint);
        if (column != null) {
            double[] sides =
                    sides(column, chain.get(Math.min(i, chain.size() - 1)).member());
            return new BeamLine.Support(joint, x, BeamLine.SupportKind.COLUMN, sides[0], sides[1], label(joint));
        }
        if (supported.contains(joint)) {
            return new BeamLine.Support(joint, x, BeamLine.SupportKind.HELD, 0, 0, label(joint));
        }
        boolean alone =
                index.membersAt(joint).stream().allMatch(m -> chain.stream().anyMatch(s -> s.member() == m));
        double push = pushUp(chain, i);
        double needed = (end ? ROUNDING : SUPPORT_PART) * largestShear(chain);
        if (push > needed && !alone) {
            return new BeamLine.Support(
                    joint, x, BeamLine.SupportKind.BEAM, crossingWidth(chain, joint), 0, label(joint));
        }
        return end ? new BeamLine.Support(joint, x, BeamLine.SupportKind.FREE, 0, 0, label(joint)) : null;
    }

    private Member columnBelow(String joint) {
        double z = index.joint(joint).z();
        for (Member m : index.membersAt(joint)) {
            if (m.role() == Role.COLUMN && index.joint(index.otherEnd(m, joint)).z() < z) {
                return m;
            }
        }
        return null;
    }

    /** Dimensions of a column in the direction of a beam and square to it. */
    private double[] sides(Member column, Member beam) {
        double[][] c = LocalAxes.of(index.joint(column.start()), index.joint(column.end()), column.angle());
        double[] u = LocalAxes.of(index.joint(beam.start()), index.joint(beam.end()), 0)[0];
        double y = Math.abs(c[1][0] * u[0] + c[1][1] * u[1] + c[1][2] * u[2]);
        double z = Math.abs(c[2][0] * u[0] + c[2][1] * u[1] + c[2][2] * u[2]);
        Shape s = index.sectionOf(column).shape();
        return y >= z ? new double[] {s.width(), s.depth()} : new double[] {s.depth(), s.width()};
    }

    private double crossingWidth(List<Step> chain, String joint) {
        return index.membersAt(joint).stream()
                .filter(m -> m.role() == Role.BEAM)
                .filter(m -> chain.stream().noneMatch(s -> s.member() == m))
                .mapToDouble(m -> index.sectionOf(m).shape().webWidth())
                .max()
                .orElse(0);
    }

    /** How much the joint pushes the line up under all gravity cases together [N]. */
    private double pushUp(List<Step> chain, int i) {
        double push = 0;
        if (i < chain.size()) {
            push += shear(chain.get(i), true);
        }
        if (i > 0) {
            push -= shear(chain.get(i - 1), false);
        }
        return push;
    }

    private double largestShear(List<Step> chain) {
        double largest = 0;
        for (Step s : chain) {
            largest = Math.max(largest, Math.max(Math.abs(shear(s, true)), Math.abs(shear(s, false))));
        }
        return largest;
    }

    /** Gravity shear at the line's start or end of a member, in the sense of the line. */
    private double shear(Step s, boolean atStart) {
        int m = index.memberNumber(s.member().id());
        int station = atStart == s.reversed() ? analysis.stationCount(m) - 1 : 0;
        double v = 0;
        for (int c : gravity) {
            v += analysis.force(m, c, station, Analysis.VZ);
        }
        return s.reversed() ? -v : v;
    }

    private String label(String joint) {
        return GridNames.of(index, joint);
    }
}
