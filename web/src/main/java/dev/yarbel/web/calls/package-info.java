/** What finished sessions give a coach to decide: slips, each taken, changed or left. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "account", "roster", "kit", "book", "block", "floor"})
package dev.yarbel.web.calls;
