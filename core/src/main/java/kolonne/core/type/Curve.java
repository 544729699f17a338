package kolonne.core.type;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kolonne.core.model.Role;

/**
 * Numbers of types of one role against their steel. It begins with a type for every cage that members have by themselves and merges two types at a time, those
 * that cost least, as far as likeness allows.
 *
 * @param members how many there are
 * @param own     steel with a cage for every member by itself
 * @param nodes   types that were made, those it begins with first
 * @param merges  numbers of the nodes that were made by merging, in order
 */
public record Curve(Role role, int members, Steel own, List<Node> nodes, List<Integer> merges) {
    /** Of what more steel than the least the suggested number of types may cost. */
    private static final double SUGGESTED = 0.05;

    public Curve {
        nodes = List.copyOf(nodes);
        merges = List.copyOf(merges);
    }

    /**
     * A type that was made.
     *
     * @param members ids of lines or stacks
     * @param heaviest the one that takes most steel by itself
     * @param steel   of all of them with the shared cage
     * @param alone   of all of them with cages of their own
     * @param left    number of a node it was merged of; -1 in one that the curve begins with; {@code right} the other
     */
    public record Node(List<String> members, String heaviest, Steel steel, Steel alone, int left, int right) {
        public Node {
            members = List.copyOf(members);
        }

        Node after(int offset) {
            return first() ? this : new Node(members, heaviest, steel, alone, left + offset, right + offset);
        }

        boolean first() {
            return left < 0;
        }
    }

    /** A point of the curve. */
    public record Point(int types, Steel steel) {}

    private int begins() {
        return (int) nodes.stream().filter(Node::first).count();
    }

    /** What a merge adds [kg]; negative where the shared cage is the lighter. */
    public double extra(Node n) {
        return n.first()
                ? 0
                : n.steel().kg()
                        - nodes.get(n.left()).steel().kg()
                        - nodes.get(n.right()).steel().kg();
    }

    /** Points that no other beats with fewer types and no more steel; most types first. */
    public List<Point> points() {
        List<Point> all = new ArrayList<>();
        Steel sum = nodes.stream().filter(Node::first).map(Node::steel).reduce(Steel.NONE, Steel::plus);
        int types = begins();
        all.add(new Point(types, sum));
        for (int k : merges) {
            Node n = nodes.get(k);
            Node a = nodes.get(n.left());
            Node b = nodes.get(n.right());
            sum = sum.plus(n.steel()).minus(a.steel()).minus(b.steel());
            all.add(new Point(--types, sum));
        }
        List<Point> out = new ArrayList<>();
        double least = Double.POSITIVE_INFINITY;
        for (int i = all.size() - 1; i >= 0; i--) {
            if (all.get(i).steel().kg() < least) {
                least = all.get(i).steel().kg();
                out.add(0, all.get(i));
            }
        }
        return List.copyOf(out);
    }

    /** The types at a point, by how they were made. @param types of one of {@link #points()} */
    public List<Node> types(int types) {
        Set<Integer> alive = new HashSet<>();
        for (int i = 0; i < nodes.size(); i++) {
            if (nodes.get(i).first()) {
                alive.add(i);
            }
        }
        for (int k : merges) {
            if (alive.size() <= types) {
                break;
            }
            alive.remove(nodes.get(k).left());
            alive.remove(nodes.get(k).right());
            alive.add(k);
        }
        return alive.stream().sorted().map(nodes::get).toList();
    }

    /** The merges that lead from a point to the next with fewer types; none at the last. @param types of a point */
    public List<Node> mergesAfter(int types) {
        int next = points().stream()
                .mapToInt(Point::types)
                .filter(t -> t < types)
                .max()
                .orElse(types);
        return merges.subList(begins() - types, begins() - next).stream()
                .map(nodes::get)
                .toList();
    }

    /** One of the two types that a node was merged of. */
    public Node part(Node n, boolean left) {
        return nodes.get(left ? n.left() : n.right());
    }

    /** The fewest types for little more steel than the least. */
    public Point suggested() {
        List<Point> p = points();
        double least = p.stream().mapToDouble(q -> q.steel().kg()).min().orElse(0);
        Point out = p.get(0);
        for (Point q : p) {
            out = q.steel().kg() <= least * (1 + SUGGESTED) && q.types() < out.types() ? q : out;
        }
        return out;
    }
}
