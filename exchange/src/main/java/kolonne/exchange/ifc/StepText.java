package kolonne.exchange.ifc;

/** The codes in texts of exchange files (ISO 10303-21, 6.4.3). */
final class StepText {
    private StepText() {}

    /** What a text stands for; codes that are damaged stay as they are. */
    static String decoded(String s) {
        if (s.indexOf('\\') < 0) {
            return s;
        }
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < s.length(); ) {
            int end = s.startsWith("\\X2\\", i) || s.startsWith("\\X4\\", i) ? s.indexOf("\\X0\\", i + 4) : -1;
            if (end > 0 && hex(out, s.substring(i + 4, end), s.charAt(i + 2) == '2' ? 4 : 8)) {
                i = end + 4;
            } else if (s.startsWith("\\X\\", i) && i + 5 <= s.length() && hex(out, s.substring(i + 3, i + 5), 2)) {
                i += 5;
            } else if (s.startsWith("\\S\\", i) && i + 4 <= s.length()) {
                out.append((char) (s.charAt(i + 3) + 128));
                i += 4;
            } else if (s.startsWith("\\\\", i)) {
                out.append('\\');
                i += 2;
            } else {
                out.append(s.charAt(i++));
            }
        }
        return out.toString();
    }

    private static boolean hex(StringBuilder out, String digits, int each) {
        if (digits.isEmpty() || digits.length() % each != 0 || !digits.matches("[0-9A-Fa-f]*")) {
            return false;
        }
        for (int i = 0; i < digits.length(); i += each) {
            int code = (int) Long.parseLong(digits.substring(i, i + each), 16);
            if (each < 8) {
                out.append((char) code);
            } else if (Character.isValidCodePoint(code)) {
                out.appendCodePoint(code);
            }
        }
        return true;
    }
}
