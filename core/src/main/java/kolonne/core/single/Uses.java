package kolonne.core.single;

import java.util.List;
import java.util.Map;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Step;
import kolonne.core.finding.Finding;

/** What a single section bears, and how far sets of forces use it. */
public interface Uses {
    String id();

    DesignCode code();

    /** Strengths by name in core units. */
    Map<String, Double> strengths();

    /** What the code or the checks do not cover of the section itself, and bars that cannot be where they are. */
    List<Finding> findings();

    /** The use of every check under forces that act together; the first is the largest. */
    List<SectionUses.Use> uses(SingleSection.Forces f);

    /** The calculation under forces. */
    List<Step> explain(SingleSection.Forces f);

    /** What else there is to say of a set, by name: nothing that decides. */
    default Map<String, Double> beside(SingleSection.Forces f) {
        return Map.of();
    }
}
