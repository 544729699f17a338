package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.Bar;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;

/** Equal bars evenly round a ring, inside round ties or a spiral. */
public record RingBars(int count, Bar bar, boolean spiral) implements BarLayout {
    /** Part of the diameter that is the effective depth in shear. */
    private static final double DEPTH = 0.8;

    /** Inside round ties. */
    public RingBars(int count, Bar bar) {
        this(count, bar, false);
    }

    @Override
    public double area() {
        return count * bar.area();
    }

    @Override
    public Bar largest() {
        return bar;
    }

    @Override
    public Bar smallest() {
        return bar;
    }

    @Override
    public String words() {
        return count + bar.label();
    }

    @Override
    public Bar at(PlacedBar place) {
        return bar;
    }

    private double radius(Shape shape, double inset) {
        return shape.width() / 2 - inset - bar.diameter() / 2;
    }

    @Override
    public List<PlacedBar> bars(Shape shape, double inset) {
        List<PlacedBar> out = new ArrayList<>(count);
        double r = radius(shape, inset);
        for (int i = 0; i < count; i++) {
            double a = 2 * Math.PI * i / count;
            out.add(new PlacedBar(r * Math.cos(a), r * Math.sin(a), bar.area()));
        }
        return out;
    }

    @Override
    public double[] gaps(Shape shape, double inset) {
        return new double[] {2 * radius(shape, inset) * Math.sin(Math.PI / count) - bar.diameter()};
    }

    @Override
    public double effectiveDepth(Shape shape, double inset, int axis) {
        return DEPTH * shape.width();
    }

    @Override
    public int legsAlongX() {
        return 2;
    }

    @Override
    public int legsAlongY() {
        return 2;
    }

    @Override
    public int loose() {
        return 0;
    }

    @Override
    public BarLayout unheld() {
        return this;
    }

    @Override
    public BarLayout holdingAll() {
        return this;
    }

    @Override
    public int below(BarLayout above) {
        return above instanceof RingBars r && bar.diameter() >= r.bar.diameter() ? Math.min(count, r.count) : 0;
    }
}
