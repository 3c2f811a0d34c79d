/** A stand-in for somebody's camera: it films bars that move as they are told, so that nobody's video is needed. */
package dev.yarbel.lab.camera;
