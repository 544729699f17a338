package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.finding.Finding;

/** Where the bars of a line do not keep what the basis wants of a site's habits: a note, since nothing is unsafe. */
final class PracticeNotes {
    private static final int SIZES = 2;

    private PracticeNotes() {}

    static List<Finding> of(BeamLine line, BeamCage cage, BeamContext context) {
        Basis basis = context.basis();
        List<Finding> out = new ArrayList<>();
        if (basis.bars().preference() != Preference.PRACTICAL) {
            return out;
        }
        for (BeamCage.Face face : BeamCage.Face.values()) {
            List<Bar> sizes = context.own().faces().containsKey(face)
                    ? List.of()
                    : sizes(cage.groups().stream().filter(g -> g.face() == face).toList(), basis);
            if (!sizes.isEmpty() && apart(sizes, basis) > basis.practice().sizesApart()) {
                out.add(note(line, face.word() + " bars of " + words(sizes) + " lie side by side"));
            }
        }
        List<Bar> all = context.own().faces().isEmpty() ? sizes(cage.groups(), basis) : List.of();
        if (all.size() > Math.max(SIZES, basis.practice().sizesApart() + 1)) {
            out.add(note(line, "the line has bars of " + words(all)));
        }
        return out;
    }

    private static Finding note(BeamLine line, String what) {
        return Finding.note(
                "practice.sizes",
                line.mark(),
                Character.toUpperCase(what.charAt(0)) + what.substring(1)
                        + ": no sizes nearer together serve everywhere.",
                "Let the basis allow more sizes, or make the weakest section larger.");
    }

    /** Allowed sizes among some groups, smallest first. */
    private static List<Bar> sizes(List<BeamCage.Group> groups, Basis basis) {
        return basis.beamBarList().stream()
                .filter(b -> groups.stream().anyMatch(g -> g.bar().equals(b)))
                .toList();
    }

    private static int apart(List<Bar> sizes, Basis basis) {
        List<Bar> allowed = basis.beamBarList();
        return allowed.indexOf(sizes.get(sizes.size() - 1)) - allowed.indexOf(sizes.get(0));
    }

    private static String words(List<Bar> sizes) {
        return sizes.stream().map(Bar::label).collect(Collectors.joining(", "));
    }
}
