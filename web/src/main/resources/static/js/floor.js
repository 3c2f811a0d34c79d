// The floor on a phone: what is logged is kept here first and then sent, so that a lost line, a reload or a killed tab
// loses nothing. Loads are looked up in what the server worked out; nothing is reckoned here but the sum of tapped plates.
import { queue } from "./queue.js";
import * as clock from "./clock.js";

const main = document.getElementById("main");
const note = document.getElementById("waiting");
const held = document.getElementById("held");
const served = Number(document.body.dataset.served);
const account = document.body.dataset.account;
queue.owner = account;

const floor = () => document.getElementById("floor");
const cards = () => kept ? Array.from(kept.content.querySelectorAll(".now")) : [];
const current = () => floor().querySelector("section.now");
const dayKey = () => floor().dataset.planned + "/" + floor().dataset.week;
// Every set of the day, for when the line is lost: fetched once the page stands, and again when the day was changed.
let kept = document.getElementById("floor-cards");
let here = [];
// Whoever logs by keyboard or ear goes on at the head of the set that follows.
let focusNext = false;

// ---- logging

document.addEventListener("submit", (event) => {
  if (!event.target.matches("#floor form.log")) {
    return;
  }
  event.preventDefault();
  event.stopImmediatePropagation();
  log(event.target, event.submitter);
}, true);

async function log(form, button) {
  const card = form.closest(".now");
  if (card.dataset.sent === "true") {
    return;
  }
  const body = new URLSearchParams(new FormData(form));
  if (button && button.name) {
    body.set(button.name, button.value);
  }
  if (!plausible(form, body)) {
    // the server words what is wrong
    sendNow(form, body);
    return;
  }
  card.dataset.sent = "true";
  focusNext = floor().contains(document.activeElement);
  const item = {
    token: body.get("token"), action: form.getAttribute("action"), body: body.toString(), at: Date.now(),
    day: dayKey(), task: card.dataset.task, load: body.get("load") || "", reps: body.get("reps"), effort: body.get("effort"),
    letter: card.querySelector("h2").textContent.trim(), blind: card.dataset.blind === "true"
  };
  if (card.dataset.correcting !== "true") {
    clock.mark(card, item.effort !== "missed");
    clock.rest(card.dataset.rest);
  }
  window.scrollTo({ top: 0 });
  swapped = Date.now();
  await queue.add(item).catch(() => sendNow(form, body));
}

// What cannot be right is left to the server to say, if it can be asked at once.
function plausible(form, body) {
  if (!body.get("effort")) {
    return false;
  }
  const load = body.get("load") || "";
  const field = form.querySelector("input[name=load]");
  const plain = load.trim() === "" ? field.dataset.blank === "true" : /^\s*\d{1,4}([.,]\d{1,3})?\s*(kg|lb|lbs)?\s*$/.test(load);
  return plain && /^\s*\d{1,3}\s*$/.test(body.get("reps") || "");
}

async function sendNow(form, body) {
  try {
    const pass = await (await fetch("/pass", { headers: { "HX-Request": "true" }, cache: "no-store" })).json();
    const headers = { "HX-Request": "true" };
    headers[pass.header] = pass.token;
    const response = await fetch(form.getAttribute("action"), { method: "POST", headers, body });
    if (response.ok || response.status === 422) {
      swap(await response.text());
    }
  } catch (away) {
    note.textContent = note.dataset.away;
    note.hidden = false;
  }
}

// ---- what the server says

queue.sent = (html) => {
  if (typing()) {
    overlay();
  } else {
    swap(html);
  }
};

// Whether somebody is in the middle of something that a new page would take away.
function typing() {
  const active = document.activeElement;
  const inField = active && floor().contains(active) && active.matches("input:not([type=hidden]), textarea, select")
    && active.value !== active.defaultValue;
  return Boolean(inField) || Array.from(floor().querySelectorAll(".slots input:not([type=hidden])"))
    .some((field) => field.value !== field.defaultValue);
}

function swap(html) {
  const next = new DOMParser().parseFromString(html, "text/html").getElementById("floor");
  if (!next) {
    return;
  }
  const opened = Array.from(floor().querySelectorAll("details[open] > summary")).map((summary) => summary.textContent);
  const typed = keep();
  const focused = focusNext || floor().contains(document.activeElement);
  focusNext = false;
  floor().replaceWith(document.importNode(next, true));
  swapped = Date.now();
  if (window.htmx) {
    window.htmx.process(floor());
  }
  floor().querySelectorAll(".finish details > summary, details.before > summary").forEach((summary) => {
    summary.parentElement.open = summary.parentElement.open || opened.indexOf(summary.textContent) >= 0;
  });
  putBack(typed);
  arrived(focused);
}

// What was typed outside the set in hand.
function keep() {
  return Array.from(floor().querySelectorAll(".finish input:not([type=hidden]), .finish select, .slots input, .slots select"))
    .filter((field) => field.type !== "radio" && field.type !== "checkbox" && field.value !== (field.defaultValue || ""))
    .map((field) => ({ action: field.form && field.form.getAttribute("action"), name: field.name, value: field.value }));
}
function putBack(typed) {
  typed.forEach((was) => {
    const form = Array.from(floor().querySelectorAll("form")).find((f) => f.getAttribute("action") === was.action);
    const field = form && form.elements[was.name];
    if (field && "value" in field && was.value !== "") {
      field.value = was.value;
    }
  });
}

function arrived(focus) {
  overlay();
  clock.show();
  const head = document.getElementById("now-title");
  if (focus && head) {
    head.focus({ preventScroll: true });
  }
}
document.addEventListener("htmx:afterSettle", (event) => {
  if (event.target.id === "floor" || event.detail.target && event.detail.target.id === "floor") {
    arrived(false);
    fetchCards();
  }
});

let fetching = null;
function fetchCards() {
  clearTimeout(fetching);
  fetching = setTimeout(async () => {
    const day = floor().dataset;
    try {
      const response = await fetch(day.base + "?day=" + day.day + "&week=" + day.week + "&cards=yes", { headers: { "HX-Request": "true" } });
      if (response.ok && !response.redirected) {
        kept = new DOMParser().parseFromString(await response.text(), "text/html").getElementById("floor-cards") || kept;
        main.dataset.kept = "true";
      }
    } catch (away) {
      // those there were stay
    }
  }, 300);
}

// ---- what is here and not on the page

const isDone = (task) => here.some((item) => item.task === task);

// Shows what was logged here and the page does not know of.
async function overlay() {
  here = (await queue.ofDay(dayKey(), served)).filter((item) => {
    const card = cards().find((other) => other.dataset.task === item.task);
    return item.state !== "sent" || !card || card.dataset.correcting !== "true";
  });
  here.forEach((item) => {
    floor().querySelectorAll('[data-go="' + item.task + '"].step').forEach((step) => {
      step.classList.add("done");
      step.classList.remove("planned", "current");
    });
  });
  showUnsent();
  const now = current();
  if (now && kept && isDone(now.dataset.task) && now.dataset.correcting !== "true") {
    go(following(now.dataset.task));
  }
  tell();
}

// What has not gone yet stands among what was done, marked.
function showUnsent() {
  floor().querySelectorAll("li.unsent").forEach((line) => line.remove());
  here.filter((item) => item.state !== "sent").forEach((item) => {
    const letter = item.task.split(".")[0];
    const article = floor().querySelector('.slots article[data-letter="' + letter + '"]');
    if (article) {
      let list = article.querySelector("ul.done");
      if (!list) {
        list = document.createElement("ul");
        list.className = "done";
        article.querySelector(".slotload").after(list);
      }
      const line = document.createElement("li");
      line.className = "unsent";
      line.textContent = (item.blind || item.load === "" ? "" : item.load + " ") + "× " + item.reps;
      line.title = note.dataset.one;
      list.append(line);
    }
  });
}

// The set after this one that nobody has done; a warm-up of a lift that is past it is passed over.
function following(task) {
  const order = cards();
  const at = order.findIndex((card) => card.dataset.task === task);
  // a miss ends singles against the clock
  const ended = (card) => card.querySelector(".workclock[data-kind=density]") !== null
    && here.some((item) => item.effort === "missed" && item.task.split(".")[0] === card.dataset.task.split(".")[0]);
  const open = (card) => card.dataset.correcting !== "true" && !isDone(card.dataset.task) && !ended(card);
  const lift = at < 0 ? null : order[at].dataset.lift;
  return order.slice(at + 1).find(open)
    || order.slice(0, Math.max(0, at)).find((card) => open(card) && card.dataset.lift !== lift);
}

function go(card) {
  const now = current();
  if (!card) {
    if (now) {
      now.remove();
    }
    clock.show();
    return;
  }
  const next = document.importNode(card, true);
  next.classList.add("local");
  if (now) {
    now.replaceWith(next);
  } else {
    floor().querySelector(".next, .slots").before(next);
  }
  shift(next);
  if (focusNext) {
    next.querySelector("h2").focus({ preventScroll: true });
  }
  if (window.htmx) {
    window.htmx.process(next);
  }
  floor().querySelectorAll(".stair .step").forEach((step) => {
    step.classList.toggle("current", step.dataset.go === next.dataset.task);
  });
  floor().querySelectorAll(".next li").forEach((line) => {
    line.hidden = isDone(line.dataset.task) || line.dataset.task === next.dataset.task;
  });
  clock.show();
}

// The load of a set that hangs on a top which was lifted here: looked up among what the server foresaw.
function shift(card) {
  if (!card.dataset.shifts) {
    return;
  }
  const table = JSON.parse(card.dataset.shifts);
  const top = here.find((item) => item.task === table.top && item.effort !== "missed");
  const to = top && table[figure(top.load)];
  if (!to) {
    return;
  }
  const load = card.querySelector(".nowload .load");
  if (load && load.textContent !== to.text) {
    const was = document.createElement("s");
    was.className = "was";
    was.textContent = load.textContent;
    card.querySelectorAll(".nowload .was, .nowload .about").forEach((old) => old.remove());
    load.before(was, " ");
    load.textContent = to.text;
    card.querySelectorAll(".hangs, .changeplates").forEach((old) => old.remove());
  }
  const field = card.querySelector("form.log [name=load]");
  if (field) {
    field.value = to.load;
  }
  draw(card, to.plates);
}
function figure(text) {
  const number = Number(String(text).replace(",", ".").replace(/[^0-9.]/g, ""));
  return String(number);
}

// A set chosen without a line comes from what is here.
document.addEventListener("click", async (event) => {
  const link = event.target.closest("#floor [data-go]");
  if (!link || !queue.trouble && here.every((item) => item.state === "sent")) {
    return;
  }
  const card = cards().find((other) => other.dataset.task === link.dataset.go);
  if (card) {
    event.preventDefault();
    event.stopImmediatePropagation();
    go(card);
    current().scrollIntoView({ block: "start" });
  }
}, true);

// ---- what has not gone yet

const AT_ONCE = 2000;
async function tell() {
  const unsent = await queue.unsent();
  const waiting = unsent.filter((item) => item.state === "waiting");
  const lines = [];
  // what goes at once is not worth a word
  const slow = queue.trouble !== null || waiting.some((item) => Date.now() - item.at > AT_ONCE);
  if (waiting.length > 0 && !slow) {
    setTimeout(tell, AT_ONCE);
  }
  if (waiting.length > 0 && slow) {
    lines.push(waiting.length === 1 ? note.dataset.one : note.dataset.many.replace("#", waiting.length));
  }
  if (queue.trouble === "away") {
    lines.push(note.dataset.away);
  } else if (queue.trouble === "signed-out" && waiting.length > 0) {
    lines.push(note.dataset.signedOut);
  }
  if ((await queue.others()).length > 0) {
    lines.push(note.dataset.other);
  }
  if (!window.isSecureContext) {
    lines.push(note.dataset.insecure);
  }
  note.textContent = lines.join(" ");
  note.hidden = lines.length === 0;
  showHeld(unsent.filter((item) => item.state === "refused"));
}

function showHeld(refused) {
  held.hidden = refused.length === 0;
  held.replaceChildren(...refused.map((item) => {
    const line = document.createElement("li");
    const words = document.createElement("p");
    words.textContent = note.dataset.conflict + " " + item.letter + ": "
      + (item.blind ? "" : item.load + " ") + "× " + item.reps + ". " + (item.says || note.dataset.refused + " " + item.status);
    line.append(words);
    const choose = (text, work) => {
      const button = document.createElement("button");
      button.type = "button";
      button.className = "act quietact";
      button.textContent = text;
      button.addEventListener("click", work);
      line.append(button, " ");
    };
    if (item.status === 422) {
      choose(held.dataset.mine, () => queue.insist(item));
    }
    choose(held.dataset.drop, () => queue.drop(item).then(() => location.reload()));
    return line;
  }));
}
queue.changed = overlay;

const TRY_AGAIN = 5000;
window.addEventListener("online", () => queue.send());
document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && queue.send());
setInterval(async () => {
  if ((await queue.unsent()).some((item) => item.state === "waiting")) {
    queue.send();
  }
}, TRY_AGAIN);

// ---- plates

function rackOf(card) {
  return JSON.parse(floor().dataset.racks)[card.dataset.lift];
}
function draw(card, plates) {
  const rack = rackOf(card);
  const svg = card.querySelector("svg.bar");
  if (!rack || !svg) {
    return;
  }
  const SVG = "http://www.w3.org/2000/svg";
  svg.querySelectorAll("g, .collar").forEach((old) => old.remove());
  const group = document.createElementNS(SVG, "g");
  let x = 26;
  plates.forEach((which) => {
    const plate = rack.plates[which];
    const disc = document.createElementNS(SVG, "rect");
    disc.setAttribute("class", "disc added " + plate.colour);
    disc.setAttribute("x", x);
    disc.setAttribute("y", 50 - Math.floor(plate.height / 2));
    disc.setAttribute("width", plate.width);
    disc.setAttribute("height", plate.height);
    disc.setAttribute("rx", 2);
    const label = document.createElementNS(SVG, "text");
    const middle = x + Math.floor(plate.width / 2);
    label.setAttribute("class", "cast " + plate.colour);
    label.setAttribute("x", middle);
    label.setAttribute("y", 50);
    label.setAttribute("dy", 4.2);
    label.setAttribute("transform", "rotate(-90 " + middle + " 50)");
    label.textContent = plate.label;
    group.append(disc, label);
    x += plate.width + 2;
  });
  svg.setAttribute("viewBox", "0 0 " + Math.max(176, x + 16) + " 100");
  svg.append(group);
}

// Tapped plates: on at the end of the row, off where they hang; the load is their sum.
document.addEventListener("click", (event) => {
  const opener = event.target.closest("[data-rack=open]");
  const plate = event.target.closest("[data-plate]");
  if (opener) {
    const card = opener.closest(".now");
    const box = card.querySelector(".rackplates");
    box.hidden = !box.hidden;
    if (!box.hidden && !box.dataset.on) {
      box.dataset.on = card.dataset.plates || "";
      showRack(card, box);
    }
  } else if (plate) {
    const card = plate.closest(".now");
    const box = card.querySelector(".rackplates");
    const on = box.dataset.on === "" ? [] : box.dataset.on.split(",").map(Number);
    if (plate.dataset.off !== undefined) {
      on.splice(Number(plate.dataset.off), 1);
    } else {
      on.push(Number(plate.dataset.plate));
    }
    on.sort((one, other) => one - other);
    box.dataset.on = on.join(",");
    showRack(card, box);
    tap(card, on);
  }
});
function showRack(card, box) {
  const rack = rackOf(card);
  const on = box.dataset.on === "" ? [] : box.dataset.on.split(",").map(Number);
  const button = (text, which, off) => {
    const made = document.createElement("button");
    made.type = "button";
    made.className = "plate" + (off === undefined ? "" : " on");
    made.dataset.plate = which;
    made.textContent = text;
    if (off !== undefined) {
      made.dataset.off = off;
    } else {
      made.disabled = on.filter((other) => other === which).length >= rack.plates[which].pairs;
    }
    return made;
  };
  const onBar = document.createElement("div");
  onBar.append(...on.map((which, at) => button("−" + rack.plates[which].label, which, at)));
  const there = document.createElement("div");
  there.append(...rack.plates.map((plate, which) => button("+" + plate.label, which)));
  box.replaceChildren(onBar, there);
}
function tap(card, on) {
  const rack = rackOf(card);
  const sum = on.reduce((total, which) => total + 2 * Number(rack.plates[which].mass), Number(rack.base));
  const text = String(Math.round(sum * 100) / 100);
  const field = card.querySelector("form.log [name=load]");
  field.value = text;
  const load = card.querySelector(".nowload .load");
  if (load) {
    load.textContent = text + " " + rack.unit;
  }
  draw(card, on);
}

// Kit that is ticked off or on differs from the plan.
document.addEventListener("change", (event) => {
  if (event.target.matches("#floor input[name=worn]")) {
    event.target.closest("fieldset").querySelector("input[name=wears]").checked = true;
  }
});

// ---- without a line

async function keepForLater() {
  if (!("serviceWorker" in navigator)) {
    return;
  }
  await navigator.serviceWorker.register("/sw.js");
  const worker = (await navigator.serviceWorker.ready).active;
  const files = performance.getEntriesByType("resource").map((entry) => new URL(entry.name))
    .filter((url) => url.origin === location.origin && /^\/(css|js|fonts|webjars)\/|^\/favicon/.test(url.pathname))
    .map((url) => url.pathname);
  const day = floor().dataset;
  const here = day.base + "?day=" + day.day + "&week=" + day.week;
  const pages = (document.body.dataset.following || "").split(" ").filter(Boolean);
  worker.postMessage({ keep: { account, files, due: location.search === "", pages: [here].concat(pages) } });
}

// ---- what others change

let swapped = 0;
const JUST_NOW = 2500;
let looking = null;
async function lookAgain() {
  if (typing() || (await queue.unsent()).length > 0) {
    looking = looking || setTimeout(() => { looking = null; lookAgain(); }, JUST_NOW);
    return;
  }
  const here = floor().dataset;
  const before = swapped;
  const now = current();
  const asked = (now && now.dataset.correcting === "true" ? "&task=" + now.dataset.task : "")
    + (here.changing ? "&change=" + here.changing : "");
  try {
    const response = await fetch(here.base + "?day=" + here.day + "&week=" + here.week + asked, { headers: { "HX-Request": "true" } });
    const html = await response.text();
    // what was logged meanwhile is newer than this answer
    if (response.ok && !response.redirected && swapped === before && !typing()) {
      swap(html);
      fetchCards();
    }
  } catch (away) {
    // looked at again when the line is back
  }
}
function listen() {
  if (!window.EventSource) {
    return;
  }
  const line = new EventSource(floor().dataset.base + "/events");
  // what this phone sent itself has been shown already
  line.addEventListener("moved", () => Date.now() - swapped > JUST_NOW && lookAgain());
  line.addEventListener("missed", lookAgain);
  // a line that broke and came back has missed things
  line.addEventListener("open", () => {
    if (main.dataset.listening === "true") {
      lookAgain();
      queue.send();
    }
    main.dataset.listening = "true";
  });
}

if (floor()) {
  listen();
  overlay().then(() => queue.send());
  clock.show();
  if (!kept) {
    fetchCards();
  }
  window.addEventListener("load", () => keepForLater().catch(() => {}));
}
main.dataset.ready = "true";
performance.mark("floor-ready");
