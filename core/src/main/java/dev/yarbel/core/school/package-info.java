/** The schools of coaching: each draws up an ordinary block from its own rules, which a coach then edits freely. */
package dev.yarbel.core.school;
