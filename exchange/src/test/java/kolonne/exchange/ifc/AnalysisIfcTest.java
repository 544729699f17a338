package kolonne.exchange.ifc;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.Joint;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Purpose;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.Support;
import kolonne.core.project.ProjectData;
import kolonne.core.shape.Shape;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.model.ModelWriter;
import org.junit.jupiter.api.Test;

class AnalysisIfcTest {
    static String written(Building b) throws IOException {
        StringWriter w = new StringWriter();
        AnalysisIfc.write(b, ProjectData.EMPTY, w);
        return w.toString();
    }

    static ModelReader.Read read(String file) {
        return ModelReader.read(file.getBytes(StandardCharsets.US_ASCII));
    }

    /** The tables of a model, rows in the order of their text. */
    static Map<String, List<String>> rows(Building b) {
        Map<String, List<String>> out = new LinkedHashMap<>();
        ModelWriter.csv(b).forEach((t, s) -> out.put(t, s.lines().sorted().toList()));
        return out;
    }

    @Test
    void theDemoComesBackAsItWas() throws IOException {
        Building b = DemoBuilding.generate(DemoOptions.VELDHAVEN);
        ModelReader.Read back = read(written(b));
        assertEquals(
                List.of(),
                back.findings().stream()
                        .filter(f -> f.severity() == Severity.FAILS)
                        .toList());
        Map<String, List<String>> was = rows(b);
        Map<String, List<String>> is = rows(back.building());
        assertEquals(was.keySet(), is.keySet());
        was.forEach((table, rows) -> assertEquals(rows, is.get(table), table));
        assertTrue(back.sound());
    }

    /**
     * As another program may write it, in feet and kips: a portal of two columns W and E, 12 ft high, 20 ft apart, all placed 100 ft along X; the beam's surface of a slab
     * by edges, loads of every kind. Values by hand: 1 ft = 304.8 mm, 1 kip = 4448.2216152605 N.
     */
    private static String portal() {
        return """
                ISO-10303-21;
                HEADER; /* a comment; with signs */
                FILE_DESCRIPTION((''),'2;1');
                FILE_NAME('portal.ifc','2026-01-01T00:00:00',(''),(''),'','','');
                FILE_SCHEMA(('IFC4'));
                ENDSEC;
                DATA;
                #1=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);
                #2=IFCMEASUREWITHUNIT(IFCLENGTHMEASURE(0.3048),#1);
                #3=IFCDIMENSIONALEXPONENTS(1,0,0,0,0,0,0);
                #4=IFCCONVERSIONBASEDUNIT(#3,.LENGTHUNIT.,'FOOT',#2);
                #5=IFCSIUNIT(*,.FORCEUNIT.,$,.NEWTON.);
                #6=IFCMEASUREWITHUNIT(IFCFORCEMEASURE(4448.2216152605),#5);
                #7=IFCCONVERSIONBASEDUNIT($,.FORCEUNIT.,'KIP',#6);
                #8=IFCDERIVEDUNITELEMENT(#7,1);
                #9=IFCDERIVEDUNITELEMENT(#4,-1);
                #10=IFCDERIVEDUNIT((#8,#9),.LINEARFORCEUNIT.,$);
                #11=IFCSIUNIT(*,.PRESSUREUNIT.,.MEGA.,.PASCAL.);
                #12=IFCUNITASSIGNMENT((#4,#7,#10,#11));
                #13=IFCPROJECT('0000000000000000000001',$,'Port\\X2\\00E9\\X0\\e',$,$,$,$,$,#12);
                #14=IFCCARTESIANPOINT((100.,0.,0.));
                #15=IFCAXIS2PLACEMENT3D(#14,$,$);
                #16=IFCLOCALPLACEMENT($,#15);
                #20=IFCCARTESIANPOINT((0.,0.,0.));
                #21=IFCCARTESIANPOINT((20.,0.,0.));
                #22=IFCCARTESIANPOINT((0.,0.,12.));
                #23=IFCCARTESIANPOINT((20.,0.,12.));
                #24=IFCCARTESIANPOINT((20.,10.,12.));
                #25=IFCCARTESIANPOINT((0.,10.,12.));
                #30=IFCVERTEXPOINT(#20);
                #31=IFCVERTEXPOINT(#21);
                #32=IFCVERTEXPOINT(#22);
                #33=IFCVERTEXPOINT(#23);
                #34=IFCVERTEXPOINT(#24);
                #35=IFCVERTEXPOINT(#25);
                #40=IFCTOPOLOGYREPRESENTATION($,'Reference','Vertex',(#30));
                #41=IFCTOPOLOGYREPRESENTATION($,'Reference','Vertex',(#31));
                #42=IFCTOPOLOGYREPRESENTATION($,'Reference','Vertex',(#32));
                #43=IFCTOPOLOGYREPRESENTATION($,'Reference','Vertex',(#33));
                #50=IFCPRODUCTDEFINITIONSHAPE($,$,(#40));
                #51=IFCPRODUCTDEFINITIONSHAPE($,$,(#41));
                #52=IFCPRODUCTDEFINITIONSHAPE($,$,(#42));
                #53=IFCPRODUCTDEFINITIONSHAPE($,$,(#43));
                #60=IFCBOUNDARYNODECONDITION('fixed',IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.));
                #61=IFCBOUNDARYNODECONDITION('soft',IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCLINEARSTIFFNESSMEASURE(500.),IFCBOOLEAN(.F.),IFCBOOLEAN(.F.),IFCBOOLEAN(.F.));
                #62=IFCBOUNDARYNODECONDITION('pin',IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.T.),IFCBOOLEAN(.F.),IFCBOOLEAN(.F.));
                #70=IFCSTRUCTURALPOINTCONNECTION('0000000000000000000002',$,'A0',$,$,#16,#50,#60,$);
                #71=IFCSTRUCTURALPOINTCONNECTION('0000000000000000000003',$,'B0',$,$,#16,#51,#61,$);
                #72=IFCSTRUCTURALPOINTCONNECTION('0000000000000000000004',$,'A1',$,$,#16,#52,$,$);
                #73=IFCSTRUCTURALPOINTCONNECTION('0000000000000000000005',$,'B1',$,$,#16,#53,$,$);
                #80=IFCEDGE(#30,#32);
                #81=IFCEDGE(#31,#33);
                #82=IFCEDGE(#32,#33);
                #83=IFCEDGE(#33,#34);
                #84=IFCEDGE(#34,#35);
                #85=IFCEDGE(#32,#35);
                #90=IFCPRODUCTDEFINITIONSHAPE($,$,(#93));
                #91=IFCPRODUCTDEFINITIONSHAPE($,$,(#94));
                #92=IFCPRODUCTDEFINITIONSHAPE($,$,(#95));
                #93=IFCTOPOLOGYREPRESENTATION($,'Reference','Edge',(#80));
                #94=IFCTOPOLOGYREPRESENTATION($,'Reference','Edge',(#81));
                #95=IFCTOPOLOGYREPRESENTATION($,'Reference','Edge',(#82));
                #100=IFCDIRECTION((0.,1.,0.));
                #101=IFCDIRECTION((0.,0.,1.));
                #110=IFCSTRUCTURALCURVEMEMBER('0000000000000000000006',$,'W',$,$,#16,#90,.RIGID_JOINED_MEMBER.,#100);
                #111=IFCSTRUCTURALCURVEMEMBER('0000000000000000000007',$,'E',$,$,#16,#91,.RIGID_JOINED_MEMBER.,#100);
                #112=IFCSTRUCTURALCURVEMEMBER('0000000000000000000008',$,'B',$,$,#16,#92,.RIGID_JOINED_MEMBER.,#101);
                #120=IFCRELCONNECTSSTRUCTURALMEMBER('0000000000000000000009',$,$,$,#112,#73,#62,$,$,$);
                #130=IFCRECTANGLEPROFILEDEF(.AREA.,'16x16',$,1.3333333333333,1.3333333333333);
                #131=IFCTSHAPEPROFILEDEF(.AREA.,'T',$,2.,4.,1.,0.5,$,$,$,$,$);
                #132=IFCMATERIAL('4 ksi',$,'concrete');
                #133=IFCPROPERTYSINGLEVALUE('CompressiveStrength',$,IFCPRESSUREMEASURE(27.579),$);
                #134=IFCMATERIALPROPERTIES('Pset_MaterialConcrete',$,(#133),#132);
                #135=IFCMATERIALPROFILE($,$,#132,#130,$,$);
                #136=IFCMATERIALPROFILE($,$,#132,#131,$,$);
                #137=IFCMATERIALPROFILESET('c',$,(#135),$);
                #138=IFCMATERIALPROFILESET('b',$,(#136),$);
                #139=IFCRELASSOCIATESMATERIAL('000000000000000000000A',$,$,$,(#110,#111),#137);
                #140=IFCRELASSOCIATESMATERIAL('000000000000000000000B',$,$,$,(#112),#138);
                #150=IFCORIENTEDEDGE(*,*,#82,.T.);
                #151=IFCORIENTEDEDGE(*,*,#83,.T.);
                #152=IFCORIENTEDEDGE(*,*,#84,.T.);
                #153=IFCORIENTEDEDGE(*,*,#85,.F.);
                #154=IFCEDGELOOP((#150,#151,#152,#153));
                #155=IFCFACEOUTERBOUND(#154,.T.);
                #156=IFCFACESURFACE((#155),$,.T.);
                #157=IFCTOPOLOGYREPRESENTATION($,'Reference','Face',(#156));
                #158=IFCPRODUCTDEFINITIONSHAPE($,$,(#157));
                #159=IFCSTRUCTURALSURFACEMEMBER('000000000000000000000C',$,'S1',$,$,#16,#158,.SHELL.,0.5);
                #170=IFCSTRUCTURALLOADCASE('000000000000000000000D',$,'D','Dead',$,.LOAD_CASE.,.PERMANENT_G.,.DEAD_LOAD_G.,$,$,(0.,0.,-1.));
                #171=IFCSTRUCTURALLOADCASE('000000000000000000000E',$,'W','Wind',$,.LOAD_CASE.,.VARIABLE_Q.,.WIND_W.,$,$,$);
                #172=IFCSTRUCTURALLOADLINEARFORCE($,0.,0.,-2.,0.,0.,0.);
                #173=IFCSTRUCTURALCURVEACTION('000000000000000000000F',$,$,$,$,#16,#92,#172,.GLOBAL_COORDS.,$,.TRUE_LENGTH.,.CONST.);
                #174=IFCSTRUCTURALLOADSINGLEFORCE($,0.,0.,-7.,0.,0.,0.);
                #175=IFCSTRUCTURALLOADCONFIGURATION($,(#174,#174),((5.),(15.)));
                #176=IFCSTRUCTURALCURVEACTION('000000000000000000000G',$,$,$,$,#16,#92,#175,.LOCAL_COORDS.,$,.TRUE_LENGTH.,.DISCRETE.);
                #177=IFCSTRUCTURALLOADSINGLEFORCE($,3.,0.,0.,0.,4.,0.);
                #178=IFCSTRUCTURALPOINTACTION('000000000000000000000H',$,$,$,$,#16,#52,#177,.GLOBAL_COORDS.,$);
                #179=IFCSTRUCTURALLOADPLANARFORCE($,0.,0.,-0.1);
                #180=IFCSTRUCTURALSURFACEACTION('000000000000000000000I',$,$,$,$,#16,#158,#179,.GLOBAL_COORDS.,$,.TRUE_LENGTH.,.CONST.);
                #190=IFCRELCONNECTSSTRUCTURALACTIVITY('000000000000000000000J',$,$,$,#112,#173);
                #191=IFCRELCONNECTSSTRUCTURALACTIVITY('000000000000000000000K',$,$,$,#112,#176);
                #192=IFCRELCONNECTSSTRUCTURALACTIVITY('000000000000000000000L',$,$,$,#72,#178);
                #193=IFCRELCONNECTSSTRUCTURALACTIVITY('000000000000000000000M',$,$,$,#159,#180);
                #194=IFCSTRUCTURALLOADGROUP('000000000000000000000N',$,'cladding',$,$,.LOAD_GROUP.,.NOTDEFINED.,.NOTDEFINED.,$,$);
                #195=IFCRELASSIGNSTOGROUP('000000000000000000000O',$,$,$,(#173,#176),$,#194);
                #196=IFCRELASSIGNSTOGROUP('000000000000000000000P',$,$,$,(#194,#180),$,#170);
                #197=IFCRELASSIGNSTOGROUP('000000000000000000000Q',$,$,$,(#178),$,#171);
                #200=IFCSTRUCTURALLOADGROUP('000000000000000000000R',$,'ULS 1',$,$,.LOAD_COMBINATION.,.NOTDEFINED.,.NOTDEFINED.,$,$);
                #201=IFCRELASSIGNSTOGROUPBYFACTOR('000000000000000000000S',$,$,$,(#170),$,#200,1.2);
                #202=IFCRELASSIGNSTOGROUPBYFACTOR('000000000000000000000T',$,$,$,(#171),$,#200,1.6E0);
                #203=IFCSTRUCTURALLOADGROUP('000000000000000000000U',$,'SLS quasi-permanent',$,$,.LOAD_COMBINATION.,.NOTDEFINED.,.NOTDEFINED.,$,$);
                #204=IFCRELASSIGNSTOGROUPBYFACTOR('000000000000000000000V',$,$,$,(#170),$,#203,1.);
                ENDSEC;
                END-ISO-10303-21;
                """.replace("\\\\", "\\");
    }

    @Test
    void anotherProgramsFileInFeetAndKips() {
        ModelReader.Read read = read(portal());
        assertEquals(
                List.of("ifc.joint-added", "ifc.panel-weight"),
                read.findings().stream()
                        .map(Finding::code)
                        .filter(c -> c.startsWith("ifc"))
                        .sorted()
                        .toList());
        Building b = read.building();
        double kip = 4448.2216152605;
        assertEquals("Portée", b.name());
        assertEquals("US", b.unitSystem());
        Joint b1 =
                b.joints().stream().filter(j -> j.id().equals("B1")).findFirst().orElseThrow();
        assertEquals(120 * 304.8, b1.x(), 1e-6, "its placement counts");
        assertEquals(12 * 304.8, b1.z(), 1e-6);
        assertEquals(6, b.joints().size(), "two corners of the slab have no joint in the file");
        assertEquals(
                List.of(Role.COLUMN, Role.COLUMN, Role.BEAM),
                b.members().stream().map(Member::role).toList());
        // an upright member's z axis is global Y, so that W and E are not turned
        b.members().forEach(m -> assertEquals(0, m.angle(), 1e-9, m.id()));
        Member beam = b.members().get(2);
        assertTrue(!beam.startRelease().any()
                && beam.endRelease().frees(4)
                && beam.endRelease().frees(5));
        assertEquals(Release.RIGID, beam.endRelease().n());
        Shape.Tee tee = (Shape.Tee) b.sections().get(1).shape();
        assertEquals(List.of(304.8, 609.6, 1219.2, 152.4), List.of(tee.bw(), tee.h(), tee.bf(), tee.hf()));
        Material m = b.materials().get(0);
        assertEquals(27.579, m.fc(), 1e-9);
        // ACI 318-19 19.2.2.1(b): 57 000 sqrt(4000) psi
        assertEquals(57_000 * Math.sqrt(4000) * 0.006894757, m.E(), 30);
        assertEquals(
                new Support("A0", true, true, true, true, true, true),
                b.supports().get(0));
        assertEquals(
                new Support("B0", true, true, false, false, false, false),
                b.supports().get(1));
        assertEquals(500 * kip / 304.8, b.springs().get(0).uz(), 1e-6);
        SlabPanel s = b.panels().get(0);
        assertEquals(152.4, s.thickness(), 1e-9);
        assertEquals(List.of("A1", "B1"), s.joints().subList(0, 2));
        assertEquals(List.of("D", "W"), b.loadCases().stream().map(LoadCase::id).toList(), "a group is no case");
        assertEquals(1, b.loadCases().get(0).selfWeight());
        assertEquals(CaseKind.WIND, b.loadCases().get(1).kind());
        MemberLoad whole = b.memberLoads().get(0);
        assertEquals(Direction.GLOBAL_Z, whole.direction());
        assertEquals(20 * 304.8, whole.to() - whole.from(), 1e-6);
        assertEquals(-2 * kip / 304.8, whole.w1(), 1e-9);
        assertEquals(whole.w1(), whole.w2());
        MemberLoad point = b.memberLoads().get(2);
        assertEquals(MemberLoad.Kind.POINT, point.kind());
        assertEquals(Direction.LOCAL_Z, point.direction());
        assertEquals(15 * 304.8, point.from(), 1e-6);
        assertEquals(-7 * kip, point.w1(), 1e-6);
        assertEquals("D", point.loadCase());
        JointLoad j = b.jointLoads().get(0);
        assertEquals(3 * kip, j.fx(), 1e-6);
        assertEquals(4 * kip * 304.8, j.my(), 1e-3);
        assertEquals(0.1 * kip / 304.8 / 304.8, b.areaLoads().get(0).pressure(), 1e-9);
        assertEquals(
                List.of(new Combination.Term("D", 1.2), new Combination.Term("W", 1.6)),
                b.combinations().get(0).terms());
        assertEquals(
                List.of(Purpose.STRENGTH, Purpose.SERVICE_QUASI_PERMANENT),
                b.combinations().stream().map(Combination::purpose).toList());
    }

    /** A constant load as a configuration of one value, a straight one with a value at either end and no places. */
    @Test
    void loadsWithoutPlacesRunFromEndToEnd() {
        String one = portal().replace("#16,#92,#172,", "#16,#92,#300,")
                .replace("#173=IFC", "#300=IFCSTRUCTURALLOADCONFIGURATION($,(#172),$);\n#173=IFC");
        MemberLoad constant = read(one).building().memberLoads().get(0);
        assertEquals(20 * 304.8, constant.to(), 1e-6);
        assertEquals(constant.w1(), constant.w2());
        String two = one.replace("(#172),$)", "(#172,#301),$)")
                .replace("#300=IFC", "#301=IFCSTRUCTURALLOADLINEARFORCE($,0.,0.,-4.,0.,0.,0.);\n#300=IFC")
                .replace(".CONST.);\n#174", ".LINEAR.);\n#174");
        MemberLoad straight = read(two).building().memberLoads().get(0);
        assertEquals(0, straight.from());
        assertEquals(20 * 304.8, straight.to(), 1e-6);
        assertEquals(2 * straight.w1(), straight.w2(), 1e-9);
    }

    /** Cut anywhere, or with any sign changed: an answer with a finding, never an exception, never a building without a word where it was cut. */
    @Test
    void damagedFilesAreTold() {
        String whole = portal();
        for (int cut = 60; cut < whole.length() - 20; cut += 61) {
            ModelReader.Read r = read(whole.substring(0, cut));
            assertTrue(r.building() == null && !r.findings().isEmpty(), "cut at " + cut);
        }
        Random random = new Random(11);
        String signs = "#(),.;='$*0123456789-E";
        for (int run = 0; run < 1500; run++) {
            StringBuilder b = new StringBuilder(whole);
            for (int k = 0; k < 1 + random.nextInt(3); k++) {
                b.setCharAt(300 + random.nextInt(whole.length() - 320), signs.charAt(random.nextInt(signs.length())));
            }
            ModelReader.Read r = read(b.toString());
            assertTrue(r.building() != null || !r.findings().isEmpty());
        }
    }

    private static String code(String file) {
        List<Finding> all = read(file).findings();
        return all.get(0).code() + " " + all.get(0).where();
    }

    @Test
    void whatIsNotReadIsTold() throws IOException {
        String p = portal();
        assertEquals("ifc.schema file", code(p.replace("('IFC4')", "('IFC2X3')")));
        assertEquals("ifc.units file", code(p.replace("IFCUNITASSIGNMENT", "IFCSOMETHING")));
        assertEquals("ifc.no-analysis file", code(p.replace("IFCSTRUCTURALCURVEMEMBER", "IFCBEAM")));
        assertTrue(code(p.replace("#20=IFC", "#21=IFC")).startsWith("ifc.damaged line "));
        assertTrue(read(p.replace("IFCTSHAPEPROFILEDEF", "IFCISHAPEPROFILEDEF")).findings().stream()
                .anyMatch(f -> f.code().equals("ifc.section") && f.what().contains("member B")));
        assertTrue(read(p.replace("'CompressiveStrength'", "'Strength'")).findings().stream()
                .anyMatch(f -> f.code().equals("ifc.strength")));
        assertTrue(read(p.replace(".CONST.", ".PARABOLA.")).findings().stream()
                .anyMatch(f -> f.code().equals("ifc.load") && f.severity() == Severity.FAILS));
    }

    /** Sections that only an outline tells: lines written by hand, right side up and not. */
    @Test
    void outlinesAreRecognised() {
        String p = portal();
        assertEquals(new Shape.Rectangle(304.8, 609.6), outline(p, "0,0 1,0 1,2 0,2 0,0"));
        assertEquals(
                new Shape.Tee(304.8, 609.6, 914.4, 152.4), outline(p, "1,0 2,0 2,1.5 3,1.5 3,2 0,2 0,1.5 1,1.5 1,0"));
        assertEquals(
                new Shape.InvertedTee(304.8, 609.6, 914.4, 152.4),
                outline(p, "0,0 3,0 3,.5 2,.5 2,2 1,2 1,.5 0,.5 0,0"));
        assertEquals(new Shape.Ell(304.8, 609.6, 914.4, 152.4), outline(p, "0,0 1,0 1,1.5 3,1.5 3,2 0,2 0,0"));
        assertEquals(null, outline(p, "0,0 1,0 2,2 0,2 0,0"), "a slope");
        assertEquals(null, outline(p, "0,0 3,0 3,.5 1,.5 1,2 0,2 0,0"), "an ell with its flange below");
    }

    private static Shape outline(String portal, String corners) {
        StringBuilder points = new StringBuilder();
        List<String> refs = new ArrayList<>();
        int n = 900;
        for (String c : corners.split(" ")) {
            String[] xy = c.split(",");
            points.append(
                    "#%d=IFCCARTESIANPOINT((%s,%s));\n".formatted(n, Double.valueOf(xy[0]), Double.valueOf(xy[1])));
            refs.add("#" + n++);
        }
        String file = portal.replaceFirst(
                "#131=IFCTSHAPEPROFILEDEF.*\n",
                points + "#899=IFCPOLYLINE((" + String.join(",", refs)
                        + "));\n#131=IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,'O',#899);\n");
        List<Section> all = read(file).building().sections();
        return all.stream()
                .filter(s -> s.id().equals("O"))
                .map(Section::shape)
                .findFirst()
                .orElse(null);
    }

    /** Everything that a model can say, in a frame too small to be sound; it comes back row by row. */
    @Test
    void whateverAModelSaysComesBack() throws IOException {
        String model = """
                {"format":"kolonne-model","version":1,"name":"Alles – Träger","units":"SI",
                "analysis":[{"shearDeformation":"yes","rigidEnds":0.5,"patternLive":"yes","inclination":0.004,"pDelta":{"G":1.2,"Q":0.5}}],
                "roleStiffness":[{"role":"beam","factorIy":0.35,"factorTorsion":0.1},{"role":"column","factorIy":0.7,"factorIz":0.7}],
                "storeys":[{"id":"S1","name":"Erster Stock","elevation":3}],
                "gridLines":[{"id":"A","x1":0,"y1":-1,"x2":0,"y2":7},{"id":"1","x1":-1,"y1":0,"x2":7,"y2":0}],
                "joints":[{"id":"a","x":0,"y":0,"z":0},{"id":"b","x":6,"y":0,"z":0},{"id":"c","x":0,"y":0,"z":3},{"id":"d","x":6,"y":0,"z":3},
                {"id":"e","x":6,"y":5,"z":3},{"id":"f","x":0,"y":5,"z":3}],
                "materials":[{"id":"C30","fc":30,"E":30000,"poisson":0.18,"weight":24.5}],
                "sections":[{"id":"K","shape":"circle","d":400},{"id":"E","shape":"ell","bw":300,"h":600,"bf":700,"hf":150}],
                "members":[
                {"id":"k1","role":"column","start":"c","end":"a","section":"K","material":"C30","angle":30},
                {"id":"k2","role":"column","start":"b","end":"d","section":"K","material":"C30","rigidStart":0.2,"rigidEnd":0.3},
                {"id":"r","role":"beam","start":"c","end":"d","section":"E","material":"C30","angle":-12.5,"releaseStart":["my=5000","t"],"releaseEnd":["n=250"],
                "factorArea":1,"factorShearY":0.9,"factorShearZ":0.8,"factorIy":0.5,"factorIz":0.5,"factorTorsion":0.2},
                {"id":"s","role":"beam","start":"d","end":"e","section":"E","material":"C30"},
                {"id":"t","role":"beam","start":"e","end":"f","section":"E","material":"C30"},
                {"id":"u","role":"beam","start":"f","end":"c","section":"E","material":"C30"}],
                "supports":[{"joint":"a","held":["ux","uy","uz","rz"]},{"joint":"b","held":["uz"]}],
                "springs":[{"joint":"b","ux":2500,"ry":1250},{"joint":"e","uz":10000}],
                "diaphragms":[{"id":"D1","joints":["c","d","e","f"]},{"id":"D2","joints":["a","b"],"kind":"flexible"}],
                "panels":[{"id":"P","joints":["c","d","e","f"],"thickness":200,"weight":25.5,"span":"one-way","angle":90,
                "holes":["1 1 2 1 2 2 1 2"]}],
                "loadCases":[{"id":"G","name":"Own","kind":"dead","selfWeight":1},{"id":"Q","name":"People","kind":"live"},
                {"id":"H","name":"Earth","kind":"soil"},{"id":"R","name":"Roof","kind":"roof-live"}],
                "memberLoads":[
                {"case":"Q","member":"r","kind":"distributed","direction":"global-z","from":1,"to":4,"value":-10,"valueTo":-20},
                {"case":"Q","member":"r","kind":"distributed","direction":"projected-y","from":0,"to":6,"value":-3,"valueTo":-3},
                {"case":"H","member":"k2","kind":"point","direction":"local-y","from":1.5,"value":12},
                {"case":"H","member":"k2","kind":"moment","direction":"global-x","from":2,"value":7},
                {"case":"R","member":"s","kind":"distributed-moment","direction":"local-x","from":0,"to":5,"value":2,"valueTo":2}],
                "areaLoads":[{"case":"Q","panel":"P","pressure":3.5}],
                "jointLoads":[{"case":"H","joint":"d","fx":10,"fy":-2,"mz":3}],
                "settlements":[{"case":"G","joint":"b","uz":-12,"ry":0.002}],
                "combinations":[{"id":"1","name":"1.2 G","purpose":"strength","terms":{"G":1.2,"Q":1.6}},
                {"id":"2","name":"quasi","purpose":"service-quasi-permanent","terms":{"G":1,"Q":0.3}}]}
                """;
        ModelReader.Read was = ModelReader.read(model.getBytes(StandardCharsets.UTF_8));
        assertEquals(
                List.of(),
                was.findings().stream().filter(f -> f.code().startsWith("f")).toList());
        ModelReader.Read back = read(written(was.building()));
        assertEquals(
                List.of(),
                back.findings().stream().filter(f -> f.code().startsWith("ifc")).toList());
        Map<String, List<String>> rows = rows(was.building());
        assertEquals(
                19,
                rows.values().stream().filter(r -> r.size() > 1).count(),
                rows.keySet().toString());
        rows.forEach((table, r) -> assertEquals(r, rows(back.building()).get(table), table));
    }

    /** Units of units, placements in a ring, one loop of many corners on many surfaces: answered in a moment. */
    @Test
    void smallFilesThatAskForEndlessWork() {
        StringBuilder bad = new StringBuilder();
        for (int level = 0; level < 9; level++) {
            String to = level == 0 ? "#5" : "#" + (5000 + level - 1);
            bad.append("#%d=IFCDERIVEDUNITELEMENT(%s,1);\n".formatted(6000 + level, to));
            bad.append("#%d=IFCDERIVEDUNIT((%s),.FORCEUNIT.,$);\n"
                    .formatted(
                            5000 + level, String.join(",", java.util.Collections.nCopies(200, "#" + (6000 + level)))));
        }
        bad.append("#7000=IFCLOCALPLACEMENT(#7001,$);\n#7001=IFCLOCALPLACEMENT(#7000,$);\n");
        bad.append("#7002=IFCPOLYLOOP((" + String.join(",", java.util.Collections.nCopies(20_000, "#20")) + "));\n");
        bad.append("#7003=IFCFACEOUTERBOUND(#7002,.T.);\n#7004=IFCFACE((#7003));\n");
        bad.append(
                "#7005=IFCTOPOLOGYREPRESENTATION($,'','Face',(#7004));\n#7006=IFCPRODUCTDEFINITIONSHAPE($,$,(#7005));\n");
        for (int i = 0; i < 1000; i++) {
            bad.append("#%d=IFCSTRUCTURALSURFACEMEMBER('x',$,'S',$,$,#7000,#7006,.SHELL.,0.2);\n".formatted(8000 + i));
        }
        String file =
                portal().replace("#5=IFCSIUNIT", bad + "#5=IFCSIUNIT").replace("(#4,#7,#10,#11)", "(#4,#5008,#10,#11)");
        org.junit.jupiter.api.Assertions.assertTimeout(java.time.Duration.ofSeconds(20), () -> read(file));
    }
}
