package dev.yarbel.web.roster;

import dev.yarbel.core.review.Need;
import java.util.Set;

/**
 * A lifter in the coach's morning.
 *
 * @param calls how many decisions wait
 * @param needs why they need the coach, the most urgent first
 */
record MorningLine(LifterCard card, long calls, InTraining training, Set<Need> needs, MiniStrip strip) {}
