package kolonne.core.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Finds the parts of a sound {@link Building} by id, and what meets at a joint. Built once, read by many threads. */
public final class BuildingIndex {
    private final Building building;
    private final Map<String, Joint> joints = new HashMap<>();
    private final Map<String, Integer> jointNumbers = new HashMap<>();
    private final Map<String, Material> materials = new HashMap<>();
    private final Map<String, Section> sections = new HashMap<>();
    private final Map<String, Member> members = new HashMap<>();
    private final Map<String, Integer> memberNumbers = new HashMap<>();
    private final Map<String, Integer> caseNumbers = new HashMap<>();
    private final Map<String, SlabPanel> panels = new HashMap<>();
    private final Map<String, List<Member>> meeting = new HashMap<>();

    public BuildingIndex(Building b) {
        this.building = b;
        for (Joint j : b.joints()) {
            jointNumbers.put(j.id(), joints.size());
            joints.put(j.id(), j);
        }
        b.materials().forEach(m -> materials.put(m.id(), m));
        b.sections().forEach(s -> sections.put(s.id(), s));
        for (Member m : b.members()) {
            memberNumbers.put(m.id(), members.size());
            members.put(m.id(), m);
            meeting.computeIfAbsent(m.start(), k -> new ArrayList<>(4)).add(m);
            meeting.computeIfAbsent(m.end(), k -> new ArrayList<>(4)).add(m);
        }
        b.loadCases().forEach(c -> caseNumbers.put(c.id(), caseNumbers.size()));
        b.panels().forEach(p -> panels.put(p.id(), p));
    }

    public Building building() {
        return building;
    }

    public Joint joint(String id) {
        return joints.get(id);
    }

    public int jointNumber(String id) {
        return jointNumbers.get(id);
    }

    public Material materialOf(Member m) {
        return materials.get(m.material());
    }

    public Section sectionOf(Member m) {
        return sections.get(m.section());
    }

    /** The member, or null if there is none of that id. */
    public Member member(String id) {
        return members.get(id);
    }

    public int memberNumber(String id) {
        return memberNumbers.get(id);
    }

    public int caseNumber(String id) {
        return caseNumbers.get(id);
    }

    public SlabPanel panel(String id) {
        return panels.get(id);
    }

    /** Members that start or end at the joint, in the order of the file. */
    public List<Member> membersAt(String joint) {
        return meeting.getOrDefault(joint, List.of());
    }

    /** Distance between a member's joints [mm]. */
    public double length(Member m) {
        return joint(m.start()).distanceTo(joint(m.end()));
    }

    /** The joint at the other end. */
    public String otherEnd(Member m, String joint) {
        return m.start().equals(joint) ? m.end() : m.start();
    }

    /** The storey nearest in height, within half a metre; null if there is none. */
    public Storey storeyAt(double z) {
        return building.storeys().stream()
                .filter(s -> Math.abs(s.elevation() - z) <= 500)
                .min(Comparator.comparingDouble(s -> Math.abs(s.elevation() - z)))
                .orElse(null);
    }

    /** The lower joint of a member; its start where it lies level. */
    public Joint lower(Member m) {
        Joint a = joint(m.start());
        Joint b = joint(m.end());
        return a.z() <= b.z() ? a : b;
    }

    /** The upper joint of a member; its end where it lies level. */
    public Joint upper(Member m) {
        return lower(m).id().equals(m.start()) ? joint(m.end()) : joint(m.start());
    }
}
