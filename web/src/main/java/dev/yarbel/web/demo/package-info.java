/** The invented club, for trying Yarbel out. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "account", "roster", "kit", "book", "block", "floor", "calls", "contest", "clips"
        })
package dev.yarbel.web.demo;
