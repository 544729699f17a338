package kolonne.audit;

/** Shear strength of a drawn lift along x and y, of an ell or a tee by the leg that lies so: ACI 318-19 22.5; EN 1992-1-1 6.2. */
final class ShearReading {
    private final Sheet.Lift l;
    private final Sheet.Basis b;
    private final Materials m;

    ShearReading(Sheet.Lift l, Sheet.Basis b) {
        this.l = l;
        this.b = b;
        this.m = new Materials(b);
    }

    double width(boolean alongX) {
        if (l.legs() != null) {
            double[] r = leg(alongX);
            return alongX ? r[3] - r[1] : r[2] - r[0];
        }
        return l.round() ? l.b() : alongX ? l.h() : l.b();
    }

    double depth(boolean alongX) {
        return l.round() ? 0.8 * l.b() : (alongX ? l.b() : l.h()) - b.columnCover() - l.tie() - thick() / 2;
    }

    int legs(boolean alongX) {
        return l.round() || l.legs() != null
                ? 2
                : (int) (alongX ? l.heldY() : l.heldX()).stream().filter(q -> q).count();
    }

    /** The flange lies along x. */
    private double[] leg(boolean alongX) {
        return alongX ? l.legs().flange() : l.legs().web();
    }

    private double thick() {
        return l.bars().stream().mapToDouble(Sheet.Dot::d).max().orElse(0);
    }

    private double gross() {
        if (l.legs() != null) {
            double sum = 0;
            for (double[] r : l.legs().rectangles()) {
                sum += (r[2] - r[0]) * (r[3] - r[1]);
            }
            return sum;
        }
        return l.round() ? Math.PI * l.b() * l.b() / 4 : l.b() * l.h();
    }

    /** Half of the bars, of an ell or a tee of those in its leg. */
    private double pulled(boolean alongX) {
        return l.bars().stream()
                        .filter(d -> l.legs() == null
                                || (alongX
                                        ? d.y() > leg(true)[1] && d.y() < leg(true)[3]
                                        : d.x() > leg(false)[0] && d.x() < leg(false)[2]))
                        .mapToDouble(Sheet.Dot::area)
                        .sum()
                / 2;
    }

    /** Shear strength with axial force (22.5.5.1 a and 22.5.5.1.1; 6.2.2, 6.2.3). */
    double carried(boolean alongX, double p, double gap) {
        double bw = width(alongX);
        double d = depth(alongX);
        double avs = legs(alongX) * l.tieArea() / gap;
        if (b.en()) {
            double nu = 0.6 * (1 - l.fc() / 250);
            double fcd = l.fc() / 1.5;
            double ties = avs * (l.round() ? Math.PI / 4 : 1) * 0.9 * d * m.links();
            double scp = Math.min(p / gross(), 0.2 * fcd);
            double rho = Math.min(0.02, pulled(alongX) / (bw * d));
            double size = Math.min(2, 1 + Math.sqrt(200 / d));
            double concrete = Math.max(
                            0.12 * size * Math.cbrt(100 * rho * l.fc()),
                            0.035 * Math.pow(size, 1.5) * Math.sqrt(l.fc()))
                    + 0.15 * scp;
            double struts = 0;
            for (double cot = 1; cot < 2.5005; cot += 0.001) {
                struts = Math.max(struts, Math.min(ties * cot, bw * 0.9 * d * nu * fcd / (cot + 1 / cot)));
            }
            return Math.max(Math.max(0, concrete) * bw * d, struts);
        }
        double vc = concrete(alongX, p, gap);
        return 0.75 * Math.min(vc + avs * m.links() * d, vc + m.root(0.66, 8, l.fc(), false) * bw * d);
    }

    /** Vc by ACI [N]. */
    double concrete(boolean alongX, double p, double gap) {
        double bw = width(alongX);
        double d = depth(alongX);
        double avs = legs(alongX) * l.tieArea() / gap;
        double axial = Math.min(p / (6 * gross()), 0.05 * l.fc());
        double root = m.root(0.17, 2, l.fc(), true);
        double rho = Math.pow(pulled(alongX) / (bw * d), 1.0 / 3);
        double lambda = Math.min(1, Math.sqrt(2 / (1 + d / (b.code() == Sheet.Code.ACI_US ? 254 : 250))));
        double vc = avs >= least(alongX) ? root + axial : m.root(0.66, 8, l.fc(), true) * lambda * rho + axial;
        return Math.max(0, Math.min(vc, m.root(0.42, 5, l.fc(), true))) * bw * d;
    }

    /** Least legs [mm2/mm] where the shear is over half of what the concrete carries (10.6.2). */
    double least(boolean alongX) {
        double least =
                Math.max(m.root(0.062, 0.75, l.fc(), false), b.code() == Sheet.Code.ACI_US ? 50 * 0.006894757 : 0.35);
        return least / m.links() * width(alongX);
    }
}
