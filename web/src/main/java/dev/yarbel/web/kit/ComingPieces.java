package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pieces of kit that a list brings into a gym, many at once, and that are taken away again at once. */
@Service
@Transactional
public class ComingPieces {

    private final Gyms gyms;
    private final LiftNames liftNames;
    private final Words words;

    ComingPieces(Gyms gyms, LiftNames liftNames, Words words) {
        this.gyms = gyms;
        this.liftNames = liftNames;
        this.words = words;
    }

    /**
     * One piece, or plates that are alike.
     *
     * @param implement empty for plates
     * @param name may be empty
     * @param count of plates; may be empty for anything else
     */
    public record Coming(Optional<Implement> implement, String name, String mass, String count) {

        private Shelf shelf() {
            return implement
                    .map(of -> of.made() == Implement.Made.PLATES ? Shelf.BARS : Shelf.PIECES)
                    .orElse(Shelf.PLATES);
        }
    }

    private PieceForm form(Coming coming) {
        Map<PieceField, String> fields = new EnumMap<>(PieceField.class);
        fields.put(PieceField.MASS, coming.mass());
        coming.implement()
                .ifPresentOrElse(
                        of -> {
                            fields.put(PieceField.IMPLEMENT, of.name());
                            fields.put(
                                    PieceField.NAME,
                                    coming.name().isEmpty() && coming.shelf() == Shelf.BARS
                                            ? words.say("implement." + of)
                                            : coming.name());
                        },
                        () -> fields.put(PieceField.COUNT, coming.count()));
        return new PieceForm(fields, null, null);
    }

    private Piece read(Person coach, Gyms.Stock stock, Coming coming) {
        return coming.shelf()
                .read(PieceAnswers.typed(
                        form(coming), stock.gym().unit(), name -> liftNames.read(coach.clubId(), name)));
    }

    /** Whether a gym takes a piece. */
    public enum State {
        COMES_IN,
        /** The gym has one like it; of plates, some of this mass. */
        THERE,
        /** It cannot be one. */
        REFUSED
    }

    /**
     * How a gym takes a piece.
     *
     * @param told what it would be, or why it is refused
     */
    public record Fit(State state, String told) {}

    /** How a gym takes each of some pieces; nothing is kept. */
    @Transactional(readOnly = true)
    public List<Fit> fits(Person coach, long gym, List<Coming> coming) {
        Gyms.Stock stock = gyms.stock(coach.clubId(), gym);
        List<String> there =
                stock.pieces().stream().map(piece -> like(piece.piece())).toList();
        return coming.stream().map(one -> fit(coach, stock, one, there)).toList();
    }

    private Fit fit(Person coach, Gyms.Stock stock, Coming coming, List<String> there) {
        try {
            Piece piece = read(coach, stock, coming);
            return new Fit(there.contains(like(piece)) ? State.THERE : State.COMES_IN, told(piece, coming));
        } catch (UnreadableException why) {
            return new Fit(State.REFUSED, words.say(why.code(), why.parts()));
        }
    }

    /** What it would be called and weigh; of plates how many, and of others that one comes in where the list says anything else. */
    private String told(Piece piece, Coming coming) {
        Map<PieceField, String> texts = piece.texts();
        String mass = texts.getOrDefault(PieceField.MASS, "");
        if (coming.implement().isEmpty()) {
            return mass + " × " + texts.get(PieceField.COUNT);
        }
        String name = texts.getOrDefault(
                PieceField.NAME, words.say("implement." + coming.implement().get()));
        boolean single = coming.count().isBlank() || coming.count().equals("1");
        return name + ", " + mass + (single ? "" : "; " + words.say("kit.coming.one"));
    }

    /** What tells a piece from others: all of it but how many there are. */
    private static String like(Piece piece) {
        Map<PieceField, String> texts = new EnumMap<>(PieceField.class);
        texts.putAll(piece.texts());
        texts.remove(PieceField.COUNT);
        texts.remove(PieceField.FIT_FOR_PINS);
        return piece.shelf() + " " + texts;
    }

    /**
     * Adds pieces to a gym.
     *
     * @return their numbers
     * @throws UnreadableException when one of them cannot be kept; none is then
     */
    public List<Long> add(Person coach, long gym, List<Coming> coming) {
        return coming.stream()
                .map(one -> gyms.add(coach, gym, one.shelf(), form(one)))
                .toList();
    }

    /** Takes pieces away that are still there. */
    public void takeAway(Person coach, List<Long> pieces) {
        pieces.stream().filter(piece -> gyms.has(coach, piece)).forEach(piece -> gyms.remove(coach, piece));
    }
}
