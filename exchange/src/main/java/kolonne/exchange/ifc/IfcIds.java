package kolonne.exchange.ifc;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** Global ids that stay as they are while the things do: made from a project and a name, 22 signs for 128 bits (buildingSMART's table). */
final class IfcIds {
    private static final String SIGNS = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz_$";

    private final String project;

    IfcIds(String project) {
        this.project = project;
    }

    String of(String what) {
        UUID u = UUID.nameUUIDFromBytes((project + "\n" + what).getBytes(StandardCharsets.UTF_8));
        return compressed(u);
    }

    /** Two bits, then six at a time. */
    static String compressed(UUID u) {
        byte[] bytes = ByteBuffer.allocate(16)
                .putLong(u.getMostSignificantBits())
                .putLong(u.getLeastSignificantBits())
                .array();
        StringBuilder out = new StringBuilder(22);
        int bits = bytes[0] & 0xFF;
        out.append(SIGNS.charAt(bits >> 6));
        int held = 6;
        int value = bits & 0x3F;
        for (int i = 1; ; ) {
            if (held >= 6) {
                out.append(SIGNS.charAt(value >> held - 6 & 0x3F));
                held -= 6;
                value &= (1 << held) - 1;
            } else if (i < 16) {
                value = value << 8 | bytes[i++] & 0xFF;
                held += 8;
            } else {
                return out.toString();
            }
        }
    }
}
