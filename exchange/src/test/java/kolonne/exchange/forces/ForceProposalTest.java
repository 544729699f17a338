package kolonne.exchange.forces;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.compare.ForceTotals;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.StationForces;
import kolonne.exchange.forces.ForceMapping.Column;
import kolonne.exchange.forces.ForceMapping.Quantity;
import kolonne.exchange.results.ResultsCsv;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a table of forces says by itself, and what it leaves for a person to say. */
class ForceProposalTest {
    private static final Building DEMO = DemoBuilding.generate(DemoOptions.ofSize(60));
    private static final Analysis OWN = FrameAnalysis.solve(new BuildingIndex(DEMO));
    private static final String BEAM = DEMO.members().stream()
            .filter(m -> m.role() == Role.BEAM)
            .findFirst()
            .orElseThrow()
            .id();
    private static final String CASE = DEMO.loadCases().get(0).id();

    private static ForceTable table(String s) {
        ForceTable.Read r = ForceTable.read(s.getBytes(StandardCharsets.UTF_8), null);
        assertTrue(r.table() != null, r.findings().toString());
        return r.table();
    }

    private static ForceProposal proposal(String s) {
        return ForceProposal.of(table(s), DEMO);
    }

    /** One row under headers that are semicolon separated; the first three are member, case and place. */
    private static StationForces row(String headers, String... cells) {
        ForceTable t = table(headers + "\n" + BEAM + ";" + CASE + ";" + String.join(";", cells) + "\n");
        ForceProposal p = ForceProposal.of(t, DEMO);
        assertEquals(List.of(), p.doubts());
        return ForceRows.read(t, p.mapping(), DEMO, 10).forces().get(0);
    }

    /** Sizes by the definitions of the units: 1 kgf 9.80665 N, 1 lb 4.4482216 N, 1 ft 304.8 mm, 1 in 25.4 mm. */
    @ParameterizedTest(name = "{0} is {1} N or Nmm")
    @CsvSource(
            delimiter = ';',
            value = {
                "shear (tonf); 9806.65",
                "shear [tf]; 9806.65",
                "Vz (kgf); 9.80665",
                "Vz, kip; 4448.2216",
                "V (lbf); 4.4482216",
                "V_lb; 4.4482216",
                "Vz / MN; 1000000",
                "Vz kN; 1000",
                "Vz_kN; 1000",
                "M (N·mm); 1",
                "M (N-mm); 1",
                "M [kN-m]; 1000000",
                "Moment (kN.m); 1000000",
                "My (tonf-m); 9806650",
                "My (kgf*cm); 98.0665",
                "BM (k-ft); 1355817.95",
                "BM (ft-kips); 1355817.95",
                "BM (lb-in); 112.98483",
                "Moment (major) [kNm]; 1000000"
            })
    void unitsAreReadAsPeopleWriteThem(String header, double unit) {
        StationForces f = row("member;case;x (m);" + header, "0.5", "1");
        assertEquals(unit, f.vz() != 0 ? f.vz() : f.my(), 1e-6 * unit);
    }

    @Test
    void unitsStandInARowBeneath() {
        ForceTable t = table("Member;LC;Station;N;Vz;My\n;;(ft);(kip);(kip);(kip-ft)\n" + BEAM + ";" + CASE
                + ";2;10;1;3\n;;;;;\n \n");
        assertEquals(1, t.rows().size(), "neither the units nor blank lines are rows");
        Map<Quantity, Column> m = ForceProposal.of(t, DEMO).mapping().columns();
        assertEquals(new Column("Station", "ft", false), m.get(Quantity.X));
        assertEquals("kip·ft", m.get(Quantity.MY).unit());
        StationForces f =
                ForceRows.read(t, new ForceMapping(m), DEMO, 9).forces().get(0);
        assertEquals(609.6, f.x(), 1e-9);
        assertEquals(44_482.216, f.n(), 0.01);
    }

    @Test
    void aUnitThatIsNotKnownIsAskedForAndNothingIsRead() {
        ForceTable t = table("member;case;x;shear (stone)\n" + BEAM + ";" + CASE + ";0;1\n");
        ForceProposal p = ForceProposal.of(t, DEMO);
        assertEquals(Quantity.VZ, p.doubts().get(0).quantity());
        assertTrue(p.doubts().get(0).what().contains("“stone”"), p.doubts().toString());
        assertEquals(0, ForceRows.read(t, p.mapping(), DEMO, 9).used());
        assertTrue(proposal("member;case;x;shear (t)\n" + BEAM + ";" + CASE + ";0;1\n")
                .doubts()
                .get(0)
                .what()
                .contains("“t”"));
    }

    @Test
    void wordsShortFormsAndOneLetterHeaders() {
        for (String h : List.of(
                "Elem;Load;Dist;P;V;M",
                "Frame ID;Load case;Stn;Axial force;Shear force;Bending moment",
                "bar no.;LC;pos;N;Q;M",
                "Label;Action;loc;Fx;Fz;My")) {
            StationForces f = row(h, "0.5", "-7", "30", "-12.5");
            assertEquals(-7e3, f.n(), 1e-9, h);
            assertEquals(30e3, f.vz(), 1e-9, h);
            assertEquals(-12.5e6, f.my(), 1e-6, h);
        }
    }

    @Test
    void columnsWithNamesOfTheModelAreFoundWhateverTheyAreCalled() {
        Map<Quantity, Column> m = proposal("Stab;Fall;x;M\n" + BEAM + ";" + CASE + ";0;1\n")
                .mapping()
                .columns();
        assertEquals("Stab", m.get(Quantity.MEMBER).header());
        assertEquals("Fall", m.get(Quantity.CASE).header());
        assertEquals("M", m.get(Quantity.MY).header(), "M is a moment, not the member");
    }

    @Test
    void numberedAxesAndTwoColumnsOfOneNameAreAsked() {
        ForceProposal p = proposal("member;case;x;P;V2;V3;T;M2;M3\n" + BEAM + ";" + CASE + ";0;1;2;3;4;5;6\n");
        assertNull(p.mapping().columns().get(Quantity.VZ));
        assertNull(p.mapping().columns().get(Quantity.MY));
        assertEquals("P", p.mapping().columns().get(Quantity.N).header());
        assertEquals(
                List.of(Quantity.VY, Quantity.VZ, Quantity.MY, Quantity.MZ),
                p.doubts().stream().map(ForceProposal.Doubt::quantity).toList());
        assertEquals(List.of("V2", "V3"), p.doubts().get(1).headers());
        ForceProposal two = proposal("member;case;x;Shear;Shear force\n" + BEAM + ";" + CASE + ";0;1;2\n");
        assertEquals(List.of("Shear", "Shear force"), two.doubts().get(0).headers());
        assertNull(two.mapping().columns().get(Quantity.VZ));
    }

    /** What ./kolonne analyse writes comes back to the last of its digits, without a question. */
    @Test
    void ourOwnStationForcesComeBack() throws IOException {
        StringWriter out = new StringWriter();
        ResultsCsv.stationForces(OWN, out);
        ForceTable t = table(out.toString());
        ForceProposal p = ForceProposal.of(t, DEMO);
        assertEquals(List.of(), p.doubts());
        assertEquals(Quantity.values().length, p.mapping().columns().size());
        ForceRows.Read r = ForceRows.read(t, p.mapping(), DEMO, Integer.MAX_VALUE);
        assertEquals(
                List.of("forces.combinations"),
                r.findings().stream().map(f -> f.code()).toList());
        assertEquals(List.of(), ForceRows.gaps(r.forces(), DEMO));
        assertEquals(List.of(), ForceRows.without(r.forces(), DEMO));
        int rows = 0;
        for (int m = 0; m < DEMO.members().size(); m++) {
            rows += OWN.stationCount(m) * DEMO.loadCases().size();
        }
        assertEquals(rows, r.used());
        ForceTotals.of(r.forces(), OWN).forEach(q -> assertEquals(1, q.read() / Math.max(q.own(), 1e-9), 1e-5));
    }

    @Test
    void theSheetOfAWorkbookThatHoldsForcesIsTaken() throws IOException {
        byte[] bytes;
        try (XSSFWorkbook w = new XSSFWorkbook()) {
            fill(w.createSheet("cover"), "Made up tower", "by nobody", "2026", "draft");
            fill(w.createSheet("joints"), "joint", "ux", "uy", "uz");
            Sheet s = w.createSheet("member forces");
            fill(s, "member", "case", "x", "My");
            fill(s, BEAM, CASE, "0.5", "7");
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            w.write(out);
            bytes = out.toByteArray();
        }
        assertEquals("member forces", ForceTable.read(bytes, null).table().sheet());
        assertEquals("cover", ForceTable.read(bytes, "cover").table().sheet(), "who chooses a sheet gets it");
        assertNull(ForceTable.read(bytes, "none").table());
    }

    private static void fill(Sheet s, String... cells) {
        org.apache.poi.ss.usermodel.Row r = s.createRow(s.getPhysicalNumberOfRows());
        for (int i = 0; i < cells.length; i++) {
            r.createCell(i).setCellValue(cells[i]);
        }
    }

    @Test
    void numbersWithMarksBetweenThousands() {
        Map<String, Double> cells = new HashMap<>(Map.of(
                "1,234.5",
                1234.5,
                "1.234,5",
                1234.5,
                "1 234,5",
                1234.5,
                "−3,5",
                -3.5,
                "1,234,567",
                1234567.0,
                "2.",
                2.0));
        cells.put("1,2,3", null);
        cells.put("1.2.3", null);
        cells.put("12,34.5", null);
        cells.put("7f", null);
        cells.forEach((s, v) -> assertEquals(v, ForceTable.number(s), s));
    }

    private static List<StationForces> all(double force, double moment) {
        List<StationForces> out = new java.util.ArrayList<>();
        for (Member m : DEMO.members()) {
            int k = OWN.index().memberNumber(m.id());
            for (int c = 0; c < DEMO.loadCases().size(); c++) {
                for (int s = 0; s < OWN.stationCount(k); s++) {
                    double[] f = new double[6];
                    for (int i = 0; i < 6; i++) {
                        f[i] = OWN.force(k, c, s, i) * (i < 3 ? force : moment);
                    }
                    out.add(new StationForces(
                            m.id(),
                            DEMO.loadCases().get(c).id(),
                            OWN.stationX(k, s),
                            f[0],
                            f[1],
                            f[2],
                            f[3],
                            f[4],
                            f[5]));
                }
            }
        }
        return out;
    }

    private static ForceTotals.Verdict verdict(int component, double force, double moment) {
        return ForceTotals.of(all(force, moment), OWN).get(component).verdict();
    }

    @Test
    void aWrongUnitOrSignStandsOutBesideTheOwnAnalysis() {
        assertEquals(ForceTotals.Verdict.AGREES, verdict(Analysis.VZ, 1.2, 0.85));
        assertEquals(ForceTotals.Verdict.AGREES, verdict(Analysis.MY, 1.2, 0.85));
        assertEquals(ForceTotals.Verdict.OPPOSITE_SIGN, verdict(Analysis.MY, 1, -1.05));
        assertEquals(ForceTotals.Verdict.OTHER_UNIT, verdict(Analysis.VZ, 1 / 9.80665, 1));
        assertEquals(ForceTotals.Verdict.OTHER_UNIT, verdict(Analysis.N, 1000, 1));
        assertEquals(ForceTotals.Verdict.OTHER_UNIT, verdict(Analysis.MY, 1, 1 / 1.3558179));
        assertEquals(ForceTotals.Verdict.DIFFERS, verdict(Analysis.VZ, 2.6, 1));
        List<StationForces> rows = all(1, 1);
        List<StationForces> mixed = new java.util.ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            StationForces a = rows.get(i);
            StationForces b = rows.get((i + 1237) % rows.size());
            mixed.add(new StationForces(a.member(), a.loadCase(), a.x(), b.n(), b.vy(), b.vz(), b.t(), b.my(), b.mz()));
        }
        assertEquals(
                ForceTotals.Verdict.DIFFERS,
                ForceTotals.of(mixed, OWN).get(Analysis.MY).verdict(),
                "forces of other members");
    }

    /** Beams between rigid floors carry no axial force: a column of moments taken for it must not pass as next to nothing. */
    @Test
    void aForceThatTheModelDoesNotCarryStandsOut() {
        java.util.Set<String> beams = new java.util.HashSet<>();
        DEMO.members().stream().filter(m -> m.role() == Role.BEAM).forEach(m -> beams.add(m.id()));
        List<StationForces> rows =
                all(1, 1).stream().filter(r -> beams.contains(r.member())).toList();
        assertEquals(
                ForceTotals.Verdict.NOTHING,
                ForceTotals.of(rows, OWN).get(Analysis.N).verdict());
        List<StationForces> wrong = rows.stream()
                .map(r -> new StationForces(
                        r.member(), r.loadCase(), r.x(), r.my() / 1000, r.vy(), r.vz(), r.t(), r.my(), r.mz()))
                .toList();
        assertEquals(
                ForceTotals.Verdict.DIFFERS,
                ForceTotals.of(wrong, OWN).get(Analysis.N).verdict());
    }

    @Test
    void whatWouldBeTakenAsZeroIsListed() {
        List<StationForces> rows = new java.util.ArrayList<>(all(1, 1));
        String last = DEMO.loadCases().stream()
                .filter(c -> c.kind().isLateral())
                .findFirst()
                .orElseThrow()
                .id();
        rows.removeIf(r -> r.loadCase().equals(last) && !r.member().equals(BEAM));
        List<ForceRows.Gap> gaps = ForceRows.gaps(rows, DEMO);
        assertEquals(1, gaps.size());
        assertEquals(last, gaps.get(0).loadCase());
        assertEquals(DEMO.members().size() - 1, gaps.get(0).members().size());
        assertFalse(gaps.get(0).members().contains(BEAM));
    }
}
