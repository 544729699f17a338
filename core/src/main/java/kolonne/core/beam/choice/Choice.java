package kolonne.core.beam.choice;

import java.util.List;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.code.Bar;

/**
 * Additional bars of a region with the layers of the face, and bars added to the other face in compression.
 *
 * @param borne the least part that it bears of a moment of the region
 */
record Choice(
        int through,
        Bar throughBar,
        int added,
        Bar addedBar,
        List<BarFit.Layer> layers,
        int compression,
        Bar compressionBar,
        double borne,
        boolean satisfies) {
    double area() {
        return through * throughBar.area() + added * addedBar.area();
    }

    /** The same with fewer of the additional bars. @param rest layers, those of the through bars first */
    Choice with(List<BarFit.Layer> rest) {
        int left = rest.stream().skip(1).mapToInt(BarFit.Layer::count).sum();
        return new Choice(through, throughBar, left, addedBar, rest, compression, compressionBar, borne, satisfies);
    }
}
