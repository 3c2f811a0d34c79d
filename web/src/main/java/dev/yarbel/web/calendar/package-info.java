/** Sessions and contests for ordinary calendars: as a file, and at an address that calendars come back to. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "account", "roster", "book", "block", "contest"})
package dev.yarbel.web.calendar;
