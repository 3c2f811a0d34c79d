/** Clubs and the people who sign in. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"page", "kept", "rest"})
package dev.yarbel.web.account;
