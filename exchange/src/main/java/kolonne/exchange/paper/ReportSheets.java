package kolonne.exchange.paper;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kolonne.core.design.BuildingDesign;
import kolonne.core.schedule.ScheduleGroups;

/** Whose calculations a report holds beside those that are named. */
public enum ReportSheets {
    /** Only those that are named. */
    NAMED,
    /** Every line and stack that fails. */
    FAILING,
    /** The first line or stack with each cage. */
    CAGES;

    /** @return empty where there is no such word */
    public static Optional<ReportSheets> of(String word) {
        return Stream.of(values())
                .filter(v -> v.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst();
    }

    /** Marks of all that are meant. */
    public Set<String> marks(BuildingDesign d, Collection<String> named) {
        Set<String> out = new LinkedHashSet<>(named);
        if (this == FAILING) {
            d.beams().stream()
                    .filter(b -> !b.satisfied())
                    .forEach(b -> out.add(b.line().mark()));
            d.columns().stream()
                    .filter(c -> !c.satisfied())
                    .forEach(c -> out.add(c.stack().mark()));
        }
        if (this == CAGES) {
            ScheduleGroups.beams(d).forEach(g -> out.add(g.first().line().mark()));
            ScheduleGroups.columns(d).forEach(g -> out.add(g.first().stack().mark()));
        }
        return out;
    }
}
