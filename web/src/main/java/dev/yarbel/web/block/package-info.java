/**
 * What is planned of each lifter's blocks: how they are kept, edited, taken back, given and followed, and what their days come
 * to. Other rooms come in through {@link dev.yarbel.web.block.Blocks} and {@link dev.yarbel.web.block.Templates}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"page", "kept", "rest", "account", "roster", "kit", "book"})
package dev.yarbel.web.block;
