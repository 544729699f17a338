package kolonne.core.sketch;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.code.Combinations;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Direction;
import kolonne.core.model.Joint;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Storey;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;

/**
 * A straight beam over supports. Support i stands before span i; there is one more support than there are spans.
 *
 * @param combinations standard that load cases are combined by
 * @param patternLive whether arrangements of the live load are generated
 */
public record ContinuousBeam(
        String name,
        String unitSystem,
        Material concrete,
        List<Span> spans,
        List<Stand> stands,
        List<LoadCase> cases,
        List<Load> loads,
        boolean patternLive,
        Combinations combinations) {
    /** What carries the beam at a support. */
    public enum Kind {
        FREE,
        PINNED,
        FIXED,
        COLUMNS
    }

    /** A span. @param length [mm] */
    public record Span(double length, Shape shape) {}

    /**
     * A support.
     *
     * @param below height of the column below, 0 for none [mm]
     * @param above height of the column above, 0 for none [mm]
     * @param column section of the columns; null unless the kind is columns
     * @param pinnedFoot whether the far ends of the columns may turn
     */
    public record Stand(Kind kind, double below, double above, Shape column, boolean pinnedFoot) {}

    /** A downward load on a span, as {@link MemberLoad}; places from the span's start [mm], values downwards. */
    public record Load(int span, String loadCase, MemberLoad.Kind kind, double from, double to, double w1, double w2) {}

    public ContinuousBeam {
        spans = List.copyOf(spans);
        stands = List.copyOf(stands);
        cases = List.copyOf(cases);
        loads = List.copyOf(loads);
    }

    /** The beam as a model: along X at the height of the tallest column below. */
    public Building building() {
        return new Assembly(this).building();
    }

    /** Collects the parts of the model. */
    private static final class Assembly {
        private final ContinuousBeam b;
        private final List<Joint> joints = new ArrayList<>();
        private final List<Member> members = new ArrayList<>();
        private final List<Support> supports = new ArrayList<>();
        private final Map<String, Section> sections = new LinkedHashMap<>();
        private final double level;
        private boolean anchored;

        Assembly(ContinuousBeam b) {
            this.b = b;
            level = b.stands.stream().mapToDouble(Stand::below).max().orElse(0);
        }

        Building building() {
            double x = 0;
            for (int i = 0; i < b.stands.size(); i++) {
                joints.add(new Joint("J" + i, x, 0, level));
                if (i > 0) {
                    members.add(member(
                            "B" + i,
                            Role.BEAM,
                            "J" + (i - 1),
                            "J" + i,
                            b.spans.get(i - 1).shape()));
                }
                x += i < b.spans.size() ? b.spans.get(i).length() : 0;
            }
            for (int i = 0; i < b.stands.size(); i++) {
                stand(i, b.stands.get(i));
            }
            List<MemberLoad> loads = b.loads.stream()
                    .map(l -> new MemberLoad(
                            l.loadCase(),
                            "B" + (l.span() + 1),
                            l.kind(),
                            l.kind() == MemberLoad.Kind.MOMENT ? Direction.GLOBAL_Y : Direction.GLOBAL_Z,
                            l.from(),
                            l.to(),
                            -l.w1(),
                            -l.w2()))
                    .toList();
            AnalysisOptions options = new AnalysisOptions(
                    false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), b.patternLive);
            return new Building(
                    b.name,
                    b.unitSystem,
                    options,
                    storeys(),
                    List.of(),
                    joints,
                    List.of(b.concrete),
                    List.copyOf(sections.values()),
                    members,
                    supports,
                    List.of(),
                    List.of(),
                    List.of(),
                    b.cases,
                    loads,
                    List.of(),
                    List.of(),
                    List.of(),
                    b.combinations.of(b.cases),
                    List.of());
        }

        private List<Storey> storeys() {
            List<Storey> out = new ArrayList<>();
            if (level > 0) {
                out.add(new Storey("below", "Below", 0));
            }
            out.add(new Storey("beam", "Beam", level));
            double above = b.stands.stream().mapToDouble(Stand::above).max().orElse(0);
            if (above > 0) {
                out.add(new Storey("above", "Above", level + above));
            }
            return out;
        }

        private void stand(int i, Stand s) {
            String joint = "J" + i;
            switch (s.kind()) {
                case FREE -> {}
                case PINNED -> {
                    supports.add(new Support(joint, !anchored, true, true, true, false, true));
                    anchored = true;
                }
                case FIXED -> {
                    supports.add(Support.fixed(joint));
                    anchored = true;
                }
                default -> columns(i, s);
            }
        }

        private void columns(int i, Stand s) {
            double x = joints.get(i).x();
            if (s.below() > 0) {
                joints.add(new Joint("F" + i, x, 0, level - s.below()));
                members.add(member("CB" + i, Role.COLUMN, "F" + i, "J" + i, s.column()));
                foot("F" + i, s.pinnedFoot(), true);
            }
            if (s.above() > 0) {
                joints.add(new Joint("T" + i, x, 0, level + s.above()));
                members.add(member("CA" + i, Role.COLUMN, "J" + i, "T" + i, s.column()));
                // a head that moves down with the beam: the storeys above carry themselves
                foot("T" + i, s.pinnedFoot(), s.below() == 0);
            }
            supports.add(new Support("J" + i, !anchored, true, false, false, false, false));
            anchored = true;
        }

        private void foot(String joint, boolean pinned, boolean vertical) {
            supports.add(new Support(joint, true, true, vertical, !pinned, !pinned, true));
        }

        private Member member(String id, Role role, String from, String to, Shape shape) {
            String section = shape.label(b.unitSystem.equals("US"));
            sections.putIfAbsent(section, new Section(section, shape));
            return new Member(id, role, from, to, section, b.concrete.id(), 0, null, null, 0, 0, null);
        }
    }
}
