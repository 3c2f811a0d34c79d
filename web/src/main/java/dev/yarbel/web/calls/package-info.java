/** What finished sessions and contests give a coach to decide: slips, each taken, changed or left. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "account", "roster", "kit", "book", "block", "contest", "floor"})
package dev.yarbel.web.calls;
