/** What a lifter trains with, and what can be loaded from it. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"page", "kept", "rest", "account", "roster"})
package dev.yarbel.web.kit;
