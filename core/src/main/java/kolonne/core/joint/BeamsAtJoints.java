package kolonne.core.joint;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The ends of beams at the joints of columns. */
public final class BeamsAtJoints {
    /** Of frames that need not be ductile: nothing reads them. */
    public static final BeamsAtJoints NONE = new BeamsAtJoints(Map.of());

    private final Map<String, List<BeamEnd>> byJoint;

    /** @param byJoint ends by id of the joint */
    public BeamsAtJoints(Map<String, List<BeamEnd>> byJoint) {
        Map<String, List<BeamEnd>> kept = new HashMap<>();
        byJoint.forEach((j, ends) -> kept.put(j, List.copyOf(ends)));
        this.byJoint = kept;
    }

    /** Ends at a joint; none where no beam meets a column there. */
    public List<BeamEnd> at(String joint) {
        return byJoint.getOrDefault(joint, List.of());
    }

    /** Joints at which these differ from others. */
    public Set<String> unlike(BeamsAtJoints o) {
        Set<String> out = new HashSet<>(byJoint.keySet());
        out.addAll(o.byJoint.keySet());
        out.removeIf(j -> at(j).equals(o.at(j)));
        return out;
    }
}
