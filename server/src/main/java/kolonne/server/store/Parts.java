package kolonne.server.store;

import java.io.ByteArrayOutputStream;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;

/** Content that is stored in parts, which every database takes; one transaction a part, so that a large file holds no other work up. */
final class Parts {
    /** Bytes of a part. */
    static final int SIZE = 4 << 20;

    private Parts() {}

    /** Takes a part under its number. */
    interface Taking {
        void take(int part, byte[] content);
    }

    /** @return how many there are */
    static int each(byte[] content, Taking taking) {
        int part = 0;
        for (int from = 0; from < content.length; from += SIZE) {
            taking.take(part++, Arrays.copyOfRange(content, from, Math.min(content.length, from + SIZE)));
        }
        return part;
    }

    /** @param parts one by its number, or none */
    static byte[] joined(IntFunction<List<byte[]>> parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int part = 0;
        for (List<byte[]> b = parts.apply(part); !b.isEmpty(); b = parts.apply(part)) {
            out.writeBytes(b.get(0));
            part++;
        }
        return out.toByteArray();
    }
}
