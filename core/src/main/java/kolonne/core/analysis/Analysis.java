package kolonne.core.analysis;

import java.util.List;
import kolonne.core.finding.Finding;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.FromFoot;
import kolonne.core.shape.Shape;

/**
 * The solved frame: displacements, reactions and station forces for every load case. Read-only once made.
 *
 * <p>Components of forces: 0 N, 1 Vy, 2 Vz, 3 T, 4 My, 5 Mz [N, Nmm]; signs in the package description.
 */
public final class Analysis {
    public static final int N = 0;
    public static final int VY = 1;
    public static final int VZ = 2;
    public static final int T = 3;
    public static final int MY = 4;
    public static final int MZ = 5;
    public static final int COMPONENTS = 6;

    private final BuildingIndex given;
    private final FromFoot.Turn[] turns;
    private final BuildingIndex index;
    private final double[][] displacements;
    private final double[][] reactions;
    private final double[][] stations;
    private final double[][] forces;
    private final double[] residuals;
    private final List<Finding> findings;
    private final FrameAnalysis.Solved solved;
    private final Frame frame;

    /**
     * @param given         the building as it was drawn, before what is derived of it
     * @param displacements [case][6 × joint]
     * @param reactions     [case][6 × joint], zero where nothing is held
     * @param stations      [member][station] distance from the start joint [mm]
     * @param forces        [member][(case × stations + station) × 6 + component]
     * @param residuals     [case] largest joint imbalance over the largest load, forces and moments each by their own
     * @param solved        what the next analysis may reuse, or null for forces solved elsewhere
     * @param frame         the frame whose displacements these are (with P-Delta: of second order), or null
     */
    Analysis(
            BuildingIndex given,
            BuildingIndex index,
            double[][] displacements,
            double[][] reactions,
            double[][] stations,
            double[][] forces,
            double[] residuals,
            List<Finding> findings,
            FrameAnalysis.Solved solved,
            Frame frame) {
        this.given = given;
        this.turns = given.building().members().stream()
                .map(m -> FromFoot.turn(given, m))
                .toArray(FromFoot.Turn[]::new);
        this.index = index;
        this.displacements = displacements;
        this.reactions = reactions;
        this.stations = stations;
        this.forces = forces;
        this.residuals = residuals;
        this.findings = List.copyOf(findings);
        this.solved = solved;
        this.frame = frame;
    }

    FrameAnalysis.Solved solved() {
        return solved;
    }

    Frame frame() {
        return frame;
    }

    /** Whether the forces were solved elsewhere; displacements and reactions are then not known. */
    public boolean imported() {
        return frame == null;
    }

    /** The building that was analysed. */
    public BuildingIndex index() {
        return index;
    }

    /** The building as it was drawn, before what is derived of it. */
    public BuildingIndex given() {
        return given;
    }

    /** A shape for a member in the words of the building as it was drawn. */
    public Shape asDrawn(int member, Shape shape) {
        FromFoot.Turn turn = turn(member);
        return turn == null ? shape : turn.of(shape);
    }

    /** How a member is redrawn against the model that was given, so that its forces are about other axes; null where it is not. */
    public FromFoot.Turn turn(int member) {
        return turns[member];
    }

    /** As {@link #stationX} of a station counted and measured from the start that the model gives the member. */
    public double drawnX(int member, int station) {
        return turns[member] == null
                ? stationX(member, station)
                : index.length(index.building().members().get(member)) - stationX(member, drawn(member, station));
    }

    /** As {@link #force} at that station, about the axes that the model gives the member. */
    public double drawnForce(int member, int loadCase, int station, int component) {
        FromFoot.Turn turn = turns[member];
        return turn == null
                ? force(member, loadCase, station, component)
                : turn.senseOfAction(component)
                        * force(member, loadCase, drawn(member, station), turn.action(component));
    }

    private int drawn(int member, int station) {
        return stationCount(member) - 1 - station;
    }

    /** Displacement of a joint [mm] or rotation [rad] in global direction 0..5. */
    public double displacement(int loadCase, int joint, int direction) {
        return displacements[loadCase][6 * joint + direction];
    }

    /** Reaction of a joint on the structure [N, Nmm] in global direction 0..5. */
    public double reaction(int loadCase, int joint, int direction) {
        return reactions[loadCase][6 * joint + direction];
    }

    /** Number of stations of a member. */
    public int stationCount(int member) {
        return stations[member].length;
    }

    /** Distance of a station from the member's start joint [mm]. */
    public double stationX(int member, int station) {
        return stations[member][station];
    }

    /** A force of a load case at a station. */
    public double force(int member, int loadCase, int station, int component) {
        return forces[member][(loadCase * stations[member].length + station) * COMPONENTS + component];
    }

    /** Distance from a member's start joint to the face of its support [mm]. */
    public double faceStart(int member) {
        return frame == null ? 0 : frame.faceStart(member);
    }

    /** Distance from a member's end joint to the face of its support [mm]. */
    public double faceEnd(int member) {
        return frame == null ? 0 : frame.faceEnd(member);
    }

    /** Resultant of all loads of a case in global direction 0..2 [N]. */
    public double applied(int loadCase, int direction) {
        double sum = 0;
        for (int j = 0; frame != null && j < index.building().joints().size(); j++) {
            sum += solved.solution().applied(loadCase)[6 * j + direction];
        }
        return sum;
    }

    /** Largest joint imbalance of a case relative to its largest load. */
    public double residual(int loadCase) {
        return residuals[loadCase];
    }

    /** Notes made on the way. */
    public List<Finding> findings() {
        return findings;
    }
}
