package kolonne.core.single;

import java.util.List;
import kolonne.core.code.DesignCode;
import kolonne.core.shape.Shape;

/**
 * A section with its reinforcement.
 *
 * @param column   whether it is checked as a column (axial force with biaxial bending) or as a beam
 * @param fc       f'c; fy of main bars; fyt of stirrups [MPa]
 * @param cover    clear cover to the stirrups [mm]
 * @param bars     one by one
 * @param stirrup  diameter [mm] and area [mm2] of a leg; legs across the width; spacing [mm], 0 for no stirrups; round a circle it may be a spiral
 */
public record SingleSection(
        String id,
        DesignCode code,
        boolean column,
        Shape shape,
        double fc,
        double fy,
        double fyt,
        double cover,
        List<Spot> bars,
        Stirrup stirrup) {
    /** A bar. @param x along the width from the middle; @param z from the soffit [mm]; @param whole one bar as sold, not an area that stands for several */
    public record Spot(double x, double z, double diameter, double area, boolean whole) {}

    /** @param legsAcross legs parallel to the depth, which carry Vz; legsAlong parallel to the width, which carry Vy */
    public record Stirrup(double diameter, double area, int legsAcross, int legsAlong, double spacing, boolean spiral) {
        public static final Stirrup NONE = new Stirrup(0, 0, 2, 2, 0);

        /** No spiral. */
        public Stirrup(double diameter, double area, int legsAcross, int legsAlong, double spacing) {
            this(diameter, area, legsAcross, legsAlong, spacing, false);
        }

        double avs(boolean across) {
            return spacing > 0 ? (across ? legsAcross : legsAlong) * area / spacing : 0;
        }
    }

    /** What forces are combined for. */
    public enum Kind {
        STRENGTH,
        /** Service load that stresses are limited under. */
        CHARACTERISTIC,
        /** Service load of long duration, which cracks are limited under. */
        QUASI_PERMANENT;

        /** In files: strength, characteristic, quasi-permanent. */
        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }

    /** Forces that act together, signs of the analysis: N tension positive, My sagging positive [N, Nmm]. */
    public record Forces(String name, Kind kind, double n, double vy, double vz, double t, double my, double mz) {
        /** For strength. */
        public Forces(String name, double n, double vy, double vz, double t, double my, double mz) {
            this(name, Kind.STRENGTH, n, vy, vz, t, my, mz);
        }
    }

    public SingleSection {
        bars = List.copyOf(bars);
    }
}
