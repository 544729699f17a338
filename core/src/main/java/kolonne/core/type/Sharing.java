package kolonne.core.type;

import java.util.List;
import kolonne.core.finding.Finding;

/** How members of one role share cages. @param <M> a beam line or column stack; @param <D> its design */
interface Sharing<M, D> {
    String id(M member);

    Likeness likeness(M member);

    /** The design of a member by itself. */
    D own(M member);

    /** Whether a person has set parts of a member, so that it keeps a cage of its own. */
    boolean setByHand(M member);

    /** What members with the same cage have in common. */
    Object cage(M member);

    boolean satisfied(D design);

    Steel steel(D design);

    /** What a member demands, as steel at like places of like members [mm2]; estimates of merges are made by it. */
    double[] demand(M member);

    /** Members with one cage, each checked; in their order. */
    Shared<D> shared(List<M> members);

    /**
     * @param sound     whether every member that is satisfied by itself is satisfied with the shared cage
     * @param practical whether no member breaks a rule of practice that it keeps by itself
     * @param steel     of all members together
     */
    record Shared<D>(List<D> designs, boolean sound, boolean practical, Steel steel) {
        public Shared {
            designs = List.copyOf(designs);
        }

        /** Whether this is to be taken rather than another: safe first, then as a site builds, then with less steel. */
        boolean before(Shared<D> o) {
            if (o == null || sound != o.sound) {
                return o == null || sound;
            }
            return practical == o.practical ? steel.kg() < o.steel.kg() : practical;
        }
    }

    /** Whether a design with these findings breaks a rule of practice. */
    static boolean breaksPractice(List<Finding> findings) {
        return findings.stream().anyMatch(f -> f.code().startsWith("practice."));
    }
}
