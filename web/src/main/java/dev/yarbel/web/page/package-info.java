/**
 * What all pages share: the frame around them, who is looking, how loads are worded and bars drawn. Rooms further on
 * supply what the frame shows through its small interfaces.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
package dev.yarbel.web.page;
