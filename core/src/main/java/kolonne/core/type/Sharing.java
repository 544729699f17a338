package kolonne.core.type;

import java.util.List;

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
     * @param sound whether every member that is satisfied by itself is satisfied with the shared cage
     * @param steel of all members together
     */
    record Shared<D>(List<D> designs, boolean sound, Steel steel) {
        public Shared {
            designs = List.copyOf(designs);
        }
    }
}
