package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.core.exchange.KitTable;
import dev.yarbel.web.kit.ComingPieces;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Kit of a gym that comes in from a list: looked at, added, taken away again. */
@Service
@Transactional
class BroughtKit {

    private static final int MOST = 500;

    private final ComingPieces pieces;
    private final Words words;
    private final Batches batches;

    BroughtKit(ComingPieces pieces, Words words, Batches batches) {
        this.pieces = pieces;
        this.words = words;
        this.batches = batches;
    }

    /**
     * A row of the list.
     *
     * @param written as it stands there
     * @param told what it would be, or why it stays out
     */
    public record Row(int line, String written, ComingPieces.State state, String told, ComingPieces.Coming coming) {}

    /** What a list would do. */
    public record Look(List<Row> rows, List<String> unread) {

        public Look {
            rows = List.copyOf(rows);
            unread = List.copyOf(unread);
        }

        private List<ComingPieces.Coming> coming() {
            return rows.stream()
                    .filter(row -> row.state() == ComingPieces.State.COMES_IN)
                    .map(Row::coming)
                    .toList();
        }

        public int fresh() {
            return coming().size();
        }

        public long there() {
            return rows.stream()
                    .filter(row -> row.state() == ComingPieces.State.THERE)
                    .count();
        }
    }

    /** @throws UnreadableException when it is no list of kit */
    @Transactional(readOnly = true)
    public Look look(Person coach, long gym, HeadedTable table) {
        KitTable.Read read =
                KitTable.read(table).orElseThrow(() -> new UnreadableException("exchange.kit.error.heads").in("text"));
        if (read.lines().size() > MOST) {
            throw new UnreadableException("exchange.kit.error.long", MOST).in("text");
        }
        List<ComingPieces.Coming> all = read.lines().stream()
                .map(line -> new ComingPieces.Coming(line.implement(), line.name(), line.mass(), line.count()))
                .toList();
        List<ComingPieces.Fit> fits = pieces.fits(coach, gym, all);
        List<Row> rows = new ArrayList<>();
        Set<ComingPieces.Coming> seen = new HashSet<>();
        for (int at = 0; at < all.size(); at++) {
            KitTable.Line line = read.lines().get(at);
            ComingPieces.Fit fit = line.known()
                    ? fits.get(at)
                    : new ComingPieces.Fit(ComingPieces.State.REFUSED, words.say("exchange.kit.unknown"));
            // of things that are counted, the same row twice is a slip; of others it is two of them
            boolean again = !seen.add(all.get(at)) && all.get(at).implement().isEmpty();
            rows.add(new Row(
                    line.line(),
                    String.join(" ", line.what(), line.name(), line.mass(), line.count())
                            .strip()
                            .replaceAll("\\s+", " "),
                    again && fit.state() == ComingPieces.State.COMES_IN ? ComingPieces.State.THERE : fit.state(),
                    fit.told(),
                    all.get(at)));
        }
        return new Look(rows, read.unread());
    }

    /** Adds what a look would show now; how many pieces that was. */
    public int take(Person coach, long gym, HeadedTable table) {
        List<ComingPieces.Coming> coming = look(coach, gym, table).coming();
        if (!coming.isEmpty()) {
            batches.keep(coach, Batches.Of.KIT, pieces.add(coach, gym, coming));
        }
        return coming.size();
    }

    @Transactional(readOnly = true)
    public List<Batches.Before> latest(Person coach) {
        return batches.latest(coach, Batches.Of.KIT);
    }

    /** Takes the pieces of one list away again, once. */
    public void takeBack(Person coach, long id) {
        pieces.takeAway(coach, batches.takeBack(coach, Batches.Of.KIT, id));
    }
}
