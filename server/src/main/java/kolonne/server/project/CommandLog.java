package kolonne.server.project;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.code.BarCatalogue;
import kolonne.core.design.HandSet;
import kolonne.core.type.Types;
import kolonne.exchange.edit.Effects;
import kolonne.exchange.hand.HandFile;
import kolonne.exchange.type.TypesFile;
import kolonne.server.store.CommandRow;
import kolonne.server.store.ProjectStore;

/** What was done to a project, as stored. Commands are never changed, so only those after the last look are read again, and each is parsed once. */
final class CommandLog {
    private final String project;
    private final List<CommandRow> rows = new ArrayList<>();
    private final Map<Integer, HandSet> cages = new HashMap<>();
    private final Map<Integer, Effects> effects = new HashMap<>();
    private final Map<Integer, Types> types = new HashMap<>();

    CommandLog(String project) {
        this.project = project;
    }

    /** All commands, oldest first. */
    synchronized List<CommandRow> rows(ProjectStore store) {
        int last = rows.isEmpty() ? 0 : rows.get(rows.size() - 1).version();
        rows.addAll(store.commands(project, last));
        return List.copyOf(rows);
    }

    /** What a command set by hand; one that is not stored yet is not kept. */
    synchronized HandSet cages(CommandRow c) {
        return c.madeAt() != null ? cages.computeIfAbsent(c.version(), k -> parsed(c)) : parsed(c);
    }

    /** What a command brought with it. */
    synchronized Effects effects(CommandRow c) {
        return c.madeAt() != null
                ? effects.computeIfAbsent(c.version(), k -> Effects.read(c.effects()))
                : Effects.read(c.effects());
    }

    /** The types that a command set. */
    synchronized Types types(CommandRow c) {
        return c.madeAt() != null ? types.computeIfAbsent(c.version(), k -> typesOf(c)) : typesOf(c);
    }

    private static Types typesOf(CommandRow c) {
        return TypesFile.read(EditHistory.Told.read(c.body()).fields());
    }

    private static HandSet parsed(CommandRow c) {
        HandFile.Read r = HandFile.read(c.body().getBytes(StandardCharsets.UTF_8), BarCatalogue.METRIC);
        if (!r.sound()) {
            throw new IllegalStateException("a stored hand-set cage cannot be read: " + r.findings());
        }
        return r.cages();
    }
}
