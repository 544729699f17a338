package kolonne.exchange.forces;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.exchange.forces.ForceMapping.Quantity;

/**
 * The header of a column: its name, and the unit that is written in it or in the row beneath.
 *
 * @param text as it stands in the table
 * @param unit as written, empty if there is none
 */
record ForceHeader(String text, String name, String unit) {
    /** What stands in brackets, or behind a comma, a slash or the word in. */
    private static final Pattern BRACKETS = Pattern.compile("^(.*?)\\s*[\\[({]\\s*([^\\])}]*?)\\s*[\\])}]\\s*$");

    private static final Pattern BEHIND =
            Pattern.compile("^(.*\\S)\\s*(?:[,/;:]|\\bin\\b|[_\\s])\\s*([\\p{L}·*.\\-]+)\\s*$");

    /** Words of the trade for each quantity, their short forms and one-letter headers, without blanks and signs; the plainest first. */
    private static final Map<Quantity, List<String>> NAMES = new EnumMap<>(Quantity.class);

    static {
        NAMES.put(
                Quantity.MEMBER,
                words(
                        "member memberid membername memberno membernumber memb mem mbr element elementid elementname elem "
                                + "elm el frame frameid framename bar barid barname beam beamid column columnid rod line lineid id "
                                + "name no nr number label tag mark part"));
        NAMES.put(
                Quantity.CASE,
                words(
                        "case caseid casename loadcase loadcaseid loadcasename lc lcase lcid load loading action outputcase "
                                + "resultcase combination combo comb loadcombination loadcombo loadcomb lcomb"));
        NAMES.put(
                Quantity.X,
                words("x station sta stn st distance dist position pos location loc place at offset abscissa s xm "
                        + "reldist relx relativedistance xoverl xl"));
        NAMES.put(Quantity.N, words("n nx p axial axialforce axf normalforce normal fx f1 n1 p1 nforce force"));
        NAMES.put(
                Quantity.VY,
                words("vy qy fy sheary shearforcey shearminor minorshear v2 q2 f2 v3 q3 f3 v22 v33 shear2 shear3"));
        NAMES.put(
                Quantity.VZ,
                words(
                        "vz qz fz shearz shearforcez shear shearforce sf v q shearmajor majorshear v2 q2 f2 v3 q3 f3 v22 v33 "
                                + "shear2 shear3"));
        NAMES.put(Quantity.T, words("t mt mx torsion torque tor torsionalmoment m1 t1"));
        NAMES.put(
                Quantity.MY,
                words(
                        "my m moment bending bendingmoment bm momenty momentmajor majormoment majorbending m2 m3 m22 m33 moment2 moment3"));
        NAMES.put(Quantity.MZ, words("mz momentz momentminor minormoment minorbending m2 m3 m22 m33 moment2 moment3"));
    }

    private static List<String> words(String all) {
        return List.of(all.split(" "));
    }

    /** @param below the cell of the row of units, empty if there is none */
    static ForceHeader of(String text, String below) {
        String t = text.strip();
        if (!below.isBlank()) {
            String name = BRACKETS.matcher(t).matches() ? t.replaceAll("\\s*[\\[({].*$", "") : t;
            return new ForceHeader(
                    text, plain(name), below.replaceAll("[\\[\\](){}]", "").strip());
        }
        Matcher b = BRACKETS.matcher(t);
        if (b.matches() && !b.group(1).isBlank()) {
            // words in brackets belong to the name: Moment (major)
            boolean word = named(plain(b.group(1) + b.group(2))) && !ForceUnits.known(b.group(2));
            return word ? new ForceHeader(text, plain(t), "") : new ForceHeader(text, plain(b.group(1)), b.group(2));
        }
        Matcher m = BEHIND.matcher(t);
        if (m.matches() && ForceUnits.known(m.group(2)) && !named(plain(t))) {
            return new ForceHeader(text, plain(m.group(1)), m.group(2));
        }
        return new ForceHeader(text, plain(t), "");
    }

    private static boolean named(String plain) {
        return NAMES.values().stream().anyMatch(n -> n.contains(plain));
    }

    private static String plain(String s) {
        return s.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }

    /** How many quantities the headers of a table name. */
    static long named(ForceTable t) {
        List<ForceHeader> all = t.headers().stream().map(h -> of(h, "")).toList();
        return NAMES.keySet().stream()
                .filter(q -> all.stream().anyMatch(h -> h.rank(q) >= 0))
                .count();
    }

    /** How plain a name this is for a quantity: 0 its own, more for others, -1 if it is none. */
    int rank(Quantity q) {
        return NAMES.get(q).indexOf(name);
    }

    /** The unit in which the column counts; empty if what is written is not known. */
    Optional<String> unitOf(Quantity q, boolean us) {
        if (q.text()) {
            return Optional.of("");
        }
        if (q == Quantity.X && (name.startsWith("rel") || name.equals("xoverl") || name.equals("xl"))) {
            return Optional.of(ForceUnits.RATIO);
        }
        return unit.isEmpty() ? Optional.of(ForceUnits.choices(q).get(us ? 1 : 0)) : ForceUnits.read(q, unit);
    }
}
