package dev.yarbel.web.block;

import dev.yarbel.web.page.Strip;

/** Draws a block as a strip; the desk knows how. */
public interface Strips {

    Strip draw(LifterBlock block);
}
