package dev.yarbel.web.block;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.review.Gate;
import java.util.Map;

/**
 * A block as it is kept.
 *
 * @param copies how many blocks were given from it
 * @param gates the gates that a coach opened, by slot, each with the spotter they named
 */
record StoredBlock(long id, Block block, int copies, Map<SlotId, Map<Gate, String>> gates) {}
