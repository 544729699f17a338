package kolonne.core.advice;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/** Finds the least of ascending sizes that serves, where what serves still does when it is larger. */
final class Halving {
    private Halving() {}

    /** What came of the least that serves, else of the largest; empty for no sizes. @param tried what comes of a size */
    static <S, T> Optional<T> least(List<S> sizes, Function<S, T> tried, Predicate<T> serves) {
        if (sizes.isEmpty()) {
            return Optional.empty();
        }
        T best = tried.apply(sizes.get(sizes.size() - 1));
        int low = 0;
        int high = serves.test(best) ? sizes.size() - 2 : -1;
        while (low <= high) {
            int middle = (low + high) / 2;
            T t = tried.apply(sizes.get(middle));
            if (serves.test(t)) {
                best = t;
                high = middle - 1;
            } else {
                low = middle + 1;
            }
        }
        return Optional.of(best);
    }
}
