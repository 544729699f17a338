package kolonne.core.column;

import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.shape.Shape;

/** Two lifts, of 3.6 m unless told, of square sections between beams 600 deep and 6 m long, the upper one loaded by 60 kN/m; f'c 30. */
public final class TwoLifts {
    private TwoLifts() {}

    /** @param lower, upper sides of the sections [mm] */
    public static ModelBuilder model(double lower, double upper) {
        return model(lower, upper, 3600, 3600);
    }

    /** @param high heights of the lifts from joint to joint, lower and upper [mm] */
    public static ModelBuilder model(double lower, double upper, double... high) {
        return model(new Shape.Rectangle(lower, lower), new Shape.Rectangle(upper, upper), high);
    }

    private static ModelBuilder model(Shape lower, Shape upper, double... high) {
        double roof = high[0] + high[1];
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 600)
                .section("L", lower.width(), lower.depth())
                .section("U", upper.width(), upper.depth())
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, high[0])
                .joint("C", 0, 0, roof)
                .joint("P", 6000, 0, high[0])
                .joint("Q", 6000, 0, roof)
                .fixed("A")
                .fixed("P")
                .fixed("Q");
        column(b, "c1", "A", "B", "L");
        column(b, "c2", "B", "C", "U");
        return b.beam("b1", "B", "P").beam("b2", "C", "Q").spread("b2", 0, 6000, 60, 60);
    }

    public static ColumnStack stack(double lower, double upper) {
        return ColumnStacks.find(new BuildingIndex(model(lower, upper).building()))
                .get(0);
    }

    /** Of two depths alike and two widths. */
    public static ColumnStack narrowing(double lower, double upper, double depth) {
        Shape foot = new Shape.Rectangle(lower, depth);
        return ColumnStacks.find(new BuildingIndex(model(foot, new Shape.Rectangle(upper, depth), 3600, 3600)
                        .building()))
                .get(0);
    }

    private static void column(ModelBuilder b, String id, String from, String to, String section) {
        b.members.add(new Member(
                id, Role.COLUMN, from, to, section, "C", 0, Release.NONE, Release.NONE, 0, 0, StiffnessFactors.GROSS));
    }
}
