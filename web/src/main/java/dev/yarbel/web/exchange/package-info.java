/** What comes in from spreadsheets, and what goes out to them. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "account", "roster", "kit", "book", "block"})
package dev.yarbel.web.exchange;
