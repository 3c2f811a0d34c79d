/** Practice in rating: drawn sets to guess at, and what ratings turn out to have been worth. None of it feeds an estimate. */
package dev.yarbel.core.practice;
