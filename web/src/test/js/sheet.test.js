import assert from "node:assert/strict";
import { test } from "node:test";
import { page } from "./phone.js";

document.body.dataset.account = "1";
const grid = (day, cells) => `<nav class="days"><a data-day="0">Squat</a><a data-day="1">Bench</a></nav>
  <div id="unkept" hidden data-one="one" data-many="# cells" data-drop="drop"></div>
  <form id="grid" data-block="7" data-day="${day}"><table><tbody><tr>${cells.map(([id, kept]) => `<td data-day="${day}">
  <textarea class="dose" id="dose-${id}" name="dose.${id}">${kept}</textarea><input type="hidden" id="was-${id}" name="was.${id}" value="${kept}">
  <div id="foot-${id}"></div></td>`).join("")}</tr></tbody></table></form>`;
const cell = (id) => document.getElementById("dose-" + id);
const answered = () => document.getElementById("grid").dispatchEvent(
  new page.window.CustomEvent("htmx:afterRequest", { bubbles: true, detail: { successful: true } }));
const refuse = (id, text) => {
  cell(id).value = text;
  document.getElementById("foot-" + id).innerHTML = "<div class='bad'>no</div>";
};
const open = async (html, visit) => {
  document.body.innerHTML = html;
  await import("../js/sheet.js?" + visit);
  document.dispatchEvent(new page.window.Event("DOMContentLoaded"));
  await new Promise((resolve) => setTimeout(resolve, 5));
};
const note = () => document.getElementById("unkept");
const marked = () => Array.from(document.querySelectorAll("nav.days a.unkept")).map((tab) => tab.dataset.day);

test("what was refused in a cell outlives the page until it is corrected or dropped", async () => {
  await open(grid(0, [["1-0", "3x5 75%"], ["1-1", "3x5 80%"]]), "first");
  assert.equal(note().hidden, true);
  refuse("1-0", "3x5 seventy");
  answered();
  assert.equal(cell("1-0").value, "3x5 seventy");
  assert.equal(note().hidden, false);
  assert.deepEqual(marked(), ["0"]);

  // another day, and back
  await open(grid(1, [["2-0", "5x5"]]), "second");
  assert.equal(cell("2-0").value, "5x5");
  assert.deepEqual(marked(), ["0"]);
  await open(grid(0, [["1-0", "3x5 75%"], ["1-1", "3x5 80%"]]), "third");
  assert.equal(cell("1-0").value, "3x5 seventy");
  assert.equal(cell("1-1").value, "3x5 80%");
  assert.equal(cell("1-0").closest("td").classList.contains("unkept"), true);

  // corrected and kept: the server's word for it is that nothing is wrong
  cell("1-0").value = "3x5 70%";
  document.getElementById("was-1-0").value = "3x5 70%";
  document.getElementById("foot-1-0").innerHTML = "";
  answered();
  assert.equal(note().hidden, true);
  assert.equal(localStorage.length, 0);
});

test("dropped, it is what was kept before", async () => {
  await open(grid(0, [["1-0", "3x5 75%"]]), "fourth");
  refuse("1-0", "nonsense");
  answered();
  note().querySelector("button").dispatchEvent(new page.window.MouseEvent("click", { bubbles: true }));
  assert.equal(cell("1-0").value, "3x5 75%");
  assert.equal(localStorage.length, 0);
  assert.equal(note().hidden, true);
});

test("what is pasted past the edge is said, and the rest stands in its cells", async () => {
  await open(`<p id="told" hidden data-lost-one="one lost" data-lost-many="# lost"></p>` + grid(0, [["5-0", "3x5"], ["5-1", "3x4"]])
    .replace("<tbody>", "<thead><tr><th></th><th></th><th></th></tr></thead><tbody>").replace("<tbody><tr>", "<tbody><tr><th></th>"), "paste");
  const told = document.getElementById("told");
  const paste = (text) => {
    const event = new page.window.Event("paste", { bubbles: true, cancelable: true });
    event.clipboardData = { getData: () => text };
    cell("5-0").focus();
    document.dispatchEvent(event);
  };
  paste("1x1\t2x2");
  assert.equal(cell("5-1").value, "2x2");
  assert.equal(told.hidden, true);
  paste("1x1\t2x2\t3x3\t4x4\n");
  assert.equal(told.textContent, "2 lost");
  paste("1x1\t2x2\t3x3");
  assert.equal(told.textContent, "one lost");
});
