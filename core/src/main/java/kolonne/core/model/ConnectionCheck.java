package kolonne.core.model;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;

/** Parts of a model that hang together through members but that no support holds, joints where no member meets, and loads on them that nothing takes up. */
final class ConnectionCheck {
    private final Building b;
    private final Consumer<Finding> out;

    private ConnectionCheck(Building b, Consumer<Finding> out) {
        this.b = b;
        this.out = out;
    }

    static void run(Building b, Consumer<Finding> out) {
        new ConnectionCheck(b, out).run();
    }

    private void run() {
        Map<String, String> parent = new HashMap<>();
        b.joints().forEach(j -> parent.put(j.id(), j.id()));
        Set<String> used = new HashSet<>();
        for (Member m : b.members()) {
            union(parent, m.start(), m.end());
            used.add(m.start());
            used.add(m.end());
        }
        Set<String> held = new HashSet<>();
        b.supports().forEach(s -> held.add(find(parent, s.joint())));
        b.springs().forEach(s -> held.add(find(parent, s.joint())));
        Set<String> told = new HashSet<>();
        for (Member m : b.members()) {
            String root = find(parent, m.start());
            if (!held.contains(root) && told.add(root) && !b.hasImportedForces()) {
                fail(
                        "model.disconnected",
                        "member " + m.id(),
                        "The member belongs to a part of the model that no support holds.",
                        "Connect the part to the rest, support it, or delete it.");
            }
        }
        lostLoads(used);
        Set<String> moved = movedByFloors(used);
        for (Joint j : b.joints()) {
            if (!used.contains(j.id()) && !moved.contains(j.id())) {
                out.accept(Finding.note(
                        "joint.unused",
                        "joint " + j.id(),
                        "No member meets at the joint; it is left out of the analysis.",
                        "Delete it, or connect a member."));
            }
        }
    }

    /** Joints of rigid floors that move with members; one without members of its own moves with them. */
    private Set<String> movedByFloors(Set<String> used) {
        Set<String> out = new HashSet<>();
        b.diaphragms().stream()
                .filter(d -> d.rigid() && d.joints().stream().anyMatch(used::contains))
                .forEach(d -> out.addAll(d.joints()));
        return out;
    }

    /** Loads on joints that hand them to nothing: no member meets there, and a rigid floor takes only what acts in its plane. */
    private void lostLoads(Set<String> used) {
        Set<String> moved = movedByFloors(used);
        Set<String> told = new HashSet<>();
        for (JointLoad l : b.jointLoads()) {
            boolean inPlane = l.fz() == 0 && l.mx() == 0 && l.my() == 0;
            boolean any = !inPlane || l.fx() != 0 || l.fy() != 0 || l.mz() != 0;
            if (!used.contains(l.joint())
                    && any
                    && !(inPlane && moved.contains(l.joint()))
                    && !b.hasImportedForces()
                    && told.add(l.joint())) {
                fail(
                        "load.lost",
                        "joint load on " + l.joint() + " in " + l.loadCase(),
                        "No member meets at the joint: nothing takes up the load"
                                + (moved.contains(l.joint()) ? " that acts across the rigid floor." : "."),
                        "Move the load to a joint of the frame, or connect the joint.");
            }
        }
    }

    private static String find(Map<String, String> parent, String s) {
        String root = s;
        while (!parent.get(root).equals(root)) {
            root = parent.get(root);
        }
        while (!parent.get(s).equals(root)) {
            s = parent.put(s, root);
        }
        return root;
    }

    private static void union(Map<String, String> parent, String a, String b) {
        parent.put(find(parent, a), find(parent, b));
    }

    private void fail(String code, String where, String what, String mend) {
        out.accept(Finding.fails(code, where, what, mend));
    }
}
