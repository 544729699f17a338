package kolonne.server.project;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Undesigned;
import kolonne.server.kept.Build;
import kolonne.server.kept.DesignBytes;
import kolonne.server.store.CommandRow;
import kolonne.server.store.DesignStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Designs that were published before, so that a restart or another server need not design a building again. One holds for every version of the project
 * with the same model and basis: lines whose mark, cage by hand or type has changed since are designed anew.
 */
final class KeptDesigns {
    private static final Logger LOG = LoggerFactory.getLogger(KeptDesigns.class);

    private final DesignStore store;

    KeptDesigns(DesignStore store) {
        this.store = store;
        if (store != DesignStore.NONE) {
            Build.id(); // while the application is the one that was started: it may be replaced beneath a server
        }
    }

    /** Keeps a design; what goes wrong is logged, since it can be made anew. */
    void keep(String project, int version, BuildingDesign design) {
        if (store == DesignStore.NONE) {
            return;
        }
        try {
            store.keep(project, version, Build.id(), DesignBytes.of(design));
        } catch (RuntimeException e) {
            LOG.warn("the design of {} is not kept: {}", project, e.toString());
        }
    }

    /**
     * The design of a project as it stands, from one that is kept; empty where there is none for its model and basis.
     *
     * @param commands all of the project, oldest first
     * @param analysis asked for only where a design is kept
     */
    Optional<BuildingDesign> find(
            String project, List<CommandRow> commands, CommandLog log, Supplier<Analysis> analysis) {
        EditHistory now = new EditHistory(commands, Integer.MAX_VALUE, log);
        for (int version : store.versions(project, Build.id())) {
            EditHistory then = new EditHistory(commands, version, log);
            if (then.sameGround(now)) {
                Optional<BuildingDesign> d = read(project, version, then, analysis.get());
                if (d.isPresent()) {
                    return d.map(k -> follow(k, then, now));
                }
            }
        }
        return Optional.empty();
    }

    private Optional<BuildingDesign> read(String project, int version, EditHistory then, Analysis analysis) {
        Optional<byte[]> bytes = store.read(project, version, Build.id());
        if (bytes.isEmpty()) {
            return Optional.empty();
        }
        Basis basis = then.basis();
        try {
            return Optional.of(DesignBytes.read(bytes.get(), Undesigned.of(analysis, basis, then.decisions())));
        } catch (DesignBytes.Unreadable e) {
            LOG.warn("the kept design of {} at version {} cannot be read: {}", project, version, e.getMessage());
            store.forget(project, version, Build.id());
            return Optional.empty();
        }
    }

    /** The design of now, from that of another time on the same ground. */
    private static BuildingDesign follow(BuildingDesign d, EditHistory then, EditHistory now) {
        Set<String> lines = now.linesOtherThan(then);
        return lines.isEmpty() && then.types().equals(now.types()) ? d : d.with(now.decisions(), lines);
    }
}
