package dev.yarbel.web.block;

/** How much of a block a template is. */
public enum TemplateKind {
    /** A row of doses. */
    SCHEME,
    DAY,
    BLOCK
}
