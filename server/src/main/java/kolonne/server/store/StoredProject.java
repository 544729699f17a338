package kolonne.server.store;

import java.util.List;
import java.util.Map;

/**
 * All that is stored of a project, as of one moment.
 *
 * @param model     as uploaded when the project began
 * @param revisions newer models by the version at which they were adopted, as uploaded
 * @param data      what title blocks tell; null where nobody said anything
 */
public record StoredProject(
        ProjectRow row,
        ModelFileRow model,
        List<CommandRow> commands,
        Map<Integer, ModelFileRow> revisions,
        ProjectDataRow data) {
    public StoredProject {
        commands = List.copyOf(commands);
        revisions = Map.copyOf(revisions);
    }

    /** The same under another id. */
    public StoredProject as(String id) {
        Map<Integer, ModelFileRow> models = new java.util.HashMap<>();
        revisions.forEach((v, m) -> models.put(v, new ModelFileRow(id, m.fileName(), m.content())));
        return new StoredProject(
                new ProjectRow(id, row.name(), row.createdAt(), row.changedAt(), row.version()),
                new ModelFileRow(id, model.fileName(), model.content()),
                commands.stream()
                        .map(c -> new CommandRow(
                                id, c.version(), c.kind(), c.body(), c.madeAt(), c.person(), c.effects()))
                        .toList(),
                models,
                data == null ? null : new ProjectDataRow(id, data.version(), data.body(), data.logo()));
    }
}
