/** The coach's desk: the sheet on which a block is written, drawing one up, marks in words, the strip, paper. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "rest", "account", "roster", "kit", "book", "block"})
package dev.yarbel.web.plan;
