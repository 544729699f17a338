package kolonne.core.space;

import java.util.List;

/** Concrete and bars of a beam line or of a lift of a column, where they lie. */
public record Placed(Frame frame, List<Body> bodies, List<SpaceBar> bars) {
    public Placed {
        bodies = List.copyOf(bodies);
        bars = List.copyOf(bars);
    }
}
