package dev.yarbel.web.page;

import java.sql.PreparedStatement;
import java.util.Collection;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Reads what is too much to be held, some rows at a time. */
@Component
public class ManyRows {

    private static final int AT_ONCE = 1000;

    private final JdbcTemplate jdbc;

    ManyRows(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Hands each row over.
     *
     * @param sql with two questions in it: the club, and which lifters; whoever calls has asked the roster for them
     */
    @Transactional(readOnly = true)
    public void each(String sql, long clubId, Collection<Long> lifters, RowCallbackHandler to) {
        jdbc.query(
                connection -> {
                    PreparedStatement rows = connection.prepareStatement(sql);
                    rows.setLong(1, clubId);
                    rows.setArray(2, connection.createArrayOf("bigint", lifters.toArray()));
                    rows.setFetchSize(AT_ONCE);
                    return rows;
                },
                to);
    }
}
