package dev.yarbel.web.exchange;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.core.exchange.KitTable;
import dev.yarbel.core.exchange.LiftIndex;
import dev.yarbel.core.exchange.MaxTable;
import dev.yarbel.core.exchange.PlanTable;
import dev.yarbel.core.exchange.RosterTable;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** What the columns of a small table hold: as it shows, as it was said of the last one of its shape, or as it is said now. */
@Component
class ColumnsSaid {

    private static final int SAMPLE = 3;
    private static final int WEEKS = 16;

    /** What a table is of. */
    enum Of {
        LIFTERS,
        KIT,
        MAXES,
        PLANS
    }

    /** Something that a column may hold. */
    record Choice(String code, String name) {}

    /** A table whose columns are shown, and what each of them may hold. */
    record Asked(HeadedTable table, List<Choice> choices) {

        public List<List<String>> sample() {
            return table.sample(SAMPLE);
        }

        /** Whether somebody should look at what the columns are taken for. */
        public boolean isDoubtful() {
            return table.guessed() || !table.unread().isEmpty();
        }
    }

    private final LiftNames lifts;
    private final Words words;
    private final JdbcTemplate jdbc;

    ColumnsSaid(LiftNames lifts, Words words, JdbcTemplate jdbc) {
        this.lifts = lifts;
        this.words = words;
        this.jdbc = jdbc;
    }

    /**
     * A table that was brought.
     *
     * @param text as it stays on the page
     */
    record Told(String text, HeadedTable columns) {

        /** What was looked at, as a page remembers it: the table, what its columns hold, and all that is said of it. */
        String seen(Object... said) {
            return PastedTable.seen(text, columns.holds(), Arrays.toString(said));
        }
    }

    /**
     * The table of a file, or as it was typed, with what the page that sent it says of its columns if they are those it showed. The text of a
     * file is as if typed from here on.
     *
     * @throws UnreadableException when there is none, or too much
     */
    Told brought(Person coach, Of of, MultipartFile file, Sent<?> sent) {
        Function<List<List<String>>, HeadedTable> showing = showing(coach, of);
        Predicate<List<List<String>>> fits = rows -> showing.apply(rows).understood();
        // the days of a block may stand on a sheet each
        String text = of == Of.PLANS
                ? PastedTable.textOfAll(file, sent.text("text"), fits)
                : PastedTable.text(file, sent.text("text"), fits);
        return new Told(sent.keep("text", text), told(coach, of, showing.apply(PastedTable.rows(text)), sent));
    }

    /** The columns of a page that comes again, as far as it has any. */
    Optional<HeadedTable> again(Person coach, Of of, Sent<?> sent) {
        try {
            return Optional.of(sent.text("text"))
                    .filter(text -> !text.isBlank())
                    .map(text -> told(coach, of, showing(coach, of).apply(PastedTable.rows(text)), sent))
                    .filter(table -> !table.holds().isEmpty());
        } catch (UnreadableException itsTroubleIsToldAlready) {
            return Optional.empty();
        }
    }

    private HeadedTable told(Person coach, Of of, HeadedTable shown, Sent<?> sent) {
        Optional<List<String>> said = shown.shape().equals(sent.text("shape"))
                ? Optional.of(IntStream.range(0, shown.holds().size())
                        .mapToObj(at -> sent.text("holds[" + at + "]"))
                        .toList())
                : remembered(coach, of, shown);
        return said.map(holds -> saying(shown, holds, choices(coach, of, shown)))
                .orElse(shown);
    }

    /** How a table shows itself, before anybody says anything of it. */
    private Function<List<List<String>>, HeadedTable> showing(Person coach, Of of) {
        return switch (of) {
            case LIFTERS -> RosterTable::headed;
            case KIT -> KitTable::headed;
            case MAXES -> {
                LiftIndex index = new LiftIndex(lifts.everyName(coach.clubId()));
                yield rows -> MaxTable.headed(rows, index);
            }
            case PLANS -> {
                LiftIndex index = new LiftIndex(lifts.everyName(coach.clubId()));
                yield rows -> PlanTable.headed(rows, index);
            }
        };
    }

    private static HeadedTable saying(HeadedTable shown, List<String> said, List<Choice> choices) {
        Set<String> known = choices.stream().map(Choice::code).collect(Collectors.toSet());
        List<String> holds = said.stream()
                .map(code -> known.contains(code) ? code : HeadedTable.NOTHING)
                .toList();
        return holds.equals(shown.holds()) ? shown : shown.saying(holds);
    }

    /** What a page asks about the columns of a table. */
    Asked asked(Person coach, Of of, HeadedTable table) {
        return new Asked(table, choices(coach, of, table));
    }

    private List<Choice> choices(Person coach, Of of, HeadedTable table) {
        return switch (of) {
            case LIFTERS -> named(RosterTable.columns());
            case KIT -> named(KitTable.columns());
            case MAXES -> {
                List<Choice> choices = named(MaxTable.columns());
                lifts.named(coach.clubId())
                        .forEach(named -> choices.add(new Choice(
                                MaxTable.columnOf(named.lift()), words.say("exchange.heads.max", named.name()))));
                yield choices;
            }
            case PLANS -> {
                List<Choice> choices = named(PlanTable.columns());
                IntStream.rangeClosed(
                                1,
                                Math.min(
                                        Block.MOST_WEEKS,
                                        Math.max(WEEKS, table.holds().size())))
                        .forEach(week -> choices.add(
                                new Choice(PlanTable.columnOf(week), words.say("exchange.plan.week", week))));
                yield choices;
            }
        };
    }

    private List<Choice> named(List<String> codes) {
        return codes.stream()
                .map(code -> new Choice(code, words.say("exchange.heads." + code)))
                .collect(Collectors.toCollection(ArrayList::new));
    }

    private Optional<List<String>> remembered(Person coach, Of of, HeadedTable shown) {
        return jdbc
                .query(
                        "select holds from import_shape where club_id = ? and account_id = ? and of = ? and shape = ?",
                        (row, number) ->
                                Arrays.asList((String[]) row.getArray("holds").getArray()),
                        coach.clubId(),
                        coach.accountId(),
                        of.name(),
                        shown.shape())
                .stream()
                .findFirst();
    }

    /** The next table of this shape is read as this one was; one without heads is like any other. */
    void keep(Person coach, Of of, HeadedTable table) {
        if (table.line() < 0) {
            return;
        }
        jdbc.update(
                """
                insert into import_shape (club_id, account_id, of, shape, holds) values (?, ?, ?, ?, ?)
                on conflict (club_id, account_id, of, shape) do update set holds = excluded.holds""",
                coach.clubId(),
                coach.accountId(),
                of.name(),
                table.shape(),
                table.holds().toArray(String[]::new));
    }
}
