package kolonne.server.store;

import java.util.List;
import java.util.Optional;

/** Projects with their model files and commands. Every write is stored before the method returns. */
public interface ProjectStore {
    List<ProjectRow> list();

    Optional<ProjectRow> find(String id);

    /** Stores a new project with its model and first commands in one transaction. */
    ProjectRow create(String name, String fileName, byte[] model, String basisJson);

    /** The model as uploaded. */
    ModelFileRow model(String id);

    /** The body of the newest command of a kind. */
    Optional<String> last(String id, String kind);

    /** Commands of some kinds after a version, oldest first. */
    List<CommandRow> commands(String id, List<String> kinds, int after);

    /** Appends a command if the project is still at {@code version}; empty if somebody was faster. */
    Optional<ProjectRow> append(String id, int version, String kind, String body);

    /** Renames if the project is still at {@code version}; empty if somebody was faster. */
    Optional<ProjectRow> rename(String id, int version, String name);

    boolean delete(String id);

    /** How columns of station-force tables were mapped, by name. */
    List<MappingRow> mappings();

    /** Stores a mapping under its name, in place of an older one. */
    void putMapping(String name, String body);
}
