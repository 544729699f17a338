package kolonne.exchange.model;

import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A row of a CSV table; the header says which cell is which. Lists are separated by semicolons; a map is written {@code G=1.2; L=1.6}. */
record CsvRow(String place, Map<String, Integer> header, String[] cells) implements Row {
    @Override
    public Collection<String> names() {
        return header.keySet();
    }

    private String cell(String name) {
        Integer i = header.get(name);
        return i == null || i >= cells.length ? null : cells[i];
    }

    @Override
    public boolean has(String name) {
        String v = cell(name);
        return v != null && !v.isBlank();
    }

    @Override
    public String text(String name) {
        return has(name) ? cell(name).strip() : null;
    }

    @Override
    public Double number(String name) {
        return has(name) ? parse(cell(name)) : null;
    }

    private static Double parse(String s) {
        try {
            double v = Double.parseDouble(s.strip());
            return Double.isFinite(v) ? v : null;
        } catch (NumberFormatException e) {
            return null; // the caller reports the raw text
        }
    }

    @Override
    public List<String> list(String name) {
        return has(name)
                ? Arrays.stream(cell(name).split(";"))
                        .map(String::strip)
                        .filter(s -> !s.isEmpty())
                        .toList()
                : List.of();
    }

    @Override
    public Map<String, Double> map(String name) {
        Map<String, Double> out = new LinkedHashMap<>();
        for (String part : list(name)) {
            int eq = part.lastIndexOf('=');
            Double v = eq < 0 ? null : parse(part.substring(eq + 1));
            if (v == null) {
                return null;
            }
            out.put(part.substring(0, eq).strip(), v);
        }
        return out;
    }

    @Override
    public String raw(String name) {
        return "\"" + cell(name) + "\"";
    }
}
