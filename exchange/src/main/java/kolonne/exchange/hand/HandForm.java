package kolonne.exchange.hand;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.finding.Finding;

/** What all parts of a file of hand-set cages share: sizes of bars by their labels, bounds of numbers, and what was found. */
final class HandForm {
    /** Longest line [mm], most moment [kNm] or shear [kN] that can be meant. */
    static final double FAR = 1e7;

    private final BarCatalogue catalogue;
    private final List<Finding> findings = new ArrayList<>();
    private Map<String, Bar> sizes = Map.of();

    HandForm(BarCatalogue catalogue) {
        this.catalogue = catalogue;
    }

    List<Finding> findings() {
        return findings;
    }

    void add(Finding f) {
        findings.add(f);
    }

    /** Takes sizes that the file tells, besides those of the catalogue. */
    void know(List<HandFile.Size> told) {
        Map<String, Bar> out = new TreeMap<>();
        catalogue.bars().forEach(b -> out.put(b.label(), b));
        for (HandFile.Size s : told) {
            boolean whole = s != null
                    && s.label() != null
                    && positive(s.diameterMm())
                    && positive(s.areaMm2())
                    && positive(s.massKgPerM());
            if (whole) {
                out.put(s.label(), new Bar(s.label(), s.diameterMm(), s.areaMm2(), s.massKgPerM()));
            } else {
                fail("sizes", "A size is not whole.", "Give label, diameterMm, areaMm2 and massKgPerM.");
            }
        }
        sizes = out;
    }

    private static boolean positive(Double v) {
        return v != null && v > 0 && v < FAR;
    }

    void fail(String where, String what, String mend) {
        findings.add(Finding.fails("hand-set", where, what, mend));
    }

    void range(double v, double least, double most, String where, String unit) {
        if (!(v >= least && v <= most)) {
            fail(
                    where,
                    "The value is " + number(v) + ", outside " + number(least) + " to " + number(most) + unit + ".",
                    "Give a value within these bounds.");
        }
    }

    private static String number(double v) {
        return v == Math.rint(v) && Math.abs(v) < 1e9 ? String.valueOf((long) v) : String.valueOf(v);
    }

    /** The bar of a label; null and a finding where there is none. */
    Bar bar(String label, String where) {
        Bar b = label == null ? null : sizes.get(label);
        if (b == null) {
            fail(
                    where,
                    "The catalogue " + catalogue.name() + " has no bar " + label + ".",
                    "Choose a size of the catalogue.");
        }
        return b;
    }
}
