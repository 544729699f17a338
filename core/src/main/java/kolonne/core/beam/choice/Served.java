package kolonne.core.beam.choice;

import java.util.List;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;

/** What a cage is made for: one line, or several that share it. */
public interface Served {
    /** The context with the demands that the cage is chosen for. */
    BeamContext demanding(BeamContext building);

    /** All lines with the cage, each checked for what it bears itself. */
    List<BeamDesign> checked(BeamCage cage);

    /** The same for a trial: lines after one that fails need not be looked at. */
    default List<BeamDesign> tried(BeamCage cage) {
        return checked(cage);
    }

    /** A line by itself. */
    static Served alone(BeamLine line, BeamContext context) {
        BeamContext own = context.of(line);
        return new Served() {
            @Override
            public BeamContext demanding(BeamContext building) {
                return building == context ? own : building.of(line);
            }

            @Override
            public List<BeamDesign> checked(BeamCage cage) {
                return List.of(EvenLengths.checked(line, cage, own));
            }

            @Override
            public List<BeamDesign> tried(BeamCage cage) {
                return List.of(EvenLengths.tried(line, cage, own));
            }
        };
    }
}
