package kolonne.core.mark;

import java.util.List;
import kolonne.core.model.Role;

/**
 * Members that a model puts together into one beam line or column stack, in order.
 *
 * @param stem    what its mark begins with: storey, or place on the grid
 * @param lengths of the members [mm]
 */
public record Chain(Role role, String stem, List<String> members, List<Double> lengths) {
    public Chain {
        members = List.copyOf(members);
        lengths = List.copyOf(lengths);
    }

    /** The mark of the n-th of its stem, from 1. */
    String mark(int n) {
        return role == Role.BEAM ? String.format("%s%02d", stem, n) : n == 1 ? stem : stem + "." + n;
    }

    /** Which number of its stem a mark says, 0 if it is not one of them. */
    int number(String mark) {
        if (!mark.startsWith(stem)) {
            return 0;
        }
        String rest = mark.substring(stem.length());
        if (role == Role.COLUMN && rest.isEmpty()) {
            return 1;
        }
        String digits = role == Role.BEAM ? rest : rest.startsWith(".") ? rest.substring(1) : "";
        return digits.matches("\\d{1,7}") ? Integer.parseInt(digits) : 0;
    }
}
