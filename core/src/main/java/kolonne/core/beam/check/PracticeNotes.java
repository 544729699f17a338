package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.FaceLayout;
import kolonne.core.beam.cage.LayerSpacers;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;

/** Where the bars of a line do not keep what the basis wants of a site's habits: a note, since nothing is unsafe. */
final class PracticeNotes {
    private static final int SIZES = 2;

    private PracticeNotes() {}

    static List<Finding> of(BeamLine line, BeamCage cage, BeamContext context) {
        Basis basis = context.basis();
        List<Finding> out = new ArrayList<>();
        for (int span : LayerSpacers.crowded(line, cage, basis)) {
            out.add(Finding.note(
                    "practice.spacers",
                    line.mark() + ", span " + (span + 1),
                    "Stirrups leave no room for spacers between layers.",
                    "Hold the further layer otherwise, or let stirrups be larger and farther apart."));
        }
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
        if (!context.own().faces().containsKey(BeamCage.Face.TOP)) {
            crowded(line, cage, basis).ifPresent(out::add);
        }
        return out;
    }

    /** Where a row of many top bars leaves the vibrator the least room, if that is less than is wanted. */
    private static Optional<Finding> crowded(BeamLine line, BeamCage cage, Basis basis) {
        Finding worst = null;
        double least = Double.POSITIVE_INFINITY;
        for (BeamLine.Span s : line.spans()) {
            for (double x : places(s, cage)) {
                FaceLayout layout = FaceLayout.of(cage, s, BeamCage.Face.TOP, x, basis);
                for (int n = 1; n <= basis.bars().layersMost(); n++) {
                    List<FaceLayout.Unit> row = layout.layer(n);
                    double[] tightest = FaceLayout.tightest(row, basis);
                    if (tightest != null && BarFit.crowded(row.size(), tightest[1], basis) && tightest[1] < least) {
                        least = tightest[1];
                        worst = crowded(line, s, row.size(), least, basis);
                    }
                }
            }
        }
        return Optional.ofNullable(worst);
    }

    /** At the faces, in the middle and where bars begin or end: only there do rows change. */
    private static List<Double> places(BeamLine.Span s, BeamCage cage) {
        List<Double> out = new ArrayList<>(List.of(s.faceFrom(), s.middle(), s.faceTo()));
        for (BeamCage.Group g : cage.groups()) {
            for (double x : new double[] {g.from(), g.to()}) {
                if (x > s.faceFrom() && x < s.faceTo()) {
                    out.add(x);
                }
            }
        }
        return out;
    }

    private static Finding crowded(BeamLine line, BeamLine.Span s, int bars, double clear, Basis basis) {
        boolean us = basis.usUnits();
        return Finding.note(
                "practice.vibrator",
                line.mark() + ", span " + (s.number() + 1),
                String.format(
                        "%d top bars in a row leave %s between them, less than the %s that the vibrator is to have: no arrangement leaves it.",
                        bars,
                        Quantity.LENGTH.text(clear, us),
                        Quantity.LENGTH.text(basis.practice().vibrator().clear(), us)),
                "Let the basis allow larger bars or another layer, or make the web wider.");
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
