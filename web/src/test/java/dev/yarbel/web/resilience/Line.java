package dev.yarbel.web.resilience;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The line to a server, which can be cut and mended, or fall silent. */
final class Line implements AutoCloseable {

    private final String host;
    private volatile int port;
    private final ServerSocket door;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private volatile State state = State.SOUND;

    private enum State {
        SOUND,
        CUT,
        SILENT
    }

    Line(String host, int port) throws IOException {
        this.host = host;
        this.port = port;
        this.door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        daemon(this::accept);
    }

    int localPort() {
        return door.getLocalPort();
    }

    /** New connections lead to another port. */
    void turnTo(int other) {
        port = other;
    }

    /** Every connection breaks, and none can be made. */
    void cut() {
        state = State.CUT;
        open.forEach(Line::shut);
    }

    /** Connections stand, and nothing comes over them any more. */
    void fallSilent() {
        state = State.SILENT;
    }

    /** New connections work again; those that had fallen silent are lost. */
    void mend() {
        open.forEach(Line::shut);
        state = State.SOUND;
    }

    private void accept() {
        while (!door.isClosed()) {
            try {
                Socket in = door.accept();
                if (state == State.CUT) {
                    shut(in);
                    continue;
                }
                open.add(in);
                if (state == State.SOUND) {
                    Socket out = new Socket(host, port);
                    open.add(out);
                    daemon(() -> pump(in, out));
                    daemon(() -> pump(out, in));
                }
            } catch (IOException closed) {
                if (!door.isClosed()) {
                    throw new UncheckedIOException(closed);
                }
            }
        }
    }

    private void pump(Socket from, Socket to) {
        try (from;
                to) {
            InputStream in = from.getInputStream();
            OutputStream out = to.getOutputStream();
            byte[] buffer = new byte[8192];
            for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                if (state == State.SOUND) {
                    out.write(buffer, 0, n);
                }
            }
        } catch (IOException broken) {
            shut(to);
        } finally {
            open.remove(from);
            open.remove(to);
        }
    }

    private static void shut(Socket socket) {
        try {
            socket.close();
        } catch (IOException already) {
            throw new UncheckedIOException(already);
        }
    }

    private static void daemon(Runnable work) {
        Thread thread = new Thread(work);
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void close() throws IOException {
        door.close();
        open.forEach(Line::shut);
    }
}
