/** Blocks, and the sheet on which a coach writes them: one day, slots down, weeks across. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"page", "account", "roster", "kit", "book"})
package dev.yarbel.web.plan;
