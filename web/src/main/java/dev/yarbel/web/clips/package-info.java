/** Clips of logged sets: where they are kept, who sees them, and what is seen in them. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"page", "kept", "account", "roster", "book"})
package dev.yarbel.web.clips;
