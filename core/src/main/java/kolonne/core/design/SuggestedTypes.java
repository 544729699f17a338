package kolonne.core.design;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kolonne.core.type.Curve;
import kolonne.core.type.CurveMaker;
import kolonne.core.type.Types;

/** The types that are suggested for a building: few, for little more steel than cages of their own. */
public final class SuggestedTypes {
    private SuggestedTypes() {}

    /** Types of beams and of columns at the suggested points of their curves. @param d with a cage of its own for every member */
    public static Types of(BuildingDesign d) {
        double tolerance = Types.STANDARD_TOLERANCE;
        Curve beams = CurveMaker.beams(d.beams(), d.contexts()::beams, tolerance, CurveMaker.Progress.NONE);
        Curve columns = CurveMaker.columns(d.columns(), d.contexts()::columns, tolerance, CurveMaker.Progress.NONE);
        return adopted(adopted(Types.NONE, beams, d), columns, d);
    }

    private static Types adopted(Types now, Curve curve, BuildingDesign d) {
        if (curve.members() == 0) {
            return now;
        }
        Set<String> marks = new HashSet<>();
        d.beams().forEach(b -> marks.add(b.line().mark()));
        d.columns().forEach(c -> marks.add(c.stack().mark()));
        List<List<String>> groups = curve.types(curve.suggested().types()).stream()
                .map(Curve.Node::members)
                .sorted(new TypeFacts(d).inOrder())
                .toList();
        return now.adopted(curve.role(), groups, marks);
    }
}
