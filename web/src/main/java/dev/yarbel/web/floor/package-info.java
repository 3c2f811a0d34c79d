/** The session as it is lifted: now, next, then. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "rest", "account", "roster", "kit", "book", "block"})
package dev.yarbel.web.floor;
