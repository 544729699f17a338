package kolonne.exchange.basis;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;

/** Values in place of those of the project, under the same keys; what is left out is the project's. */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record LocalSetDto(
        Double fyMpa,
        Double fytMpa,
        Double beamCoverMm,
        Double columnCoverMm,
        Double aggregateMm,
        List<String> beamBars,
        List<String> columnBars,
        Integer layersMost,
        Double practicalCap,
        String preference,
        Boolean bundles,
        List<String> stirrups,
        Double spacingLeastMm,
        Double spacingMostMm,
        Integer zonesMost,
        Integer legsMost,
        Integer sizesApart,
        Double columnBarsApartMm,
        Double lengthModuleMm,
        String swayX,
        String swayY,
        String effectiveLengths,
        Double effectiveLengthX,
        Double effectiveLengthY,
        Boolean outsideFrame) {}
