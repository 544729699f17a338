package kolonne.exchange.results;

import java.io.IOException;
import java.io.Writer;
import java.util.Locale;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.model.Building;
import kolonne.core.model.Combination;

/** Tables of results as CSV. Forces and displacements in SI: mm, rad, kN, kNm; a comma in a name is quoted. */
public final class ResultsCsv {
    private ResultsCsv() {}

    /** One line a check, in the units of the basis; begins with the mark of UTF-8. */
    public static void checks(BuildingDesign d, Writer out) throws IOException {
        // spreadsheets take a file for UTF-8 only where it says so
        out.write("\uFEFFmark,part,check,cause,demand,capacity,unit,utilisation,satisfied,combination,place,clause\n");
        for (BeamDesign b : d.beams()) {
            for (CheckResult c : b.checks()) {
                check(b.line().mark(), c, d.basis().usUnits(), out);
            }
        }
        for (ColumnDesign q : d.columns()) {
            for (ColumnDesign.LiftDesign l : q.lifts()) {
                for (CheckResult c : l.checks()) {
                    check(q.stack().mark(), c, d.basis().usUnits(), out);
                }
            }
        }
    }

    private static void check(String mark, CheckResult c, boolean us, Writer out) throws IOException {
        out.write(String.join(
                ",",
                text(mark),
                Integer.toString(c.part() + 1),
                c.kind().id(),
                c.cause().id(),
                number(c.quantity().display(c.demand(), us)),
                number(c.quantity().display(c.capacity(), us)),
                c.quantity().unit(us),
                String.format(Locale.ROOT, "%.4f", c.utilisation()),
                Boolean.toString(c.satisfied()),
                text(c.combination()),
                text(c.place()),
                text(c.clause().text())));
        out.write('\n');
    }

    /** Displacements of every joint in every case and combination [mm, rad]. */
    public static void displacements(Analysis a, Writer out) throws IOException {
        out.write("case,joint,ux_mm,uy_mm,uz_mm,rx_rad,ry_rad,rz_rad\n");
        jointTable(a, out, false);
    }

    /** Reactions of every supported joint in every case and combination [kN, kNm]. */
    public static void reactions(Analysis a, Writer out) throws IOException {
        out.write("case,joint,fx_kN,fy_kN,fz_kN,mx_kNm,my_kNm,mz_kNm\n");
        jointTable(a, out, true);
    }

    private static void jointTable(Analysis a, Writer out, boolean reactions) throws IOException {
        Building b = a.index().building();
        for (int c = 0; c < b.loadCases().size(); c++) {
            double[] factors = new double[b.loadCases().size()];
            factors[c] = 1;
            joints(a, b.loadCases().get(c).id(), factors, out, reactions);
        }
        for (Combination k : b.combinations()) {
            joints(a, k.id(), factors(a, k), out, reactions);
        }
    }

    private static double[] factors(Analysis a, Combination k) {
        double[] f = new double[a.index().building().loadCases().size()];
        k.terms().forEach(t -> f[a.index().caseNumber(t.loadCase())] += t.factor());
        return f;
    }

    private static void joints(Analysis a, String name, double[] factors, Writer out, boolean reactions)
            throws IOException {
        Building b = a.index().building();
        for (int j = 0; j < b.joints().size(); j++) {
            double[] v = new double[6];
            boolean any = false;
            for (int i = 0; i < 6; i++) {
                for (int c = 0; c < factors.length; c++) {
                    if (factors[c] != 0) {
                        v[i] += factors[c] * (reactions ? a.reaction(c, j, i) : a.displacement(c, j, i));
                    }
                }
                any |= v[i] != 0;
            }
            if (any || !reactions) {
                row(name, b.joints().get(j).id(), v, reactions ? 1e-3 : 1, reactions ? 1e-6 : 1, out);
            }
        }
    }

    private static void row(String name, String id, double[] v, double first, double second, Writer out)
            throws IOException {
        StringBuilder s = new StringBuilder(text(name)).append(',').append(text(id));
        for (int i = 0; i < 6; i++) {
            s.append(',').append(number(v[i] * (i < 3 ? first : second)));
        }
        out.write(s.append('\n').toString());
    }

    /** Station forces of every member in every case and combination, about the axes that the model gives it [m from the start joint, kN, kNm]. */
    public static void stationForces(Analysis a, Writer out) throws IOException {
        Building b = a.index().building();
        out.write("case,member,x_m,n_kN,vy_kN,vz_kN,t_kNm,my_kNm,mz_kNm\n");
        for (int c = 0; c < b.loadCases().size(); c++) {
            double[] factors = new double[b.loadCases().size()];
            factors[c] = 1;
            stations(a, b.loadCases().get(c).id(), factors, out);
        }
        for (Combination k : b.combinations()) {
            stations(a, k.id(), factors(a, k), out);
        }
    }

    private static void stations(Analysis a, String name, double[] factors, Writer out) throws IOException {
        Building b = a.index().building();
        for (int m = 0; m < b.members().size(); m++) {
            for (int s = 0; s < a.stationCount(m); s++) {
                StringBuilder line = new StringBuilder(text(name))
                        .append(',')
                        .append(text(b.members().get(m).id()))
                        .append(',')
                        .append(number(a.drawnX(m, s) / 1000));
                for (int i = 0; i < Analysis.COMPONENTS; i++) {
                    double v = 0;
                    for (int c = 0; c < factors.length; c++) {
                        if (factors[c] != 0) {
                            v += factors[c] * a.drawnForce(m, c, s, i);
                        }
                    }
                    line.append(',').append(number(v * (i < Analysis.T ? 1e-3 : 1e-6)));
                }
                out.write(line.append('\n').toString());
            }
        }
    }

    /** Eight digits of any size; a rotation of 1e-10 is not zero. What has no bound is {@code inf}, what has no value is empty. */
    private static String number(double v) {
        if (v == 0 || !Double.isFinite(v)) {
            return v == 0 ? "0" : Double.isNaN(v) ? "" : v > 0 ? "inf" : "-inf";
        }
        return Double.toString(
                new java.math.BigDecimal(v).round(new java.math.MathContext(8)).doubleValue());
    }

    /** Quoted where needed; a text that a spreadsheet would take for a formula gets an apostrophe in front. */
    public static String text(String s) {
        String safe = !s.isEmpty() && "=+-@\t\r".indexOf(s.charAt(0)) >= 0 ? "'" + s : s;
        return safe.matches("[^\",\\r\\n]*") ? safe : "\"" + safe.replace("\"", "\"\"") + "\"";
    }
}
