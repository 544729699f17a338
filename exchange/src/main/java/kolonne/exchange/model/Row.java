package kolonne.exchange.model;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/** One record of a table, wherever it comes from. Getters return null where the field is absent or of another type. */
interface Row {
    /** Where a person finds it, for instance {@code members[12]} or {@code members.csv line 14}. */
    String place();

    Collection<String> names();

    boolean has(String name);

    String text(String name);

    Double number(String name);

    List<String> list(String name);

    Map<String, Double> map(String name);

    /** The value as it stands, for a message. */
    String raw(String name);
}
