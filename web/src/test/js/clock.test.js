import assert from "node:assert/strict";
import { beforeEach, test } from "node:test";
import { page } from "./phone.js";

let now = 1_000_000_000;
Date.now = () => now;

document.body.innerHTML = `
  <div id="restbar" hidden data-rest="rest" data-ready="ready" data-setup="set up" data-go="go" data-over="over" data-round="round"
    data-pace="a rep" data-made="made"><output id="restface"></output><span id="restsays"></span>
    <button data-clock="skip"></button><button data-clock="silence"></button></div>
  <div id="floor" data-planned="7" data-week="1"></div>`;
const clock = await import("../js/clock.js");
const rest = () => document.getElementById("restface").textContent;
const bar = document.getElementById("restbar");

function work(kind, data) {
  document.getElementById("floor").innerHTML = `<section class="now" data-task="A.1"><div class="workclock" data-kind="${kind}"
    data-seconds="${data.seconds || 0}" data-gap="${data.gap || 0}" data-goal="${data.goal || 0}">
    <output class="clockface"></output><span class="clocksays"></span><button data-clock="start"></button>
    <button data-clock="stop" hidden></button></div><form><input name="time" value=""></form></section>`;
}
const face = () => document.querySelector(".clockface").textContent;
const says = () => document.querySelector(".clocksays").textContent;
const press = (what) => document.querySelector(`.now [data-clock=${what}]`).dispatchEvent(new page.window.MouseEvent("click", { bubbles: true }));
const later = (seconds) => { now += seconds * 1000; clock.show(); };

beforeEach(() => {
  localStorage.clear();
  document.getElementById("floor").innerHTML = "";
  clock.show();
});

test("a face is minutes and seconds, never below nothing", () => {
  assert.deepEqual([0, 1, 59.2, 60, 61, 600, -3].map(clock.face), ["0:00", "0:01", "1:00", "1:00", "1:01", "10:00", "0:00"]);
});

test("a rest counts from the moment it began, whatever happened in between", () => {
  clock.rest(180);
  assert.equal(rest(), "3:00");
  later(60);
  assert.equal(rest(), "2:00");
  assert.equal(bar.dataset.state, "rest");
  // the phone was locked: no tick came, and the face is right all the same
  now += 112_000;
  clock.show();
  assert.equal(rest(), "0:08");
  assert.equal(bar.dataset.state, "setup");
  later(10);
  assert.equal(rest(), "+0:02");
  assert.equal(bar.dataset.state, "ready");
  now += 21 * 60 * 1000;
  clock.show();
  assert.equal(bar.hidden, true, "forgotten");
});

test("while a set is timed no rest is shown beside its clock", () => {
  clock.rest(180);
  work("density", { seconds: 600, gap: 30, goal: 10 });
  clock.show();
  assert.equal(bar.hidden, false);
  press("start");
  clock.rest(60);
  assert.equal(bar.hidden, true);
  press("stop");
  assert.equal(bar.hidden, false);
});

test("a rest of one day is none of another's, and a skipped one is over", () => {
  clock.rest(180);
  document.getElementById("floor").dataset.planned = "8";
  clock.show();
  assert.equal(bar.hidden, true);
  document.getElementById("floor").dataset.planned = "7";
  clock.show();
  assert.equal(bar.hidden, false);
  clock.noRest();
  assert.equal(bar.hidden, true);
});

test("singles against the clock: time left, and the least rest since the last", () => {
  work("density", { seconds: 600, gap: 30, goal: 10 });
  press("start");
  assert.equal(face(), "10:00");
  later(20);
  clock.mark(document.querySelector(".now"), true);
  later(10);
  assert.equal(face(), "9:30");
  assert.match(says(), /^rest 0:20 · 1:04 a rep · 1\/10 made$/);
  later(20);
  assert.match(says(), /^go/);
  clock.mark(document.querySelector(".now"), false);
  later(30);
  assert.equal(face(), "0:50", "a miss ends it");
});

test("clusters say the round, and set up before the next", () => {
  work("clusters", { gap: 20, goal: 3 });
  press("start");
  later(14);
  assert.equal(says(), "round 1/3");
  later(2);
  assert.equal(says(), "round 1/3 · set up");
  later(5);
  assert.equal(says(), "round 2/3");
  later(40);
  assert.equal(says(), "over");
});

test("a hold that is stopped writes its time into the field", () => {
  work("up", {});
  press("start");
  later(42);
  assert.equal(face(), "0:42");
  press("stop");
  assert.equal(document.querySelector("[name=time]").value, "42");
});

test("what cannot be kept runs on until the page is left", () => {
  const keep = Object.getPrototypeOf(localStorage).setItem;
  Object.getPrototypeOf(localStorage).setItem = () => { throw new Error("full"); };
  assert.doesNotThrow(() => clock.rest(60));
  Object.getPrototypeOf(localStorage).setItem = keep;
});
