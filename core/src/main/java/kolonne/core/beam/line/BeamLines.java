package kolonne.core.beam.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.Faces;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamChains.Step;
import kolonne.core.mark.Marked;
import kolonne.core.mark.Marks;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.GridNames;
import kolonne.core.model.LoadCase;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;

/**
 * Finds the beam lines of an analysed building. Members run on as {@link BeamChains} says; a joint
 * supports the line where a column stands below it or where it pushes the line up under the gravity loads.
 */
public final class BeamLines {
    /** Part of the line's largest gravity shear that a joint must push up to count as a support. */
    private static final double SUPPORT_PART = 0.25;
    /** A push up of an end below this part of the largest shear is rounding. */
    private static final double ROUNDING = 1e-6;

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
                .filter(i -> !cases.get(i).kind().isLateral() && cases.get(i).lean() == null)
                .toArray();
    }

    /** All lines, by storey from the ground, then in plan. */
    public static List<BeamLine> find(Analysis analysis) {
        return find(analysis, Marks.NONE);
    }

    /** The same with the marks of a project. */
    public static List<BeamLine> find(Analysis analysis, Marks marks) {
        return new BeamLines(analysis).all(marks);
    }

    /** The same with the slabs as flanges, where the basis says so. */
    public static List<BeamLine> find(Analysis analysis, Basis basis) {
        return find(analysis, basis, Marks.NONE);
    }

    /** The lines of a project, with the slabs as flanges where the basis says so. */
    public static List<BeamLine> find(Analysis analysis, Basis basis, Marks marks) {
        List<BeamLine> out = find(analysis, marks);
        if (!basis.beams().slabFlanges()) {
            return out;
        }
        SlabFlanges flanges = new SlabFlanges(analysis.index(), basis.designCode());
        return out.stream().map(flanges::of).toList();
    }

    private List<BeamLine> all(Marks marks) {
        List<BeamChains.Found> found = BeamChains.found(index);
        List<Marked> known =
                List.copyOf(marks.follow(found.stream().map(f -> f.chain(index)).toList())
                        .marks()
                        .all()
                        .values());
        List<BeamLine> out = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            out.add(line(found.get(i).steps(), known.get(i), found.get(i).storey()));
        }
        return out;
    }

    private BeamLine line(List<Step> chain, Marked known, String storey) {
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
        return new BeamLine(known.id(), known.mark(), storey, spans, supports, stations, at[chain.size()]);
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
        return end ? free(chain, i, x, joint) : null;
    }

    /** A free end, with the width of a beam across it. */
    private BeamLine.Support free(List<Step> chain, int i, double x, String joint) {
        Step last = chain.get(i == 0 ? 0 : i - 1);
        boolean atStart = (i == 0) != last.reversed();
        double rigid = atStart ? last.member().rigidStart() : last.member().rigidEnd();
        double across = rigid > 0 ? 0 : 2 * faces.of(last.member(), atStart);
        return new BeamLine.Support(joint, x, BeamLine.SupportKind.FREE, across, 0, label(joint));
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
        if (s instanceof Shape.Flanged f) {
            // where a beam meets an ell or a tee is not known: the thinner of what may be there
            return y >= z ? new double[] {f.bw(), f.hf()} : new double[] {f.hf(), f.bw()};
        }
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
