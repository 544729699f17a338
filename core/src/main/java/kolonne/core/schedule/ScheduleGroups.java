package kolonne.core.schedule;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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
 * members differ, its groups are told apart by a letter; a bar has one mark throughout the type.
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
     * @param name     mark of the type, or of the one member
     * @param variant  which of the groups of its type it is, from 0
     * @param variants groups of its type; 1 for a member by itself
     * @param type     whether it is a type
     * @param storeys  of the members, in words
     * @param members  their marks
     * @param designs  of the members, in the same order
     * @param bars     of each of them
     * @param numbers  of the bars in the list of the type or member, from 1
     */
    public record Group<D>(
            String name,
            int variant,
            int variants,
            boolean type,
            String storeys,
            List<String> members,
            List<D> designs,
            List<BarItem> bars,
            List<Integer> numbers) {
        public Group {
            members = List.copyOf(members);
            designs = List.copyOf(designs);
            bars = List.copyOf(bars);
            numbers = List.copyOf(numbers);
        }

        /** Of the group: the name, with a letter where the type has several. */
        public String mark() {
            return name + (variants > 1 ? letter(variant) : "");
        }

        /** The mark of bars, unique within the type or member. @throws IllegalArgumentException if the group has none like them */
        public String barMark(BarItem of) {
            return barMark(numbers.get(LikeBars.place(bars, of)));
        }

        static String barMark(int number) {
            return String.format(Locale.ROOT, "%02d", number);
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
        // groups of a type follow one another
        Map<Object, List<Object>> together = new LinkedHashMap<>();
        alike.keySet()
                .forEach(key -> together.computeIfAbsent(
                                List.of(key instanceof Like, key instanceof Like l ? l.type : key),
                                k -> new ArrayList<>())
                        .add(key));
        List<Group<D>> out = new ArrayList<>();
        for (List<Object> keys : together.values()) {
            Map<BarItem.Kind, Integer> numbers =
                    numbers(keys.stream().map(barsOf::get).toList());
            for (Object key : keys) {
                List<D> members = alike.get(key);
                List<String> ids = members.stream().map(id).toList();
                boolean type = key instanceof Like;
                out.add(new Group<>(
                        key instanceof Like l ? l.type : facts.mark(ids.get(0)),
                        keys.indexOf(key),
                        keys.size(),
                        type,
                        type ? facts.storeyWords(ids, " to ") : storey.apply(members.get(0)),
                        ids.stream().map(facts::mark).toList(),
                        members,
                        barsOf.get(key),
                        barsOf.get(key).stream().map(b -> numbers.get(b.kind())).toList()));
            }
        }
        return out;
    }

    /** Of all bars of a type: those of one place follow one another, whichever of its groups has them. */
    private static Map<BarItem.Kind, Integer> numbers(List<List<BarItem>> groups) {
        Map<BarItem.Kind, String> where = new LinkedHashMap<>();
        groups.forEach(g -> g.forEach(b -> where.putIfAbsent(b.kind(), b.what())));
        List<String> places = where.values().stream().distinct().toList();
        Map<BarItem.Kind, Integer> out = new HashMap<>();
        for (String place : places) {
            where.forEach((kind, what) -> {
                if (what.equals(place)) {
                    out.put(kind, out.size() + 1);
                }
            });
        }
        return out;
    }

    /** Letters of some of a type's groups, those that follow one another as from and to; nothing where they are all of them. */
    static String letters(List<? extends Group<?>> some) {
        if (some.size() == some.get(0).variants()) {
            return "";
        }
        List<String> out = new ArrayList<>();
        for (int i = 0; i < some.size(); i++) {
            int first = i;
            while (i + 1 < some.size()
                    && some.get(i + 1).variant() == some.get(i).variant() + 1) {
                i++;
            }
            String last = letter(some.get(i).variant());
            out.add(i == first ? last : letter(some.get(first).variant()) + (i == first + 1 ? ", " : "–") + last);
        }
        return String.join(", ", out);
    }

    /** a, b, … z, aa, ab, … @param number from 0 */
    private static String letter(int number) {
        String out = "";
        for (int k = number + 1; k > 0; k = (k - 1) / 26) {
            out = (char) ('a' + (k - 1) % 26) + out;
        }
        return out;
    }
}
