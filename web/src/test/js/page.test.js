import assert from "node:assert/strict";
import { test } from "node:test";
import { page } from "./phone.js";

document.body.innerHTML = `<main id="main"><div id="part"><form id="one"><input type="hidden" name="once" value="n1">
  <button>send</button></form></div><form id="two"><input type="hidden" name="once" value="n2"></form></main>`;
await import("../js/yarbel.js");

const tell = (name, detail, at = document) => {
  const event = new page.window.CustomEvent(name, { bubbles: true, detail });
  at.dispatchEvent(event);
  return event.detail;
};
const once = (form) => document.querySelector(form + " [name=once]").value;

test("an answer whose place was renewed meanwhile goes where that place is now", () => {
  const before = document.getElementById("part");
  const fresh = before.cloneNode(true);
  before.replaceWith(fresh);
  const detail = tell("htmx:beforeSwap", { target: before, shouldSwap: true, requestConfig: { elt: before } });
  assert.equal(detail.target, fresh);
  assert.equal(tell("htmx:beforeSwap", { target: fresh, shouldSwap: true, requestConfig: { elt: fresh } }).target, fresh);
});

test("a form that was answered and stands still is another one the next time, and no other form is", () => {
  const form = document.getElementById("one");
  tell("htmx:afterRequest", { elt: form.querySelector("button") }, form);
  assert.notEqual(once("#one"), "n1");
  assert.equal(once("#two"), "n2");
});

test("on a page gone back to every form is another one", () => {
  const gone = new page.window.Event("pageshow");
  gone.persisted = true;
  page.window.dispatchEvent(gone);
  assert.notEqual(once("#two"), "n2");
});

test("what was chosen while an earlier answer was on its way is sent when that comes, though it has the focus", () => {
  const main = document.getElementById("main");
  const questions = `<form action="/health" hx-trigger="change, submit"><input type="radio" name="one" value="no">
    <input type="radio" name="two" value="no"><input name="why" value=""></form>`;
  for (const [field, typed, sent] of [["two", false, ["two"]], ["why", true, []]]) {
    main.innerHTML = questions;
    const form = main.querySelector("form");
    const chosen = form.elements[field];
    form.elements.one.checked = true;
    const before = new page.window.FormData(form);
    chosen.focus();
    if (typed) {
      chosen.value = "because";
    } else {
      chosen.checked = true;
    }
    tell("htmx:beforeSwap", { target: main, shouldSwap: true, xhr: { status: 200 }, requestConfig: { elt: form, formData: before } });
    main.innerHTML = questions;
    const heard = [];
    main.addEventListener("change", (event) => heard.push(event.target.name));
    tell("htmx:afterSwap", { target: main });
    tell("htmx:afterSettle", { target: main });
    assert.deepEqual(heard.filter((name) => name === field), sent);
    assert.equal(main.querySelector("[name=" + field + "]")[typed ? "value" : "checked"], typed ? "because" : true);
  }
});

test("from a form that takes one after another the next begins with its first field, unless it was refused or typed into", () => {
  const main = document.getElementById("main");
  const kit = `<form action="/kit" data-again><input type="hidden" name="_csrf"><input name="mass"><input name="count"></form>`;
  for (const [status, typed, held] of [[200, "", "mass"], [422, "", "count"], [200, "4", "count"]]) {
    main.innerHTML = kit;
    const form = main.querySelector("form");
    form.elements.count.focus();
    const sent = new page.window.FormData(form);
    form.elements.count.value = typed;
    tell("htmx:beforeSwap", { target: main, shouldSwap: true, xhr: { status }, requestConfig: { elt: form, formData: sent } });
    main.innerHTML = kit;
    tell("htmx:afterSwap", { target: main });
    assert.equal(document.activeElement.name, held);
  }
});
