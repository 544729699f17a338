package kolonne.exchange.forces;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.StationForces;
import kolonne.exchange.forces.ForceMapping.Column;
import kolonne.exchange.forces.ForceMapping.Quantity;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;

/** Tables of station forces with any headers, units and signs. */
class ForceTableTest {
    private static final Building DEMO = DemoBuilding.generate(DemoOptions.ofSize(60));
    private static final Member BEAM = DEMO.members().stream()
            .filter(m -> m.role() == Role.BEAM)
            .findFirst()
            .orElseThrow();
    private static final Member COLUMN = DEMO.members().stream()
            .filter(m -> m.role() == Role.COLUMN)
            .findFirst()
            .orElseThrow();
    private static final String CASE = DEMO.loadCases().get(0).id();

    private static ForceTable table(String s) {
        ForceTable.Read r = ForceTable.read(s.getBytes(StandardCharsets.UTF_8), null);
        assertTrue(r.table() != null, r.findings().toString());
        return r.table();
    }

    private static ForceRows.Read rows(String s) {
        ForceTable t = table(s);
        return ForceRows.read(t, ForceProposal.of(t, DEMO).mapping(), DEMO, Integer.MAX_VALUE);
    }

    @Test
    void anyHeadersInAnyOrderAreProposed() {
        ForceTable t = table("Moment (kNm),Load case,Dist [m],Bar,Q_z (kN),Axial,Comment\n-12.5," + CASE + ",0.5,"
                + BEAM.id() + ",30,-7,x\n");
        Map<Quantity, Column> m = ForceProposal.of(t, DEMO).mapping().columns();
        assertEquals("Bar", m.get(Quantity.MEMBER).header());
        assertEquals("Load case", m.get(Quantity.CASE).header());
        assertEquals(new Column("Dist [m]", "m", false), m.get(Quantity.X));
        assertEquals(new Column("Moment (kNm)", "kNm", false), m.get(Quantity.MY));
        assertEquals(new Column("Q_z (kN)", "kN", false), m.get(Quantity.VZ));
        StationForces f = ForceRows.read(t, ForceProposal.of(t, DEMO).mapping(), DEMO, 10)
                .forces()
                .get(0);
        assertEquals(-12.5e6, f.my(), 1e-6);
        assertEquals(30e3, f.vz(), 1e-9);
        assertEquals(-7e3, f.n(), 1e-9);
        assertEquals(500, f.x(), 1e-9);
    }

    @Test
    void separatorsCommasTitlesAndOldEncodings() {
        String id = BEAM.id();
        for (String s : List.of(
                "Forces of the tower\n\nmember;case;x (mm);My (Nmm)\n" + id + ";" + CASE + ";500,5;1200,25\n",
                "member\tcase\tx (mm)\tMy (Nmm)\n" + id + "\t" + CASE + "\t500.5\t1200.25\n",
                "\uFEFF\"member\",\"case\",\"x (mm)\",\"My (Nmm)\"\r\n\"" + id + "\",\"" + CASE
                        + "\",\"500.5\",\"1200.25\"\r\n")) {
            StationForces f = rows(s).forces().get(0);
            assertEquals(500.5, f.x(), 1e-9, s);
            assertEquals(1200.25, f.my(), 1e-9, s);
        }
        ForceTable old = ForceTable.read("Büro;case;x;My\nKä;P;1;2\n".getBytes(Charset.forName("ISO-8859-1")), null)
                .table();
        assertEquals("Büro", old.headers().get(0));
    }

    @Test
    void unitsAndSignsAreThoseOfTheMapping() {
        Map<Quantity, Column> m = new EnumMap<>(Quantity.class);
        m.put(Quantity.MEMBER, new Column("a", "", false));
        m.put(Quantity.CASE, new Column("b", "", false));
        m.put(Quantity.X, new Column("c", "ratio", false));
        m.put(Quantity.N, new Column("d", "kip", true));
        m.put(Quantity.MY, new Column("e", "lb·ft", false));
        ForceTable t = table("a,b,c,d,e\n" + BEAM.id() + "," + CASE + ",0.5,10,1000\n");
        StationForces f =
                ForceRows.read(t, new ForceMapping(m), DEMO, 10).forces().get(0);
        assertEquals(new BuildingIndex(DEMO).length(BEAM) / 2, f.x(), 1e-6);
        assertEquals(-44_482.216, f.n(), 0.01);
        assertEquals(1_355_817.9, f.my(), 1);
        assertEquals(0, f.vz());
    }

    @Test
    void compressionGivenAsPositiveIsNoticed() {
        ForceTable t = table("member,case,x,N,My\n" + COLUMN.id() + "," + CASE + ",0,850,0\n" + COLUMN.id() + "," + CASE
                + ",1,840,0\n");
        assertTrue(ForceProposal.of(t, DEMO).mapping().columns().get(Quantity.N).opposite());
        assertFalse(ForceProposal.of(table("member,case,x,N,My\n" + COLUMN.id() + "," + CASE + ",0,-850,0\n"), DEMO)
                .mapping()
                .columns()
                .get(Quantity.N)
                .opposite());
    }

    @Test
    void rowsThatCannotBeUsedAreFindings() {
        String id = BEAM.id();
        ForceRows.Read r = rows("member,case,x,My\nnobody," + CASE + ",0,1\nnobody," + CASE + ",1,1\n" + id
                + ",NO,0,1\n" + id + "," + CASE + ",0,twelve\n" + id + "," + CASE + ",999,1\n" + id + "," + CASE
                + ",0,1\n" + id + "," + CASE + ",0,2\n,,,\n" + id + "," + CASE + ",NaN,1\n");
        List<String> codes = r.findings().stream().map(f -> f.code()).toList();
        for (String c :
                List.of("forces.no-member", "forces.no-case", "forces.not-a-number", "forces.beyond", "forces.twice")) {
            assertTrue(codes.contains(c), c + " in " + codes);
        }
        assertEquals(1, r.used());
        assertEquals(2e6, r.forces().get(0).my(), 1e-6, "the later row counts");
        assertTrue(
                r.findings().stream().anyMatch(f -> f.where().equals("row 5")),
                r.findings().toString());
        assertEquals(DEMO.members().size(), ForceRows.without(r.forces(), DEMO).size(), "one station is not enough");
    }

    @Test
    void aMappingToNothingIsRefused() {
        ForceTable t = table("a,b,c,d\n1,2,3,4\n");
        ForceRows.Read r = ForceRows.read(
                t,
                new ForceMapping(Map.of(
                        Quantity.MEMBER, new Column("zz", "", false), Quantity.N, new Column("a", "stone", false))),
                DEMO,
                10);
        assertEquals(
                List.of("mapping.header", "mapping.missing", "mapping.missing", "mapping.unit"),
                r.findings().stream().map(f -> f.code()).sorted().toList());
    }

    @Test
    void workbooksGiveTheValuesOfTheirFormulas() throws IOException {
        byte[] bytes;
        try (XSSFWorkbook w = new XSSFWorkbook()) {
            w.createSheet("notes").createRow(0).createCell(0).setCellValue("made up");
            Sheet s = w.createSheet("forces");
            String[] heads = {"member", "case", "x", "My"};
            Row head = s.createRow(2);
            for (int i = 0; i < heads.length; i++) {
                head.createCell(i).setCellValue(heads[i]);
            }
            Row r = s.createRow(3);
            r.createCell(0).setCellValue(BEAM.id());
            r.createCell(1).setCellValue(CASE);
            r.createCell(2).setCellValue(0.25);
            r.createCell(3).setCellFormula("6*7");
            w.getCreationHelper().createFormulaEvaluator().evaluateAll();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            w.write(out);
            bytes = out.toByteArray();
        }
        ForceTable t = ForceTable.read(bytes, "forces").table();
        assertEquals(List.of("notes", "forces"), t.sheets());
        assertEquals(
                42e6,
                ForceRows.read(t, ForceProposal.of(t, DEMO).mapping(), DEMO, 10)
                        .forces()
                        .get(0)
                        .my(),
                1e-6);
        assertEquals(3, t.headerRow());
    }

    @Test
    void whatIsNoTableIsRefused() {
        for (byte[] b : List.of(
                new byte[0],
                "hello".getBytes(StandardCharsets.UTF_8),
                new byte[] {0, 1, 2, 3, 0, 0},
                new byte[] {'P', 'K', 3, 4, 9, 9},
                "1,2,3\n4,5,6\n".getBytes(StandardCharsets.UTF_8))) {
            ForceTable.Read r = ForceTable.read(b, null);
            assertTrue(r.table() == null
                    && !r.findings().isEmpty()
                    && !r.findings().get(0).mend().isBlank());
        }
    }

    private static String refused(String s) {
        ForceTable.Read r = ForceTable.read(s.getBytes(StandardCharsets.UTF_8), null);
        assertEquals("table.too-large", r.findings().get(0).code(), r.findings().toString());
        return r.findings().get(0).what();
    }

    /** 1 MB of ten thousand headers over a million empty lines took 80 s and 2.6 GB: now it is refused for its columns; empty lines cost nothing. */
    @Test
    void tablesHaveBounds() {
        assertTrue(refused("member,case,x" + ",c".repeat(10_000) + "\n".repeat(1_000_000))
                .contains("more than 200 columns"));
        assertTrue(refused("member,case,x\nB1,G," + "7".repeat(2000)).contains("line 2"));
        ForceTable t =
                table("member,case,x" + ",c".repeat(150) + "\n".repeat(1_000_000) + BEAM.id() + "," + CASE + ",bad\n");
        assertEquals(1, t.rows().size());
        assertEquals(List.of(1_000_001), t.rowNumbers());
        assertTrue(
                refused("member,case,x" + ",c".repeat(190) + "\n" + "a,b,c\n".repeat(200_000))
                        .contains("20000000 cells"),
                "padded to the header");
        assertTrue(refused("member,case,x\n" + "a,b,c\n".repeat(1_000_001)).contains("1000000 rows"));
    }

    /** A sheet of 3 MB of zeros a row unpacks to more than a table may. */
    @Test
    void aWorkbookThatUnpacksToTooMuchIsRefused() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (java.util.zip.ZipOutputStream z = new java.util.zip.ZipOutputStream(out)) {
            z.putNextEntry(new java.util.zip.ZipEntry("xl/worksheets/sheet1.xml"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 520; i++) {
                z.write(zeros);
            }
        }
        assertEquals(
                "table.too-large",
                ForceTable.read(out.toByteArray(), null).findings().get(0).code());
        assertEquals(
                "file.damaged",
                ForceTable.read(java.util.Arrays.copyOf(out.toByteArray(), 200), null)
                        .findings()
                        .get(0)
                        .code());
    }
}
