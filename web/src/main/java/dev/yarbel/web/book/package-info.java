/**
 * What is known of a lifter and what happened: numbers, the log, decisions. Other rooms write through {@link
 * dev.yarbel.web.book.Book} and {@link dev.yarbel.web.book.Ledger}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "rest", "account", "roster", "kit"})
package dev.yarbel.web.book;
