import assert from "node:assert/strict";
import { test } from "node:test";
import { page } from "./phone.js";

document.documentElement.lang = "en";
document.body.innerHTML = `<div tabindex="0" data-chart="figures" data-unit="kg"><canvas></canvas><p aria-live="polite"></p></div>
  <table id="figures"><tbody>
  <tr data-kind="ESTIMATE" data-day="20500" data-max="200" data-low="194" data-high="206.5"><th>1 March</th><td>estimate</td><td>200 kg</td></tr>
  <tr data-kind="WORKING" data-day="20500" data-max="185"><th>1 March</th><td>working max</td><td>185 kg</td></tr>
  <tr data-kind="WORKING" data-day="20503" data-max="190"><th>4 March</th><td>working max</td><td>190 kg</td></tr>
  <tr data-kind="WORKING" data-day="20507" data-max="190"><th>8 March</th><td>working max</td><td>190 kg</td></tr>
  <tr data-kind="CONTEST" data-day="20505" data-max="202.5"><th>6 March</th><td>contest max</td><td>202.5 kg</td></tr>
  <tr data-kind="ESTIMATE" data-day="20507" data-max="203" data-low="198" data-high="208"><th>8 March</th><td>estimate</td><td>203 kg</td></tr>
  </tbody></table>`;
const drawn = [];
page.window.Chart = class {
  constructor(canvas, config) {
    this.config = config;
    this.tooltip = { setActiveElements: (active) => { this.told = active; } };
    drawn.push(this);
  }
  static defaults = { font: {} };
  static getChart() { return undefined; }
  setActiveElements(active) { this.active = active; }
  update() {}
};
globalThis.Chart = page.window.Chart;
globalThis.getComputedStyle = page.window.getComputedStyle.bind(page.window);
await import("../js/trend.js");

const place = document.querySelector("[data-chart]");
const press = (key) => place.dispatchEvent(new page.window.KeyboardEvent("keydown", { key, bubbles: true, cancelable: true }));

test("every row of the table is in the drawing, and the working max goes in steps", () => {
  const [high, low, estimate, working, lifted] = drawn[0].config.data.datasets.map((one) => one.data.map((p) => [p.x, p.y]));
  assert.deepEqual(high, [[20500, 206.5], [20507, 208]]);
  assert.deepEqual(low, [[20500, 194], [20507, 198]]);
  assert.deepEqual(estimate, [[20500, 200], [20507, 203]]);
  assert.deepEqual(working, [[20500, 185], [20503, 190], [20507, 190]]);
  assert.equal(drawn[0].config.data.datasets[3].stepped, true);
  assert.deepEqual(lifted, [[20505, 202.5]]);
});

test("days and loads stand at the axes in words", () => {
  const scales = drawn[0].config.options.scales;
  assert.equal(scales.x.ticks.callback(20500), "Feb 16");
  assert.equal(scales.y.ticks.callback(200), "200 kg");
});

test("arrow keys go from session to session and say what stands there", () => {
  press("ArrowLeft");
  assert.equal(place.querySelector("[aria-live]").textContent, "8 March, estimate, 203 kg");
  press("ArrowLeft");
  press("ArrowLeft");
  assert.equal(place.querySelector("[aria-live]").textContent, "1 March, estimate, 200 kg");
  assert.deepEqual(drawn[0].active, [{ datasetIndex: 2, index: 0 }]);
  press("End");
  assert.deepEqual(drawn[0].told, [{ datasetIndex: 2, index: 1 }]);
});
