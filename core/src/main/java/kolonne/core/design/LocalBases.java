package kolonne.core.design;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import kolonne.core.basis.Basis;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.model.Role;

/**
 * Which basis every beam line and column stack answers to. A line and a stack are built as one: what holds for one of their members holds for all of
 * them, so that bars that run on lie in a line.
 */
public final class LocalBases {
    private final Basis project;
    private final List<LocalSettings> all;
    private final Map<List<LocalSettings>, Basis> made = new ConcurrentHashMap<>();

    public LocalBases(Basis project) {
        this.project = project.with(List.of());
        this.all = project.local();
    }

    /** The basis of the project without what is local. */
    public Basis project() {
        return project;
    }

    /** Settings that hold for a line, in their order. */
    public List<LocalSettings> holding(BeamLine l) {
        return holding(s -> l.spans().stream()
                .flatMap(x -> x.members().stream())
                .anyMatch(m -> s.scope().holds(Role.BEAM, l.storey(), m.id())));
    }

    /** Settings that hold for a stack, in their order. */
    public List<LocalSettings> holding(ColumnStack c) {
        return holding(s -> c.lifts().stream().anyMatch(l -> s.scope().holds(Role.COLUMN, l.storey(), l.member())));
    }

    private List<LocalSettings> holding(Predicate<LocalSettings> holds) {
        return all.stream().filter(holds).toList();
    }

    /** The basis of a line. */
    public Basis of(BeamLine l) {
        return of(holding(l));
    }

    /** The basis of a stack. */
    public Basis of(ColumnStack c) {
        return of(holding(c));
    }

    private Basis of(List<LocalSettings> holding) {
        return holding.isEmpty() ? project : made.computeIfAbsent(holding, project::of);
    }
}
