/** Contests: who lifts in them, which attempts are advised, the day itself. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "rest", "account", "roster", "kit", "book", "block"})
package dev.yarbel.web.contest;
