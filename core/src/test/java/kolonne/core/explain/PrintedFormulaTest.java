package kolonne.core.explain;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.code.DesignCode;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftCalculation;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.explain.maths.Maths;
import kolonne.core.explain.maths.MathsText;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What a calculation prints is what was computed: every printed formula of numbers only is worked out by a reader of its own. In core units it gives
 * the result; where constants are in the units of the print (per mille, per cent) it gives its digits.
 */
class PrintedFormulaTest {
    /** Reads numbers, + − × / ^, brackets, √ and ² ³. */
    private static final class Reader {
        private final String s;
        private int at;

        Reader(String s) {
            this.s = s.replace(" ", "").replace('−', '-').replace('×', '*');
        }

        double whole() {
            double v = sum();
            if (at < s.length()) {
                throw new NumberFormatException("rest " + s.substring(at));
            }
            return v;
        }

        private boolean next(char c) {
            boolean there = at < s.length() && s.charAt(at) == c;
            at += there ? 1 : 0;
            return there;
        }

        private double sum() {
            double v = product();
            while (at < s.length()) {
                if (next('+')) {
                    v += product();
                } else if (next('-')) {
                    v -= product();
                } else {
                    break;
                }
            }
            return v;
        }

        private double product() {
            double v = power();
            while (at < s.length()) {
                if (next('*')) {
                    v *= power();
                } else if (next('/')) {
                    v /= power();
                } else {
                    break;
                }
            }
            return v;
        }

        private double power() {
            double v = atom();
            if (next('²')) {
                return v * v;
            }
            return next('³') ? v * v * v : v;
        }

        private double atom() {
            if (next('√')) {
                return Math.sqrt(atom());
            }
            if (next('(')) {
                double v = sum();
                if (!next(')')) {
                    throw new NumberFormatException("bracket");
                }
                return v;
            }
            if (next('-')) {
                return -atom();
            }
            int from = at;
            while (at < s.length()
                    && (Character.isDigit(s.charAt(at))
                            || s.charAt(at) == '.'
                            || s.charAt(at) == 'E'
                            || at > from && s.charAt(at - 1) == 'E')) {
                at++;
            }
            return Double.parseDouble(s.substring(from, at));
        }
    }

    private static String put(Step s, boolean display) {
        String out = s.template();
        for (int i = 0; i < s.inputs().size(); i++) {
            Step.Input in = s.inputs().get(i);
            out = out.replace(
                    "{" + i + "}", "(" + (display ? in.quantity().display(in.value(), false) : in.value()) + ")");
        }
        return out;
    }

    /** Whether the printed formula was read; adds it to {@code wrong} where it gives something else. */
    private static boolean read(Step s, List<String> wrong) {
        try {
            double core = new Reader(put(s, false)).whole();
            double shown = new Reader(put(s, true)).whole();
            double value = s.quantity().display(s.value(), false);
            double line = new Reader(s.substituted(false)).whole();
            double set = MathsText.value(Maths.of(s.substituted(false)));
            if (!(Math.abs(set - line) <= 1e-9 * Math.abs(line)) && !Double.isNaN(line)) {
                wrong.add(s.substituted(false) + " is set as " + MathsText.show(Maths.of(s.substituted(false))));
            }
            boolean same = Math.abs(core - s.value()) <= 1e-6 * Math.abs(s.value())
                    || Math.abs(shown - value) <= 2e-3 * Math.abs(value);
            // a formula in mixed print units is off by a power of ten only
            double decades = Math.log10(Math.abs(core / s.value()));
            if (!same && !(Math.abs(decades - Math.rint(decades)) < 1e-4) && s.value() != 0) {
                wrong.add(s.symbol() + " = " + s.formula() + " = " + s.substituted(false) + " gives " + core + " or "
                        + shown + ", told " + s.value());
            }
            return true;
        } catch (NumberFormatException e) {
            return false; // words
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "en-1992-1-1"})
    void everyPrintedFormulaGivesItsNumber(String code) {
        Analysis a = FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.ofSize(120))));
        BuildingDesign d = BuildingDesigner.design(a, Basis.standard(code), BuildingDesigner.Progress.NONE);
        List<String> wrong = new ArrayList<>();
        Set<String> symbols = new TreeSet<>();
        for (BeamDesign b : d.beams()) {
            for (int i = 0; i < b.line().stations().size(); i += 3) {
                BeamCheck.explain(b.line(), b.cage(), d.contexts().beams(), i).stream()
                        .filter(s -> !s.template().isEmpty() && read(s, wrong))
                        .forEach(s -> symbols.add(s.symbol()));
            }
        }
        for (ColumnDesign c : d.columns()) {
            c.lifts()
                    .forEach(l ->
                            LiftCalculation.of(
                                            c.stack(),
                                            c.cage(),
                                            l.lift().number(),
                                            d.contexts().columns(),
                                            0,
                                            1)
                                    .stream()
                                    .filter(s -> !s.template().isEmpty() && read(s, wrong))
                                    .forEach(s -> symbols.add(s.symbol())));
        }
        assertEquals(List.of(), wrong.stream().distinct().limit(10).toList());
        assertTrue(symbols.size() > 15, symbols.toString());
        assertTrue(symbols.contains(code.startsWith("en") ? "εs,min" : "εt,min"), symbols.toString());
    }

    /** No symbol of a formula is taken for a word: words are small, and the short ones are those of a sentence. */
    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "aci-318-19", "en-1992-1-1"})
    void symbolsAreNoWords(String code) {
        Analysis a = FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.ofSize(120))));
        BuildingDesign d = BuildingDesigner.design(a, Basis.standard(code), BuildingDesigner.Progress.NONE);
        Set<String> words = new TreeSet<>();
        for (BeamDesign b : d.beams()) {
            for (int i = 0; i < b.line().stations().size(); i += 7) {
                gather(BeamCheck.explain(b.line(), b.cage(), d.contexts().of(b.line()), i), words);
            }
        }
        for (ColumnDesign c : d.columns()) {
            c.lifts()
                    .forEach(l -> gather(
                            LiftCalculation.of(
                                    c.stack(),
                                    c.cage(),
                                    l.lift().number(),
                                    d.contexts().of(c.stack()),
                                    0,
                                    1),
                            words));
        }
        words.removeIf(w -> w.matches("[a-z]{3,}|[a-z]+'s|of|on|to|at|is|it|in|no|by"));
        assertEquals(Set.of(), words);
    }

    private static void gather(List<Step> steps, Set<String> words) {
        steps.stream()
                .filter(s -> !Double.isNaN(s.value()))
                .map(s -> s.formula().replaceAll("“.*”", ""))
                .forEach(f -> MathsText.words(Maths.of(f), w -> words.addAll(List.of(w.split(" ")))));
    }

    /** 5.5(4) by hand: C30 3.5 (1/0.448 − 1) = 4.31; C60 (xu/d = 0.367) 5.0 per mille, by the printed formula as well. */
    @Test
    void theStrainLimitOfStrongConcrete() {
        for (double fc : new double[] {30, 60}) {
            Trace t = Trace.recording();
            DesignCode en = Basis.standard("en-1992-1-1").designCode();
            double limit = en.beamTensionStrain(0.00217, fc, t);
            double cu = fc == 30 ? 0.0035 : 0.0026 + 0.035 * Math.pow(0.3, 4);
            double xd = (1 - (fc == 30 ? 0.44 : 0.54)) / (1.25 * (0.6 + 0.0014 / cu));
            assertEquals(cu * (1 / xd - 1), limit, 1e-12);
            List<String> wrong = new ArrayList<>();
            t.steps().forEach(s -> assertTrue(read(s, wrong), s.toString()));
            assertEquals(List.of(), wrong);
        }
    }
}
