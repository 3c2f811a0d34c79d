/** Rules that rewrite a row or a week of doses: how weeks are filled from one, what a deload makes of them. */
package dev.yarbel.core.shape;
