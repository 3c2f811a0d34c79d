import assert from "node:assert/strict";
import { test } from "node:test";
import { Marks } from "../js/marks.js";
import { angle, lean, rimOf } from "../js/drawover.js";
import { Bell, misses, shrink, written } from "../js/bar-follow.js";
import { meaning } from "../js/clipsend.js";

test("marks stand in the order of time, and come back as they were written", () => {
  const marks = new Marks("3400 broken, 1200 clean, 2900 slowest");
  assert.equal(marks.toString(), "1200 clean, 2900 slowest, 3400 broken");
  assert.deepEqual(marks.all().map((one) => one.number), [1, undefined, 2]);
  assert.equal(new Marks(marks.toString()).toString(), marks.toString());
});

test("a moment is marked once, and where it is slowest is one place", () => {
  const marks = new Marks("");
  marks.add(1200, "clean");
  marks.add(1200, "broken");
  marks.add(800, "slowest");
  marks.add(900, "slowest");
  assert.equal(marks.toString(), "900 slowest, 1200 broken");
  marks.drop(1200, "broken");
  marks.drop(900, "slowest");
  assert.equal(marks.toString(), "");
});

test("an upright line does not lean, whichever end it is drawn from", () => {
  assert.equal(lean({ x: 5, y: 100 }, { x: 5, y: 10 }), 0);
  assert.equal(lean({ x: 5, y: 10 }, { x: 5, y: 100 }), 0);
  assert.equal(Math.round(lean({ x: 0, y: 100 }, { x: 100, y: 0 })), 45);
  assert.equal(Math.round(lean({ x: 100, y: 0 }, { x: 0, y: 100 })), 45);
  assert.equal(Math.round(lean({ x: 0, y: 0 }, { x: 100, y: 0 })), 90);
});

test("an angle is that between its legs", () => {
  assert.equal(Math.round(angle({ x: 0, y: 10 }, { x: 0, y: 0 }, { x: 10, y: 0 })), 90);
  assert.equal(Math.round(angle({ x: -10, y: 1 }, { x: 0, y: 0 }, { x: -10, y: -1 })), 11);
  assert.equal(Math.round(angle({ x: -10, y: 0 }, { x: 0, y: 0 }, { x: 10, y: 0 })), 180);
});

test("a rim goes through two opposite points", () => {
  assert.deepEqual(rimOf({ x: 10, y: 50 }, { x: 100, y: 50 }), { x: 55, y: 50, width: 90 });
});

test("large films are looked at smaller, and what is found is written in their own pixels", () => {
  assert.equal(shrink(320), 1);
  assert.equal(shrink(1920), 0.25);
  assert.equal(written([{ millis: 33, x: 160.456, y: 3, likeness: 0.98765 }, { millis: 67, x: 1, y: 2, likeness: 1 }]),
    "33 160.46 3.00 0.988\n67 1.00 2.00 1.000");
});

test("what will never be taken is refused, and all else comes later", () => {
  for (const status of [200, 204]) {
    assert.equal(meaning(status), "kept");
  }
  for (const status of [400, 413, 415, 422]) {
    assert.equal(meaning(status), "refused");
  }
  for (const status of [0, 401, 403, 404, 410, 429, 500, 503, 507]) {
    assert.equal(meaning(status), "later");
  }
});

test("a machine that missed pictures is told by the moments between those it saw", () => {
  const at = (...moments) => moments.map((millis) => ({ millis }));
  assert.equal(misses(at(0, 33, 67, 100, 133)), false);
  assert.equal(misses(at(0, 33, 100, 133, 167)), false, "one alone does no harm");
  assert.equal(misses(at(0, 33, 67, 200, 233)), true, "three in a row");
  assert.equal(misses(at(0, 67, 133, 200)), true, "every other one");
  assert.equal(misses(at(0, 400, 433, 467)), false, "it takes a while to play");
  assert.equal(misses(at(0)), true);
});

test("a bell wakes everybody who waits, once each", async () => {
  const bell = new Bell();
  const woken = [];
  bell.rung().then(() => woken.push("the film's end"));
  bell.rung().then(() => woken.push("a pause"));
  bell.ring();
  bell.ring();
  await Promise.resolve();
  assert.deepEqual(woken, ["the film's end", "a pause"]);
  assert.equal(bell.waiting.length, 0);
});
