package dev.yarbel.web.kept;

import java.sql.PreparedStatement;
import java.util.Collection;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Reads what is kept, as the JSON of the file, some rows at a time: one statement a kind, however many lifters. */
@Component
public class KeptRows {

    private static final int AT_ONCE = 500;

    private final JdbcTemplate jdbc;

    KeptRows(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** What is kept of one lifter, as it is read. */
    public interface Lifter {

        long id();

        /** Hands over what is kept of one kind; the kinds are asked for in their order, each once. */
        void each(Kept part, Consumer<String> to);
    }

    private record Row(long whose, String json) {}

    /** Hands over what a club has of one kind. */
    @Transactional(readOnly = true)
    public void ofClub(Kept part, long clubId, Consumer<String> to) {
        try (Stream<Row> rows = rows(part.give(), clubId, List.of())) {
            rows.forEach(row -> to.accept(row.json));
        }
    }

    /** Hands over lifters in the order of their numbers; whoever calls has asked the roster for them. */
    @Transactional(readOnly = true)
    public void ofLifters(List<Kept> parts, long clubId, Collection<Long> lifters, Consumer<Lifter> to) {
        Map<Kept, Ahead> open = new LinkedHashMap<>();
        try {
            for (Kept part : parts) {
                open.put(part, new Ahead(rows(part.give(), clubId, lifters)));
            }
            lifters.stream()
                    .sorted()
                    .forEach(lifter -> to.accept(new Lifter() {

                        @Override
                        public long id() {
                            return lifter;
                        }

                        @Override
                        public void each(Kept part, Consumer<String> rows) {
                            open.get(part).of(lifter, rows);
                        }
                    }));
        } finally {
            open.values().forEach(ahead -> ahead.rows.close());
        }
    }

    private Stream<Row> rows(String sql, long clubId, Collection<Long> lifters) {
        return jdbc.queryForStream(
                connection -> {
                    PreparedStatement rows = connection.prepareStatement(sql);
                    rows.setLong(1, clubId);
                    if (rows.getParameterMetaData().getParameterCount() > 1) {
                        rows.setArray(2, connection.createArrayOf("bigint", lifters.toArray()));
                    }
                    rows.setFetchSize(AT_ONCE);
                    return rows;
                },
                (row, number) -> new Row(row.getLong(1), row.getString(2)));
    }

    /** Rows in the order of lifters, of which the next one is known. */
    private static final class Ahead {

        private final Stream<Row> rows;
        private final Iterator<Row> iterator;
        private Row next;

        private Ahead(Stream<Row> rows) {
            this.rows = rows;
            this.iterator = rows.iterator();
            step();
        }

        private void step() {
            next = iterator.hasNext() ? iterator.next() : null;
        }

        private void of(long lifter, Consumer<String> to) {
            while (next != null && next.whose <= lifter) {
                if (next.whose == lifter) {
                    to.accept(next.json);
                }
                step();
            }
        }
    }
}
