package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.DayText;
import dev.yarbel.core.exchange.Holds;
import dev.yarbel.core.exchange.Layout;
import dev.yarbel.core.exchange.Plain;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import java.sql.Array;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** What was said of a file holds for the next one: what the columns of its shape hold, and what a club's people call lifts. */
@Component
class Remembering {

    private final JdbcTemplate jdbc;

    Remembering(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** How a table of the same shape was read the last time. */
    record Shape(List<Holds> holds, Optional<DayText.Order> order, Optional<MassUnit> unit) {}

    Optional<Shape> shape(long clubId, long accountId, Layout guessed) {
        return jdbc
                .query(
                        "select holds, day_order, unit from import_shape where club_id = ? and account_id = ? and of = 'LOG' and shape = ?",
                        (row, at) -> new Shape(
                                holds(row.getArray("holds")),
                                Optional.ofNullable(row.getString("day_order")).map(DayText.Order::valueOf),
                                Optional.ofNullable(row.getString("unit")).map(MassUnit::valueOf)),
                        clubId,
                        accountId,
                        guessed.shape())
                .stream()
                .findFirst();
    }

    private static List<Holds> holds(Array array) throws java.sql.SQLException {
        return Arrays.stream((String[]) array.getArray()).map(Holds::valueOf).toList();
    }

    void keep(long clubId, long accountId, Layout guessed, ImportFile.Said said) {
        List<Holds> holds = said.holds()
                .orElseGet(() ->
                        guessed.columns().stream().map(column -> column.holds()).toList());
        jdbc.update(
                """
                insert into import_shape (club_id, account_id, of, shape, holds, day_order, unit) values (?, ?, 'LOG', ?, ?, ?, ?)
                on conflict (club_id, account_id, of, shape) do update
                  set holds = excluded.holds, day_order = excluded.day_order, unit = excluded.unit""",
                clubId,
                accountId,
                guessed.shape(),
                holds.stream().map(Holds::name).toArray(String[]::new),
                said.order().map(Enum::name).orElse(null),
                said.unit().map(Enum::name).orElse(null));
    }

    /** What a club's people said that names mean; empty for what is left out. */
    Map<String, Optional<Lift>> names(long clubId) {
        Map<String, Optional<Lift>> names = new HashMap<>();
        jdbc.query(
                "select name, lift from import_name where club_id = ?",
                row -> {
                    names.put(
                            row.getString("name"),
                            Optional.ofNullable(row.getString("lift")).map(Lift::new));
                },
                clubId);
        return names;
    }

    void keep(long clubId, Map<String, Optional<Lift>> names) {
        jdbc.batchUpdate(
                """
                insert into import_name (club_id, name, lift) values (?, ?, ?)
                on conflict (club_id, name) do update set lift = excluded.lift""",
                names.entrySet().stream()
                        .map(name -> new Object[] {
                            clubId,
                            Plain.of(name.getKey()),
                            name.getValue().map(Lift::key).orElse(null)
                        })
                        .toList());
    }
}
