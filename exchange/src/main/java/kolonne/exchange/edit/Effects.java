package kolonne.exchange.edit;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import kolonne.core.code.BarCatalogue;
import kolonne.core.design.HandSet;
import kolonne.core.mark.Marked;
import kolonne.core.model.Role;
import kolonne.exchange.hand.HandFile;
import kolonne.exchange.json.StrictJson;

/**
 * What a change of a project brought with it besides itself.
 *
 * @param lines lines and stacks that are new, or have other members or another mark
 * @param gone  ids of those that are no more
 * @param cages what is set by hand on lines and lifts that became others; empty parts where nothing is left
 * @param told  sentences for whoever made the change
 */
public record Effects(List<Marked> lines, Set<String> gone, HandSet cages, List<String> told) {
    public static final Effects NONE = new Effects(List.of(), Set.of(), HandSet.NONE, List.of());

    private static final JsonMapper JSON = StrictJson.WHOLE;

    public Effects {
        lines = List.copyOf(lines);
        gone = Set.copyOf(gone);
        told = List.copyOf(told);
    }

    private record LineDto(String id, String role, String mark, List<String> members) {}

    private record EffectsDto(List<LineDto> lines, List<String> gone, JsonNode cages, List<String> told) {}

    /** As it is stored; null where there is nothing to store. */
    public String write() {
        if (equals(NONE)) {
            return null;
        }
        try {
            return JSON.writeValueAsString(new EffectsDto(
                    lines.stream()
                            .map(m -> new LineDto(
                                    m.id(), m.role().name().toLowerCase(Locale.ROOT), m.mark(), m.members()))
                            .toList(),
                    gone.stream().sorted().toList(),
                    cages.isEmpty() ? null : JSON.readTree(HandFile.write(cages, "")),
                    told));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("Impossible: records of texts always become JSON", e);
        }
    }

    /** Reads what was stored. @param json may be null. @throws IllegalStateException if it is broken */
    public static Effects read(String json) {
        if (json == null) {
            return NONE;
        }
        try {
            EffectsDto d = JSON.readValue(json, EffectsDto.class);
            return new Effects(
                    d.lines().stream()
                            .map(m -> new Marked(
                                    m.id(), Role.valueOf(m.role().toUpperCase(Locale.ROOT)), m.mark(), m.members()))
                            .toList(),
                    Set.copyOf(d.gone()),
                    d.cages() == null || d.cages().isNull() ? HandSet.NONE : cages(d.cages()),
                    d.told());
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("stored effects of a change cannot be read", e);
        }
    }

    private static HandSet cages(JsonNode lines) {
        HandFile.Read r = HandFile.read(lines.toString().getBytes(StandardCharsets.UTF_8), BarCatalogue.METRIC);
        if (!r.sound()) {
            throw new IllegalStateException("stored cages of a change cannot be read: " + r.findings());
        }
        return r.cages();
    }
}
