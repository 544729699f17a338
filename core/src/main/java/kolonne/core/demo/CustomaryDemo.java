package kolonne.core.demo;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.GridLine;
import kolonne.core.model.Joint;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Section;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.Storey;
import kolonne.core.shape.Shape;

/**
 * A made-up building as it would have been set out in US customary units: 300 mm become a foot and 25 mm an inch, concretes and loads
 * the nearest usual ones. It is another building, about a sixtieth larger, and not the same one with odd numbers.
 */
final class CustomaryDemo {
    private static final double LENGTH = 304.8 / 300;
    private static final double INCH = 25.4;
    private static final double POUND = 4.4482216152605;
    private static final double FOOT = 304.8;
    private static final double PSI = 6.894757293168361e-3;
    private static final double PSF = POUND / (FOOT * FOOT);
    private static final double KIP = 1000 * POUND;
    private static final Map<String, Double> PSI_OF = Map.of("C35", 5000.0, "C45", 6500.0);

    private final Building metric;
    private final Map<String, Section> sections;

    private CustomaryDemo(Building metric) {
        this.metric = metric;
        sections = metric.sections().stream().collect(Collectors.toMap(Section::id, CustomaryDemo::section));
    }

    /** @param metric a building of {@link DemoBuilding} */
    static Building of(Building metric) {
        return new CustomaryDemo(metric).building();
    }

    private Building building() {
        return new Building(
                metric.name(),
                "US",
                metric.options(),
                each(metric.storeys(), s -> new Storey(s.id(), s.name(), length(s.elevation()))),
                each(
                        metric.gridLines(),
                        g -> new GridLine(g.id(), length(g.x1()), length(g.y1()), length(g.x2()), length(g.y2()))),
                each(metric.joints(), j -> new Joint(j.id(), length(j.x()), length(j.y()), length(j.z()))),
                each(metric.materials(), CustomaryDemo::material),
                each(metric.sections(), s -> sections.get(s.id())),
                each(metric.members(), this::member),
                metric.supports(),
                metric.springs(),
                metric.diaphragms(),
                each(metric.panels(), CustomaryDemo::panel),
                metric.loadCases(),
                each(metric.memberLoads(), CustomaryDemo::load),
                each(metric.areaLoads(), a -> new AreaLoad(a.loadCase(), a.panel(), nearest(a.pressure(), 5 * PSF))),
                each(metric.jointLoads(), CustomaryDemo::load),
                metric.settlements(),
                metric.combinations(),
                metric.stationForces());
    }

    private static <T> List<T> each(List<T> all, Function<T, T> to) {
        return all.stream().map(to).toList();
    }

    private static double length(double mm) {
        return LENGTH * mm;
    }

    private static double nearest(double value, double step) {
        return step * Math.round(value / step);
    }

    /** Sizes in whole inches; a slab of half inches. */
    private static double size(double mm) {
        return INCH * Math.round(2 * mm / 25) / 2;
    }

    private static Material material(Material m) {
        double psi = PSI_OF.get(m.id());
        // ACI 318-19 19.2.2.1 b, and concrete of 150 pcf
        return new Material(
                "C" + (int) psi,
                psi * PSI,
                57_000 * Math.sqrt(psi) * PSI,
                m.poisson(),
                150 * POUND / (FOOT * FOOT * FOOT));
    }

    private static Section section(Section s) {
        Shape shape = sized(s.shape());
        return new Section(
                s.id().charAt(0) + shape.label(true).replaceAll("[^0-9.×]", "").replace('×', 'x'), shape);
    }

    private static Shape sized(Shape s) {
        if (s instanceof Shape.Rectangle r) {
            return new Shape.Rectangle(size(r.b()), size(r.h()));
        }
        if (s instanceof Shape.Tee t) {
            return new Shape.Tee(size(t.bw()), size(t.h()), size(t.bf()), size(t.hf()));
        }
        if (s instanceof Shape.Ell l) {
            return new Shape.Ell(size(l.bw()), size(l.h()), size(l.bf()), size(l.hf()));
        }
        if (s instanceof Shape.Circle c) {
            return new Shape.Circle(size(c.d()));
        }
        throw new IllegalArgumentException("no made-up building has a " + s.label());
    }

    private Member member(Member m) {
        return new Member(
                m.id(),
                m.role(),
                m.start(),
                m.end(),
                sections.get(m.section()).id(),
                "C" + PSI_OF.get(m.material()).intValue(),
                m.angle(),
                m.startRelease(),
                m.endRelease(),
                size(m.rigidStart()),
                size(m.rigidEnd()),
                m.stiffness());
    }

    private static SlabPanel panel(SlabPanel p) {
        return new SlabPanel(
                p.id(), p.joints(), size(p.thickness()), 150 * POUND / (FOOT * FOOT * FOOT), p.oneWay(), p.spanAngle());
    }

    private static MemberLoad load(MemberLoad l) {
        double step = 0.05 * KIP / FOOT;
        return new MemberLoad(
                l.loadCase(),
                l.member(),
                l.kind(),
                l.direction(),
                length(l.from()),
                length(l.to()),
                nearest(l.w1(), step),
                nearest(l.w2(), step));
    }

    private static JointLoad load(JointLoad l) {
        double step = 0.1 * KIP;
        return new JointLoad(l.loadCase(), l.joint(), nearest(l.fx(), step), nearest(l.fy(), step), 0, 0, 0, 0);
    }
}
