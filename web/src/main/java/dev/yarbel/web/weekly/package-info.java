/** The week in plain words: drafted from plan and log, edited by the coach, kept, and given to the lifter. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "account", "roster", "kit", "book", "block", "calls"})
package dev.yarbel.web.weekly;
