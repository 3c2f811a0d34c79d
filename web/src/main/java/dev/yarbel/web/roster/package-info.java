/** The lifters of a club and who coaches them; other rooms ask here whether someone may see a lifter. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"page", "kept", "rest", "account"})
package dev.yarbel.web.roster;
