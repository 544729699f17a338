package kolonne.exchange.ifc;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.StringWriter;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import kolonne.core.shape.Shape;
import kolonne.core.work.Progress;
import org.junit.jupiter.api.Test;

/** The file read as text: by the rules of ISO 10303-21 and of IFC's global ids. Another program's reading of it is in the server's tests, which have the web's tools. */
class DesignIfcTest {
    private static final BuildingDesign DESIGN = BuildingDesigner.design(
            FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(7, 1, 2, 1, false)))),
            spaced(Basis.standard("en-1992-1-1")),
            BuildingDesigner.Progress.NONE);
    private static final Pattern INSTANCE = Pattern.compile("^#(\\d+)=([A-Z0-9]+)\\((.*)\\);$", Pattern.MULTILINE);

    private static Basis spaced(Basis b) {
        return b.with(b.practice().withSpacers(600));
    }

    private static String file(boolean bars) {
        StringWriter w = new StringWriter();
        try {
            DesignIfc.write(DESIGN, ProjectData.EMPTY, bars, Progress.NONE, w);
        } catch (IOException e) {
            throw new AssertionError(e);
        }
        return w.toString();
    }

    private static final String FILE = file(true);

    @Test
    void everyReferenceGoesBackToAnInstance() {
        assertTrue(FILE.startsWith("ISO-10303-21;\nHEADER;\n") && FILE.endsWith("ENDSEC;\nEND-ISO-10303-21;\n"));
        assertTrue(StandardCharsets.US_ASCII.newEncoder().canEncode(FILE));
        int last = 0;
        Matcher m = INSTANCE.matcher(FILE);
        while (m.find()) {
            int number = Integer.parseInt(m.group(1));
            assertEquals(++last, number);
            Matcher r = Pattern.compile("#(\\d+)").matcher(m.group(3).replaceAll("'[^']*'", ""));
            while (r.find()) {
                assertTrue(Integer.parseInt(r.group(1)) < number, m.group());
            }
        }
        assertEquals(FILE.lines().filter(l -> l.startsWith("#")).count(), last);
    }

    @Test
    void everyIdIsThereOnce() {
        Set<String> ids = new HashSet<>();
        Matcher m = Pattern.compile("=[A-Z]+\\('([0-9A-Za-z_$]{22})',\\$").matcher(FILE);
        int all = 0;
        while (m.find()) {
            ids.add(m.group(1));
            all++;
        }
        assertEquals(all, ids.size());
        assertTrue(all > 500, all + " ids");
    }

    @Test
    void barsAreThoseOfTheList() {
        Map<String, Integer> marked = new HashMap<>();
        double mass = 0;
        Matcher m = INSTANCE.matcher(FILE);
        while (m.find()) {
            if (m.group(2).equals("IFCREINFORCINGBAR")) {
                String[] v = m.group(3).split(",");
                marked.merge(v[2], 1, Integer::sum);
                // m2 of section, mm of length; nominal masses are those of 7850 kg/m3 but for rounding
                mass += Double.parseDouble(v[10]) * Double.parseDouble(v[11]) / 1000 * 7850;
            }
        }
        double listed = 0;
        int rows = 0;
        for (Schedules.BarRow r : Schedules.bars(Scheduled.of(DESIGN))) {
            assertEquals(
                    r.members() * r.item().number(),
                    marked.get("'" + r.member() + " " + r.barMark() + "'"),
                    r.toString());
            listed += r.members() * r.item().mass();
            rows++;
        }
        assertEquals(rows, marked.size());
        assertEquals(listed, mass, 0.005 * listed);
    }

    /** What the standard's list of uses has no word for is named by the writer's own, as it asks. */
    @Test
    void spacersAreNamedAsSuch() {
        long listed = Schedules.bars(Scheduled.of(DESIGN)).stream()
                .filter(r -> r.item().what().startsWith("spacers"))
                .mapToLong(r -> (long) r.members() * r.item().number())
                .sum();
        long written = 0;
        Matcher m = INSTANCE.matcher(FILE);
        while (m.find()) {
            String[] v = m.group(3).split(",");
            boolean spacer = v.length > 12 && v[12].equals(".USERDEFINED.");
            written += m.group(2).equals("IFCREINFORCINGBAR") && spacer && v[4].equals("'SPACER'") ? 1 : 0;
            assertEquals(spacer, m.group(2).equals("IFCREINFORCINGBAR") && v[4].equals("'SPACER'"), m.group());
        }
        assertTrue(listed > 3, listed + " spacers");
        assertEquals(listed, written);
        assertTrue(FILE.contains(",'SPACER',.USERDEFINED.,"));
    }

    @Test
    void theSameDesignGivesTheSameBytesAndConcreteAloneHasNoBars() {
        assertEquals(FILE, file(true));
        String concrete = file(false);
        assertFalse(concrete.contains("REINFORCING"));
        assertTrue(concrete.contains("=IFCBEAM(") && concrete.contains("'Kolonne_Design'"));
    }

    @Test
    void itStopsWhereItIsCancelled() {
        StringWriter w = new StringWriter();
        assertThrows(
                CancellationException.class,
                () -> DesignIfc.write(
                        DESIGN,
                        ProjectData.EMPTY,
                        true,
                        (doing, done, total) -> {
                            if (done > total / 8) {
                                throw new CancellationException();
                            }
                        },
                        w));
        assertTrue(w.toString().length() < FILE.length() / 3);
    }

    /** ISO 10303-21: quotes and backslashes twice, others than ASCII as UTF-16 in hexadecimals; a number has a point. */
    @Test
    void textAndNumbersAreWrittenAsTheStandardAsks() {
        assertEquals("'it''s a \\\\'", StepWriter.text("it's a \\"));
        assertEquals("'Tr\\X2\\00E4\\X0\\ger'", StepWriter.text("Träger"));
        assertEquals("'\\X2\\D83DDE00\\X0\\'", StepWriter.text("\uD83D\uDE00"));
        assertEquals("'a\\X2\\000A\\X0\\b'", StepWriter.text("a\nb"));
        assertEquals("0.", StepWriter.real(0));
        assertEquals("-12.5", StepWriter.real(-12.5));
        assertEquals("0.000201061930", StepWriter.real(0.00020106192984) + "0", "areas of bars keep their digits");
        assertThrows(IllegalArgumentException.class, () -> StepWriter.real(Double.NaN));
        Random r = new Random(3);
        for (int i = 0; i < 10_000; i++) {
            double v = (r.nextDouble() - 0.5) * Math.pow(10, r.nextInt(24) - 10);
            String s = StepWriter.real(v);
            assertTrue(s.matches("-?\\d+\\.\\d*(E-?\\d+)?"), s);
            assertEquals(v, Double.parseDouble(s), 1e-6 * Math.max(1e-6, Math.abs(v)) + 1e-12, s);
        }
    }

    /** An id holds the 128 bits of its UUID: read back as a number to the base of 64. */
    @Test
    void idsHoldTheirUuid() {
        String signs = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz_$";
        Random r = new Random(5);
        for (int i = 0; i < 200; i++) {
            UUID u = new UUID(r.nextLong(), r.nextLong());
            BigInteger back = BigInteger.ZERO;
            for (char c : IfcIds.compressed(u).toCharArray()) {
                back = back.shiftLeft(6).or(BigInteger.valueOf(signs.indexOf(c)));
            }
            assertEquals(new BigInteger(u.toString().replace("-", ""), 16), back);
        }
    }

    /** Ells of columns lie about their centroid, flange towards +y of the member: where their bars are. */
    @Test
    void ellsOfColumnsLieAboutTheirCentroid() throws IOException {
        Building b = DemoBuilding.generate(new DemoOptions(7, 1, 2, 1, false));
        List<Section> sections = new ArrayList<>(b.sections());
        sections.add(new Section("CL", new Shape.Ell(300, 800, 700, 300)));
        List<Member> members = b.members().stream()
                .map(m -> m.role() == Role.COLUMN ? m.withSection("CL") : m)
                .toList();
        Building ells = new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                b.joints(),
                b.materials(),
                sections,
                members,
                b.supports(),
                b.springs(),
                b.diaphragms(),
                b.panels(),
                b.loadCases(),
                b.memberLoads(),
                b.areaLoads(),
                b.jointLoads(),
                b.settlements(),
                b.combinations(),
                b.stationForces());
        BuildingDesign design = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(ells)), Basis.standard(false), BuildingDesigner.Progress.NONE);
        StringWriter w = new StringWriter();
        DesignIfc.write(design, ProjectData.EMPTY, true, Progress.NONE, w);
        Map<String, String> by = new HashMap<>();
        Matcher m = INSTANCE.matcher(w.toString());
        while (m.find()) {
            by.put("#" + m.group(1), m.group(2) + "(" + m.group(3));
        }
        String profile = by.values().stream()
                .filter(v -> v.startsWith("IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,'CL',"))
                .findFirst()
                .orElseThrow();
        String line = by.get(profile.replaceAll(".*,(#\\d+).*", "$1"));
        List<double[]> points = new ArrayList<>();
        Matcher r = Pattern.compile("#\\d+").matcher(line);
        while (r.find()) {
            String[] xy = by.get(r.group()).replaceAll("^[A-Z]+|[()]", "").split(",");
            points.add(new double[] {Double.parseDouble(xy[0]), Double.parseDouble(xy[1])});
        }
        double area = 0;
        double sx = 0;
        double sy = 0;
        for (int i = 0; i + 1 < points.size(); i++) {
            double[] p = points.get(i);
            double[] q = points.get(i + 1);
            double cross = p[0] * q[1] - q[0] * p[1];
            area += cross / 2;
            sx += cross * (p[0] + q[0]) / 6;
            sy += cross * (p[1] + q[1]) / 6;
        }
        assertEquals(300 * 500 + 700 * 300, Math.abs(area), 1);
        assertEquals(0, sx / area, 1e-3);
        assertEquals(0, sy / area, 1e-3);
        double left = points.stream().mapToDouble(p -> p[0]).min().orElseThrow();
        double right = points.stream().mapToDouble(p -> p[0]).max().orElseThrow();
        double top = points.stream().mapToDouble(p -> p[1]).max().orElseThrow();
        assertTrue(right > -left, "the flange juts out on the right");
        assertTrue(points.stream().anyMatch(p -> Math.abs(p[0] - right) < 1 && Math.abs(p[1] - top) < 1));
        assertTrue(points.stream().noneMatch(p -> Math.abs(p[0] - right) < 1 && p[1] < top - 301));
    }
}
