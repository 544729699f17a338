package kolonne.core.space;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;

/** The way of a beam line through its joints, which need not be quite straight. Its frame runs from the first joint to the last. */
final class LineAxis {
    private final Frame frame;
    private final List<Double> places = new ArrayList<>();
    private final List<Point3> joints = new ArrayList<>();
    private final List<Run> runs = new ArrayList<>();

    /** A member of the line. @param from, to along it [mm] */
    record Run(Member member, int span, double from, double to) {}

    LineAxis(BeamLine line, BuildingIndex index) {
        String at = line.supports().get(0).joint();
        Joint first = index.joint(at);
        double x = 0;
        add(x, first);
        double angle = line.spans().get(0).members().get(0).angle();
        boolean reversed = false;
        for (BeamLine.Span s : line.spans()) {
            for (Member m : s.members()) {
                reversed |= runs.isEmpty() && m.end().equals(at);
                at = index.otherEnd(m, at);
                double to = x + index.length(m);
                runs.add(new Run(m, s.number(), x, to));
                x = to;
                add(x, index.joint(at));
            }
        }
        frame = Frame.of(Point3.of(first), LocalAxes.of(first, index.joint(at), reversed ? -angle : angle));
    }

    private void add(double x, Joint j) {
        places.add(x);
        joints.add(Point3.of(j));
    }

    Frame frame() {
        return frame;
    }

    List<Run> members() {
        return runs;
    }

    /** Places of the joints along the line [mm]. */
    List<Double> places() {
        return places;
    }

    /** A place of the line, so far across and up, as its frame sees it; beyond the last joints straight on. */
    Point3 point(double x, double y, double z) {
        int k = 0;
        while (k + 2 < places.size() && x > places.get(k + 1)) {
            k++;
        }
        Point3 a = frame.local(joints.get(k));
        Point3 b = frame.local(joints.get(k + 1));
        double f = (x - places.get(k)) / (places.get(k + 1) - places.get(k));
        return a.plus(b.minus(a).times(f)).plus(new Point3(0, y, z));
    }
}
