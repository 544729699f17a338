package kolonne.server.project;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.NoSuchElementException;
import kolonne.exchange.single.SectionFile;
import kolonne.server.store.KeptKind;
import kolonne.server.store.KeptRow;
import kolonne.server.store.ProjectStore;

/** Sections of the bench kept under their names for all projects, whose bars are given to members that they fit. */
public final class KeptSections {
    private final Shelf shelf;

    KeptSections(ProjectStore store) {
        this.shelf = new Shelf(store, KeptKind.SECTION);
    }

    /** @param section with the name that it is kept by as its id */
    public record Kept(SectionFile.Entry section, LocalDateTime keptAt) {}

    /** All of them, by name. */
    public List<Kept> all() {
        return shelf.all().stream().map(KeptSections::read).toList();
    }

    private static Kept read(KeptRow row) {
        return new Kept(SectionFile.stored(row.body().getBytes(StandardCharsets.UTF_8)), row.keptAt());
    }

    /** Keeps a section under its id, in place of one that has it. @param section one that was read without findings */
    public void keep(SectionFile.Entry section, Author by) {
        String name = shelf.name(section.id());
        shelf.put(name, SectionFile.write(section.named(name)), by);
    }

    /** @throws NoSuchElementException if none has this name */
    public void forget(String name, Author by) {
        shelf.forget(name, by);
    }
}
