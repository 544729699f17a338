package kolonne.core.type;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.model.Role;

/** Gives the members of types their common cages. */
public final class TypedDesign {
    private final Types types;

    private TypedDesign(Types types) {
        this.types = types;
    }

    /** Designs of members of types, by id; and the types. @param <D> design of a member */
    public record Typed<D>(Map<String, D> designs, List<TypeDesign> types) {}

    /** @param own designs of the lines of these types by themselves, others may be among them; @param contexts by their bases */
    public static Typed<BeamDesign> beams(
            Types types, Collection<MemberType> which, List<BeamDesign> own, Function<Basis, BeamContext> contexts) {
        return new TypedDesign(types)
                .designed(
                        Role.BEAM, which, own.stream().map(BeamDesign::line).toList(), new BeamSharing(own, contexts));
    }

    /** @param own designs of the stacks of these types by themselves, others may be among them; @param contexts by their bases */
    public static Typed<ColumnDesign> columns(
            Types types,
            Collection<MemberType> which,
            List<ColumnDesign> own,
            Function<Basis, ColumnContext> contexts) {
        return new TypedDesign(types)
                .designed(
                        Role.COLUMN,
                        which,
                        own.stream().map(ColumnDesign::stack).toList(),
                        new ColumnSharing(own, contexts));
    }

    private <M, D> Typed<D> designed(Role role, Collection<MemberType> which, List<M> members, Sharing<M, D> sharing) {
        Map<String, M> byId = new HashMap<>();
        members.forEach(m -> byId.put(sharing.id(m), m));
        Map<String, D> designs = new java.util.concurrent.ConcurrentHashMap<>();
        List<TypeDesign> out = which.stream().filter(t -> t.role() == role).toList().parallelStream()
                .map(t -> designed(t, byId, sharing, designs))
                .toList();
        return new Typed<>(Map.copyOf(designs), out);
    }

    private <M, D> TypeDesign designed(
            MemberType t, Map<String, M> byId, Sharing<M, D> sharing, Map<String, D> designs) {
        List<TypeDesign.LeftOut> left = new ArrayList<>();
        List<M> alike = new ArrayList<>();
        for (String id : t.members().stream().sorted().toList()) {
            M m = byId.get(id);
            if (m == null) {
                left.add(new TypeDesign.LeftOut(id, TypeDesign.Why.GONE));
            } else if (sharing.setByHand(m)) {
                left.add(new TypeDesign.LeftOut(id, TypeDesign.Why.BY_HAND));
            } else {
                alike.add(m);
            }
        }
        List<M> share = Likeness.mostAlike(alike, sharing::likeness, types.tolerance());
        alike.stream()
                .filter(m -> !share.contains(m))
                .forEach(m -> left.add(new TypeDesign.LeftOut(sharing.id(m), TypeDesign.Why.UNLIKE)));
        Steel alone = share.stream().map(m -> sharing.steel(sharing.own(m))).reduce(Steel.NONE, Steel::plus);
        if (share.size() < 2) {
            return new TypeDesign(t, share.stream().map(sharing::id).toList(), left, true, alone, alone);
        }
        Sharing.Shared<D> s = sharing.shared(share);
        for (int i = 0; i < share.size(); i++) {
            designs.put(sharing.id(share.get(i)), s.designs().get(i));
        }
        return new TypeDesign(t, share.stream().map(sharing::id).toList(), left, s.sound(), s.steel(), alone);
    }
}
