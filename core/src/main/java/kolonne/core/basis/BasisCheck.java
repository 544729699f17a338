package kolonne.core.basis;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Parameter;
import kolonne.core.code.registry.Codes;
import kolonne.core.finding.Finding;

/** Whether a basis can be designed to. */
final class BasisCheck {
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
        labels("beamBars", b.bars().beams());
        labels("columnBars", b.bars().columns());
        labels("stirrups", b.bars().stirrups());
        return out;
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
                            q -> range("national." + q.key(), e.getValue(), q.least(), q.most(), ""),
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

    private void range(String field, double v, double least, double most, String unit) {
        if (!(v >= least && v <= most)) {
            out.add(Finding.fails(
                    "basis." + field,
                    "basis, " + field,
                    "The value is " + v + " " + unit + ", outside " + least + " to " + most + " " + unit + ".",
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
