package dev.yarbel.web.kit;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** Where in a gym a piece of kit belongs, what is asked about it there, and how that is read. */
enum Shelf {
    BARS(BarPiece.FIELDS, BarPiece::read),
    PLATES(PlatePiece.FIELDS, PlatePiece::read),
    PIECES(WholePiece.FIELDS, WholePiece::read),
    MACHINES(MachinePiece.FIELDS, MachinePiece::read),
    BANDS(BandPiece.FIELDS, BandPiece::read),
    CHAINS(ChainPiece.FIELDS, ChainPiece::read);

    private final List<PieceField> fields;
    private final Function<PieceAnswers, Piece> reader;

    Shelf(List<PieceField> fields, Function<PieceAnswers, Piece> reader) {
        this.fields = fields;
        this.reader = reader;
    }

    public List<PieceField> fields() {
        return fields;
    }

    Piece read(PieceAnswers answers) {
        return reader.apply(answers);
    }

    /** Its name in addresses and in the bundle. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
