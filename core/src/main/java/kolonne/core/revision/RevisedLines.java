package kolonne.core.revision;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.core.beam.cage.CarriedCages;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;

/** Beam lines of an older model, told in the members of a newer one, so that what lay on the older lines can be carried to the newer. */
public final class RevisedLines {
    private final BuildingIndex newer;
    private final MemberMatching matching;
    /** Newer member that an older one is a part of. */
    private final Map<String, String> joined = new HashMap<>();

    private RevisedLines(BuildingIndex newer, MemberMatching matching) {
        this.newer = newer;
        this.matching = matching;
        matching.joined().forEach((b, all) -> all.forEach(a -> joined.put(a, b)));
    }

    /**
     * @param lines    of the older model
     * @param matching of the older model's members with the newer one's
     */
    public static CarriedCages.Lines of(
            List<BeamLine> lines, BuildingIndex older, BuildingIndex newer, MemberMatching matching) {
        RevisedLines r = new RevisedLines(newer, matching);
        Map<String, Double> lengths = new HashMap<>();
        matching.pairs().forEach((a, b) -> lengths.put(b, older.length(older.member(a))));
        return new CarriedCages.Lines(
                lines.stream().map(r::line).toList(),
                m -> lengths.containsKey(m.id()) ? lengths.get(m.id()) : newer.length(m));
    }

    private BeamLine line(BeamLine l) {
        Set<String> whole = new HashSet<>();
        for (BeamLine.Span s : l.spans()) {
            Set<String> ids = s.members().stream().map(Member::id).collect(Collectors.toSet());
            matching.joined().forEach((b, all) -> {
                if (ids.containsAll(all)) {
                    whole.add(b);
                }
            });
        }
        return l.withMembers(m -> into(m.id(), whole));
    }

    /** Members joined into one stand for it once, where all of them are in one span; across a support nothing takes their place. */
    private List<Member> into(String id, Set<String> whole) {
        if (joined.containsKey(id)) {
            String b = joined.get(id);
            return whole.remove(b) ? List.of(newer.member(b)) : List.of();
        }
        if (matching.pairs().containsKey(id)) {
            return List.of(newer.member(matching.pairs().get(id)));
        }
        return matching.divided().getOrDefault(id, List.of()).stream()
                .map(newer::member)
                .toList();
    }
}
