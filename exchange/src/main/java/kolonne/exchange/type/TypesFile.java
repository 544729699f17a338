package kolonne.exchange.type;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kolonne.core.model.Role;
import kolonne.core.type.MemberType;
import kolonne.core.type.Types;

/** Types of a project as they are stored. */
public final class TypesFile {
    private static final JsonMapper JSON = new JsonMapper();

    private TypesFile() {}

    record Stored(double tolerance, int given, List<StoredType> types) {}

    record StoredType(String id, String role, String mark, boolean locked, List<String> members) {}

    public static JsonNode write(Types t) {
        return JSON.valueToTree(new Stored(
                t.tolerance(),
                t.given(),
                t.all().values().stream()
                        .map(x -> new StoredType(
                                x.id(), x.role().name().toLowerCase(Locale.ROOT), x.mark(), x.locked(), x.members()))
                        .toList()));
    }

    /** @throws IllegalStateException if what is stored cannot be read */
    public static Types read(JsonNode stored) {
        try {
            Stored s = JSON.treeToValue(stored, Stored.class);
            Map<String, MemberType> all = new LinkedHashMap<>();
            for (StoredType t : s.types()) {
                Role role = Role.valueOf(t.role().toUpperCase(Locale.ROOT));
                all.put(t.id(), new MemberType(t.id(), role, t.mark(), t.members(), t.locked()));
            }
            return new Types(all, s.tolerance(), s.given());
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("stored types cannot be read", e);
        }
    }
}
