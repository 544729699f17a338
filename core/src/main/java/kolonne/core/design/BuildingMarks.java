package kolonne.core.design;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.beam.line.BeamChains;
import kolonne.core.column.line.ColumnChains;
import kolonne.core.mark.Chain;
import kolonne.core.mark.Marks;
import kolonne.core.model.BuildingIndex;

/** Marks of all lines and stacks of a model. */
public final class BuildingMarks {
    private BuildingMarks() {}

    /** The marks of a model as it is now. @param known of the model as it was; {@link Marks#NONE} for a new one */
    public static Marks.Followed follow(Marks known, BuildingIndex index) {
        List<Chain> chains = new ArrayList<>(BeamChains.of(index));
        chains.addAll(ColumnChains.of(index));
        return known.follow(chains);
    }
}
