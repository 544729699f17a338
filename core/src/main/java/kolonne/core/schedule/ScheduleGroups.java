package kolonne.core.schedule;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Quantities;
import kolonne.core.design.TypeFacts;
import kolonne.core.detail.BarItem;

/**
 * Members that are scheduled once: those of a type whose bars are alike to the last length, or one member with a cage of its own. Where lengths of a type's
 * members differ, its groups are told apart by a letter.
 */
public final class ScheduleGroups {
    private final BuildingDesign design;
    private final TypeFacts facts;
    private final Map<String, String> types;

    private ScheduleGroups(BuildingDesign design) {
        this.design = design;
        this.facts = new TypeFacts(design);
        this.types = design.typeMarks();
    }

    /**
     * @param mark    of the type, with its letter, or of the one member
     * @param type    whether it is a type
     * @param storeys of the members, in words
     * @param members their marks
     * @param designs of the members, in the same order
     * @param bars    of each of them
     */
    public record Group<D>(
            String mark, boolean type, String storeys, List<String> members, List<D> designs, List<BarItem> bars) {
        public Group {
            members = List.copyOf(members);
            designs = List.copyOf(designs);
            bars = List.copyOf(bars);
        }

        public D first() {
            return designs.get(0);
        }
    }

    /** Of beams, in the order of the design. */
    public static List<Group<BeamDesign>> beams(BuildingDesign d) {
        return new ScheduleGroups(d)
                .groups(
                        d.beams(),
                        b -> b.line().id(),
                        b -> LikeBars.of(Quantities.bars(b)),
                        b -> b.line().storey());
    }

    /** Of columns, in the order of the design. */
    public static List<Group<ColumnDesign>> columns(BuildingDesign d) {
        return new ScheduleGroups(d).groups(d.columns(), c -> c.stack().id(), ScheduleGroups::bars, c -> "");
    }

    /** The bars of a stack; each says the lifts that it is in. */
    private static List<BarItem> bars(ColumnDesign c) {
        List<List<BarItem>> lifts = new ArrayList<>();
        List<String> heads = new ArrayList<>();
        for (int i = 0; i < c.lifts().size(); i++) {
            String storey = c.stack().lifts().get(i).storey();
            heads.add(storey.isEmpty() ? "top" : storey);
            lifts.add(LikeBars.of(Quantities.bars(c, i)));
        }
        return LikeBars.ofLifts(lifts, heads);
    }

    private record Like(String type, List<BarItem> bars) {}

    private <D> List<Group<D>> groups(
            List<D> all, Function<D, String> id, Function<D, List<BarItem>> bars, Function<D, String> storey) {
        Map<Object, List<D>> alike = new LinkedHashMap<>();
        Map<Object, List<BarItem>> barsOf = new HashMap<>();
        for (D d : all) {
            String type = types.get(id.apply(d));
            List<BarItem> own = bars.apply(d);
            Object key = type == null ? id.apply(d) : new Like(type, own);
            alike.computeIfAbsent(key, k -> new ArrayList<>()).add(d);
            barsOf.put(key, own);
        }
        Map<String, Integer> variants = new HashMap<>();
        alike.keySet().forEach(k -> {
            if (k instanceof Like l) {
                variants.merge(l.type, 1, Integer::sum);
            }
        });
        Map<String, Integer> letters = new HashMap<>();
        // groups of a type follow one another
        Map<Object, List<Group<D>>> together = new LinkedHashMap<>();
        alike.forEach((key, members) -> {
            List<String> ids = members.stream().map(id).toList();
            boolean type = key instanceof Like;
            String mark = facts.mark(ids.get(0));
            if (key instanceof Like l) {
                int n = letters.merge(l.type, 1, Integer::sum);
                mark = l.type + (variants.get(l.type) > 1 ? letter(n) : "");
            }
            Object of = key instanceof Like l ? l.type : key;
            together.computeIfAbsent(List.of(type, of), k -> new ArrayList<>())
                    .add(new Group<>(
                            mark,
                            type,
                            type ? facts.storeyWords(ids, " to ") : storey.apply(members.get(0)),
                            ids.stream().map(facts::mark).toList(),
                            members,
                            barsOf.get(key)));
        });
        return together.values().stream().flatMap(List::stream).toList();
    }

    /** a, b, … z, aa, ab, … */
    private static String letter(int n) {
        String out = "";
        for (int k = n; k > 0; k = (k - 1) / 26) {
            out = (char) ('a' + (k - 1) % 26) + out;
        }
        return out;
    }
}
