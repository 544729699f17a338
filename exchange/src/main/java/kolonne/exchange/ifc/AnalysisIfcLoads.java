package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Settlement;

/** Load cases with their loads, and combinations. A case's name is its id, its description what people call it. */
final class AnalysisIfcLoads {
    /** Ends that differ by less are one [mm]. */
    private static final double WHOLE = 1e-6;

    private final AnalysisIfc a;
    private final Building b;
    private final IfcFrame f;
    private final StepWriter w;
    private final Map<String, StepWriter.Ref> cases = new LinkedHashMap<>();
    private final Map<String, List<Object>> actions = new LinkedHashMap<>();
    private int number;

    AnalysisIfcLoads(AnalysisIfc a) {
        this.a = a;
        this.b = a.building();
        this.f = a.frame();
        this.w = f.w;
    }

    /** @return the cases and combinations */
    List<Object> write() {
        b.loadCases().stream().filter(c -> !c.generated()).forEach(this::loadCase);
        b.memberLoads().forEach(this::onMember);
        b.areaLoads().forEach(this::onPanel);
        b.jointLoads().forEach(this::onJoint);
        b.settlements().forEach(this::settlement);
        actions.forEach((c, list) ->
                w.add("IFCRELASSIGNSTOGROUP", f.ids.of("loads of " + c), null, null, null, list, null, cases.get(c)));
        List<Object> groups = new ArrayList<>(cases.values());
        b.combinations().stream()
                // those of arrangements are made again by whoever reads it
                .filter(c -> c.terms().stream().allMatch(t -> cases.containsKey(t.loadCase())))
                .forEach(c -> groups.add(combination(c)));
        return groups;
    }

    private void loadCase(LoadCase c) {
        cases.put(
                c.id(),
                w.add(
                        "IFCSTRUCTURALLOADCASE",
                        f.ids.of("case " + c.id()),
                        null,
                        c.id(),
                        c.name(),
                        c.kind().name(),
                        new StepWriter.Word("LOAD_CASE"),
                        new StepWriter.Word(
                                c.kind() == CaseKind.DEAD || c.kind() == CaseKind.SUPERIMPOSED
                                        ? "PERMANENT_G"
                                        : "VARIABLE_Q"),
                        new StepWriter.Word(source(c.kind())),
                        null,
                        null,
                        List.of(0.0, 0.0, -c.selfWeight())));
    }

    private static String source(CaseKind k) {
        return switch (k) {
            case DEAD -> "DEAD_LOAD_G";
            case SUPERIMPOSED -> "COMPLETION_G1";
            case LIVE, ROOF_LIVE -> "LIVE_LOAD_Q";
            case SNOW -> "SNOW_S";
            case WIND -> "WIND_W";
            case SEISMIC -> "EARTHQUAKE_E";
            case SOIL, OTHER -> "USERDEFINED";
        };
    }

    private StepWriter.Ref combination(Combination c) {
        StepWriter.Word none = new StepWriter.Word("NOTDEFINED");
        StepWriter.Ref group = w.add(
                "IFCSTRUCTURALLOADGROUP",
                f.ids.of("combination " + c.id()),
                null,
                c.id(),
                c.name(),
                null,
                new StepWriter.Word("LOAD_COMBINATION"),
                none,
                none,
                null,
                c.purpose().name());
        for (Combination.Term t : c.terms()) {
            w.add(
                    "IFCRELASSIGNSTOGROUPBYFACTOR",
                    f.ids.of("term " + t.loadCase() + " of " + c.id()),
                    null,
                    null,
                    null,
                    List.of(cases.get(t.loadCase())),
                    null,
                    group,
                    t.factor());
        }
        return group;
    }

    /** Six components, of which one is not zero. */
    private static Object[] one(int component, double v) {
        Object[] out = new Object[7];
        for (int i = 1; i < out.length; i++) {
            out[i] = i == component + 1 ? v : 0.0;
        }
        return out;
    }

    private void onMember(MemberLoad l) {
        boolean moment = l.kind() == MemberLoad.Kind.MOMENT || l.kind() == MemberLoad.Kind.DISTRIBUTED_MOMENT;
        int component = l.direction().axis() + (moment ? 3 : 0);
        boolean spread = l.kind().spread();
        // N/mm as N/m, Nmm/mm as Nm/m, N as N, Nmm as Nm
        double unit = spread ? moment ? 1 : 1e3 : moment ? 1e-3 : 1;
        String entity = spread ? "IFCSTRUCTURALLOADLINEARFORCE" : "IFCSTRUCTURALLOADSINGLEFORCE";
        StepWriter.Ref load = w.add(entity, one(component, l.w1() * unit));
        boolean constant = spread && l.w1() == l.w2() && whole(l);
        if (!constant) {
            List<Object> values = new ArrayList<>(List.of(load));
            List<Object> places = new ArrayList<>(List.of(List.of(l.from() / 1000)));
            if (spread) {
                values.add(w.add(entity, one(component, l.w2() * unit)));
                places.add(List.of(l.to() / 1000));
            }
            load = w.add("IFCSTRUCTURALLOADCONFIGURATION", null, values, places);
        }
        String key = AnalysisIfc.member(l.member());
        StepWriter.Ref action = w.add(
                "IFCSTRUCTURALCURVEACTION",
                f.ids.of("load " + ++number),
                null,
                l.loadCase() + " on " + l.member(),
                null,
                null,
                f.world(),
                a.shape(key),
                load,
                new StepWriter.Word(l.direction().isLocal() ? "LOCAL_COORDS" : "GLOBAL_COORDS"),
                null,
                new StepWriter.Word(l.direction().isProjected() ? "PROJECTED_LENGTH" : "TRUE_LENGTH"),
                new StepWriter.Word(constant ? "CONST" : spread ? "LINEAR" : "DISCRETE"));
        acts(l.loadCase(), key, action);
    }

    /** Whether a load runs from end to end. */
    private boolean whole(MemberLoad l) {
        double length = a.index().length(a.index().member(l.member()));
        return Math.abs(l.from()) < WHOLE && Math.abs(l.to() - length) < WHOLE;
    }

    private void onPanel(AreaLoad l) {
        String key = AnalysisIfc.panel(l.panel());
        // N/mm2 as N/m2, downwards
        StepWriter.Ref load = w.add("IFCSTRUCTURALLOADPLANARFORCE", null, 0.0, 0.0, -l.pressure() * 1e6);
        StepWriter.Ref action = w.add(
                "IFCSTRUCTURALSURFACEACTION",
                f.ids.of("load " + ++number),
                null,
                l.loadCase() + " on " + l.panel(),
                null,
                null,
                f.world(),
                a.shape(key),
                load,
                new StepWriter.Word("GLOBAL_COORDS"),
                null,
                new StepWriter.Word("TRUE_LENGTH"),
                new StepWriter.Word("CONST"));
        acts(l.loadCase(), key, action);
    }

    private void onJoint(JointLoad l) {
        Object[] v = new Object[7];
        for (int i = 0; i < 6; i++) {
            v[i + 1] = l.at(i) * (i < 3 ? 1 : 1e-3);
        }
        at(l.loadCase(), l.joint(), w.add("IFCSTRUCTURALLOADSINGLEFORCE", v));
    }

    private void settlement(Settlement s) {
        Object[] v = new Object[7];
        for (int i = 0; i < 6; i++) {
            v[i + 1] = s.at(i) * (i < 3 ? 1e-3 : 1);
        }
        at(s.loadCase(), s.joint(), w.add("IFCSTRUCTURALLOADSINGLEDISPLACEMENT", v));
    }

    private void at(String loadCase, String joint, StepWriter.Ref load) {
        String key = AnalysisIfc.joint(joint);
        StepWriter.Ref action = w.add(
                "IFCSTRUCTURALPOINTACTION",
                f.ids.of("load " + ++number),
                null,
                loadCase + " at " + joint,
                null,
                null,
                f.world(),
                a.shape(key),
                load,
                new StepWriter.Word("GLOBAL_COORDS"),
                null);
        acts(loadCase, key, action);
    }

    private void acts(String loadCase, String key, StepWriter.Ref action) {
        actions.computeIfAbsent(loadCase, k -> new ArrayList<>()).add(action);
        w.add("IFCRELCONNECTSSTRUCTURALACTIVITY", f.ids.of("acting " + number), null, null, null, a.item(key), action);
    }
}
