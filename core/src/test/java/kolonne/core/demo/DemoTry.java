package kolonne.core.demo;
import kolonne.core.analysis.*; import kolonne.core.basis.*; import kolonne.core.design.*; import kolonne.core.model.*; import kolonne.core.finding.*;
import java.util.*;
public class DemoTry {
    public static void main(String[] a) {
        Building b = DemoBuilding.generate(a.length > 0 ? DemoOptions.ofSize(Integer.parseInt(a[0])) : DemoOptions.VELDHAVEN);
        System.out.println(b.members().size() + " members " + b.joints().size() + " joints " + b.combinations().size() + " combos");
        ModelCheck.run(b).forEach(System.out::println);
        for (int k = 0; k < 3; k++) {
            long t0 = System.nanoTime();
            Analysis an;
            try { an = FrameAnalysis.solve(new BuildingIndex(b)); } catch (AnalysisFailed f) { f.findings().stream().limit(10).forEach(System.out::println); return; }
            long t1 = System.nanoTime();
            BuildingDesign d = BuildingDesigner.design(an, Basis.standard(false), BuildingDesigner.Progress.NONE);
            long t2 = System.nanoTime();
            System.out.printf("solve %.2f s design %.2f s%n", (t1 - t0) / 1e9, (t2 - t1) / 1e9);
            if (k < 2) continue;
            for (int c = 0; c < b.loadCases().size(); c++) System.out.print(an.residual(c) + " ");
            System.out.println(); an.findings().forEach(System.out::println);
            System.out.println(d.state() + " " + d.quantities().steel() + " kg " + d.quantities().density());
            System.out.println(d.causes());
            d.columnContext().sway().storeys().forEach(System.out::println);
            Map<String,Integer> seen = new HashMap<>();
            d.beams().forEach(x -> x.findings().forEach(f -> { if (f.severity() == Severity.FAILS && seen.merge(f.code(), 1, Integer::sum) < 7) System.out.println(x.line().spans().get(0).section().id() + " " + f + " " + f.combination()); }));
            d.columns().forEach(x -> x.findings().forEach(f -> { if (f.severity() == Severity.FAILS && seen.merge("c" + f.code(), 1, Integer::sum) < 7) System.out.println(f + " " + f.combination()); }));
            double[] hist = new double[12]; d.beams().forEach(x -> hist[(int) Math.min(11, x.governing().utilisation() * 10)]++); System.out.println("beams " + Arrays.toString(hist));
            double[] h2 = new double[12]; d.columns().forEach(x -> h2[(int) Math.min(11, x.governing().utilisation() * 10)]++); System.out.println("columns " + Arrays.toString(h2));
        }
    }
}
