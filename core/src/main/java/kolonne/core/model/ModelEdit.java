package kolonne.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** One change that a person makes to a model in the application. */
public sealed interface ModelEdit {
    /** The building with the change; parts that it names but that are missing are found by {@link ModelCheck} afterwards. */
    Building applyTo(Building b);

    /** What was changed, for the history. */
    String summary();

    /** The building with all changes, in order. */
    static Building apply(Building b, List<ModelEdit> edits) {
        Building out = b;
        for (ModelEdit e : edits) {
            out = e.applyTo(out);
        }
        return out;
    }

    private static String members(List<String> m) {
        return m.size() == 1 ? "member " + m.get(0) : m.size() + " members";
    }

    private static Building each(Building b, List<String> ids, java.util.function.UnaryOperator<Member> change) {
        Set<String> wanted = new HashSet<>(ids);
        return b.withMembers(b.members().stream()
                .map(m -> wanted.contains(m.id()) ? change.apply(m) : m)
                .toList());
    }

    /** Gives members another section. */
    record SetSection(List<String> members, String section) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            return each(b, members, m -> m.withSection(section));
        }

        @Override
        public String summary() {
            return "section " + section + " for " + ModelEdit.members(members);
        }
    }

    /** Gives members another concrete. */
    record SetMaterial(List<String> members, String material) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            return each(b, members, m -> m.withMaterial(material));
        }

        @Override
        public String summary() {
            return "concrete " + material + " for " + ModelEdit.members(members);
        }
    }

    /** Adds a section, or gives the section of that id another shape. */
    record PutSection(Section section) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            List<Section> all = new ArrayList<>(b.sections());
            boolean replaced = all.removeIf(s -> s.id().equals(section.id()));
            all.add(section);
            return b.withSections(replaced ? inOrder(b, all) : all);
        }

        private static List<Section> inOrder(Building b, List<Section> all) {
            Map<String, Section> byId = new HashMap<>();
            all.forEach(s -> byId.put(s.id(), s));
            return b.sections().stream().map(s -> byId.get(s.id())).toList();
        }

        @Override
        public String summary() {
            return "section " + section.id() + " " + section.shape().label();
        }
    }

    /** Gives members stiffness factors of their own. @param factors null for those of the role */
    record SetStiffness(List<String> members, StiffnessFactors factors) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            return each(b, members, m -> m.withStiffness(factors));
        }

        @Override
        public String summary() {
            return (factors == null ? "stiffness of the role for " : "stiffness factors for ")
                    + ModelEdit.members(members);
        }
    }

    /** Connects the ends of members in another way. */
    record SetReleases(List<String> members, Release atStart, Release atEnd) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            return each(b, members, m -> m.withReleases(atStart, atEnd));
        }

        @Override
        public String summary() {
            return "end connections of " + ModelEdit.members(members);
        }
    }

    /** Replaces all loads of a member in a case. */
    record SetMemberLoads(String member, String loadCase, List<MemberLoad> loads) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            List<MemberLoad> all = new ArrayList<>(b.memberLoads());
            all.removeIf(l -> l.member().equals(member) && l.loadCase().equals(loadCase));
            all.addAll(loads);
            return b.withLoads(b.loadCases(), all, b.areaLoads(), b.combinations());
        }

        @Override
        public String summary() {
            return "loads of member " + member + " in " + loadCase;
        }
    }

    /** Sets the load of a panel in a case. @param pressure downwards [N/mm2], 0 for none */
    record SetAreaLoad(String panel, String loadCase, double pressure) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            List<AreaLoad> all = new ArrayList<>(b.areaLoads());
            all.removeIf(l -> l.panel().equals(panel) && l.loadCase().equals(loadCase));
            if (pressure != 0) {
                all.add(new AreaLoad(loadCase, panel, pressure));
            }
            return b.withLoads(b.loadCases(), b.memberLoads(), all, b.combinations());
        }

        @Override
        public String summary() {
            return "load of panel " + panel + " in " + loadCase;
        }
    }

    /** Analyses in another way. */
    record SetOptions(AnalysisOptions options) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            return b.withOptions(options);
        }

        @Override
        public String summary() {
            return "analysis options";
        }
    }

    /** Takes forces that were solved elsewhere, or Kolonne's own again where the list is empty. */
    record UseForces(List<StationForces> forces) implements ModelEdit {
        @Override
        public Building applyTo(Building b) {
            return b.withStationForces(forces);
        }

        @Override
        public String summary() {
            return forces.isEmpty()
                    ? "forces by Kolonne’s own analysis"
                    : forces.size() + " rows of forces solved elsewhere";
        }
    }
}
