package kolonne.core.sketch;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.Combinations;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Direction;
import kolonne.core.model.Joint;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.Storey;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;

/**
 * One upright column. Its width lies along X.
 *
 * @param height [mm]
 * @param foot   what holds the foot
 * @param head   what holds the head; it is always free to move down
 */
public record SingleColumn(
        String name,
        String unitSystem,
        Material concrete,
        double height,
        Shape shape,
        End foot,
        End head,
        List<LoadCase> cases,
        List<Load> loads,
        Combinations combinations) {
    /** How an end is held: free (head only), against moving sideways, or against turning as well. */
    public enum End {
        FREE,
        PINNED,
        FIXED
    }

    /**
     * Loads of a case.
     *
     * @param axial     downwards at the head [N]
     * @param hx        pushes of the head along X, and hy along Y [N]
     * @param mxHead    moment at the head about X, and so on [Nmm]
     * @param qx        spread push along X over the height, and qy along Y [N/mm]
     */
    public record Load(
            String loadCase,
            double axial,
            double hx,
            double hy,
            double mxHead,
            double myHead,
            double mxFoot,
            double myFoot,
            double qx,
            double qy) {}

    public SingleColumn {
        cases = List.copyOf(cases);
        loads = List.copyOf(loads);
    }

    /** The column as a model. */
    public Building building() {
        List<Joint> joints = List.of(new Joint("foot", 0, 0, 0), new Joint("head", 0, 0, height));
        List<Support> supports = new ArrayList<>();
        boolean turns = foot != End.FIXED;
        supports.add(new Support("foot", true, true, true, !turns, !turns, true));
        if (head != End.FREE) {
            supports.add(new Support("head", true, true, false, head == End.FIXED, head == End.FIXED, false));
        }
        List<JointLoad> jointLoads = new ArrayList<>();
        List<MemberLoad> memberLoads = new ArrayList<>();
        for (Load l : loads) {
            jointLoads.add(new JointLoad(l.loadCase(), "head", l.hx(), l.hy(), -l.axial(), l.mxHead(), l.myHead(), 0));
            if (l.mxFoot() != 0 || l.myFoot() != 0) {
                jointLoads.add(new JointLoad(l.loadCase(), "foot", 0, 0, 0, l.mxFoot(), l.myFoot(), 0));
            }
            spread(memberLoads, l.loadCase(), Direction.GLOBAL_X, l.qx());
            spread(memberLoads, l.loadCase(), Direction.GLOBAL_Y, l.qy());
        }
        String section = shape.label(unitSystem.equals("US"));
        return new Building(
                name,
                unitSystem,
                AnalysisOptions.STANDARD,
                List.of(new Storey("foot", "Foot", 0), new Storey("head", "Head", height)),
                List.of(),
                joints,
                List.of(concrete),
                List.of(new Section(section, shape)),
                List.of(new Member(
                        "C1", Role.COLUMN, "foot", "head", section, concrete.id(), 0, null, null, 0, 0, null)),
                supports,
                List.of(),
                List.of(),
                List.of(),
                cases,
                memberLoads,
                List.of(),
                jointLoads,
                List.of(),
                combinations.of(cases),
                List.of());
    }

    private void spread(List<MemberLoad> out, String loadCase, Direction d, double q) {
        if (q != 0) {
            out.add(new MemberLoad(loadCase, "C1", MemberLoad.Kind.DISTRIBUTED, d, 0, height, q, q));
        }
    }
}
