package kolonne.core.type;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;

/**
 * Merges members of one family until no two types may be merged, each time the two that cost least. Which two is looked for by an estimate from their
 * demands; what a merge costs is always the steel of a cage that was made for all and checked with each.
 */
final class Merging<M, D> {
    /** From so many types on those that demand nearly the same are put together before any is merged. */
    private static final int MOST = 40;

    /** Told of every member that came into a larger type. @throws java.util.concurrent.CancellationException to stop */
    interface Watch {
        void merged(int members);
    }

    private final Sharing<M, D> sharing;
    private final double tolerance;
    private final Watch watch;
    private final List<Type> types = new ArrayList<>();
    private double kgPerDemand = 1;

    Merging(Sharing<M, D> sharing, double tolerance, Watch watch) {
        this.sharing = sharing;
        this.tolerance = tolerance;
        this.watch = watch;
    }

    /** Members with the largest of their demands, how many of them have the place of each, and the range of their lengths. */
    private final class Bunch {
        final List<M> members;
        final double[] demand;
        final int[] having;
        final double[] least;
        final double[] most;

        Bunch(M m) {
            this.members = List.of(m);
            this.demand = sharing.demand(m);
            this.having = new int[demand.length];
            Arrays.fill(having, 1);
            this.least = lengths(m);
            this.most = least;
        }

        Bunch(List<M> members, double[] demand, int[] having, double[] least, double[] most) {
            this.members = members;
            this.demand = demand;
            this.having = having;
            this.least = least;
            this.most = most;
        }

        Bunch with(Bunch o) {
            List<M> both = new ArrayList<>(members);
            both.addAll(o.members);
            // the same type whatever the order in which its members came
            both.sort(Comparator.comparing(sharing::id));
            return new Bunch(
                    both,
                    larger(demand, o.demand),
                    sums(having, o.having),
                    smaller(least, o.least),
                    larger(most, o.most));
        }

        /** Greatest demand of any, in all that have its place. */
        double demanded() {
            double out = 0;
            for (int i = 0; i < demand.length; i++) {
                out += demand[i] * having[i];
            }
            return out;
        }

        boolean near(Bunch o) {
            for (int i = 0; i < Math.min(least.length, o.least.length); i++) {
                if (Math.max(most[i], o.most[i]) - Math.min(least[i], o.least[i]) > tolerance + 1e-6) {
                    return false;
                }
            }
            return true;
        }

        /** What putting two together adds to their demand. */
        double apart(Bunch o) {
            double[] both = larger(demand, o.demand);
            int[] all = sums(having, o.having);
            double together = 0;
            for (int i = 0; i < both.length; i++) {
                together += both[i] * all[i];
            }
            return together - demanded() - o.demanded();
        }
    }

    /** A type on its way. */
    private final class Type {
        final Bunch bunch;
        final Curve.Node node;
        boolean alive = true;

        Type(Bunch bunch, Steel steel, int left, int right) {
            this.bunch = bunch;
            Steel alone = Steel.NONE;
            double most = -1;
            String heaviest = "";
            for (M m : bunch.members) {
                Steel own = sharing.steel(sharing.own(m));
                alone = alone.plus(own);
                heaviest = own.kg() > most ? sharing.id(m) : heaviest;
                most = Math.max(most, own.kg());
            }
            node = new Curve.Node(
                    bunch.members.stream().map(sharing::id).toList(), heaviest, steel, alone, left, right);
        }
    }

    private double[] lengths(M m) {
        return sharing.likeness(m).lengths().stream().mapToDouble(x -> x).toArray();
    }

    /** Two types that may be merged. @param extra of the merged cage where it is made, an estimate before [kg] */
    private record Pair<S>(int a, int b, double extra, S made) {}

    /** The types made of members of one family, of which the longest have all that others have, those merged last; numbers of nodes count from 0. */
    List<Curve.Node> run(List<M> members) {
        begin(members);
        PriorityQueue<Pair<Sharing.Shared<D>>> queue =
                new PriorityQueue<>(Comparator.comparingDouble((Pair<Sharing.Shared<D>> p) -> p.extra)
                        .thenComparingInt(p -> p.a)
                        .thenComparingInt(p -> p.b));
        for (int j = 1; j < types.size(); j++) {
            pairs(j, queue);
        }
        while (!queue.isEmpty()) {
            Pair<Sharing.Shared<D>> p = queue.poll();
            Type a = types.get(p.a);
            Type b = types.get(p.b);
            if (!a.alive || !b.alive) {
                continue;
            }
            if (p.made == null) {
                watch.merged(0);
                Sharing.Shared<D> s = sharing.shared(a.bunch.with(b.bunch).members);
                if (s.sound() && s.practical()) {
                    double extra = s.steel().kg()
                            - a.node.steel().kg()
                            - b.node.steel().kg();
                    queue.add(new Pair<>(p.a, p.b, extra, s));
                }
                continue;
            }
            a.alive = false;
            b.alive = false;
            types.add(new Type(a.bunch.with(b.bunch), p.made.steel(), p.a, p.b));
            watch.merged(1);
            pairs(types.size() - 1, queue);
        }
        return types.stream().map(t -> t.node).toList();
    }

    private void pairs(int j, PriorityQueue<Pair<Sharing.Shared<D>>> queue) {
        Bunch b = types.get(j).bunch;
        for (int i = 0; i < j; i++) {
            Bunch a = types.get(i).bunch;
            if (types.get(i).alive && a.near(b)) {
                queue.add(new Pair<>(i, j, kgPerDemand * a.apart(b), null));
            }
        }
    }

    private static double[] larger(double[] a, double[] b) {
        double[] out = (a.length < b.length ? b : a).clone();
        for (int i = 0; i < Math.min(a.length, b.length); i++) {
            out[i] = Math.max(a[i], b[i]);
        }
        return out;
    }

    private static double[] smaller(double[] a, double[] b) {
        double[] out = (a.length < b.length ? b : a).clone();
        for (int i = 0; i < Math.min(a.length, b.length); i++) {
            out[i] = Math.min(a[i], b[i]);
        }
        return out;
    }

    private static int[] sums(int[] a, int[] b) {
        int[] out = (a.length < b.length ? b : a).clone();
        for (int i = 0; i < Math.min(a.length, b.length); i++) {
            out[i] = a[i] + b[i];
        }
        return out;
    }

    /** Members with the same cage are one type from the start; where there are very many, those that demand nearly the same as well. */
    private void begin(List<M> members) {
        double demanded = 0;
        double kg = 0;
        Map<Object, Bunch> same = new LinkedHashMap<>();
        for (M m : members) {
            Bunch b = new Bunch(m);
            demanded += b.demanded();
            kg += sharing.steel(sharing.own(m)).kg();
            same.merge(sharing.cage(m), b, Bunch::with);
        }
        kgPerDemand = demanded > 0 ? kg / demanded : 1;
        gathered(List.copyOf(same.values())).forEach(this::start);
    }

    private void start(Bunch b) {
        Sharing.Shared<D> s = sharing.shared(b.members);
        watch.merged(b.members.size() - 1);
        if (s.sound() && s.practical()) {
            types.add(new Type(b, s.steel(), -1, -1));
        } else {
            b.members.forEach(m -> start(new Bunch(m)));
        }
    }

    /** Bunches in order of demand, each time the two neighbours that are the least apart put together, until they are few enough. */
    private List<Bunch> gathered(List<Bunch> bunches) {
        List<Bunch> out = new ArrayList<>(bunches);
        out.sort(Comparator.comparingDouble(b -> Arrays.stream(b.demand).sum()));
        while (out.size() > MOST) {
            int best = -1;
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i + 1 < out.size(); i++) {
                double c = out.get(i).near(out.get(i + 1)) ? out.get(i).apart(out.get(i + 1)) : least;
                if (c < least) {
                    least = c;
                    best = i;
                }
            }
            if (best < 0) {
                break;
            }
            out.set(best, out.get(best).with(out.remove(best + 1)));
        }
        return out;
    }
}
