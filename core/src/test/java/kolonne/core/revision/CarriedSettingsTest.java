package kolonne.core.revision;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.local.LocalScope;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.basis.local.LocalValues;
import kolonne.core.model.Role;
import org.junit.jupiter.api.Test;

/** Old members a and b are one in the newer model, c is two, d is gone, and its id belongs to another member there. */
class CarriedSettingsTest {
    private static final Map<String, List<String>> SUCCESSORS =
            Map.of("a", List.of("ab"), "b", List.of("ab"), "c", List.of("c1", "c2"), "e", List.of("d"));

    private static CarriedSettings carried(Set<String> storeys, Set<String> members) {
        LocalSettings s = new LocalSettings("Car park", new LocalScope(Role.BEAM, storeys, members), LocalValues.NONE);
        return CarriedSettings.carry(List.of(s), SUCCESSORS, Set.of("L1", "L2"));
    }

    private static Set<String> members(CarriedSettings c) {
        return c.now().get(0).scope().members();
    }

    @Test
    void theyGoOnWithTheirMembersWhateverTheseAreCalled() {
        CarriedSettings c = carried(Set.of("L1"), Set.of("a", "b", "c", "e"));
        assertEquals(Set.of("ab", "c1", "c2", "d"), members(c));
        assertEquals(Set.of("L1"), c.now().get(0).scope().storeys());
        assertEquals(Role.BEAM, c.now().get(0).scope().role());
        assertEquals(List.of(), c.told());
    }

    @Test
    void aMemberThatIsGoneIsToldAndItsIdIsNotTakenForAnother() {
        CarriedSettings c = carried(Set.of(), Set.of("a", "d"));
        assertEquals(Set.of("ab"), members(c));
        assertEquals(List.of("local settings “Car park” lose d, no longer in the model"), c.told());
        CarriedSettings many = carried(Set.of(), Set.of("a", "u1", "u2", "u3", "u4", "u5", "u6", "u7"));
        assertEquals(
                List.of("local settings “Car park” lose u1, u2, u3, u4, u5 and 2 more, no longer in the model"),
                many.told());
    }

    @Test
    void withoutMembersAndStoreysTheyEnd() {
        CarriedSettings c = carried(Set.of(), Set.of("d"));
        assertEquals(List.of(), c.now());
        assertEquals(List.of("local settings “Car park” end: none of their members is in the newer model"), c.told());
    }

    @Test
    void storeysThatTheNewerModelDoesNotHaveAreTold() {
        CarriedSettings c = carried(Set.of("L1", "L9"), Set.of());
        assertEquals(Set.of("L1", "L9"), c.now().get(0).scope().storeys(), "they may be called so again");
        assertEquals(
                List.of("local settings “Car park” are for storey L9, which the newer model does not have"), c.told());
    }
}
