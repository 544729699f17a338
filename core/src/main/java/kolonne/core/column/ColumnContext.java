package kolonne.core.column;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import kolonne.core.basis.Basis;
import kolonne.core.demand.Demands;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Material;
import kolonne.core.model.Section;
import kolonne.core.section.ColumnSection;
import kolonne.core.section.InteractionSurface;

/** What every column check reads besides the stack and its cage; surfaces are made once per section and arrangement. */
public final class ColumnContext {
    private final BuildingIndex index;
    private final Demands strength;
    private final Basis basis;
    private final SwayIndex sway;
    private final Map<List<Object>, InteractionSurface> surfaces = new ConcurrentHashMap<>();

    public ColumnContext(BuildingIndex index, Demands strength, Basis basis, SwayIndex sway) {
        this.index = index;
        this.strength = strength;
        this.basis = basis;
        this.sway = sway;
    }

    public BuildingIndex index() {
        return index;
    }

    public Demands strength() {
        return strength;
    }

    public Basis basis() {
        return basis;
    }

    public SwayIndex sway() {
        return sway;
    }

    /** The strength surface of a lift's bars; ties count only by their diameter. */
    public InteractionSurface surface(Section section, Material material, ColumnCage.LiftCage cage) {
        List<Object> key = List.of(section.id(), material.fc(), cage.alongX(), cage.alongY(), cage.corner(), cage.face(),
            cage.tie().diameter());
        return surfaces.computeIfAbsent(key, k -> new InteractionSurface(new ColumnSection(section.shape(),
            cage.bars(section.shape(), basis.columnCover()), material.fc(), basis.fy(), basis.designCode()),
            Math.max(section.shape().width(), section.shape().depth())));
    }
}
