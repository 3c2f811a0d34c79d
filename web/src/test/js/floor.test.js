import assert from "node:assert/strict";
import { beforeEach, test } from "node:test";
import { page, sent, server } from "./phone.js";

const set = (task, more = {}) => ({
  task, letter: task.split(".")[0], group: task[0], lift: "squat", name: task, warmUp: false, logged: false, open: true, blind: false,
  ends: [], endsMissed: [], rest: 120, form: { load: "^\\d+( kg)?$", blank: false, mostReps: 100, mostMissed: 4 }, plates: [], shifts: null, ...more
});
const SHIFTS = { top: "A.1", by: { 110: { text: "88 kg", load: "88", plates: [] } } };
const LAYOUT = { first: 26, gap: 2, middle: 50, least: 176, end: 16 };
let sets = [];
const card = (task, load) => `<section class="now" data-task="${task}"><h2 id="now-title" tabindex="-1">${task}</h2>
  <p class="nowload"><span class="load">${load}</span></p>
  <form class="log" action="/sets"><input type="hidden" name="token" value="t-${task}"><input type="hidden" name="task" value="${task}">
  <div class="fields"><input name="load" value="${load}"><input name="reps" value="5"></div>
  <button name="effort" value="8" type="submit"></button><button name="effort" value="missed" type="submit"></button></form></section>`;
const floor = (now, more = "") => `<div id="floor" data-planned="7" data-week="1" data-day="0" data-base="/floor" data-phone='${JSON.stringify({ sets, racks: {}, layout: LAYOUT })}'>
  ${now}<section class="slots"><a id="go-B" data-go="B.1" href="#">B now</a><article data-letter="A"><p class="slotload"></p><a id="change-A" data-changes="A" href="#">change</a></article></section>
  <section class="finish"><form class="ending" data-queued="the end" data-ends="true" action="/finish"><input type="hidden" name="once" value="o1">
  <input name="pain" value=""><button type="submit">Finish</button></form></section>${more}
  <template id="floor-changes"><div class="change" data-letter="A"><form data-queued="change of A" action="/slots/A">
  <input type="hidden" name="once" value="o2"><input name="sets" value=""><button name="what" value="skip" type="submit"></button></form></div></template>
  <template id="floor-cards">${card("A.1", "100 kg")}${sets.map((other) => card(other.task, other.task === "A.1" ? "100 kg" : "80 kg")).join("")}</template></div>`;

sets = [set("A.1", { endsMissed: ["A.2"] }), set("A.2", { shifts: SHIFTS }), set("B.1")];
document.body.innerHTML = `<main id="main"><p id="waiting" hidden data-one="1 here" data-many="# here" data-forms="here: #."
  data-away="away" data-bad-load="what load?" data-bad-reps="how many?" data-no-reps="none?" data-missed-reps="missed?"
  data-left-one="1 left" data-left-many="# left" data-all-the-same="all the same"></p><ul id="held" hidden></ul>${floor(card("A.1", "100 kg"))}</main>`;
document.body.dataset.account = "1";
document.body.dataset.served = "0";
page.window.scrollTo = () => {};
page.window.HTMLElement.prototype.scrollIntoView = () => {};
// the line by which the server says that something moved
const line = {};
globalThis.EventSource = page.window.EventSource = class {
  addEventListener(name, work) {
    line[name] = work;
  }
};
const { queue } = await import("../js/queue.js");
await import("../js/floor.js");

const settled = async () => {
  for (let i = 0; i < 40; i++) {
    await new Promise((resolve) => setTimeout(resolve, 2));
  }
};
const submit = (form, button) => {
  const event = new page.window.Event("submit", { bubbles: true, cancelable: true });
  event.submitter = form.querySelector(button);
  form.dispatchEvent(event);
  return event;
};
const find = (css) => document.querySelector(css);
const now = () => find("#floor > .now");

beforeEach(async () => {
  for (const item of await queue.unsent()) {
    await queue.drop(item);
  }
  const { openDB } = await import("../vendor/idb/index.js");
  await (await openDB("yarbel-floor", 1)).clear("sets");
  Object.assign(server, { asked: [], cut: true, gate: null, answers: () => ({ status: 200, text: "" }) });
  find("#floor").outerHTML = floor(card("A.1", "100 kg"));
  queue.trouble = null;
});

test("a set without a line is kept, and the next one is in hand", async () => {
  submit(now().querySelector("form.log"), "[value='8']");
  await settled();
  assert.equal((await queue.unsent()).length, 1);
  assert.equal(now().dataset.task, "A.2");
  assert.equal(find("li.unsent").textContent, "100 kg × 5");
});

test("what cannot be right is said beside the field, and nothing is sent", async () => {
  const form = now().querySelector("form.log");
  for (const [field, value, button, says] of [["load", "ten", "[value='8']", "what load?"], ["reps", "x", "[value='8']", "how many?"],
    ["reps", "0", "[value='8']", "none?"], ["reps", "5", "[value=missed]", "missed?"]]) {
    form.querySelector("[name=load]").value = "100";
    form.querySelector("[name=reps]").value = "5";
    form.querySelector("[name=" + field + "]").value = value;
    submit(form, button);
    assert.equal(form.querySelector("p.bad").textContent, says);
    assert.equal(form.querySelector("[name=" + field + "]").value, value, "what was typed stays");
  }
  await settled();
  assert.equal((await queue.unsent()).length, 0);
});

test("finishing with sets missing asks once, then waits for the line behind what was logged", async () => {
  const form = find("form.ending");
  form.querySelector("[name=pain]").value = "left knee";
  assert.equal(submit(form, "button").defaultPrevented, true);
  assert.equal(form.querySelector("p.bad").textContent, "3 left");
  assert.equal((await queue.unsent()).length, 0);
  submit(now().querySelector("form.log"), "[value='8']");
  submit(form, "button");
  await settled();
  assert.deepEqual((await queue.unsent()).map((item) => item.kind || "set"), ["set", "form"]);
  assert.equal(find("#floor").classList.contains("finishing"), true);
  server.cut = false;
  await queue.send();
  assert.deepEqual(sent().filter((request) => request.body && request.address !== "/floor").map((request) => request.address).slice(-2),
    ["/sets", "/finish"]);
  assert.equal(sent().find((request) => request.address === "/finish").body.pain, "left knee");
});

test("whoever was asked about missing sets still is when the page of a set logged before comes in", async () => {
  server.cut = false;
  server.gate = new Promise((open) => { server.open = open; });
  server.answers = (address) => ({ status: 200, text: address === "/sets" ? floor(card("A.2", "80 kg")) : "" });
  submit(now().querySelector("form.log"), "[value='8']");
  await settled();
  submit(find("form.ending"), "button");
  assert.equal(find("form.ending p.bad").textContent, "2 left");
  const before = find("#floor");
  server.open();
  await settled();
  assert.notEqual(find("#floor"), before, "the page of the set came in");
  assert.equal(find("form.ending p.bad").textContent, "2 left");
  submit(find("form.ending"), "button");
  await settled();
  assert.equal(sent().some((request) => request.address === "/finish"), true, "the second tap ends it");
});

test("a double tap is one", async () => {
  const form = find("form.ending");
  submit(form, "button");
  submit(form, "button");
  submit(form, "button");
  await settled();
  assert.equal((await queue.unsent()).length, 1);
});

test("a slot is changed without a line by the form that was kept for it", async () => {
  queue.trouble = "away";
  const click = new page.window.MouseEvent("click", { bubbles: true, cancelable: true });
  find("#change-A").dispatchEvent(click);
  assert.equal(click.defaultPrevented, true);
  submit(find("article .change form"), "[value=skip]");
  await settled();
  const [item] = await queue.unsent();
  assert.equal(item.action, "/slots/A");
  assert.equal(new URLSearchParams(item.body).get("what"), "skip");
  assert.equal(find("article .change"), null);
});

test("a form that the server refuses is shown again with what was typed and why", async () => {
  server.cut = false;
  server.answers = () => ({ status: 422, text: floor(card("A.1", "100 kg"), "<p class='bad'>too long</p>") });
  const form = find("form.ending");
  submit(form, "button");
  form.querySelector("[name=pain]").value = "here";
  submit(form, "button");
  await settled();
  assert.equal(find("#floor > .bad").textContent, "too long");
  assert.equal((await queue.unsent()).length, 0);
});

test("a top heavier than planned moves what hangs on it", async () => {
  now().querySelector("[name=load]").value = "110";
  submit(now().querySelector("form.log"), "[value='8']");
  await settled();
  assert.equal(now().dataset.task, "A.2");
  assert.equal(now().querySelector(".nowload .load").textContent, "88 kg");
  assert.equal(now().querySelector(".nowload .was").textContent, "80 kg");
  assert.equal(now().querySelector("[name=load]").value, "88");
});

test("a miss that ends its part goes on with the next one", async () => {
  submit(now().querySelector("form.log"), "[value='8']");
  await settled();
  assert.equal(now().dataset.task, "A.2");
  const { openDB } = await import("../vendor/idb/index.js");
  await (await openDB("yarbel-floor", 1)).clear("sets");
  find("#floor").outerHTML = floor(card("A.1", "100 kg"));
  now().querySelector("[name=reps]").value = "2";
  submit(now().querySelector("form.log"), "[value=missed]");
  await settled();
  assert.equal(now().dataset.task, "B.1");
});

test("what the server only asked about is meant when it is sent again as it was", async () => {
  server.cut = false;
  server.answers = () => ({
    status: 422, text: floor(card("A.1", "100 kg").replace("<div class=\"fields\">", "<input type='hidden' name='meant' value='100 5 8'><p class='bad'>sure?</p><div class='fields'>"))
  });
  submit(now().querySelector("form.log"), "[value='8']");
  await settled();
  const [item] = await queue.unsent();
  assert.equal(item.state, "refused");
  assert.deepEqual(item.asked, { meant: "100 5 8" });
});

test("a set chosen while an earlier one is on its way stays in hand when that is answered", async () => {
  server.cut = false;
  server.gate = new Promise((open) => { server.open = open; });
  server.answers = (address) => ({ status: 200, text: address === "/sets" ? floor(card("A.2", "80 kg")) : "" });
  submit(now().querySelector("form.log"), "[value='8']");
  await settled();
  find("#go-B").dispatchEvent(new page.window.MouseEvent("click", { bubbles: true, cancelable: true }));
  await settled();
  assert.equal(now().dataset.task, "B.1");
  server.open();
  await settled();
  assert.equal((await queue.unsent()).length, 0, "it was answered");
  assert.equal(now().dataset.task, "B.1");
});

test("what somebody else changed is fetched, and then its cards", async () => {
  const changed = floor(card("A.1", "105 kg"));
  Object.assign(server, { cut: false, answers: () => ({ status: 200, text: changed }) });
  line.missed();
  await settled();
  assert.equal(now().querySelector(".load").textContent, "105 kg");
  for (let i = 0; i < 100 && !sent().some((request) => request.address.includes("cards=yes")); i++) {
    await settled();
  }
  // what an earlier answer had it look for may come in between
  const asked = [...new Set(sent().map((request) => request.address))];
  assert.deepEqual(asked, ["/floor?day=0&week=1", "/floor?day=0&week=1&cards=yes"]);
});
