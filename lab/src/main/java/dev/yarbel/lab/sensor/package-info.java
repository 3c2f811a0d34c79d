/** A simulated bar-speed sensor: a process of its own that speaks the interface a real one would. */
package dev.yarbel.lab.sensor;
