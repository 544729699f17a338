package kolonne.exchange.basis;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * Settings of some members on the wire.
 *
 * @param role    {@code beam} or {@code column}; left out for both
 * @param storeys whose members they hold for; @param members further ones, by their ids in the model
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record LocalDto(
        String role,
        List<String> storeys,
        List<String> members,
        @JsonProperty(required = true) LocalSetDto set) {}
