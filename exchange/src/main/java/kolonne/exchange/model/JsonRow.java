package kolonne.exchange.model;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A row of the JSON format. */
record JsonRow(String place, JsonNode node) implements Row {
    @Override
    public Collection<String> names() {
        List<String> out = new ArrayList<>();
        node.fieldNames().forEachRemaining(out::add);
        return out;
    }

    @Override
    public boolean has(String name) {
        return node.has(name) && !node.get(name).isNull();
    }

    @Override
    public String text(String name) {
        JsonNode v = node.get(name);
        return v != null && v.isTextual() ? v.textValue() : null;
    }

    @Override
    public Double number(String name) {
        JsonNode v = node.get(name);
        return v != null && v.isNumber() && Double.isFinite(v.doubleValue()) ? v.doubleValue() : null;
    }

    @Override
    public List<String> list(String name) {
        JsonNode v = node.get(name);
        if (v == null || !v.isArray()) {
            return null;
        }
        List<String> out = new ArrayList<>();
        for (JsonNode e : v) {
            if (!e.isTextual()) {
                return null;
            }
            out.add(e.textValue());
        }
        return out;
    }

    @Override
    public Map<String, Double> map(String name) {
        JsonNode v = node.get(name);
        if (v == null || !v.isObject()) {
            return null;
        }
        Map<String, Double> out = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> e : v.properties()) {
            if (!e.getValue().isNumber() || !Double.isFinite(e.getValue().doubleValue())) {
                return null;
            }
            out.put(e.getKey(), e.getValue().doubleValue());
        }
        return out;
    }

    @Override
    public String raw(String name) {
        String s = String.valueOf(node.get(name));
        return s.length() > 60 ? s.substring(0, 60) + "…" : s;
    }
}
