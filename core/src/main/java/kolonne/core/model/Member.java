package kolonne.core.model;

/**
 * A straight member between two joints.
 *
 * @param angle      rotation of the local y and z axes about x [rad]
 * @param rigidStart length at the start that does not deform (inside the joint) [mm]
 * @param rigidEnd   the same at the end [mm]
 */
public record Member(String id, Role role, String start, String end, String section, String material, double angle,
                     Release startRelease, Release endRelease, double rigidStart, double rigidEnd,
                     StiffnessFactors stiffness) {
    public Member {
        startRelease = startRelease == null ? Release.NONE : startRelease;
        endRelease = endRelease == null ? Release.NONE : endRelease;
        stiffness = stiffness == null ? StiffnessFactors.GROSS : stiffness;
    }
}
