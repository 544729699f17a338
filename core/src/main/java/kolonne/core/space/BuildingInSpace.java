package kolonne.core.space;

import java.util.List;
import java.util.function.Consumer;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.finding.Finding;
import kolonne.core.model.BuildingIndex;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.work.Progress;

/** All of a designed building as it lies, line by line and lift by lift, without holding more than one of them. */
public final class BuildingInSpace {
    private BuildingInSpace() {}

    /**
     * A beam line or a lift.
     *
     * @param mark      of the line or stack
     * @param schedule  mark that its bars have in the schedules: its own or that of its type
     * @param storey    name of its storey; empty for none
     * @param governing the check that decides; null where nothing could be checked
     */
    public record Piece(
            String mark,
            String schedule,
            boolean type,
            boolean beam,
            String storey,
            CheckResult governing,
            List<Finding> findings,
            double cover,
            double fy,
            Placed placed) {}

    /** Hands over one line or lift after another. */
    public static void each(BuildingDesign d, Progress progress, Consumer<Piece> receiver) {
        BuildingIndex index = d.analysis().index();
        int total = d.beams().size()
                + d.columns().stream().mapToInt(c -> c.lifts().size()).sum();
        int done = 0;
        for (ScheduleGroups.Group<BeamDesign> g : ScheduleGroups.beams(d)) {
            for (BeamDesign b : g.designs()) {
                progress.at("placing bars", done++, total);
                receiver.accept(of(b, g, index));
            }
        }
        for (ScheduleGroups.Group<ColumnDesign> g : ScheduleGroups.columns(d)) {
            for (ColumnDesign c : g.designs()) {
                for (ColumnDesign.LiftDesign l : c.lifts()) {
                    progress.at("placing bars", done++, total);
                    receiver.accept(of(c, l, g, index));
                }
            }
        }
    }

    private static Piece of(BeamDesign b, ScheduleGroups.Group<BeamDesign> g, BuildingIndex index) {
        return new Piece(
                b.line().mark(),
                g.name(),
                g.type(),
                true,
                b.line().storey(),
                b.governing(),
                b.findings(),
                b.basis().beamCover(),
                b.basis().fy(),
                LineInSpace.of(b, index, g::barMark));
    }

    private static Piece of(
            ColumnDesign c, ColumnDesign.LiftDesign l, ScheduleGroups.Group<ColumnDesign> g, BuildingIndex index) {
        return new Piece(
                c.stack().mark(),
                g.name(),
                g.type(),
                false,
                l.lift().storey(),
                l.governingCheck(),
                l.findings(),
                c.basis().columnCover(),
                c.basis().fy(),
                LiftInSpace.of(c.stack(), l.lift().number(), c.cage(), c.basis(), index, g::barMark));
    }
}
