package dev.yarbel.core.lift;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The lifts and events that come with Yarbel.
 *
 * <p>The ratios are cautious defaults for a lifter about whom nothing is known (common practice, no source, as far as
 * there is any; else our own starting values): better too light on the first day. So are the recovery factors, 85 % for
 * what takes less out of a lifter than its parent and 110 % for what takes more. A dumbbell's ratio is for one hand.
 */
final class StandardLifts {

    private StandardLifts() {}

    static List<Variation> all() {
        return List.of(
                alone("squat", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES, Muscle.LOW_BACK)
                        .loads(
                                Tissue.SHOULDER,
                                Tissue.ELBOW,
                                Tissue.WRIST,
                                Tissue.LOW_BACK,
                                Tissue.HIP,
                                Tissue.KNEE,
                                Tissue.THIGH_FRONT)
                        .contest()
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 92, "high-bar-squat", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES)
                        .loads(Tissue.KNEE, Tissue.HIP, Tissue.THIGH_FRONT)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 75, "front-squat", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.UPPER_BACK, Muscle.TRUNK)
                        .loads(Tissue.KNEE, Tissue.WRIST, Tissue.THIGH_FRONT, Tissue.UPPER_BACK)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 85, "paused-squat", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES, Muscle.LOW_BACK)
                        .loads(
                                Tissue.SHOULDER,
                                Tissue.ELBOW,
                                Tissue.WRIST,
                                Tissue.LOW_BACK,
                                Tissue.HIP,
                                Tissue.KNEE,
                                Tissue.THIGH_FRONT)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 85, "box-squat", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.GLUTES, Muscle.HAMSTRINGS, Muscle.QUADS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.WRIST, Tissue.LOW_BACK, Tissue.HIP, Tissue.KNEE)
                        .eases(Tissue.KNEE)
                        .pinsTheLifter()
                        .card(SetUpMeasure.BOX_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.RACK_HEIGHT)
                        .made(),
                of("squat", 80, "pin-squat", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.QUADS, Muscle.GLUTES, Muscle.LOW_BACK)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.WRIST, Tissue.LOW_BACK, Tissue.HIP, Tissue.KNEE)
                        .onPins()
                        .pinsTheLifter()
                        .card(SetUpMeasure.PIN_HEIGHT, SetUpMeasure.STANCE)
                        .made(),
                of("squat", 88, "beltless-squat", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES, Muscle.TRUNK)
                        .loads(
                                Tissue.SHOULDER,
                                Tissue.ELBOW,
                                Tissue.WRIST,
                                Tissue.LOW_BACK,
                                Tissue.HIP,
                                Tissue.KNEE,
                                Tissue.THIGH_FRONT)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 85, "safety-bar-squat", Implement.SAFETY_BAR, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.UPPER_BACK, Muscle.TRUNK)
                        .loads(Tissue.LOW_BACK, Tissue.KNEE, Tissue.THIGH_FRONT, Tissue.UPPER_BACK)
                        .eases(Tissue.LOW_BACK)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 88, "cambered-bar-squat", Implement.CAMBERED_BAR, Start.LOWERING)
                        .trains(Muscle.GLUTES, Muscle.HAMSTRINGS, Muscle.LOW_BACK)
                        .loads(Tissue.LOW_BACK, Tissue.HIP, Tissue.KNEE)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 80, "slow-lowering-squat", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.WRIST, Tissue.KNEE, Tissue.HIP, Tissue.LOW_BACK)
                        .recovery(110)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.STANCE, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 95, "assisted-squat", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES, Muscle.LOW_BACK)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.WRIST, Tissue.LOW_BACK, Tissue.HIP, Tissue.KNEE)
                        .recovery(110)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("squat", 45, "good-morning", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.HAMSTRINGS, Muscle.LOW_BACK, Muscle.GLUTES)
                        .loads(Tissue.LOW_BACK, Tissue.THIGH_BACK, Tissue.HIP)
                        .eases(Tissue.HIP)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.RACK_HEIGHT, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                alone("belt-squat", Implement.BODY, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES)
                        .loads(Tissue.KNEE, Tissue.HIP)
                        .recovery(85)
                        .card(SetUpMeasure.STANCE)
                        .made(),
                alone("split-squat", Implement.DUMBBELL, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES)
                        .loads(Tissue.KNEE, Tissue.HIP, Tissue.GROIN)
                        .recovery(85)
                        .card(SetUpMeasure.STANCE)
                        .made(),
                alone("leg-press", Implement.MACHINE, Start.LOWERING)
                        .trains(Muscle.QUADS, Muscle.GLUTES)
                        .loads(Tissue.KNEE, Tissue.HIP)
                        .recovery(85)
                        .card(SetUpMeasure.STANCE)
                        .made(),
                alone("leg-curl", Implement.MACHINE, Start.RAISING)
                        .trains(Muscle.HAMSTRINGS)
                        .loads(Tissue.THIGH_BACK, Tissue.KNEE)
                        .recovery(85)
                        .made(),
                alone("leg-extension", Implement.MACHINE, Start.RAISING)
                        .trains(Muscle.QUADS)
                        .loads(Tissue.KNEE, Tissue.THIGH_FRONT)
                        .recovery(85)
                        .made(),
                alone("bench-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.TRICEPS, Muscle.SHOULDERS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.CHEST, Tissue.WRIST)
                        .contest()
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("bench-press", 95, "paused-bench-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.TRICEPS, Muscle.SHOULDERS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.CHEST)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("bench-press", 88, "close-grip-bench-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.TRICEPS, Muscle.CHEST, Muscle.SHOULDERS)
                        .loads(Tissue.ELBOW, Tissue.SHOULDER, Tissue.WRIST)
                        .eases(Tissue.SHOULDER)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("bench-press", 92, "wide-grip-bench-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.SHOULDERS)
                        .loads(Tissue.SHOULDER, Tissue.CHEST)
                        .recovery(110)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("bench-press", 88, "floor-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.TRICEPS, Muscle.CHEST)
                        .loads(Tissue.ELBOW, Tissue.SHOULDER)
                        .eases(Tissue.SHOULDER)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT)
                        .made(),
                of("bench-press", 85, "pin-press", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.TRICEPS, Muscle.CHEST)
                        .loads(Tissue.ELBOW, Tissue.SHOULDER)
                        .eases(Tissue.SHOULDER)
                        .onPins()
                        .pinsTheLifter()
                        .card(SetUpMeasure.PIN_HEIGHT, SetUpMeasure.GRIP_WIDTH)
                        .made(),
                of("bench-press", 98, "board-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.TRICEPS, Muscle.CHEST)
                        .loads(Tissue.ELBOW, Tissue.SHOULDER)
                        .eases(Tissue.SHOULDER)
                        .pinsTheLifter()
                        .card(SetUpMeasure.BOARD, SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT)
                        .made(),
                of("bench-press", 75, "incline-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.SHOULDERS, Muscle.TRICEPS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.CHEST)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.BENCH_ANGLE, SetUpMeasure.GRIP_WIDTH, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("bench-press", 90, "multi-grip-bench-press", Implement.MULTI_GRIP_BAR, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.TRICEPS, Muscle.SHOULDERS)
                        .loads(Tissue.ELBOW, Tissue.SHOULDER)
                        .eases(Tissue.SHOULDER)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("bench-press", 80, "slow-lowering-bench-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.TRICEPS, Muscle.SHOULDERS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.CHEST)
                        .recovery(110)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("bench-press", 95, "assisted-bench-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.TRICEPS, Muscle.SHOULDERS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.CHEST)
                        .recovery(110)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.SAFETY_HEIGHT)
                        .made(),
                of("bench-press", 32, "dumbbell-press", Implement.DUMBBELL, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.SHOULDERS, Muscle.TRICEPS)
                        .loads(Tissue.SHOULDER, Tissue.CHEST)
                        .eases(Tissue.SHOULDER)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.BENCH_ANGLE)
                        .made(),
                alone("dip", Implement.BODY, Start.LOWERING)
                        .trains(Muscle.CHEST, Muscle.TRICEPS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.CHEST)
                        .recovery(85)
                        .card(SetUpMeasure.GRIP_WIDTH)
                        .made(),
                alone("overhead-press", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.SHOULDERS, Muscle.TRICEPS, Muscle.UPPER_BACK)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.LOW_BACK)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT)
                        .made(),
                of("overhead-press", 110, "push-press", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.SHOULDERS, Muscle.TRICEPS, Muscle.QUADS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.KNEE, Tissue.LOW_BACK)
                        .pinsTheLifter()
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT)
                        .made(),
                of("overhead-press", 90, "seated-press", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.SHOULDERS, Muscle.TRICEPS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW)
                        .recovery(85)
                        .pinsTheLifter()
                        .card(SetUpMeasure.BENCH_ANGLE, SetUpMeasure.GRIP_WIDTH, SetUpMeasure.RACK_HEIGHT)
                        .made(),
                of("overhead-press", 35, "dumbbell-overhead-press", Implement.DUMBBELL, Start.RAISING)
                        .trains(Muscle.SHOULDERS, Muscle.TRICEPS)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW)
                        .recovery(85)
                        .made(),
                of("overhead-press", 95, "log-press", Implement.LOG, Start.RAISING)
                        .trains(Muscle.SHOULDERS, Muscle.TRICEPS, Muscle.UPPER_BACK)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.LOW_BACK, Tissue.WRIST)
                        .recovery(110)
                        .contest()
                        .pinsTheLifter()
                        .card(SetUpMeasure.PICK_HEIGHT)
                        .made(),
                of("overhead-press", 92, "axle-press", Implement.AXLE, Start.RAISING)
                        .trains(Muscle.SHOULDERS, Muscle.TRICEPS, Muscle.GRIP)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.LOW_BACK, Tissue.WRIST, Tissue.BICEPS)
                        .recovery(110)
                        .contest()
                        .pinsTheLifter()
                        .card(SetUpMeasure.PICK_HEIGHT)
                        .made(),
                of("overhead-press", 60, "event-dumbbell-press", Implement.EVENT_DUMBBELL, Start.RAISING)
                        .trains(Muscle.SHOULDERS, Muscle.TRICEPS, Muscle.TRUNK)
                        .loads(Tissue.SHOULDER, Tissue.ELBOW, Tissue.WRIST)
                        .recovery(110)
                        .contest()
                        .made(),
                alone("deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.HAMSTRINGS, Muscle.GLUTES, Muscle.LOW_BACK, Muscle.UPPER_BACK, Muscle.GRIP)
                        .loads(Tissue.LOW_BACK, Tissue.THIGH_BACK, Tissue.HIP, Tissue.HAND)
                        .contest()
                        .card(SetUpMeasure.STANCE, SetUpMeasure.GRIP_WIDTH)
                        .made(),
                of("deadlift", 92, "sumo-deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.GLUTES, Muscle.QUADS, Muscle.LOW_BACK, Muscle.GRIP)
                        .loads(Tissue.HIP, Tissue.GROIN, Tissue.LOW_BACK, Tissue.KNEE)
                        .eases(Tissue.LOW_BACK)
                        .recovery(85)
                        .card(SetUpMeasure.STANCE, SetUpMeasure.GRIP_WIDTH)
                        .made(),
                of("deadlift", 88, "deficit-deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.QUADS, Muscle.HAMSTRINGS, Muscle.LOW_BACK, Muscle.GRIP)
                        .loads(Tissue.LOW_BACK, Tissue.THIGH_BACK, Tissue.HIP, Tissue.KNEE)
                        .recovery(110)
                        .card(SetUpMeasure.DEFICIT, SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 82, "paused-deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.HAMSTRINGS, Muscle.GLUTES, Muscle.LOW_BACK, Muscle.GRIP)
                        .loads(Tissue.LOW_BACK, Tissue.THIGH_BACK, Tissue.HIP)
                        .recovery(110)
                        .card(SetUpMeasure.STANCE, SetUpMeasure.GRIP_WIDTH)
                        .made(),
                of("deadlift", 88, "beltless-deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.HAMSTRINGS, Muscle.GLUTES, Muscle.LOW_BACK, Muscle.TRUNK)
                        .loads(Tissue.LOW_BACK, Tissue.THIGH_BACK, Tissue.HIP)
                        .card(SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 95, "mid-shin-pull", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.HAMSTRINGS, Muscle.GLUTES, Muscle.LOW_BACK, Muscle.GRIP)
                        .loads(Tissue.LOW_BACK, Tissue.THIGH_BACK, Tissue.HIP)
                        .card(SetUpMeasure.BLOCK_HEIGHT, SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 118, "above-knee-pull", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.GLUTES, Muscle.LOW_BACK, Muscle.UPPER_BACK, Muscle.GRIP)
                        .loads(Tissue.LOW_BACK, Tissue.UPPER_BACK, Tissue.HAND)
                        .card(SetUpMeasure.BLOCK_HEIGHT, SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 95, "pin-pull", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.GLUTES, Muscle.LOW_BACK, Muscle.UPPER_BACK)
                        .loads(Tissue.LOW_BACK, Tissue.UPPER_BACK, Tissue.HAND)
                        .recovery(110)
                        .onPins()
                        .card(SetUpMeasure.PIN_HEIGHT, SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 65, "romanian-deadlift", Implement.BARBELL, Start.LOWERING)
                        .trains(Muscle.HAMSTRINGS, Muscle.GLUTES, Muscle.LOW_BACK)
                        .loads(Tissue.THIGH_BACK, Tissue.LOW_BACK, Tissue.HIP)
                        .eases(Tissue.LOW_BACK)
                        .recovery(85)
                        .card(SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 65, "stiff-legged-deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.HAMSTRINGS, Muscle.LOW_BACK, Muscle.GLUTES)
                        .loads(Tissue.THIGH_BACK, Tissue.LOW_BACK)
                        .recovery(85)
                        .card(SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 75, "snatch-grip-deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.UPPER_BACK, Muscle.HAMSTRINGS, Muscle.LOW_BACK, Muscle.GRIP)
                        .loads(Tissue.UPPER_BACK, Tissue.LOW_BACK, Tissue.HAND)
                        .recovery(110)
                        .card(SetUpMeasure.GRIP_WIDTH, SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 100, "trap-bar-deadlift", Implement.TRAP_BAR, Start.RAISING)
                        .trains(Muscle.QUADS, Muscle.GLUTES, Muscle.UPPER_BACK)
                        .loads(Tissue.KNEE, Tissue.LOW_BACK, Tissue.HIP, Tissue.HAND)
                        .eases(Tissue.LOW_BACK)
                        .recovery(85)
                        .card(SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 75, "slow-lowering-deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.HAMSTRINGS, Muscle.GLUTES, Muscle.LOW_BACK)
                        .loads(Tissue.THIGH_BACK, Tissue.LOW_BACK, Tissue.HAND)
                        .recovery(110)
                        .card(SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 85, "axle-deadlift", Implement.AXLE, Start.RAISING)
                        .trains(Muscle.GRIP, Muscle.HAMSTRINGS, Muscle.GLUTES, Muscle.LOW_BACK)
                        .loads(Tissue.HAND, Tissue.LOW_BACK, Tissue.THIGH_BACK, Tissue.BICEPS)
                        .recovery(110)
                        .contest()
                        .card(SetUpMeasure.STANCE)
                        .made(),
                of("deadlift", 102, "raised-deadlift", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.GLUTES, Muscle.HAMSTRINGS, Muscle.LOW_BACK, Muscle.UPPER_BACK)
                        .loads(Tissue.LOW_BACK, Tissue.THIGH_BACK, Tissue.UPPER_BACK, Tissue.HAND)
                        .eases(Tissue.LOW_BACK)
                        .recovery(110)
                        .contest()
                        .card(SetUpMeasure.BLOCK_HEIGHT, SetUpMeasure.STANCE)
                        .made(),
                alone("yoke-walk", Implement.YOKE, Start.RAISING)
                        .trains(Muscle.TRUNK, Muscle.GLUTES, Muscle.QUADS, Muscle.UPPER_BACK)
                        .loads(Tissue.LOW_BACK, Tissue.HIP, Tissue.KNEE, Tissue.UPPER_BACK, Tissue.ANKLE)
                        .contest()
                        .pinsTheLifter()
                        .card(SetUpMeasure.PICK_HEIGHT, SetUpMeasure.COURSE)
                        .made(),
                alone("farmers-walk", Implement.HANDLES, Start.RAISING)
                        .trains(Muscle.GRIP, Muscle.UPPER_BACK, Muscle.GLUTES)
                        .loads(Tissue.HAND, Tissue.UPPER_BACK, Tissue.LOW_BACK, Tissue.ANKLE)
                        .contest()
                        .card(SetUpMeasure.PICK_HEIGHT, SetUpMeasure.COURSE)
                        .made(),
                alone("frame-carry", Implement.FRAME, Start.RAISING)
                        .trains(Muscle.GRIP, Muscle.GLUTES, Muscle.UPPER_BACK)
                        .loads(Tissue.HAND, Tissue.LOW_BACK, Tissue.HIP, Tissue.ANKLE)
                        .contest()
                        .card(SetUpMeasure.PICK_HEIGHT, SetUpMeasure.COURSE)
                        .made(),
                alone("sandbag-carry", Implement.SANDBAG, Start.RAISING)
                        .trains(Muscle.TRUNK, Muscle.GLUTES, Muscle.UPPER_BACK)
                        .loads(Tissue.LOW_BACK, Tissue.BICEPS, Tissue.HIP)
                        .contest()
                        .card(SetUpMeasure.COURSE)
                        .made(),
                alone("keg-carry", Implement.KEG, Start.RAISING)
                        .trains(Muscle.TRUNK, Muscle.GLUTES, Muscle.UPPER_BACK)
                        .loads(Tissue.LOW_BACK, Tissue.BICEPS, Tissue.HIP)
                        .contest()
                        .card(SetUpMeasure.COURSE)
                        .made(),
                alone("stone-to-platform", Implement.STONE, Start.RAISING)
                        .trains(Muscle.GLUTES, Muscle.HAMSTRINGS, Muscle.LOW_BACK, Muscle.BICEPS)
                        .loads(Tissue.LOW_BACK, Tissue.BICEPS, Tissue.THIGH_BACK, Tissue.HIP)
                        .contest()
                        .card(SetUpMeasure.BLOCK_HEIGHT)
                        .made(),
                alone("stone-over-bar", Implement.STONE, Start.RAISING)
                        .trains(Muscle.GLUTES, Muscle.HAMSTRINGS, Muscle.LOW_BACK, Muscle.BICEPS)
                        .loads(Tissue.LOW_BACK, Tissue.BICEPS, Tissue.THIGH_BACK, Tissue.HIP)
                        .contest()
                        .card(SetUpMeasure.BLOCK_HEIGHT)
                        .made(),
                alone("sandbag-to-platform", Implement.SANDBAG, Start.RAISING)
                        .trains(Muscle.GLUTES, Muscle.HAMSTRINGS, Muscle.LOW_BACK, Muscle.BICEPS)
                        .loads(Tissue.LOW_BACK, Tissue.BICEPS, Tissue.HIP)
                        .contest()
                        .card(SetUpMeasure.BLOCK_HEIGHT)
                        .made(),
                alone("barbell-row", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.UPPER_BACK, Muscle.LATS, Muscle.BICEPS)
                        .loads(Tissue.LOW_BACK, Tissue.BICEPS, Tissue.ELBOW)
                        .recovery(85)
                        .card(SetUpMeasure.GRIP_WIDTH)
                        .made(),
                alone("dumbbell-row", Implement.DUMBBELL, Start.RAISING)
                        .trains(Muscle.LATS, Muscle.UPPER_BACK, Muscle.BICEPS)
                        .loads(Tissue.ELBOW, Tissue.BICEPS)
                        .eases(Tissue.ELBOW)
                        .recovery(85)
                        .made(),
                alone("pull-up", Implement.BODY, Start.RAISING)
                        .trains(Muscle.LATS, Muscle.BICEPS, Muscle.GRIP)
                        .loads(Tissue.ELBOW, Tissue.SHOULDER, Tissue.HAND)
                        .recovery(85)
                        .card(SetUpMeasure.GRIP_WIDTH)
                        .made(),
                alone("lat-pulldown", Implement.MACHINE, Start.RAISING)
                        .trains(Muscle.LATS, Muscle.BICEPS)
                        .loads(Tissue.ELBOW, Tissue.SHOULDER)
                        .eases(Tissue.SHOULDER)
                        .recovery(85)
                        .card(SetUpMeasure.GRIP_WIDTH)
                        .made(),
                alone("cable-row", Implement.MACHINE, Start.RAISING)
                        .trains(Muscle.UPPER_BACK, Muscle.LATS, Muscle.BICEPS)
                        .loads(Tissue.ELBOW)
                        .eases(Tissue.ELBOW)
                        .recovery(85)
                        .made(),
                alone("shrug", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.UPPER_BACK, Muscle.GRIP)
                        .loads(Tissue.NECK, Tissue.UPPER_BACK, Tissue.HAND)
                        .recovery(85)
                        .made(),
                alone("back-extension", Implement.BODY, Start.LOWERING)
                        .trains(Muscle.LOW_BACK, Muscle.HAMSTRINGS, Muscle.GLUTES)
                        .loads(Tissue.LOW_BACK, Tissue.THIGH_BACK)
                        .recovery(85)
                        .made(),
                alone("curl", Implement.BARBELL, Start.RAISING)
                        .trains(Muscle.BICEPS)
                        .loads(Tissue.ELBOW, Tissue.BICEPS, Tissue.WRIST)
                        .recovery(85)
                        .card(SetUpMeasure.GRIP_WIDTH)
                        .made(),
                alone("dumbbell-curl", Implement.DUMBBELL, Start.RAISING)
                        .trains(Muscle.BICEPS)
                        .loads(Tissue.ELBOW, Tissue.BICEPS, Tissue.WRIST)
                        .recovery(85)
                        .made(),
                alone("triceps-extension", Implement.DUMBBELL, Start.LOWERING)
                        .trains(Muscle.TRICEPS)
                        .loads(Tissue.ELBOW)
                        .recovery(85)
                        .made(),
                alone("triceps-pushdown", Implement.MACHINE, Start.RAISING)
                        .trains(Muscle.TRICEPS)
                        .loads(Tissue.ELBOW)
                        .recovery(85)
                        .made(),
                alone("calf-raise", Implement.MACHINE, Start.RAISING)
                        .trains(Muscle.CALVES)
                        .loads(Tissue.CALF, Tissue.ANKLE)
                        .recovery(85)
                        .made(),
                alone("ab-wheel", Implement.BODY, Start.LOWERING)
                        .trains(Muscle.TRUNK)
                        .loads(Tissue.LOW_BACK, Tissue.SHOULDER)
                        .recovery(85)
                        .made(),
                alone("general-preparation", Implement.BODY, Start.RAISING).made(),
                alone("lifters-choice", Implement.BODY, Start.RAISING).made(),
                alone("front-hold", Implement.DUMBBELL, Start.RAISING)
                        .trains(Muscle.SHOULDERS, Muscle.GRIP)
                        .loads(Tissue.SHOULDER, Tissue.WRIST, Tissue.HAND)
                        .contest()
                        .made());
    }

    private static Entry alone(String key, Implement implement, Start start) {
        return new Entry(key, Optional.empty(), implement, start);
    }

    private static Entry of(String parent, int percent, String key, Implement implement, Start start) {
        Ratio ratio = new Ratio(new Lift(parent), Percent.of(percent), Ratio.Source.DEFAULT);
        return new Entry(key, Optional.of(ratio), implement, start);
    }

    /** One entry while it is written down. */
    private static final class Entry {

        private final Lift lift;
        private final Optional<Ratio> parent;
        private final Implement implement;
        private final Start start;
        private Set<Muscle> trains = Set.of();
        private Set<Tissue> loads = Set.of();
        private Set<Tissue> eases = Set.of();
        private Percent recovery = Percent.HUNDRED;
        private boolean contest;
        private boolean pins;
        private boolean pinsTheLifter;
        private List<SetUpMeasure> card = List.of();

        Entry(String key, Optional<Ratio> parent, Implement implement, Start start) {
            this.lift = new Lift(key);
            this.parent = parent;
            this.implement = implement;
            this.start = start;
        }

        Entry trains(Muscle... muscles) {
            trains = Set.of(muscles);
            return this;
        }

        Entry loads(Tissue... places) {
            loads = Set.of(places);
            return this;
        }

        /** Loads these less than the lifts it can stand in for. */
        Entry eases(Tissue... places) {
            eases = Set.of(places);
            return this;
        }

        Entry recovery(int percent) {
            recovery = Percent.of(percent);
            return this;
        }

        Entry contest() {
            contest = true;
            return this;
        }

        Entry onPins() {
            pins = true;
            return this;
        }

        Entry pinsTheLifter() {
            pinsTheLifter = true;
            return this;
        }

        Entry card(SetUpMeasure... measures) {
            card = List.of(measures);
            return this;
        }

        Variation made() {
            return new Variation(
                    lift, parent, contest, trains, loads, eases, recovery, start, implement, pins, pinsTheLifter, card);
        }
    }
}
