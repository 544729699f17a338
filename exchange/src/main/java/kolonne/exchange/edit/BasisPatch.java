package kolonne.exchange.edit;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.finding.Finding;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.json.StrictJson;

/** Changes of single fields of a basis: a JSON merge patch (RFC 7396) over the fields of docs/formats/basis.md. */
public final class BasisPatch {
    private static final JsonMapper JSON = StrictJson.WHOLE;
    private static final String CODE = "code";

    private BasisPatch() {}

    /** @param basis null where a finding says why there is none */
    public record Read(Basis basis, ObjectNode patch, List<Finding> findings) {}

    /** Applies a patch to a basis and checks what comes out. */
    public static Read read(byte[] json, Basis to) {
        JsonNode patch;
        try {
            patch = JSON.readTree(json);
        } catch (IOException e) {
            return failed(StrictJson.trouble(e, "basis.field", "basis", "docs/formats/basis.md"));
        }
        if (!(patch instanceof ObjectNode fields) || fields.isEmpty()) {
            return failed(Finding.fails(
                    "basis.field", "basis", "No field is changed.", "Give an object with the fields to change."));
        }
        BasisFile.Read r = BasisFile.read(merged(tree(to), fields).toString().getBytes(StandardCharsets.UTF_8));
        return new Read(r.basis(), fields, r.findings());
    }

    /** The basis with a patch that was stored. */
    public static Basis stored(JsonNode fields, Basis to) {
        BasisFile.Read r = BasisFile.stored(
                merged(tree(to), (ObjectNode) fields).toString().getBytes(StandardCharsets.UTF_8));
        if (r.basis() == null) {
            throw new IllegalStateException("a stored change of the basis cannot be read: " + r.findings());
        }
        return r.basis();
    }

    /** The patch that makes one basis another; empty where they are the same. */
    public static ObjectNode between(Basis was, Basis now) {
        return difference(tree(was), tree(now));
    }

    private static ObjectNode difference(ObjectNode was, ObjectNode now) {
        ObjectNode out = JsonNodeFactory.instance.objectNode();
        was.fieldNames().forEachRemaining(key -> {
            if (!now.has(key)) {
                out.putNull(key);
            }
        });
        for (Map.Entry<String, JsonNode> e : now.properties()) {
            JsonNode before = was.get(e.getKey());
            if (before instanceof ObjectNode a && e.getValue() instanceof ObjectNode b) {
                ObjectNode inner = difference(a, b);
                if (!inner.isEmpty()) {
                    out.set(e.getKey(), inner);
                }
            } else if (!e.getValue().equals(before)) {
                out.set(e.getKey(), e.getValue());
            }
        }
        return out;
    }

    private static Read failed(Finding f) {
        return new Read(null, null, List.of(f));
    }

    private static ObjectNode tree(Basis b) {
        return JSON.valueToTree(BasisFile.dto(b));
    }

    private static ObjectNode merged(ObjectNode to, ObjectNode patch) {
        ObjectNode out = to.deepCopy();
        for (Map.Entry<String, JsonNode> e : patch.properties()) {
            JsonNode v = e.getValue();
            if (v.isNull()) {
                out.remove(e.getKey());
            } else if (v instanceof ObjectNode inner) {
                JsonNode was = out.get(e.getKey());
                out.set(
                        e.getKey(),
                        merged(was instanceof ObjectNode o ? o : JsonNodeFactory.instance.objectNode(), inner));
            } else {
                out.set(e.getKey(), v);
            }
        }
        return out;
    }

    /**
     * What stands against a patch that was made on an older basis: fields that somebody changed since, to something else. Another code changes what the
     * fields mean, and stands against every patch.
     *
     * @param seen the basis that the patch was made on; @param now the basis in force
     */
    public static List<Finding> clashes(Basis seen, Basis now, ObjectNode patch) {
        ObjectNode a = tree(seen);
        ObjectNode b = tree(now);
        ObjectNode c = merged(b, patch);
        List<Finding> out = new ArrayList<>();
        for (String path : paths(patch)) {
            boolean moved = !at(a, path).equals(at(b, path));
            if (moved && !same(at(b, path), at(c, path))) {
                out.add(clash(path, at(b, path), at(c, path), now));
            }
        }
        if (out.isEmpty() && !a.get(CODE).equals(b.get(CODE)) && !patch.has(CODE)) {
            out.add(clash(CODE, b.get(CODE), a.get(CODE), now));
        }
        return out;
    }

    private static boolean same(JsonNode a, JsonNode b) {
        return a.isNumber() && b.isNumber() ? a.asDouble() == b.asDouble() : a.equals(b);
    }

    private static Finding clash(String path, JsonNode theirs, JsonNode yours, Basis basis) {
        return Finding.fails(
                "basis.clash",
                BasisWords.name(path, basis),
                BasisWords.name(path, basis) + " is " + BasisWords.value(path, theirs, basis) + " now; you set "
                        + BasisWords.value(path, yours, basis) + ".",
                "Set it again if you still want yours.");
    }

    /** What a patch changed, in words, for instance {@code Cover of beams 30 → 35 mm}. */
    public static String words(Basis before, Basis after) {
        ObjectNode a = tree(before);
        ObjectNode b = tree(after);
        if (!a.get(CODE).equals(b.get(CODE))) {
            return "Design code " + BasisWords.value(CODE, a.get(CODE), before) + " → "
                    + BasisWords.value(CODE, b.get(CODE), after) + ", with its standard basis";
        }
        List<String> out = new ArrayList<>();
        for (String path : paths(merged(a, b))) {
            if (!at(a, path).equals(at(b, path))) {
                out.add(BasisWords.changed(path, at(a, path), at(b, path), after));
            }
        }
        return out.isEmpty() ? "basis unchanged" : String.join("; ", out);
    }

    private static JsonNode at(ObjectNode tree, String path) {
        int inner = path.indexOf('/');
        JsonNode n = inner < 0
                ? tree.path(path)
                : tree.path(path.substring(0, inner)).path(path.substring(inner + 1));
        return n.isMissingNode() ? JsonNodeFactory.instance.nullNode() : n;
    }

    private static List<String> paths(ObjectNode patch) {
        List<String> out = new ArrayList<>();
        for (Map.Entry<String, JsonNode> e : patch.properties()) {
            if (e.getValue() instanceof ObjectNode inner) {
                inner.properties().forEach(q -> out.add(e.getKey() + "/" + q.getKey()));
            } else {
                out.add(e.getKey());
            }
        }
        return out;
    }
}
