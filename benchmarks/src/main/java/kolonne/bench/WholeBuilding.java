package kolonne.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.model.ModelWriter;
import kolonne.exchange.results.ResultsJson;

/** Times of a whole building: read, solve, design, publish (the results JSON); cold and warm; peak heap. */
public final class WholeBuilding {
    private static final int ROUNDS = 4;
    private static final int LINES = 250;

    private WholeBuilding() {}

    public static void main(String[] args) throws IOException {
        int[] sizes = args.length == 0
                ? new int[] {1000, 10_000}
                : java.util.Arrays.stream(args).mapToInt(Integer::parseInt).toArray();
        System.out.println(
                "members  lines  combinations |  read  solve  design  publish  [s]  | peak heap [MB]   (first round / best of "
                        + ROUNDS + ")");
        for (int size : sizes) {
            run(size);
        }
    }

    private static void run(int size) throws IOException {
        byte[] file = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(size)));
        double[] first = null;
        double[] best = {1e9, 1e9, 1e9, 1e9};
        String head = "";
        BuildingDesign last = null;
        resetPeaks();
        for (int round = 0; round < ROUNDS; round++) {
            double[] t = new double[4];
            long a = System.nanoTime();
            Building b = ModelReader.read(file).building();
            long c = System.nanoTime();
            Analysis analysis = FrameAnalysis.solve(new BuildingIndex(b));
            long d = System.nanoTime();
            BuildingDesign design =
                    BuildingDesigner.design(analysis, Basis.standard(false), BuildingDesigner.Progress.NONE);
            long e = System.nanoTime();
            ResultsJson.write(design, OutputStream.nullOutputStream());
            long f = System.nanoTime();
            long[] at = {a, c, d, e, f};
            for (int i = 0; i < 4; i++) {
                t[i] = (at[i + 1] - at[i]) / 1e9;
                best[i] = Math.min(best[i], t[i]);
            }
            first = first == null ? t : first;
            last = design;
            head = String.format(
                    Locale.ROOT,
                    "%7d  %5d  %12d",
                    b.members().size(),
                    design.state().members(),
                    b.combinations().size());
        }
        System.out.printf(
                Locale.ROOT, "%s | %5.2f %6.2f %7.2f %8.2f  first |%n", head, first[0], first[1], first[2], first[3]);
        System.out.printf(
                Locale.ROOT,
                "%s | %5.2f %6.2f %7.2f %8.2f  best  | %8d%n",
                " ".repeat(head.length()),
                best[0],
                best[1],
                best[2],
                best[3],
                peak() >> 20);
        lines(last);
    }

    /** Beam lines designed a second on one core, and the time of one edit: a line with one bar more by hand. */
    private static void lines(BuildingDesign d) {
        double design = 1e9;
        double edit = 1e9;
        List<BeamDesign> beams = d.beams().subList(0, Math.min(LINES, d.beams().size()));
        for (int round = 0; round < ROUNDS; round++) {
            long a = System.nanoTime();
            beams.forEach(b -> BeamDesigner.design(b.line(), d.contexts().beams()));
            long c = System.nanoTime();
            beams.forEach(b -> BeamDesigner.design(
                    b.line(), d.contexts().beams().with(Map.of(b.line().id(), HandCage.of(b.cage())))));
            long e = System.nanoTime();
            design = Math.min(design, (c - a) / 1e9);
            edit = Math.min(edit, (e - c) / 1e6);
        }
        System.out.printf(
                Locale.ROOT,
                "         %.0f beam lines a second on one core; one edit of a line checked in %.1f ms%n",
                beams.size() / design,
                edit / beams.size());
    }

    private static void resetPeaks() {
        System.gc();
        ManagementFactory.getMemoryPoolMXBeans().forEach(MemoryPoolMXBean::resetPeakUsage);
    }

    private static long peak() {
        return ManagementFactory.getMemoryPoolMXBeans().stream()
                .filter(p -> p.getType() == MemoryType.HEAP)
                .mapToLong(p -> p.getPeakUsage().getUsed())
                .sum();
    }
}
