/**
 * What rooms keep, as a published file: each room says once what a thing of its own is called there and in the database; the file is
 * written and read back by the same saying.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"page"})
package dev.yarbel.web.kept;
