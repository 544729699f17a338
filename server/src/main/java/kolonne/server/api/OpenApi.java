package kolonne.server.api;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.exchange.json.MayBeNull;

/** The OpenAPI 3.1 description, made from the table of routes and the records they answer with. */
final class OpenApi {
    private static final JsonMapper JSON = new JsonMapper();
    private static final Pattern PARAMETER = Pattern.compile("\\{(\\w+)}");
    private final Map<String, ObjectNode> schemas = new TreeMap<>();
    private final Map<String, Class<?>> named = new java.util.HashMap<>();

    private OpenApi() {}

    static ObjectNode describe(List<Route> routes) {
        return new OpenApi().document(routes);
    }

    private ObjectNode document(List<Route> routes) {
        ObjectNode doc = JSON.createObjectNode();
        doc.put("openapi", "3.1.0");
        doc.putObject("info")
                .put("title", "Kolonne")
                .put("version", "1")
                .put(
                        "description",
                        "Lengths in mm, forces in kN, moments in kNm, stresses in MPa unless a field says otherwise.");
        ObjectNode paths = doc.putObject("paths");
        for (Route r : routes) {
            ObjectNode path = (ObjectNode) paths.get(r.path());
            operation(
                    (path == null ? paths.putObject(r.path()) : path)
                            .putObject(r.method().name().toLowerCase(Locale.ROOT)),
                    r);
        }
        schema(Problem.class);
        ObjectNode all = doc.putObject("components").putObject("schemas");
        schemas.forEach(all::set);
        return doc;
    }

    private void operation(ObjectNode op, Route r) {
        op.put("summary", r.summary());
        op.put("x-needs", r.needs().words());
        ArrayNode parameters = op.putArray("parameters");
        Matcher m = PARAMETER.matcher(r.path());
        while (m.find()) {
            parameter(parameters, m.group(1), "path", true);
        }
        for (String q : r.query()) {
            parameter(parameters, q, "query", false);
        }
        if (r.request() != null) {
            String type = r.request() == byte[].class ? "application/octet-stream" : "application/json";
            op.putObject("requestBody")
                    .put("required", true)
                    .putObject("content")
                    .putObject(type)
                    .set("schema", schema(r.request()));
        }
        ObjectNode ok = op.putObject("responses").putObject("200").put("description", "OK");
        if (r.response() != Void.class) {
            String type = r.response() == byte[].class
                    ? "application/octet-stream"
                    : r.response() == String.class ? "text/event-stream" : "application/json";
            ok.putObject("content").putObject(type).set("schema", schema(r.response()));
        }
        ((ObjectNode) op.get("responses"))
                .putObject("default")
                .put("description", "What, where and how to mend")
                .putObject("content")
                .putObject("application/problem+json")
                .set("schema", schema(Problem.class));
    }

    private static void parameter(ArrayNode to, String name, String in, boolean required) {
        to.addObject()
                .put("name", name)
                .put("in", in)
                .put("required", required)
                .putObject("schema")
                .put("type", "string");
    }

    private ObjectNode schema(Type t) {
        ObjectNode n = JSON.createObjectNode();
        if (t instanceof ParameterizedType p) {
            if (p.getRawType() == List.class) {
                n.put("type", "array").set("items", schema(p.getActualTypeArguments()[0]));
            } else {
                n.put("type", "object").set("additionalProperties", schema(p.getActualTypeArguments()[1]));
            }
            return n;
        }
        Class<?> c = (Class<?>) t;
        if (c == String.class) {
            return n.put("type", "string");
        }
        if (c == boolean.class || c == Boolean.class) {
            return n.put("type", "boolean");
        }
        if (c == int.class || c == Integer.class) {
            return n.put("type", "integer");
        }
        if (c == double.class || c == Double.class) {
            return n.put("type", "number");
        }
        if (c == byte[].class) {
            return n.put("type", "string").put("format", "binary");
        }
        if (c == double[].class) {
            n.put("type", "array").putObject("items").put("type", "number");
            return n;
        }
        if (c == Object.class) {
            return n;
        }
        if (c.isSealed()) {
            oneOf(c);
            return n.put("$ref", "#/components/schemas/" + name(c));
        }
        if (!c.isRecord()) {
            throw new IllegalStateException("Impossible: an answer of type " + c);
        }
        record(c);
        return n.put("$ref", "#/components/schemas/" + name(c));
    }

    /** Name of a schema: that of the record, less what says that it is sent. */
    private static String name(Class<?> c) {
        return c.getSimpleName().replaceFirst("Dto$", "");
    }

    /** Name of a field as it is sent. */
    private static String name(RecordComponent r) {
        JsonProperty given = r.getAccessor().getAnnotation(JsonProperty.class);
        return given == null || given.value().isEmpty() ? r.getName() : given.value();
    }

    /** Kind that a record of a sealed interface is told by: {@code put-section} of PutSectionEdit in EditDto. */
    private static String kind(Class<?> c) {
        String own = c.getSimpleName().replaceFirst(name(c.getEnclosingClass()) + "$", "");
        return own.replaceAll("(?<=[a-z])(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
    }

    private void oneOf(Class<?> c) {
        if (named.putIfAbsent(name(c), c) == null) {
            ArrayNode any = JSON.createObjectNode().putArray("oneOf");
            schemas.put(name(c), JSON.createObjectNode().set("oneOf", any));
            for (Class<?> one : c.getPermittedSubclasses()) {
                any.add(schema(one));
            }
        }
    }

    private void record(Class<?> c) {
        Class<?> known = named.putIfAbsent(name(c), c);
        if (known != null && known != c) {
            throw new IllegalStateException("Impossible: two answers are called " + name(c));
        }
        if (known != null) {
            return;
        }
        ObjectNode n = JSON.createObjectNode();
        schemas.put(name(c), n);
        n.put("type", "object");
        ObjectNode properties = n.putObject("properties");
        ArrayNode required = n.putArray("required");
        for (RecordComponent r : c.getRecordComponents()) {
            ObjectNode s = schema(r.getGenericType());
            if (r.isAnnotationPresent(MayBeNull.class)) {
                ObjectNode either = JSON.createObjectNode();
                either.putArray("anyOf").add(s).addObject().put("type", "null");
                s = either;
            }
            String name = name(r);
            if (name.equals("kind")
                    && c.getEnclosingClass() != null
                    && c.getEnclosingClass().isSealed()
                    && c.getEnclosingClass().isAssignableFrom(c)) {
                s = JSON.createObjectNode().put("type", "string").put("const", kind(c));
            }
            properties.set(name, s);
            if (!r.isAnnotationPresent(MayBeAbsent.class)) {
                required.add(name);
            }
        }
    }
}
