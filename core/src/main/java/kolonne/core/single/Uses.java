package kolonne.core.single;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Step;
import kolonne.core.finding.Finding;
import kolonne.core.section.AtConstantForce;
import kolonne.core.section.InteractionSurface;
import kolonne.core.section.StrainState;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.general.Outline;

/** What a single section bears, and how far sets of forces use it. */
public interface Uses {
    String id();

    DesignCode code();

    /** f'c or fck [MPa]. */
    double fc();

    /** Of the bars [MPa]. */
    double fy();

    /** Strengths by name in core units. */
    Map<String, Double> strengths();

    /** What the code or the checks do not cover of the section itself, and bars that cannot be where they are. */
    List<Finding> findings();

    /** The use of every check under forces that act together, the first the largest; none where the code limits nothing under them. */
    List<SectionUses.Use> uses(SingleSection.Forces f);

    /** What is used most of checks with the largest first; 0 where there are none. */
    static double highest(List<SectionUses.Use> all) {
        return all.isEmpty() ? 0 : all.get(0).utilisation();
    }

    /** The check that is used most; {@code none} where nothing is limited. */
    static String governs(List<SectionUses.Use> all) {
        return all.isEmpty() ? "none" : all.get(0).check();
    }

    /** Stresses of the bars under service load, tension positive, in their order [MPa]; none under forces for strength. */
    default List<Double> barStresses(SingleSection.Forces f) {
        return List.of();
    }

    /** Strains and stresses at the strength along the ray of forces or, under service load, under them; empty for beams at their strength. */
    default Optional<StrainState> strains(SingleSection.Forces f) {
        return surface().flatMap(s -> s.state(-f.n(), f.my(), f.mz()));
    }

    /** The calculation under forces. */
    List<Step> explain(SingleSection.Forces f);

    /** The surface N-Mx-My of a column; empty for beams. */
    Optional<StrengthSurface> surface();

    /** What there is to draw. */
    Drawn drawn();

    /** @param outline null for a circle; @param diameter of a circle standing on z = 0 about x = 0, else 0 [mm] */
    record Drawn(Outline outline, double diameter, List<SingleSection.Spot> bars) {
        public Drawn {
            bars = List.copyOf(bars);
        }
    }

    /** What else there is to say of a set by name, nothing that decides: use where the axial force stays as it is, and where the neutral axis lies at the strength. */
    default Map<String, Double> beside(SingleSection.Forces f) {
        Map<String, Double> out = new LinkedHashMap<>();
        surface().ifPresent(s -> {
            InteractionSurface.Hit h = s.exact(-f.n(), f.my(), f.mz());
            out.put("utilisationAtAxial", AtConstantForce.use(s, -f.n(), f.my(), f.mz()));
            if (!h.capped() && Double.isFinite(h.c()) && h.c() > 0) {
                out.put("neutralAxisMm", h.c());
                double theta = s.direction(h, f.my(), f.mz());
                out.put("compressionTowardsDeg", Math.toDegrees(Math.IEEEremainder(theta, 2 * Math.PI)));
            }
        });
        return out;
    }
}
