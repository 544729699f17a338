package kolonne.core.type;

import java.util.List;

/**
 * A type as it is designed.
 *
 * @param members  ids of those that have its cage
 * @param left     those that have a cage of their own although they belong to it
 * @param sound    whether every member that is satisfied by itself is satisfied with the shared cage
 * @param steel    of all members with the shared cage
 * @param alone    of the same members with cages of their own
 */
public record TypeDesign(
        MemberType type, List<String> members, List<LeftOut> left, boolean sound, Steel steel, Steel alone) {
    public TypeDesign {
        members = List.copyOf(members);
        left = List.copyOf(left);
    }

    /** The same under what the type is called now. */
    public TypeDesign as(MemberType now) {
        return new TypeDesign(now, members, left, sound, steel, alone);
    }

    /** Why a member has a cage of its own. */
    public enum Why {
        GONE("it is no longer in the model"),
        UNLIKE("its sections, supports, lengths or local settings are no longer those of the type"),
        BY_HAND("parts of it are set by hand");

        private final String words;

        Why(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public record LeftOut(String member, Why why) {}
}
