package kolonne.exchange.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import kolonne.core.project.Logo;
import kolonne.core.project.ProjectData;
import kolonne.core.project.ProjectData.Field;
import kolonne.core.project.Revision;
import org.junit.jupiter.api.Test;

/** Project data and logos as files, sound and not. */
class ProjectFilesTest {
    private static ProjectFile.Read read(String json) {
        return ProjectFile.read(json.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        ProjectData d = new ProjectData(
                Map.of(Field.TITLE, "Zaal „één“ 図書館", Field.NOTES, "two\nlines", Field.CHECKER, "=HYPERLINK(1)"),
                List.of(new Revision("A", "2026-10-02", "First", "RD")),
                null);
        assertEquals(d, read(ProjectFile.write(d)).data());
        assertEquals(
                ProjectData.EMPTY, read(ProjectFile.write(ProjectData.EMPTY)).data());
    }

    @Test
    void whatIsWrongIsSaidWithItsPlace() {
        for (Map.Entry<String, String> e : Map.of(
                        "{\"format\":\"kolonne-project\",\"version\":2}",
                        "version 1",
                        "{\"version\":1}",
                        "version 1",
                        "null",
                        "version 1",
                        "{\"format\":\"kolonne-project\",\"version\":1,\"clint\":\"x\"}",
                        "no field clint",
                        "{\"format\":\"kolonne-project\",\"version\":1,\"client\":[]}",
                        "not a text",
                        "{\"format\":\"kolonne-project\",\"version\":1,\"client\":\"x",
                        "ends in the middle",
                        "{\"format\":\"kolonne-project\",\"version\":1,\"job\":\"" + "9".repeat(41) + "\"}",
                        "longer than 40")
                .entrySet()) {
            ProjectFile.Read r = read(e.getKey());
            assertNull(r.data(), e.getKey());
            assertTrue(
                    r.findings().toString().contains(e.getValue()), r.findings().toString());
        }
    }

    private static byte[] picture(String kind, int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertTrue(ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), kind, out));
        return out.toByteArray();
    }

    @Test
    void picturesAreTakenAsTheyAre() throws IOException {
        Logo png = LogoFile.read(picture("png", 30, 20)).logo();
        assertEquals(30, png.width());
        assertEquals(20, png.height());
        assertEquals("image/png", LogoFile.type(png));
        assertEquals(
                "image/jpeg",
                LogoFile.type(LogoFile.read(picture("jpg", 30, 20)).logo()));
    }

    @Test
    void picturesThatWouldDoHarmAreRefused() throws IOException {
        byte[] sound = picture("png", 300, 200);
        for (byte[] bad : List.of(
                new byte[0],
                "<svg onload='x'/>".getBytes(StandardCharsets.UTF_8),
                picture("gif", 30, 20),
                picture("bmp", 30, 20),
                Arrays.copyOf(sound, sound.length / 2),
                new byte[Logo.LARGEST + 1],
                bomb())) {
            LogoFile.Read r = LogoFile.read(bad);
            assertNull(r.logo());
            assertEquals(1, r.findings().size());
        }
        assertTrue(LogoFile.read(bomb()).findings().toString().contains("60000"));
    }

    /** A picture of a few bytes that says it has 60000 pixels a side. */
    private static byte[] bomb() throws IOException {
        byte[] png = picture("png", 30, 20);
        ByteBuffer b = ByteBuffer.wrap(png);
        b.putInt(16, 60_000).putInt(20, 60_000);
        CRC32 crc = new CRC32();
        crc.update(png, 12, 17);
        b.putInt(29, (int) crc.getValue());
        return png;
    }
}
