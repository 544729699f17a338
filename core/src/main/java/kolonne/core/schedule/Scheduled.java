package kolonne.core.schedule;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.TreeSet;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;

/**
 * What is scheduled and drawn: all of a building, or the groups that some marks mean.
 *
 * @param whole whether it is all of the building
 */
public record Scheduled(
        BuildingDesign design,
        List<ScheduleGroups.Group<BeamDesign>> beams,
        List<ScheduleGroups.Group<ColumnDesign>> columns,
        boolean whole) {
    public Scheduled {
        beams = List.copyOf(beams);
        columns = List.copyOf(columns);
    }

    /** All of a building. */
    public static Scheduled of(BuildingDesign d) {
        return of(d, Set.of());
    }

    /**
     * The groups that have one of the marks, or that of their type, or a member with it.
     *
     * @param marks all of the building where there are none
     * @throws NoSuchElementException naming the marks that mean nothing
     */
    public static Scheduled of(BuildingDesign d, Set<String> marks) {
        List<ScheduleGroups.Group<BeamDesign>> beams = ScheduleGroups.beams(d);
        List<ScheduleGroups.Group<ColumnDesign>> columns = ScheduleGroups.columns(d);
        if (marks.isEmpty()) {
            return new Scheduled(d, beams, columns, true);
        }
        Map<String, String> types = d.typeMarks();
        Set<String> unknown = new TreeSet<>(marks);
        List<ScheduleGroups.Group<BeamDesign>> some = new ArrayList<>();
        for (ScheduleGroups.Group<BeamDesign> g : beams) {
            if (meant(g, types.get(g.first().line().id()), marks, unknown)) {
                some.add(g);
            }
        }
        List<ScheduleGroups.Group<ColumnDesign>> others = new ArrayList<>();
        for (ScheduleGroups.Group<ColumnDesign> g : columns) {
            if (meant(g, types.get(g.first().stack().id()), marks, unknown)) {
                others.add(g);
            }
        }
        if (!unknown.isEmpty()) {
            throw new NoSuchElementException(
                    "There is no beam line, column stack or type " + String.join(", ", unknown) + ".");
        }
        return new Scheduled(d, some, others, false);
    }

    /** @param unknown loses the marks by which the group is meant */
    private static boolean meant(ScheduleGroups.Group<?> g, String type, Set<String> marks, Set<String> unknown) {
        Set<String> by = new HashSet<>(g.members());
        by.add(g.mark());
        if (type != null) {
            by.add(type);
        }
        by.retainAll(marks);
        unknown.removeAll(by);
        return !by.isEmpty();
    }
}
