package kolonne.core.type;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.BeamBars;
import kolonne.core.detail.ColumnBars;

/** Bars of a member: their mass [kg] and how many there are of every kind. */
record CountedBars(double kg, Map<BarItem.Kind, Integer> kinds) {
    static CountedBars of(BeamDesign d) {
        return of(BeamBars.of(d.line(), d.cage(), d.basis()));
    }

    static CountedBars of(ColumnDesign d) {
        List<BarItem> bars = new ArrayList<>();
        for (int i = 0; i < d.lifts().size(); i++) {
            bars.addAll(ColumnBars.of(d.stack(), i, d.cage(), d.basis()));
        }
        return of(bars);
    }

    private static CountedBars of(List<BarItem> bars) {
        double kg = 0;
        Map<BarItem.Kind, Integer> kinds = new HashMap<>();
        for (BarItem b : bars) {
            kg += b.mass();
            kinds.merge(b.kind(), b.number(), Integer::sum);
        }
        return new CountedBars(kg, kinds);
    }

    Steel steel() {
        int pieces = kinds.values().stream().mapToInt(n -> n).sum();
        return new Steel(kg, pieces, kinds.size());
    }

    /** Of members with one cage: a bar has one mark in all of them. */
    static Steel together(List<CountedBars> members) {
        double kg = 0;
        int pieces = 0;
        Set<BarItem.Kind> marks = new HashSet<>();
        for (CountedBars m : members) {
            Steel s = m.steel();
            kg += s.kg();
            pieces += s.pieces();
            marks.addAll(m.kinds.keySet());
        }
        return new Steel(kg, pieces, marks.size());
    }
}
