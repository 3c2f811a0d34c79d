import assert from "node:assert/strict";
import { test } from "node:test";
import { InStep, keyed } from "../js/instep.js";

class Film {
  constructor(duration) {
    this.duration = duration;
    this.currentTime = 0;
    this.playbackRate = 1;
    this.paused = true;
    this.ended = false;
  }
  play() { this.paused = false; return Promise.resolve(); }
  pause() { this.paused = true; }
}
function pair(one = { length: 10, start: 2 }, other = { length: 8, start: 0.5 }) {
  return new InStep([one, other].map((film) => ({ video: new Film(film.length), start: film.start })));
}
const times = (both) => both.films.map((film) => Math.round(film.video.currentTime * 1000) / 1000);

test("both count from the moment in which the bar starts", () => {
  const both = pair();
  both.seek(0);
  assert.deepEqual(times(both), [2, 0.5]);
  both.seek(1.5);
  assert.deepEqual(times(both), [3.5, 2]);
  assert.equal(both.at, 1.5);
});

test("before its beginning and after its end a film stands still", () => {
  const both = pair();
  both.seek(-1);
  assert.deepEqual(times(both), [1, 0]);
  both.seek(-30);
  assert.deepEqual(times(both), [0, 0]);
  both.seek(7.9);
  assert.deepEqual(times(both), [9.9, 8]);
});

test("a step is a frame, and stops", () => {
  const both = pair();
  both.seek(0);
  both.play();
  keyed(both, "ArrowRight", false);
  assert.equal(both.playing, false);
  assert.deepEqual(times(both), [2.033, 0.533]);
  keyed(both, "ArrowLeft", true);
  assert.deepEqual(times(both), [1.7, 0.2]);
});

test("slower goes to a quarter and no further", () => {
  const both = pair();
  ["ArrowDown", "ArrowDown", "ArrowDown"].forEach((key) => keyed(both, key, false));
  assert.deepEqual(both.films.map((film) => film.video.playbackRate), [0.25, 0.25]);
  ["ArrowUp", "ArrowUp", "ArrowUp"].forEach((key) => keyed(both, key, false));
  assert.equal(both.rate, 1);
});

test("one that runs ahead is set right, a little is let be", () => {
  const both = pair();
  both.seek(0);
  both.play();
  both.films[0].video.currentTime = 3;
  both.films[1].video.currentTime = 1.53;
  both.hold();
  assert.deepEqual(times(both), [3, 1.53]);
  both.films[1].video.currentTime = 1.9;
  both.hold();
  assert.deepEqual(times(both), [3, 1.5]);
});

test("stopping sets both to the same moment", () => {
  const both = pair();
  both.play();
  both.films[0].video.currentTime = 3;
  both.films[1].video.currentTime = 1.53;
  both.toggle();
  assert.deepEqual(times(both), [3, 1.5]);
  assert.ok(both.films.every((film) => film.video.paused));
});

test("playing again after the end begins at the start", () => {
  const both = pair();
  both.seek(both.until);
  both.play();
  assert.deepEqual(times(both), [2, 0.5]);
});

test("where the bar starts is said of one film", () => {
  const both = pair({ length: 10, start: 0 }, { length: 8, start: 0 });
  both.films[1].video.currentTime = 1.25;
  assert.equal(both.startHere(1), 1250);
  both.seek(0);
  assert.deepEqual(times(both), [0, 1.25]);
});

test("a film whose length nobody knows yet is left alone", () => {
  const both = pair();
  both.films[1].video.duration = NaN;
  both.seek(3);
  assert.deepEqual(times(both), [5, 0]);
});

test("keys that are none of its are left to others", () => {
  assert.equal(keyed(pair(), "a", false), false);
});
