package dev.yarbel.core.block;

/**
 * A block after an edit.
 *
 * @param back the edit that leads back to the block before, as long as nobody changes what it touches
 */
public record Edited(Block block, BlockEdit back) {}
