package kolonne.core.basis;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.basis.local.LocalValues;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Stirrups;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Parameter;
import kolonne.core.code.registry.Codes;
import kolonne.core.finding.Finding;

/** Whether a basis can be designed to. */
final class BasisCheck {
    /** So close spacers would fill the beam [mm]; 12 in. is more. */
    private static final double SPACERS_LEAST = 300;

    private final Basis b;
    private final List<Finding> out = new ArrayList<>();

    BasisCheck(Basis b) {
        this.b = b;
    }

    List<Finding> run() {
        Optional<CodeEntry> code = Codes.find(b.code());
        if (code.isEmpty()) {
            out.add(Finding.fails(
                    "basis.code",
                    "basis, code",
                    "There is no design code " + b.code() + ".",
                    "Choose one of " + Codes.keys() + "."));
            return out;
        }
        national(code.get());
        if (!out.isEmpty()) {
            return out; // the rules are not known without their parameters
        }
        for (BasisField f : BasisField.ALL) {
            range(f.id(), f.value().applyAsDouble(b), f.least(b), f.most(b), f.unit());
            if (f.kind() == BasisField.Kind.STRESS) {
                steel(f.id(), f.value().applyAsDouble(b));
            }
        }
        if (b.ductility() != Ductility.NONE && !code.get().ductility().containsKey(b.ductility())) {
            out.add(Finding.fails(
                    "basis.ductility",
                    "basis, ductility",
                    "Ductile frames of this code are not covered.",
                    "Choose none. " + code.get().remarks().getOrDefault("ductility", "Design them by hand.")));
        }
        double spacers = b.practice().spacersEvery();
        if (spacers > 0 && spacers < SPACERS_LEAST) {
            out.add(Finding.fails(
                    "basis.spacersEvery",
                    "basis, spacersEvery",
                    "Spacers between layers are closer than 300 mm (12 in.).",
                    "Give at least that, or 0 for none."));
        }
        labels("beamBars", b.bars().beams());
        labels("columnBars", b.bars().columns());
        labels("stirrups", b.bars().stirrups());
        local();
        return out;
    }

    private void local() {
        if (b.local().size() > LocalSettings.MOST) {
            wrong("local", "There are more than " + LocalSettings.MOST + " local settings.", "Join some of them.");
            return;
        }
        Set<String> names = new HashSet<>();
        for (LocalSettings s : b.local()) {
            String where = "local settings " + s.name();
            if (s.name().isBlank() || s.name().length() > LocalSettings.NAME_MOST || !names.add(s.name())) {
                wrong(
                        where,
                        "The name is empty, longer than " + LocalSettings.NAME_MOST + " letters, or there twice.",
                        "Give it a name of its own.");
            }
            if (s.scope().storeys().isEmpty() && s.scope().members().isEmpty()) {
                wrong(where, "They hold for no storey and no member.", "Name storeys or members.");
            }
            if (s.scope().members().size() + s.scope().storeys().size() > LocalSettings.MEMBERS_MOST) {
                wrong(
                        where,
                        "They name more than " + LocalSettings.MEMBERS_MOST + " members.",
                        "Name storeys instead.");
            }
            if (s.values().equals(LocalValues.NONE)) {
                wrong(where, "They change no value.", "Give a value, or take them away.");
            }
            together(s);
            // what is wrong with the project's own values is told once
            List<String> told = out.stream().map(Finding::code).toList();
            new BasisCheck(b.of(List.of(s)))
                    .run().stream()
                            .filter(f -> !told.contains(f.code()))
                            .forEach(f -> wrong(where + ", " + f.where().replace("basis, ", ""), f.what(), f.mend()));
        }
    }

    /** Members may answer to several settings at once: their least spacing must not be above the greatest. */
    private void together(LocalSettings s) {
        for (LocalSettings o : b.local()) {
            Stirrups both = b.of(List.of(s, o)).stirrups();
            boolean alone = s.values().stirrups().most() == null
                    || o.values().stirrups().least() == null;
            if (!alone && both.least() > both.most()) {
                wrong(
                        "local settings " + s.name() + ", spacingMost",
                        "The widest spacing is closer than the closest of " + o.name() + ".",
                        "Give values that members of both can keep.");
            }
        }
    }

    private void wrong(String where, String what, String mend) {
        out.add(Finding.fails("basis.local", "basis, " + where, what, mend));
    }

    private void national(CodeEntry code) {
        if (code.parameters().isEmpty() && !b.national().isEmpty()) {
            out.add(Finding.fails(
                    "basis.national",
                    "basis, national",
                    "The code has no nationally determined parameters.",
                    "Leave them out."));
            return;
        }
        for (Map.Entry<String, Double> e : b.national().entrySet()) {
            code.parameters().stream()
                    .filter(q -> q.key().equals(e.getKey()))
                    .findFirst()
                    .ifPresentOrElse(
                            q -> national(q, e.getValue()),
                            () -> out.add(Finding.fails(
                                    "basis.national",
                                    "basis, national",
                                    "There is no parameter " + e.getKey() + ".",
                                    "Use one of "
                                            + String.join(
                                                    ", ",
                                                    code.parameters().stream()
                                                            .map(Parameter::key)
                                                            .toList()) + ".")));
        }
    }

    private void steel(String field, double v) {
        DesignCode c = b.designCode();
        if (!c.coversSteel(v)) {
            out.add(Finding.fails(
                    "basis." + field,
                    "basis, " + field,
                    c.name() + " has no rules for bars of " + v + " MPa (" + c.coversSteelClause() + ").",
                    "Choose a grade that the code covers."));
        }
    }

    private void national(Parameter p, double v) {
        if (!p.allows(v)) {
            out.add(Finding.fails(
                    "basis.national." + p.key(),
                    "basis, national." + p.key(),
                    "The value is " + v + ", outside " + p.bounds() + ".",
                    "Give a value within these bounds."));
        }
    }

    private void range(String field, double v, double least, double most, String unit) {
        if (!(v >= least && v <= most)) {
            String of = unit.isEmpty() ? "" : " " + unit;
            out.add(Finding.fails(
                    "basis." + field,
                    "basis, " + field,
                    "The value is " + v + of + ", outside " + least + " to " + most + of + ".",
                    "Give a value within these bounds."));
        }
    }

    private void labels(String field, List<String> labels) {
        if (labels.isEmpty()) {
            out.add(Finding.fails("basis." + field, "basis, " + field, "No bar is allowed.", "Choose at least one."));
        }
        for (String l : labels) {
            if (b.entry().catalogue().find(l) == null) {
                out.add(Finding.fails(
                        "basis." + field,
                        "basis, " + field,
                        "The catalogue " + b.entry().catalogue().name() + " has no bar " + l + ".",
                        "Choose bars of the catalogue."));
            }
        }
    }
}
