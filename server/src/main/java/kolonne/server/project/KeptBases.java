package kolonne.server.project;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.NoSuchElementException;
import kolonne.core.basis.Basis;
import kolonne.exchange.basis.BasisFile;
import kolonne.server.store.KeptKind;
import kolonne.server.store.KeptRow;
import kolonne.server.store.ProjectStore;

/** Bases of design kept under their names for all projects, without settings that are local to one of them. */
public final class KeptBases {
    private final Shelf shelf;

    KeptBases(ProjectStore store) {
        this.shelf = new Shelf(store, KeptKind.BASIS);
    }

    /** @param basis under the name that it is kept by */
    public record Kept(Basis basis, LocalDateTime keptAt) {}

    /** All of them, by name. */
    public List<Kept> all() {
        return shelf.all().stream().map(KeptBases::read).toList();
    }

    private static Kept read(KeptRow row) {
        BasisFile.Read r = BasisFile.stored(row.body().getBytes(StandardCharsets.UTF_8));
        if (r.basis() == null) {
            throw new IllegalStateException("a kept basis cannot be read: " + r.findings());
        }
        return new Kept(r.basis(), row.keptAt());
    }

    /** Keeps a basis under its name, in place of one that has it. */
    public void keep(Basis basis, Author by) {
        String name = shelf.name(basis.name());
        shelf.put(name, BasisFile.write(basis.named(name).with(List.of())), by);
    }

    /** @throws NoSuchElementException if none has this name */
    public void forget(String name, Author by) {
        shelf.forget(name, by);
    }
}
