import assert from "node:assert/strict";
import { test } from "node:test";
import { page } from "./phone.js";

// a clock that a test moves on: what is due runs in its order
let now = 0;
const due = [];
const at = (time, work) => { due.push({ time, work }); };
page.window.requestAnimationFrame = (work) => at(now + 10, work);
page.window.setTimeout = (work, delay, ...rest) => at(now + delay, () => work(...rest));
let still = false;
page.window.matchMedia = () => ({ matches: still });

function drill(begins, speeds) {
  document.body.innerHTML = `<section class="drill"><div class="bartrack" data-speeds="[${speeds}]" data-begins="${begins}">
    <svg><g class="movingbar"></g></svg><p class="counted"></p></div><button data-draw></button>
    <details class="figures"></details></section>`;
  document.dispatchEvent(new page.window.Event("DOMContentLoaded"));
}
const button = () => document.querySelector("[data-draw]");
const height = () => -Number(/ (-?[\d.]+)\)/.exec(document.querySelector(".movingbar").getAttribute("transform"))[1]);

// Runs until nothing is due and gives, for each repetition, how long the bar rose.
function watch() {
  const rises = [];
  let from = null;
  let end = 0;
  let last = height();
  while (due.length) {
    due.sort((a, b) => a.time - b.time);
    const next = due.shift();
    now = next.time;
    next.work(now);
    const risen = height() > last;
    if (risen) { end = now; from = from ?? now; }
    if (height() < last && from !== null) { rises.push(end - from); from = null; }
    last = height();
  }
  return from === null ? rises : [...rises, end - from];
}

await import("../js/practice.js");

for (const begins of ["LOWERING", "RAISING"]) {
  test(`each repetition rises as fast as it says: ${begins}`, () => {
    drill(begins, "0.5, 0.25, 0.2");
    button().click();
    assert.equal(button().disabled, true);
    const rises = watch();
    // half a metre
    [1000, 2000, 2500].forEach((expected, rep) => assert.ok(Math.abs(rises[rep] - expected) <= 30, `${rises}`));
    assert.equal(rises.length, 3);
    assert.equal(document.querySelector(".counted").textContent, "3");
    assert.equal(button().disabled, false);
  });
}

test("whoever wants no movement reads the figures", () => {
  still = true;
  drill("LOWERING", "0.5");
  assert.equal(button().hidden, true);
  assert.equal(document.querySelector("details").open, true);
});
