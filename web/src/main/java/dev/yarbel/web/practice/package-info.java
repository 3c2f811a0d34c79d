/** Practice in rating: drawn sets to guess at, and what a lifter's ratings turned out to be worth. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "account", "roster", "kit", "book", "floor"})
package dev.yarbel.web.practice;
