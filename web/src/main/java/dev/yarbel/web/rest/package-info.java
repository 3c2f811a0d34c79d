/**
 * What all resources of the HTTP interface share: what is wrong as a problem, versions, writes that act once, and pages by cursor.
 * Each room has its own resources.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"page"})
package dev.yarbel.web.rest;
