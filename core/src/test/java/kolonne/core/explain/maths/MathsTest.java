package kolonne.core.explain.maths;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Formulas as the codes print them, set by hand beside the line that the calculation writes. */
class MathsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "fr Ig / yt; [f_{r} I_{g} ! y_{t}]",
                "0.26 fctm / fyk; [0.26 f_{ctm} ! f_{yk}]",
                "(Av/s) fyt d; (A_{v} / s) f_{yt} d",
                "φ (Vc + Vs); φ (V_{c} + V_{s})",
                "φVn; φ V_{n}",
                "ΣMnb; Σ M_{nb}",
                "Kφ; K_{φ}",
                "λΔ; λ_{Δ}",
                "f′c; f_{c}^{′}",
                "VRd,max; V_{Rd,max}",
                "(xu/d),max; (x_{u} / d)_{max}",
                "M0Eqp / M0Ed; [M_{0Eqp} ! M_{0Ed}]",
                "√((Vu / bw d)² + (Tu ph / 1.7 Aoh²)²); root[([V_{u} ! b_{w} d])^{2} + ([T_{u} p_{h} ! 1.7 A_{oh}^{2}])^{2}]",
                "Icr / (1 − (2/3 Mcr / Ma)² (1 − Icr / Ig)); [I_{cr} ! 1 − ([2 / 3 M_{cr} ! M_{a}])^{2} (1 − [I_{cr} ! I_{g}])]",
                "l / 16 (0.4 + fy / 100 000); [l ! 16] (0.4 + [f_{y} ! 100 000])",
                "(σs − kt fctm / ρp,eff (1 + αe ρp,eff)) / Es ≥ 0.6 σs / Es; [σ_{s} − [k_{t} f_{ctm} ! ρ_{p,eff}] (1 + α_{e} ρ_{p,eff}) ! E_{s}] ≥ [0.6 σ_{s} ! E_{s}]",
                "1 / (ζ / III + (1 − ζ) / II); [1 ! [ζ ! I_{II}] + [1 − ζ ! I_{I}]]",
                "(0.17 λ √f′c + Nu / 6Ag) bw d; (0.17 λ root[f_{c}^{′}] + [N_{u} ! 6 A_{g}]) b_{w} d",
                "φ/4 fyd / fbd − 12 φ round the bend; [φ / 4 f_{yd} ! f_{bd}] − 12 φ ‹round the bend›",
                "αcw bw z ν1 fcd / (cot θ + tan θ); [α_{cw} b_{w} z ν_{1} f_{cd} ! cot θ + tan θ]",
                "(max(CRd,c k (100 ρl fck)^⅓, vmin) + k1 σcp) bw d; (max (C_{Rd,c} k (100 ρ_{l} f_{ck})^{1/3} , v_{min}) + k_{1} σ_{cp}) b_{w} d",
                "Δ(D + L) − Δ(D), each with its Ie; Δ (D + L) − Δ (D) , ‹each with its› I_{e}",
                "neutral axis where Mn / Pn = Mu / Pu; ‹neutral axis where› [M_{n} ! P_{n}] = [M_{u} ! P_{u}]",
                "needed / provided, “1.20 m right of A1”; [‹needed› ! ‹provided›] , ‹1.20 m right of A1›",
                "Σ forces of bars and block × lever; Σ ‹forces of bars and block› × ‹lever›",
                "2 ν αcw fcd Ak tef sin θ cos θ; 2 ν α_{cw} f_{cd} A_{k} t_{ef} sin θ cos θ",
                "Tu / (φ 2 Ao fyt cot 45°); [T_{u} ! φ 2 A_{o} f_{yt} cot 45°]",
                "fcd (Ac − As) + σs(εc2) As; f_{cd} (A_{c} − A_{s}) + σ_{s} (ε_{c2}) A_{s}",
                "Es εcu (d − c) / c, at most fy; [E_{s} ε_{cu} (d − c) ! c] , ‹at most› f_{y}",
                "fy ψe ψr ψo ψc db^1.5 / (55 λ √f′c); [f_{y} ψ_{e} ψ_{r} ψ_{o} ψ_{c} d_{b}^{1.5} ! 55 λ root[f_{c}^{′}]]",
                "−5.2 + −1.1; − 5.2 + − 1.1",
                ") (; ) ( ",
                "√; √",
                "a choice; a ‹choice›"
            })
    void isSet(String row) {
        int cut = row.lastIndexOf("; ");
        String set = row.substring(cut + 2).replace(" ! ", " | ").strip();
        assertEquals(set, MathsText.show(Maths.of(row.substring(0, cut))));
    }

    @Test
    void aFormulaOfNumbersKeepsItsValue() {
        assertEquals(2.5 * 3 / 4 * 5, MathsText.value(Maths.of("2.5 × 3 / 4 × 5")), 1e-12);
        assertEquals(1 - 0.5 * 9 / 4.0, MathsText.value(Maths.of("1 − 0.5 × (3 / 2)²")), 1e-12);
        assertEquals(12345 / 3.0 - 4, MathsText.value(Maths.of("12 345 / 3 − 4")), 1e-12);
        assertEquals(1 / 2.0 * 3 / 4, MathsText.value(Maths.of("1/2 × 3 / 4")), 1e-12);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "φ (Vc + Vs) | true",
                "needed / provided | true",
                "1 / (1 − Q), where Q > 0.05 | true",
                "from εt | false",
                "Icr = 12, Ig = 30 | false",
                "bars 412 at d = 540, c = 80 | false"
            })
    void onlyWhatIsEqualStandsBehindAnEqualsSign(String text, boolean equal) {
        assertEquals(equal, Maths.of(text).equal());
    }
}
