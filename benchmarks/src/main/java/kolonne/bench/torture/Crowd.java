package kolonne.bench.torture;

import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Clients that send a byte now and then, each of a body that never ends. */
final class Crowd implements AutoCloseable {
    private final List<Socket> sockets = new ArrayList<>();
    private final Thread dripping;
    private volatile boolean over;

    Crowd(int clients, int port) {
        for (int i = 0; i < clients; i++) {
            try {
                Socket s = new Socket("127.0.0.1", port);
                s.getOutputStream()
                        .write(("POST /api/projects?fileName=m.json HTTP/1.1\r\nHost: 127.0.0.1:" + port
                                        + "\r\nContent-Type: application/octet-stream\r\nContent-Length: 100000\r\n\r\n")
                                .getBytes(StandardCharsets.US_ASCII));
                sockets.add(s);
            } catch (IOException e) {
                break; // no more are let in, which is an answer as well
            }
        }
        dripping = new Thread(this::drip, "slow clients");
        dripping.setDaemon(true);
        dripping.start();
    }

    int let() {
        return sockets.size();
    }

    private void drip() {
        while (!over) {
            for (Socket s : sockets) {
                try {
                    s.getOutputStream().write(' ');
                } catch (IOException e) {
                    continue; // put out
                }
            }
            try {
                Thread.sleep(1000);
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    @Override
    public void close() {
        over = true;
        dripping.interrupt();
        for (Socket s : sockets) {
            try {
                s.close();
            } catch (IOException e) {
                continue; // gone already
            }
        }
    }
}
