package dev.yarbel.core.measure;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** A table that ships with the application: rows of fields between commas; lines that begin with # are for whoever reads it. */
public final class Table {

    private Table() {}

    /**
     * The rows of a table.
     *
     * @param beside the class in whose package it stands
     * @throws UncheckedIOException when it cannot be read
     */
    public static List<String[]> rows(Class<?> beside, String file) {
        try (InputStream in = beside.getResourceAsStream(file);
                BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return reader.lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .map(line -> line.split(",", -1))
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
