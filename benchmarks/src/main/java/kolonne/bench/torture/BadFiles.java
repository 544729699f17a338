package kolonne.bench.torture;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import kolonne.core.model.Building;
import kolonne.core.project.ProjectData;
import kolonne.exchange.ifc.AnalysisIfc;
import kolonne.exchange.model.ModelWriter;

/** Files of every kind that a person can give, damaged at random, through the doors that people use. */
final class BadFiles {
    private static final List<String> ODD = List.of(
            "NaN",
            "1e308",
            "-1e308",
            "2147483648",
            "-1",
            "0",
            "null",
            "\"\"",
            "[]",
            "{}",
            "true",
            "\"=1+1\"",
            "1e-320",
            "99999999999999999999",
            "\"\\ud83d\"",
            "\"łódź 図書館\"");

    /** @param path after the address of a server; JSON unless {@code file} */
    private record Door(String method, String path, byte[] sound, boolean file) {}

    private final List<Door> doors = new ArrayList<>();
    private final Tally tally;
    private final String server;

    BadFiles(String server, String project, String beam, Building building, Tally tally) throws IOException {
        this.tally = tally;
        this.server = server;
        String own = "/api/projects/" + project;
        file("/api/projects?fileName=m.json", ModelWriter.json(building));
        file("/api/projects?fileName=m.zip", zip(ModelWriter.csv(building)));
        StringWriter ifc = new StringWriter();
        AnalysisIfc.write(building, ProjectData.EMPTY, ifc);
        file("/api/projects?fileName=m.ifc", ifc.toString().getBytes(StandardCharsets.UTF_8));
        file(own + "/revisions?fileName=m.json", ModelWriter.json(building));
        String forces = "Member;Case;Station;P;V2;V3;T;M2;M3\nText;Text;m;kN;kN;kN;kN-m;kN-m;kN-m\n"
                + "M1;DEAD;0;1.5;2;3;4;5;6\nM1;DEAD;3,5;1.5;2;3;4;5;6\n";
        file(own + "/force-files?fileName=f.csv", forces.getBytes(StandardCharsets.UTF_8));
        json(
                "POST",
                "/api/sketches/beam/preview",
                "{\"name\":\"B\",\"spans\":[{\"length\":6000,\"width\":300,\"depth\":600}],"
                        + "\"concrete\":\"C30/37\",\"loads\":[{\"dead\":20,\"live\":10}]}");
        json(
                "POST",
                own + "/edits/preview",
                "{\"edits\":[{\"kind\":\"stiffness\",\"members\":[\"M1\"],\"factorIy\":0.5}]}");
        json(
                "POST",
                own + "/members/" + beam + "/try",
                "{\"faces\":{\"bottom\":[{\"layer\":1,\"count\":4,\"size\":\"T25\","
                        + "\"from\":-1000,\"to\":1000000,\"hookFrom\":true,\"hookTo\":true}]}}");
        json(
                "POST",
                "/api/sections/try",
                "{\"code\":\"aci-318m-19\",\"shape\":\"rectangle\",\"width\":400,\"depth\":600,"
                        + "\"concrete\":30,\"bars\":{\"x\":4,\"y\":4,\"size\":\"T25\"},\"forces\":[{\"name\":\"1\",\"n\":1000,\"mx\":100,\"my\":50}]}");
        json("PATCH", own + "/basis", "{\"beamCoverMm\":40,\"columnBars\":[\"T20\",\"T25\"],\"stirrups\":[\"T10\"]}");
    }

    private void file(String path, byte[] sound) {
        doors.add(new Door("POST", path, sound, true));
    }

    private void json(String method, String path, String sound) {
        doors.add(new Door(method, path, sound.getBytes(StandardCharsets.UTF_8), false));
    }

    private static byte[] zip(Map<String, String> tables) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream z = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> t : tables.entrySet()) {
                z.putNextEntry(new ZipEntry(t.getKey()));
                z.write(t.getValue().getBytes(StandardCharsets.UTF_8));
                z.closeEntry();
            }
        }
        return bytes.toByteArray();
    }

    /** Gives so many, unless the time is over before. @return how many were given */
    int give(int files, long deadline) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(4);
        AtomicInteger given = new AtomicInteger();
        try {
            List<Future<?>> all = new ArrayList<>();
            for (int t = 0; t < 4; t++) {
                Random random = new Random(t);
                all.add(pool.submit(() -> {
                    while (System.nanoTime() < deadline && given.getAndIncrement() < files) {
                        give(doors.get(random.nextInt(doors.size())), random);
                    }
                    return null;
                }));
            }
            for (Future<?> f : all) {
                f.get();
            }
            return Math.min(files, given.get());
        } finally {
            pool.shutdownNow();
        }
    }

    private void give(Door d, Random random) throws InterruptedException {
        byte[] bad = damaged(d.sound(), random);
        Tally.Answer a = tally.ask(
                d.method(),
                server + d.path(),
                bad,
                "Content-Type",
                d.file() ? "application/octet-stream" : "application/json",
                "If-Match",
                "\"1\"");
        if (d.file() && a.ok() && a.body().has("phase")) {
            JsonNode end = People.ended(tally, server, a.body());
            for (JsonNode f : end.path("findings")) {
                if (f.path("code").asText().equals("server.error")) {
                    tally.fault("a job failed inside: " + d.path());
                }
            }
        }
    }

    private static byte[] damaged(byte[] sound, Random random) {
        byte[] out = sound;
        for (int i = 0; i <= random.nextInt(3); i++) {
            out = once(out, random);
        }
        return out;
    }

    private static byte[] once(byte[] in, Random random) {
        int at = in.length == 0 ? 0 : random.nextInt(in.length);
        return switch (random.nextInt(6)) {
            case 0 -> Arrays.copyOf(in, at);
            case 1 -> {
                byte[] out = in.clone();
                if (out.length > 0) {
                    out[at] ^= (byte) (1 << random.nextInt(8));
                }
                yield out;
            }
            case 2 -> between(in, at, at, ODD.get(random.nextInt(ODD.size())).getBytes(StandardCharsets.UTF_8));
            case 3 -> between(in, at, Math.min(in.length, at + random.nextInt(40)), new byte[0]);
            case 4 -> between(in, at, at, Arrays.copyOfRange(in, at, Math.min(in.length, at + random.nextInt(200))));
            default -> number(in, at, ODD.get(random.nextInt(ODD.size())).getBytes(StandardCharsets.UTF_8));
        };
    }

    /** The next number after a place is another value. */
    private static byte[] number(byte[] in, int at, byte[] value) {
        int from = at;
        while (from < in.length && !Character.isDigit(in[from])) {
            from++;
        }
        int to = from;
        while (to < in.length && (Character.isDigit(in[to]) || in[to] == '.')) {
            to++;
        }
        return between(in, from, to, value);
    }

    private static byte[] between(byte[] in, int from, int to, byte[] what) {
        byte[] out = new byte[in.length - (to - from) + what.length];
        System.arraycopy(in, 0, out, 0, from);
        System.arraycopy(what, 0, out, from, what.length);
        System.arraycopy(in, to, out, from + what.length, in.length - to);
        return out;
    }
}
