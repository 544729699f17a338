package kolonne.core.type;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;

/** Column stacks that share a cage: in every lift the first arrangement that bears what each of them bears. */
final class ColumnSharing implements Sharing<ColumnStack, ColumnDesign> {
    private final Function<Basis, ColumnContext> contexts;
    private final Map<String, ColumnDesign> own = new HashMap<>();

    /** @param own designs of the stacks by themselves; @param contexts by the basis of a stack */
    ColumnSharing(List<ColumnDesign> own, Function<Basis, ColumnContext> contexts) {
        this.contexts = contexts;
        own.forEach(d -> this.own.put(d.stack().id(), d));
    }

    @Override
    public String id(ColumnStack s) {
        return s.id();
    }

    @Override
    public Likeness likeness(ColumnStack s) {
        return Likeness.of(own(s));
    }

    @Override
    public ColumnDesign own(ColumnStack s) {
        return own.get(s.id());
    }

    @Override
    public boolean setByHand(ColumnStack s) {
        return own(s).byHand();
    }

    @Override
    public Object cage(ColumnStack s) {
        return own(s).cage();
    }

    @Override
    public boolean satisfied(ColumnDesign d) {
        return d.satisfied();
    }

    @Override
    public Steel steel(ColumnDesign d) {
        return Steel.of(d);
    }

    @Override
    public Shared<ColumnDesign> shared(List<ColumnStack> stacks) {
        List<ColumnDesign> designs = stacks.size() == 1
                ? List.of(own(stacks.get(0)))
                : ColumnDesigner.design(
                        stacks, contexts.apply(own(stacks.get(0)).basis()));
        boolean sound = true;
        boolean practical = true;
        for (int i = 0; i < designs.size(); i++) {
            sound &= designs.get(i).satisfied() || !own(stacks.get(i)).satisfied();
            practical &= !Sharing.breaksPractice(designs.get(i).findings())
                    || Sharing.breaksPractice(own(stacks.get(i)).findings());
        }
        Steel sum = CountedBars.together(designs.stream().map(CountedBars::of).toList());
        return new Shared<>(designs, sound, practical, sum);
    }

    /** Steel of the lifts as chosen for each by itself. */
    @Override
    public double[] demand(ColumnStack s) {
        return own(s).cage().lifts().stream().mapToDouble(l -> l.area()).toArray();
    }
}
