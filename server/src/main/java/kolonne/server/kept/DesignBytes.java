package kolonne.server.kept;

import com.esotericsoftware.kryo.Kryo;
import com.esotericsoftware.kryo.KryoException;
import com.esotericsoftware.kryo.io.Input;
import com.esotericsoftware.kryo.io.Output;
import com.esotericsoftware.kryo.util.MapReferenceResolver;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Quantities;
import kolonne.core.design.Undesigned;
import kolonne.core.type.TypeDesign;
import kolonne.core.type.Types;

/**
 * A design as bytes for the same build of the application. Cages, checks, findings and quantities are kept whole; lines, stacks and bases of design are found again
 * in the building by their order.
 */
public final class DesignBytes {
    /** Bytes of the checksum at the beginning. */
    private static final int SUM = 32;

    /** What is written; all lists are of classes that any reader of them accepts. */
    private record Kept(
            ArrayList<BeamDesign> beams,
            ArrayList<ColumnDesign> columns,
            Quantities quantities,
            Types types,
            ArrayList<TypeDesign> typed) {}

    /** Bytes that are no design of this building. */
    public static final class Unreadable extends RuntimeException {
        Unreadable(String what, Throwable why) {
            super(what, why);
        }
    }

    private DesignBytes() {}

    public static byte[] of(BuildingDesign d) {
        Kryo kryo = kryo(Known.of(d));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        bytes.writeBytes(new byte[SUM]);
        Deflater quick = new Deflater(Deflater.BEST_SPEED);
        try (Output out = new Output(new DeflaterOutputStream(bytes, quick), 1 << 16)) {
            kryo.writeObject(
                    out,
                    new Kept(
                            new ArrayList<>(d.beams()),
                            new ArrayList<>(d.columns()),
                            d.quantities(),
                            d.types(),
                            new ArrayList<>(d.typed())));
        } finally {
            quick.end();
        }
        byte[] all = bytes.toByteArray();
        System.arraycopy(sum(all), 0, all, 0, SUM);
        return all;
    }

    private static byte[] sum(byte[] all) {
        try {
            MessageDigest sum = MessageDigest.getInstance("SHA-256");
            sum.update(all, SUM, all.length - SUM);
            return sum.digest();
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * @param u the building as it was before the design
     * @throws Unreadable if the bytes are damaged, of another build, or of another building
     */
    public static BuildingDesign read(byte[] bytes, Undesigned u) {
        // before anything is read: a length that is wrong could ask for all the memory there is
        if (bytes.length <= SUM || !Arrays.equals(sum(bytes), Arrays.copyOf(bytes, SUM))) {
            throw new Unreadable("they are damaged", null);
        }
        try (Input in =
                new Input(new InflaterInputStream(new ByteArrayInputStream(bytes, SUM, bytes.length - SUM)), 1 << 16)) {
            Kept k = kryo(Known.of(u)).readObject(in, Kept.class);
            return u.asKept(k.beams(), k.columns(), k.quantities(), k.types(), List.copyOf(k.typed()));
        } catch (KryoException | IllegalArgumentException | NullPointerException e) {
            throw new Unreadable(e.getMessage(), e);
        }
    }

    private static Kryo kryo(Known known) {
        Kryo kryo = new Kryo(new MapReferenceResolver());
        kryo.setRegistrationRequired(false);
        kryo.setReferences(true);
        kryo.setClassLoader(new OwnClasses());
        known.register(kryo);
        return kryo;
    }

    /** Nothing but what a design is made of is ever loaded by the name that bytes give. */
    private static final class OwnClasses extends ClassLoader {
        OwnClasses() {
            super(DesignBytes.class.getClassLoader());
        }

        @Override
        protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
            if (!name.startsWith("kolonne.core.") && !name.startsWith("java.util.") && !name.startsWith("java.lang.")) {
                throw new ClassNotFoundException(name);
            }
            return super.loadClass(name, resolve);
        }
    }
}
