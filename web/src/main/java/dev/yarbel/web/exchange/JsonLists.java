package dev.yarbel.web.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;

/** A file of JSON with a thing a line, written as it is read. */
final class JsonLists implements AutoCloseable {

    private final Writer out;
    private String between = "{";

    JsonLists(OutputStream out) {
        this.out = new OutputStreamWriter(out, StandardCharsets.UTF_8);
    }

    /** @param json as it is to stand there */
    void say(String name, String json) {
        write(between + "\"" + name + "\": " + json);
        between = ",\n";
    }

    /** A list of what somebody hands over. */
    void list(String name, Consumer<Consumer<String>> rows) {
        say(name, "[");
        String[] before = {"\n"};
        rows.accept(row -> {
            write(before[0] + row);
            before[0] = ",\n";
        });
        write("]");
    }

    /** A list of things that have lists themselves. */
    void things(String name, Consumer<Runnable> each) {
        say(name, "[");
        String[] before = {"\n"};
        each.accept(() -> {
            write(before[0]);
            before[0] = "},\n";
            between = "{";
        });
        write(before[0].startsWith("}") ? "}]" : "]");
        between = ",\n";
    }

    private void write(String text) {
        try {
            out.write(text);
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
    }

    /** Ends the file; what it is written to stays open. */
    @Override
    public void close() {
        try {
            out.write("}\n");
            out.flush();
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
    }
}
