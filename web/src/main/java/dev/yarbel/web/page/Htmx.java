package dev.yarbel.web.page;

/**
 * How a page is asked for.
 *
 * @param asks htmx asks for the part of it that changes; else a browser for the whole
 */
public record Htmx(boolean asks) {}
