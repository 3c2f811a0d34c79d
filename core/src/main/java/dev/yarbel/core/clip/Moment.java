package dev.yarbel.core.clip;

/**
 * A bar at a moment, in seconds and metres; what rises counts up.
 *
 * @param second from the beginning of the film
 * @param off how far what was seen lies off the smooth way
 */
record Moment(double second, double across, double height, double speed, double off) {

    int millis() {
        return (int) Math.round(1000 * second);
    }

    /** Where the speed is passed on the straight line from this moment to the next one. */
    Moment passing(double wanted, Moment next) {
        double share = next.speed == speed ? 0 : (wanted - speed) / (next.speed - speed);
        return new Moment(
                second + share * (next.second - second),
                across + share * (next.across - across),
                height + share * (next.height - height),
                wanted,
                0);
    }
}
