package kolonne.core.model;

/**
 * A straight member between two joints.
 *
 * @param angle      rotation of the local y and z axes about x [rad]
 * @param rigidStart length at the start that does not deform (inside the joint) [mm]
 * @param rigidEnd   the same at the end [mm]
 * @param stiffness  its own factors, or null for those of its role ({@link AnalysisOptions})
 */
public record Member(
        String id,
        Role role,
        String start,
        String end,
        String section,
        String material,
        double angle,
        Release startRelease,
        Release endRelease,
        double rigidStart,
        double rigidEnd,
        StiffnessFactors stiffness) {
    public Member {
        startRelease = startRelease == null ? Release.NONE : startRelease;
        endRelease = endRelease == null ? Release.NONE : endRelease;
    }

    public Member withSection(String s) {
        return new Member(
                id, role, start, end, s, material, angle, startRelease, endRelease, rigidStart, rigidEnd, stiffness);
    }

    public Member withMaterial(String m) {
        return new Member(
                id, role, start, end, section, m, angle, startRelease, endRelease, rigidStart, rigidEnd, stiffness);
    }

    public Member withStiffness(StiffnessFactors f) {
        return new Member(
                id, role, start, end, section, material, angle, startRelease, endRelease, rigidStart, rigidEnd, f);
    }

    public Member withReleases(Release atStart, Release atEnd) {
        return new Member(
                id, role, start, end, section, material, angle, atStart, atEnd, rigidStart, rigidEnd, stiffness);
    }

    public Member withRigidEnds(double atStart, double atEnd) {
        return new Member(
                id, role, start, end, section, material, angle, startRelease, endRelease, atStart, atEnd, stiffness);
    }
}
