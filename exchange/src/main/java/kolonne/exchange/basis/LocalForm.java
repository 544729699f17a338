package kolonne.exchange.basis;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import kolonne.core.basis.local.LocalScope;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.basis.local.LocalValues;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.Sway;
import kolonne.core.finding.Finding;
import kolonne.core.model.Role;

/** The wire form of local settings. */
final class LocalForm {
    private LocalForm() {}

    static Map<String, LocalDto> dto(List<LocalSettings> all) {
        Map<String, LocalDto> out = new LinkedHashMap<>();
        all.forEach(s -> out.put(s.name(), dto(s)));
        return out;
    }

    private static LocalDto dto(LocalSettings s) {
        LocalScope w = s.scope();
        return new LocalDto(
                w.role() == null ? null : w.role().name().toLowerCase(Locale.ROOT),
                List.copyOf(new TreeSet<>(w.storeys())),
                List.copyOf(new TreeSet<>(w.members())),
                dto(s.values()));
    }

    private static LocalSetDto dto(LocalValues v) {
        return new LocalSetDto(
                v.materials().fy(),
                v.materials().fyt(),
                v.materials().beamCover(),
                v.materials().columnCover(),
                v.materials().aggregate(),
                v.bars().beams(),
                v.bars().columns(),
                v.bars().layersMost(),
                v.bars().practicalCap(),
                word(v.bars().preference()),
                v.bars().bundles(),
                v.stirrups().allowed(),
                v.stirrups().least(),
                v.stirrups().most(),
                v.stirrups().zonesMost(),
                v.stirrups().legsMost(),
                v.practice().sizesApart(),
                v.practice().columnBarsApart(),
                v.practice().lengthModule(),
                word(v.sway().x()),
                word(v.sway().y()),
                word(v.sway().lengths()),
                v.sway().lengthX(),
                v.sway().lengthY(),
                v.outside());
    }

    private static String word(Enum<?> e) {
        return e == null ? null : BasisFile.word(e);
    }

    /** @param out told what is wrong; what is returned then is not to be used */
    static List<LocalSettings> read(Map<String, LocalDto> all, Consumer<Finding> out) {
        List<LocalSettings> settings = new ArrayList<>();
        for (Map.Entry<String, LocalDto> e : (all == null ? Map.<String, LocalDto>of() : all).entrySet()) {
            LocalSettings s = e.getValue() == null ? null : read(e.getKey(), e.getValue(), out);
            if (s == null) {
                out.accept(
                        Finding.fails(
                                "basis.local",
                                where(e.getKey()),
                                "A field is null or a word is not one of the choices.",
                                "Give role (beam, column, or none for both), storeys, members and set; docs/formats/basis.md lists them."));
            } else {
                settings.add(s);
            }
        }
        return settings;
    }

    private static String where(String name) {
        return "basis, local settings " + name;
    }

    private static LocalSettings read(String name, LocalDto d, Consumer<Finding> out) {
        List<String> storeys = d.storeys() == null ? List.of() : d.storeys();
        List<String> members = d.members() == null ? List.of() : d.members();
        LocalSetDto v = d.set();
        Role role = d.role() == null ? null : BasisFile.choice(Role.class, d.role());
        if (v == null
                || d.role() != null && role == null
                || v.preference() != null && BasisFile.choice(Preference.class, v.preference()) == null
                || v.swayX() != null && BasisFile.choice(Sway.class, v.swayX()) == null
                || v.swayY() != null && BasisFile.choice(Sway.class, v.swayY()) == null
                || v.effectiveLengths() != null
                        && BasisFile.choice(EffectiveLengths.class, v.effectiveLengths()) == null
                || nulls(storeys)
                || nulls(members)
                || nulls(v.beamBars())
                || nulls(v.columnBars())
                || nulls(v.stirrups())) {
            return null;
        }
        return new LocalSettings(name, new LocalScope(role, Set.copyOf(storeys), Set.copyOf(members)), values(v));
    }

    private static boolean nulls(List<String> labels) {
        return labels != null && labels.stream().anyMatch(Objects::isNull);
    }

    private static LocalValues values(LocalSetDto v) {
        return new LocalValues(
                new LocalValues.OfMaterials(v.fyMpa(), v.fytMpa(), v.beamCoverMm(), v.columnCoverMm(), v.aggregateMm()),
                new LocalValues.OfBars(
                        v.beamBars(),
                        v.columnBars(),
                        v.layersMost(),
                        v.practicalCap(),
                        v.preference() == null ? null : BasisFile.choice(Preference.class, v.preference()),
                        v.bundles()),
                new LocalValues.OfStirrups(
                        v.stirrups(), v.spacingLeastMm(), v.spacingMostMm(), v.zonesMost(), v.legsMost()),
                new LocalValues.OfPractice(v.sizesApart(), v.columnBarsApartMm(), v.lengthModuleMm()),
                new LocalValues.OfSway(
                        v.swayX() == null ? null : BasisFile.choice(Sway.class, v.swayX()),
                        v.swayY() == null ? null : BasisFile.choice(Sway.class, v.swayY()),
                        v.effectiveLengths() == null
                                ? null
                                : BasisFile.choice(EffectiveLengths.class, v.effectiveLengths()),
                        v.effectiveLengthX(),
                        v.effectiveLengthY()),
                v.outsideFrame());
    }
}
