package kolonne.core.column.check;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import kolonne.core.basis.Basis;
import kolonne.core.code.DesignCode;
import kolonne.core.code.DuctileColumns;
import kolonne.core.code.DuctileFrame;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demand.Demands;
import kolonne.core.demand.Sidesway;
import kolonne.core.joint.BeamsAtJoints;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Material;
import kolonne.core.model.Purpose;
import kolonne.core.model.Section;
import kolonne.core.section.Developed;
import kolonne.core.section.PlaneSection;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.general.Surfaces;
import kolonne.core.shape.Shape;

/** What every column check reads besides the stack and its cage; surfaces are made once per section and arrangement. */
public final class ColumnContext {
    private final BuildingIndex index;
    private final Demands strength;
    private final Basis basis;
    private final Sidesway sway;
    private final Demands sustained;
    private final Map<List<Object>, StrengthSurface> surfaces;
    private final BeamsAtJoints beams;
    private final Optional<DuctileColumns> ductile;
    private final Map<String, HandLift> hand;

    private ColumnContext(
            Sidesway sway,
            Basis basis,
            Map<List<Object>, StrengthSurface> surfaces,
            BeamsAtJoints beams,
            Map<String, HandLift> hand) {
        this.hand = Map.copyOf(hand);
        this.surfaces = surfaces;
        this.beams = beams;
        this.ductile = basis.designCode().ductile(basis.ductility()).map(DuctileFrame::columns);
        this.strength = sway.strength();
        this.index = strength.analysis().index();
        this.basis = basis;
        this.sway = sway;
        this.sustained = new Demands(strength.analysis(), Purpose.SERVICE_QUASI_PERMANENT);
    }

    /** Over the combinations of an analysis. @param sway of the same analysis and basis */
    public static ColumnContext of(Sidesway sway, Basis basis) {
        return new ColumnContext(sway, basis, new ConcurrentHashMap<>(), BeamsAtJoints.NONE, Map.of());
    }

    /** The same with the beams that were designed. */
    public ColumnContext with(BeamsAtJoints designed) {
        return new ColumnContext(sway, basis, surfaces, designed, hand);
    }

    /** The same with what people have set. @param lifts by the ids of their members */
    public ColumnContext with(Map<String, HandLift> lifts) {
        return new ColumnContext(sway, basis, surfaces, beams, lifts);
    }

    /** What people have set, by the ids of the lifts' members. */
    public Map<String, HandLift> hand() {
        return hand;
    }

    /** What people have set on a lift. */
    public HandLift hand(ColumnStack.Lift lift) {
        return hand.getOrDefault(lift.member(), HandLift.NONE);
    }

    /** Ends of the designed beams of a ductile frame. */
    public BeamsAtJoints beams() {
        return beams;
    }

    /** Rules of the basis for columns of a ductile frame; empty where it asks for none. */
    public Optional<DuctileColumns> ductile() {
        return ductile;
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

    public Sidesway sway() {
        return sway;
    }

    /** Quasi-permanent combinations, for creep. */
    Demands sustained() {
        return sustained;
    }

    /** A lift's section with another yield strength of its bars: that of their steel at its most, where a frame is to stand it. */
    PlaneSection section(Section section, Material material, ColumnCage.LiftCage cage, double factor) {
        return Surfaces.section(
                section.shape(),
                cage.bars(section.shape(), basis.columnCover()),
                material.fc(),
                factor * basis.fy(),
                rules(cage));
    }

    /** The code for the strength of a lift's section, inside its spiral where it has one. */
    DesignCode rules(ColumnCage.LiftCage cage) {
        DesignCode code = basis.designCode();
        return cage.wound() ? code.spirals().strength() : code;
    }

    /** The strength surface of a lift's bars where they develop so. @param developed of every bar, not empty */
    StrengthSurface surface(ColumnStack.Lift lift, ColumnCage.LiftCage cage, List<Developed> developed) {
        Shape shape = lift.section().shape();
        List<Object> key = List.of(
                shape, lift.material().fc(), cage.layout().unheld(), cage.tie().diameter(), developed);
        return surfaces.computeIfAbsent(key, k -> surface(shape, lift.material().fc(), cage, developed));
    }

    /** The same beside a torque, which many others have a hand in: it is not kept. */
    StrengthSurface besides(ColumnStack.Lift lift, ColumnCage.LiftCage cage, List<Developed> left) {
        return surface(lift.section().shape(), lift.material().fc(), cage, left);
    }

    /** The strength surface of a lift's bars; ties count only by their diameter. */
    public StrengthSurface surface(Section section, Material material, ColumnCage.LiftCage cage) {
        List<Object> key = List.of(
                section.id(), material.fc(), cage.layout().unheld(), cage.tie().diameter());
        return surfaces.computeIfAbsent(key, k -> surface(section.shape(), material.fc(), cage, List.of()));
    }

    private StrengthSurface surface(Shape shape, double fc, ColumnCage.LiftCage cage, List<Developed> developed) {
        return Surfaces.of(shape, cage.bars(shape, basis.columnCover()), developed, fc, basis.fy(), rules(cage));
    }
}
