package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Spirals;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Spirals by ACI 318-19 25.7.3. */
final class AciSpirals implements Spirals {
    private final UnitForm form;

    AciSpirals(UnitForm form) {
        this.form = form;
    }

    /** With φ of 0.75 in compression and 0.85 of Po (21.2.2, 22.4.2.1). */
    @Override
    public DesignCode strength() {
        return form == UnitForm.SI ? Aci318.SI_SPIRAL : Aci318.US_SPIRAL;
    }

    /** 10 mm (3/8 in.), whatever the bars (25.7.3.2); a #3 is 9.5. */
    @Override
    public double smallest(Bar bar) {
        return 9.5;
    }

    @Override
    public Clause smallestClause() {
        return Clause.of("25.7.3.2");
    }

    @Override
    public int fewestBars() {
        return 6;
    }

    @Override
    public Clause fewestBarsClause() {
        return Clause.of("10.7.3.1");
    }

    @Override
    public double leastClear(double aggregate) {
        return Math.max(form.length(25, 1), 4.0 / 3 * aggregate);
    }

    @Override
    public double mostClear() {
        return form.length(75, 3);
    }

    @Override
    public Clause clearClause() {
        return Clause.of("25.7.3.1");
    }

    /** 0.45 (Ag / Ach − 1) f′c / fyt, fyt at most 700 MPa (100 000 psi; 25.7.3.3, table 20.2.2.4a). */
    @Override
    public double leastRatio(double ag, double core, double fc, double fyt, Trace t) {
        double yield = Math.min(fyt, form.stress(700, 100_000));
        double least = 0.45 * (ag / core - 1) * fc / yield;
        if (t.on()) {
            t.step(
                    "ρs,min",
                    "0.45 (Ag / Ach − 1) f′c / fyt",
                    "0.45 × ({0} / {1} − 1) × {2} / {3}",
                    least,
                    Quantity.RATIO,
                    ratioClause(),
                    in(ag, Quantity.AREA),
                    in(core, Quantity.AREA),
                    in(fc, Quantity.STRENGTH),
                    in(yield, Quantity.STRENGTH));
        }
        return least;
    }

    @Override
    public Clause ratioClause() {
        return Clause.of("25.7.3.3");
    }

    /** 25.7.3.4. */
    @Override
    public double endTurns() {
        return 1.5;
    }
}
