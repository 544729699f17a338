package kolonne.core.advice;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Finds the least of ascending sizes that satisfies. All are tried until one does: what is larger may fail where a smaller one does not, by the step to the lift above for instance. */
final class Least {
    private Least() {}

    /**
     * What came of the least that satisfies, else of the largest; empty for no sizes. If even the largest is too weak, none of the others is tried.
     *
     * @param tried  what comes of a size
     * @param option what it says of the section
     */
    static <S, T> Optional<T> of(List<S> sizes, Function<S, T> tried, Function<T, SectionAdvice.Option> option) {
        if (sizes.isEmpty()) {
            return Optional.empty();
        }
        T largest = tried.apply(sizes.get(sizes.size() - 1));
        if (option.apply(largest).strength() > 1) {
            return Optional.of(largest);
        }
        for (S s : sizes.subList(0, sizes.size() - 1)) {
            T t = tried.apply(s);
            if (option.apply(t).satisfied()) {
                return Optional.of(t);
            }
        }
        return Optional.of(largest);
    }
}
