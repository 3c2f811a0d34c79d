package dev.yarbel.web.exchange;

import java.io.IOException;
import java.util.List;

/** Takes the rows of a table as they are read, so that no table need be held as a whole. */
interface RowSink {

    /** Another sheet begins. */
    void sheet(String name) throws IOException;

    /** The next row of it; blank ones too, so that rows keep their numbers. */
    void row(List<String> cells) throws IOException;
}
