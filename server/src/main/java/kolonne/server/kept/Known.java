package kolonne.server.kept;

import com.esotericsoftware.kryo.Kryo;
import com.esotericsoftware.kryo.KryoException;
import com.esotericsoftware.kryo.Serializer;
import com.esotericsoftware.kryo.io.Input;
import com.esotericsoftware.kryo.io.Output;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Undesigned;

/** Parts of a building that a design refers to: written as their numbers, and found again in the same order. */
final class Known {
    private final List<Object> parts = new ArrayList<>();
    private final List<Basis> bases;

    private Known(List<BeamLine> lines, List<ColumnStack> stacks, Set<Basis> bases) {
        lines.forEach(l -> {
            parts.add(l);
            parts.addAll(l.spans());
        });
        stacks.forEach(s -> {
            parts.add(s);
            parts.addAll(s.lifts());
        });
        this.bases = List.copyOf(bases);
    }

    static Known of(BuildingDesign d) {
        List<BeamLine> lines = d.beams().stream().map(b -> b.line()).toList();
        List<ColumnStack> stacks = d.columns().stream().map(c -> c.stack()).toList();
        Set<Basis> bases = new LinkedHashSet<>();
        d.beams().forEach(b -> bases.add(b.basis()));
        d.columns().forEach(c -> bases.add(c.basis()));
        return new Known(lines, stacks, bases);
    }

    static Known of(Undesigned u) {
        Set<Basis> bases = new LinkedHashSet<>();
        u.lines().forEach(l -> bases.add(u.contexts().of(l).basis()));
        u.stacks().forEach(s -> bases.add(u.contexts().of(s).basis()));
        return new Known(u.lines(), u.stacks(), bases);
    }

    void register(Kryo kryo) {
        Map<Object, Integer> numbers = new IdentityHashMap<>();
        for (Object p : parts) {
            numbers.put(p, numbers.size());
        }
        Number<Object> part = new Number<>(parts, numbers);
        for (Class<?> c : List.of(BeamLine.class, BeamLine.Span.class, ColumnStack.class, ColumnStack.Lift.class)) {
            kryo.register(c, part);
        }
        Map<Object, Integer> ofBases = new HashMap<>();
        bases.forEach(b -> ofBases.put(b, ofBases.size()));
        kryo.register(Basis.class, new Number<>(bases, ofBases));
        kryo.register(Collections.unmodifiableMap(new HashMap<>()).getClass(), new PlainMap());
        kryo.register(Collections.unmodifiableSortedMap(new TreeMap<>()).getClass(), new SortedPlainMap());
    }

    private static final class Number<T> extends Serializer<T> {
        private final List<? extends T> all;
        private final Map<?, Integer> numbers;

        Number(List<? extends T> all, Map<?, Integer> numbers) {
            this.all = all;
            this.numbers = numbers;
        }

        @Override
        public void write(Kryo kryo, Output out, T object) {
            Integer n = numbers.get(object);
            if (n == null) {
                throw new KryoException("a part that its building does not have: " + object.getClass());
            }
            out.writeVarInt(n, true);
        }

        @Override
        public T read(Kryo kryo, Input in, Class<? extends T> type) {
            int n = in.readVarInt(true);
            if (n < 0 || n >= all.size()) {
                throw new KryoException("a part that its building does not have: " + n);
            }
            return all.get(n);
        }
    }

    private static final class PlainMap extends Serializer<Map<?, ?>> {
        @Override
        public void write(Kryo kryo, Output out, Map<?, ?> map) {
            kryo.writeObject(out, new LinkedHashMap<>(map));
        }

        @Override
        public Map<?, ?> read(Kryo kryo, Input in, Class<? extends Map<?, ?>> type) {
            Map<?, ?> map = kryo.readObject(in, LinkedHashMap.class);
            return Collections.unmodifiableMap(map);
        }
    }

    private static final class SortedPlainMap extends Serializer<SortedMap<?, ?>> {
        @Override
        public void write(Kryo kryo, Output out, SortedMap<?, ?> map) {
            kryo.writeObject(out, new TreeMap<>(map));
        }

        @Override
        public SortedMap<?, ?> read(Kryo kryo, Input in, Class<? extends SortedMap<?, ?>> type) {
            SortedMap<?, ?> map = kryo.readObject(in, TreeMap.class);
            return Collections.unmodifiableSortedMap(map);
        }
    }
}
