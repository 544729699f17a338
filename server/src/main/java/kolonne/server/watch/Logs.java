package kolonne.server.watch;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.rolling.RollingFileAppender;
import ch.qos.logback.core.rolling.SizeAndTimeBasedRollingPolicy;
import ch.qos.logback.core.util.FileSize;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.LoggerFactory;

/** Logs in files: {@code server.log} and {@code access.log}, a new one each day or at 20 MB, packed, kept for 30 days and within 500 MB each. */
public final class Logs {
    /** Logger of requests: silent unless it has a file. */
    static final String ACCESS = "access";

    /** Key under which a log line knows its request. */
    public static final String REQUEST = "request";

    private static final int DAYS = 30;
    private static final FileSize LARGEST = FileSize.valueOf("20MB");
    private static final FileSize TOGETHER = FileSize.valueOf("500MB");

    private Logs() {}

    /** Writes them into a folder from now on. @throws IOException if it cannot be made or written */
    public static void into(Path folder) throws IOException {
        Files.createDirectories(folder);
        if (!Files.isWritable(folder)) {
            throw new IOException("The folder of logs, " + folder + ", cannot be written.");
        }
        LoggerContext context = (LoggerContext) LoggerFactory.getILoggerFactory();
        context.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME)
                .addAppender(file(
                        context,
                        folder,
                        "server",
                        "%d{yyyy-MM-dd'T'HH:mm:ss.SSS,UTC}Z %-5level [%X{" + REQUEST + "}] %logger{0} - %msg%n"));
        Logger access = context.getLogger(ACCESS);
        access.setLevel(Level.INFO);
        access.setAdditive(false);
        access.addAppender(
                file(context, folder, ACCESS, "%d{yyyy-MM-dd'T'HH:mm:ss.SSS,UTC}Z [%X{" + REQUEST + "}] %msg%n"));
    }

    private static RollingFileAppender<ILoggingEvent> file(
            LoggerContext context, Path folder, String name, String pattern) {
        RollingFileAppender<ILoggingEvent> out = new RollingFileAppender<>();
        out.setContext(context);
        out.setName(name);
        out.setFile(folder.resolve(name + ".log").toString());
        SizeAndTimeBasedRollingPolicy<ILoggingEvent> turns = new SizeAndTimeBasedRollingPolicy<>();
        turns.setContext(context);
        turns.setParent(out);
        turns.setFileNamePattern(
                folder.resolve(name + ".%d{yyyy-MM-dd}.%i.log.gz").toString());
        turns.setMaxFileSize(LARGEST);
        turns.setMaxHistory(DAYS);
        turns.setTotalSizeCap(TOGETHER);
        turns.start();
        out.setRollingPolicy(turns);
        PatternLayoutEncoder lines = new PatternLayoutEncoder();
        lines.setContext(context);
        lines.setPattern(pattern);
        lines.start();
        out.setEncoder(lines);
        out.start();
        return out;
    }
}
