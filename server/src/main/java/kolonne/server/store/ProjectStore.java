package kolonne.server.store;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Projects with their model files and commands. Every write is stored before the method returns. */
public interface ProjectStore {
    /** The same store, which takes down who does what is done through it; who brings a project with an account is its owner. */
    ProjectStore by(By who);

    List<ProjectRow> list();

    Optional<ProjectRow> find(String id);

    /** Stores a new project with its model and first command in one transaction. @param effects marks of its lines and stacks */
    default ProjectRow create(String name, String fileName, byte[] model, String basisJson, String effects) {
        return create(newId(), name, fileName, model, basisJson, effects);
    }

    /** The same under an id of one's own. */
    ProjectRow create(String id, String name, String fileName, byte[] model, String basisJson, String effects);

    /** The model as uploaded when the project began. */
    ModelFileRow model(String id);

    /** The newer model that was adopted at a version, as uploaded. */
    ModelFileRow revision(String id, int version);

    /** Commands after a version, oldest first. */
    List<CommandRow> commands(String id, int after);

    /** Appends a command if the project is still at the version before its own; empty if somebody was faster. */
    Optional<ProjectRow> append(CommandRow command);

    /** Appends the command that adopts a newer model, with the model, in one transaction; empty if somebody was faster. */
    Optional<ProjectRow> revise(CommandRow command, String fileName, byte[] model);

    /** Gives the first command of a project of an older server the marks of its lines and stacks; one that has some keeps them. */
    void putMarks(String id, String effects);

    /** Renames if the project is still at {@code version}; empty if somebody was faster. */
    Optional<ProjectRow> rename(String id, int version, String name);

    /** What title blocks tell of a project; empty where nobody said anything. */
    Optional<ProjectDataRow> data(String id);

    /** Stores project data if they are still at the version before that of {@code row}; false if somebody was faster. */
    boolean putData(ProjectDataRow row);

    /** Puts a project away: it is there for nobody until it is brought back. False if there is none. */
    boolean delete(String id, String person);

    /** Projects that were deleted, the last one first. */
    List<DeletedRow> deleted();

    /** Brings a deleted project back as it was; empty if none rests under the id. */
    Optional<ProjectRow> bringBack(String id);

    /** Removes a deleted project for good; false if none rests under the id. */
    boolean remove(String id);

    /** Removes for good what was deleted before a moment (UTC). */
    void removeDeletedBefore(LocalDateTime moment);

    /** All that is stored of a project, as of one moment; empty if there is none. */
    Optional<StoredProject> copy(String id);

    /** Stores a whole project under its id in one transaction; false, and nothing changes, if there is one with it or one rests under it. */
    boolean put(StoredProject project);

    /** Takes down that a file of a project was given out. */
    void exported(String id, String file);

    /** Who did what with a project, oldest first; what was done before accounts of it were kept is not there. */
    List<DeedRow> deeds(String id);

    /** How far those of some projects are that are there. */
    List<VersionRow> versions(Set<String> ids);

    /** The window in which the change of a version was made; empty where that is not known. */
    String window(String id, int version);

    /** An id that no project has. */
    String newId();

    /** How columns of station-force tables were mapped, by name. */
    List<MappingRow> mappings();

    /** Stores a mapping under its name, in place of an older one. */
    void putMapping(String name, String body);

    /** What is kept for all projects, by name. */
    List<KeptRow> kept(KeptKind kind);

    /** Keeps something under its name, in place of an older one of its kind. */
    void putKept(KeptKind kind, String name, String body);

    /** False if none of the kind is kept under the name. */
    boolean deleteKept(KeptKind kind, String name);
}
