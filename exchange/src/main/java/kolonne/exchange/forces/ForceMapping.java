package kolonne.exchange.forces;

import java.util.List;
import java.util.Map;

/**
 * Which column of a table is which quantity, in which unit, with which sign.
 *
 * @param columns by quantity; a force without a column is zero
 */
public record ForceMapping(Map<Quantity, Column> columns) {
    public ForceMapping {
        columns = Map.copyOf(columns);
    }

    /** What a column may hold. */
    public enum Quantity {
        MEMBER,
        CASE,
        X,
        N,
        VY,
        VZ,
        T,
        MY,
        MZ;

        /** Units to choose from, the metric display unit first, the US one second. */
        public List<String> units() {
            return ForceUnits.choices(this);
        }

        boolean text() {
            return this == MEMBER || this == CASE;
        }
    }

    /** @param unit one of {@link Quantity#units}; places may count from 0 to 1 as a ratio. @param opposite whether the sign is the other way round */
    public record Column(String header, String unit, boolean opposite) {}
}
