package kolonne.server.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * A change of the model as it is sent and answered; {@code docs/formats/edits.md}. Read by {@link kolonne.exchange.model.EditFile}, which tells
 * what is wrong with it; the first part of a record's name is its kind.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
sealed interface EditDto {
    String kind();

    record SectionEdit(String kind, List<String> members, String section) implements EditDto {
        SectionEdit(List<String> members, String section) {
            this("section", members, section);
        }
    }

    record MaterialEdit(String kind, List<String> members, String material) implements EditDto {}

    record PutSectionEdit(
            String kind,
            String id,
            String shape,
            @MayBeAbsent Double b,
            @MayBeAbsent Double h,
            @MayBeAbsent Double d,
            @MayBeAbsent Double bw,
            @MayBeAbsent Double bf,
            @MayBeAbsent Double hf)
            implements EditDto {}

    record StiffnessEdit(
            String kind,
            List<String> members,
            @MayBeAbsent Double factorArea,
            @MayBeAbsent Double factorShearY,
            @MayBeAbsent Double factorShearZ,
            @MayBeAbsent Double factorIy,
            @MayBeAbsent Double factorIz,
            @MayBeAbsent Double factorTorsion)
            implements EditDto {}

    record ReleasesEdit(String kind, List<String> members, List<String> releaseStart, List<String> releaseEnd)
            implements EditDto {}

    record MemberLoadsEdit(
            String kind,
            String member,
            @JsonProperty("case") String loadCase,
            List<EditedLoad> loads) implements EditDto {}

    record AreaLoadEdit(
            String kind, String panel, @JsonProperty("case") String loadCase, double pressure) implements EditDto {}

    record OptionsEdit(String kind, EditedAnalysis analysis, List<RoleFactors> roleStiffness) implements EditDto {}

    record ForcesEdit(String kind, List<EditedForces> rows) implements EditDto {}

    /** A row of memberLoads without member and case. */
    record EditedLoad(
            @JsonProperty("kind") String of,
            String direction,
            double from,
            @MayBeAbsent Double to,
            double value,
            @MayBeAbsent Double valueTo) {}

    /** The row of analysis. */
    record EditedAnalysis(
            String shearDeformation,
            double rigidEnds,
            String patternLive,
            @MayBeAbsent Double inclination,
            Map<String, Double> pDelta) {}

    /** A row of roleStiffness. */
    record RoleFactors(
            String role,
            double factorArea,
            double factorShearY,
            double factorShearZ,
            double factorIy,
            double factorIz,
            double factorTorsion) {}

    /** A row of stationForces. */
    record EditedForces(
            String member,
            @JsonProperty("case") String loadCase,
            double x,
            double n,
            double vy,
            double vz,
            double t,
            double my,
            double mz) {}
}
