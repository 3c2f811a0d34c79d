// The floor on a phone: what is logged is kept here first and then sent, so that a lost line, a reload or a killed tab
// loses nothing. Loads are looked up in what the server worked out; nothing is reckoned here but the sum of tapped plates.
import { PATIENCE, queue } from "./queue.js";
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
// What the server says of a day: see PhoneDay. Nothing of it is judged here.
const dayOf = (page) => JSON.parse(page.dataset.phone);
// Every set of the day, for when the line is lost: fetched once the page stands, and again when the day was changed.
let kept = document.getElementById("floor-cards");
let whole = kept ? dayOf(floor()) : { sets: [] };
const setOf = (task) => dayOf(floor()).sets.concat(whole.sets).find((set) => set.task === task);
// How each slot can be changed, for the same.
let keptChanges = document.getElementById("floor-changes");
let here = [];
// Whoever logs by keyboard or ear goes on at the head of the set that follows.
let focusNext = false;

// A line that neither answers nor breaks is none.
function asked(where, how = {}) {
  return fetch(where, { ...how, headers: { ...how.headers, "HX-Request": "true" }, signal: AbortSignal.timeout(PATIENCE) });
}

// ---- logging

document.addEventListener("submit", (event) => {
  const set = event.target.matches("#floor form.log");
  if (!set && !event.target.matches("#floor form[data-queued]")) {
    return;
  }
  event.preventDefault();
  event.stopImmediatePropagation();
  (set ? log : enqueue)(event.target, event.submitter);
}, true);

// A change of the day, an answer or the session's end: kept here first, as sets are, and sent after what came before it.
async function enqueue(form, button) {
  if (form.dataset.sent === "true" || form.dataset.ends === "true" && asksForMore(form)) {
    return;
  }
  form.dataset.sent = "true";
  const body = new URLSearchParams(new FormData(form));
  if (button && button.name) {
    body.set(button.name, button.value);
  }
  const item = {
    kind: "form", token: body.get("once") || String(Math.random()), action: form.getAttribute("action"), body: body.toString(),
    at: Date.now(), day: dayKey(), name: form.dataset.queued, ends: form.dataset.ends === "true"
  };
  swapped = Date.now();
  if (isAway() && form.closest(".change")) {
    form.closest(".change").remove();
  }
  await queue.add(item).catch(() => sendNow(form, body));
}

// Whether sets are missing that nobody was asked about yet: asked at once, with or without a line.
function asksForMore(form) {
  const left = whole.sets.filter((set) => !set.warmUp && !set.logged && !isDone(set.task)).length;
  if (left === 0 || form.querySelector("[name=left]") || form.querySelector("[name=count]:checked")) {
    return false;
  }
  const said = document.createElement("p");
  said.className = "bad";
  said.setAttribute("role", "alert");
  said.textContent = left === 1 ? note.dataset.leftOne : note.dataset.leftMany.replace("#", left);
  const confirmed = document.createElement("input");
  confirmed.type = "hidden";
  confirmed.name = "left";
  confirmed.value = String(left);
  const button = form.querySelector("button[type=submit]");
  button.before(said, confirmed);
  button.textContent = note.dataset.allTheSame;
  return true;
}

async function log(form, button) {
  const card = form.closest(".now");
  if (card.dataset.sent === "true") {
    return;
  }
  const body = new URLSearchParams(new FormData(form));
  if (button && button.name) {
    body.set(button.name, button.value);
  }
  const set = setOf(card.dataset.task);
  const wrong = trouble(set.form, body);
  if (wrong) {
    say(form, wrong.field, wrong.words);
    return;
  }
  card.dataset.sent = "true";
  delete card.dataset.reopened;
  focusNext = floor().contains(document.activeElement);
  const item = {
    token: body.get("token"), action: form.getAttribute("action"), body: body.toString(), at: Date.now(),
    day: dayKey(), task: card.dataset.task, load: body.get("load") || "", reps: body.get("reps"), effort: body.get("effort"),
    name: set.name, blind: set.blind
  };
  if (!set.logged) {
    clock.mark(card, item.effort !== "missed");
    clock.rest(set.rest);
  }
  window.scrollTo({ top: 0 });
  swapped = Date.now();
  await queue.add(item).catch(() => sendNow(form, body));
}

// What cannot be right is said at once, with or without a line, by the bounds that the server gave; it looks at the rest.
function trouble(bounds, body) {
  const load = (body.get("load") || "").trim();
  const reps = (body.get("reps") || "").trim();
  const missed = body.get("effort") === "missed";
  if (load === "" ? !bounds.blank : !new RegExp(bounds.load).test(load)) {
    return { field: "load", words: note.dataset.badLoad };
  }
  if (!/^\d+$/.test(reps) || Number(reps) > bounds.mostReps) {
    return { field: "reps", words: note.dataset.badReps };
  }
  if (missed && bounds.mostMissed !== null && Number(reps) > bounds.mostMissed) {
    return { field: "reps", words: note.dataset.missedReps };
  }
  if (!missed && Number(reps) === 0) {
    return { field: "reps", words: note.dataset.noReps };
  }
  return null;
}

// Words beside the field, as the server would set them; what was typed stays.
function say(form, name, words) {
  const field = form.querySelector("input[name=" + name + "]");
  form.querySelectorAll("p.bad").forEach((old) => old.remove());
  form.querySelectorAll("[aria-invalid=true]").forEach((old) => old.setAttribute("aria-invalid", "false"));
  const bad = document.createElement("p");
  bad.className = "bad";
  bad.setAttribute("role", "alert");
  bad.textContent = words;
  form.querySelector(".fields").after(bad);
  if (field.type !== "hidden") {
    bad.id = field.getAttribute("aria-describedby");
    field.setAttribute("aria-invalid", "true");
    field.focus();
    field.select();
  }
}

async function sendNow(form, body) {
  try {
    const pass = await (await asked("/pass", { cache: "no-store" })).json();
    const headers = { [pass.header]: pass.token };
    const response = await asked(form.getAttribute("action"), { method: "POST", headers, body });
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
  if (isBusy() || isChosen() || !swap(html)) {
    overlay();
    lookLater();
  }
};

// Whether the set in hand was chosen by hand and has not been done: then the next one of the day takes nothing from it.
function isChosen() {
  const now = inHand();
  return Boolean(now) && floor().dataset.chosen === now.dataset.task && !isDone(now.dataset.task);
}

// A form that was refused is in the hand again where its page can be shown: with what was typed, and why beside the field.
queue.refused = (html, item) => item.day === dayKey() && !pressed && swap(html);

// A button that is replaced under the thumb hears of no tap.
let pressed = false;
document.addEventListener("pointerdown", () => { pressed = true; }, true);
["pointerup", "pointercancel"].forEach((end) => document.addEventListener(end, () => setTimeout(() => { pressed = false; }), true));

// Whether somebody is in the middle of something that a new page would take away.
function isBusy() {
  const active = document.activeElement;
  const inField = active && floor().contains(active) && active.matches("input:not([type=hidden]), textarea, select")
    && active.value !== active.defaultValue && !isSent(active);
  const reopened = current() && current().dataset.reopened === "true";
  return pressed || Boolean(inField) || reopened || Array.from(floor().querySelectorAll(".slots")).flatMap(changed).length > 0;
}

// False where it cannot be shown without losing what was typed for another set.
function swap(html) {
  const next = new DOMParser().parseFromString(html, "text/html").getElementById("floor");
  const was = inHand();
  const now = next && next.querySelector("section.now");
  const same = Boolean(was && now) && now.dataset.task === was.dataset.task;
  if (!next || was && !same && was.querySelector("form.log") && changed(was).length > 0) {
    return false;
  }
  const active = same && was.contains(document.activeElement) ? document.activeElement : null;
  const opened = Array.from(floor().querySelectorAll("details[open] > summary")).map((summary) => summary.textContent);
  const typed = keep();
  const asking = floor().querySelector("form[data-ends] [name=left]") !== null;
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
  const ending = floor().querySelector("form[data-ends]");
  if (asking && ending) {
    asksForMore(ending);
  }
  const again = active && active.name && Array.from(current().querySelectorAll("[name=" + active.name + "]"))
    .find((field) => field.tagName === active.tagName && (active.tagName !== "BUTTON" || field.value === active.value));
  arrived(focused && !again);
  if (again) {
    again.focus({ preventScroll: true });
    if (again.select) {
      again.select();
    }
  }
  return true;
}

// The set in hand, unless it has been logged.
function inHand() {
  const card = current();
  return card && card.dataset.sent !== "true" ? card : null;
}

// What was sent is in the queue, and no longer only here.
const isSent = (field) => Boolean(field.form) && field.form.dataset.sent === "true";

// The fields in which something stands that the server did not put there.
function changed(part) {
  return Array.from(part.querySelectorAll("input:not([type=hidden]), select")).filter((field) => {
    if (isSent(field)) {
      return false;
    }
    if (field.type === "checkbox" || field.type === "radio") {
      return field.checked !== field.defaultChecked;
    }
    const chosen = field.options && Array.from(field.options).find((option) => option.defaultSelected);
    return field.value !== (field.options ? (chosen || field.options[0]).value : field.defaultValue);
  });
}

function keep() {
  return [inHand(), ...floor().querySelectorAll(".finish, .slots")].filter(Boolean).flatMap(changed).filter((field) => field.form)
    .map((field) => ({ action: field.form.getAttribute("action"), name: field.name, value: field.value, checked: field.checked }));
}
function putBack(typed) {
  typed.forEach((was) => {
    const form = Array.from(floor().querySelectorAll("form")).find((f) => f.getAttribute("action") === was.action);
    const field = form && Array.from(form.elements).find((f) => f.name === was.name
      && (f.type !== "checkbox" && f.type !== "radio" || f.value === was.value));
    if (field && (field.type === "checkbox" || field.type === "radio")) {
      field.checked = was.checked;
    } else if (field) {
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
// What somebody asked for is newer than what others changed before it.
document.addEventListener("htmx:beforeRequest", (event) => {
  if (event.target.closest && event.target.closest("#floor")) {
    swapped = Date.now();
  }
});
document.addEventListener("htmx:afterSettle", (event) => {
  if (event.target.id === "floor" || event.detail.target && event.detail.target.id === "floor") {
    swapped = Date.now();
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
      const response = await asked(day.base + "?day=" + day.day + "&week=" + day.week + "&cards=yes");
      if (response.ok && !response.redirected) {
        const page = new DOMParser().parseFromString(await response.text(), "text/html");
        kept = page.getElementById("floor-cards") || kept;
        keptChanges = page.getElementById("floor-changes") || keptChanges;
        whole = dayOf(page.getElementById("floor"));
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
    const set = whole.sets.find((other) => other.task === item.task);
    return item.state !== "sent" || !set || !set.logged;
  });
  here.forEach((item) => {
    floor().querySelectorAll('[data-go="' + item.task + '"].step').forEach((step) => {
      step.classList.add("done");
      step.classList.remove("planned", "current");
    });
  });
  showUnsent();
  floor().classList.toggle("finishing", here.some((item) => item.ends && item.state === "waiting"));
  const now = current();
  if (now && kept && isDone(now.dataset.task) && !setOf(now.dataset.task).logged && now.dataset.reopened !== "true") {
    go(cardOf(next()));
  }
  tell();
}

// What has not gone yet stands among what was done, marked.
function showUnsent() {
  floor().querySelectorAll("li.unsent").forEach((line) => line.remove());
  here.filter((item) => item.state !== "sent" && item.task).forEach((item) => {
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

const cardOf = (set) => set && cards().find((card) => card.dataset.task === set.task);

// The set to do now: the first one open in the group lifted from last, else the first of all.
function next() {
  const done = here.filter((item) => item.task).map((item) => ({ missed: item.effort === "missed", set: setOf(item.task) }))
    .filter((lifted) => lifted.set);
  const ended = done.flatMap((lifted) => lifted.missed ? lifted.set.endsMissed : lifted.set.ends);
  const open = whole.sets.filter((set) => set.open && !isDone(set.task) && !ended.includes(set.task));
  const last = done[done.length - 1];
  return open.find((set) => last && set.group === last.set.group) || open[0];
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
  const shifts = setOf(card.dataset.task).shifts;
  const top = shifts && here.find((item) => item.task === shifts.top && item.effort !== "missed");
  const to = top && shifts.by[figure(top.load)];
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
    field.defaultValue = to.load;
    field.value = to.load;
  }
  draw(card, to.plates);
}
function figure(text) {
  const number = Number(String(text).replace(",", ".").replace(/[^0-9.]/g, ""));
  return String(number);
}

// Whether the line is known to be gone.
const isAway = () => queue.trouble !== null || navigator.onLine === false;

// A slot is changed without a line by the form that was kept for it.
document.addEventListener("click", (event) => {
  const link = event.target.closest("#floor a[data-changes]");
  if (link && isAway() && openChange(link)) {
    event.preventDefault();
    event.stopImmediatePropagation();
  }
}, true);
function openChange(link) {
  const article = link.closest("article");
  const open = article.querySelector(".change");
  if (open) {
    open.remove();
    return true;
  }
  const form = keptChanges && keptChanges.content.querySelector('.change[data-letter="' + link.dataset.changes + '"]');
  if (form) {
    article.append(document.importNode(form, true));
    article.querySelector(".change input:not([type=hidden])").focus();
  }
  return Boolean(form);
}
// The line turned out to be gone: what was asked for comes from what is here.
document.addEventListener("htmx:sendError", (event) => {
  const link = event.detail.elt;
  if (link && link.matches && link.matches("#floor a")) {
    queue.trouble = "away";
    tell();
    if (link.dataset.changes) {
      openChange(link);
    } else if (link.dataset.go) {
      link.click();
    }
  }
});

// A set chosen without a line comes from what is here.
document.addEventListener("click", async (event) => {
  const link = event.target.closest("#floor [data-go]");
  if (!link || !isAway() && here.every((item) => item.state === "sent")) {
    return;
  }
  const card = cards().find((other) => other.dataset.task === link.dataset.go);
  if (card) {
    event.preventDefault();
    event.stopImmediatePropagation();
    go(card);
    floor().dataset.chosen = card.dataset.task;
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
  const sets = waiting.filter((item) => item.kind !== "form").length;
  const forms = waiting.filter((item) => item.kind === "form");
  if (sets > 0 && slow) {
    lines.push(sets === 1 ? note.dataset.one : note.dataset.many.replace("#", sets));
  }
  if (forms.length > 0 && slow) {
    lines.push(note.dataset.forms.replace("#", forms.map((item) => item.name).join(", ")));
  }
  if (queue.trouble === "away") {
    lines.push(note.dataset.away);
  } else if (queue.trouble === "busy") {
    lines.push(note.dataset.busy);
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

const GONE = [404, 409];
function showHeld(refused) {
  held.hidden = refused.length === 0;
  held.replaceChildren(...refused.map((item) => {
    const line = document.createElement("li");
    const words = document.createElement("p");
    words.textContent = (item.taken ? note.dataset.conflict : note.dataset.refused) + " " + item.name
      + (item.kind === "form" ? "" : ": " + (item.blind ? "" : item.load + " ") + "× " + item.reps) + ". " + (item.says || (GONE.includes(item.status) ? note.dataset.gone : item.status));
    line.append(words);
    const choose = (text, work) => {
      const button = document.createElement("button");
      button.type = "button";
      button.className = "act quietact";
      button.textContent = text;
      button.addEventListener("click", work);
      line.append(button, " ");
    };
    if (item.taken) {
      choose(held.dataset.mine, () => queue.insist(item));
    } else if (item.status === 422 && item.day === dayKey() && cards().some((card) => card.dataset.task === item.task)) {
      choose(held.dataset.look, () => reopen(item));
    }
    choose(held.dataset.drop, () => queue.drop(item).then(() => location.reload()));
    return line;
  }));
}
queue.changed = () => {
  document.dispatchEvent(new Event("yarbel:queue"));
  return overlay();
};

// A set that was not taken, once more in hand with what was typed and what is wrong with it.
function reopen(item) {
  go(cards().find((card) => card.dataset.task === item.task));
  const card = current();
  const form = card.querySelector("form.log");
  const typed = new URLSearchParams(item.body);
  card.dataset.reopened = "true";
  Array.from(form.elements).filter((field) => field.name && field.type !== "hidden" && field.type !== "submit").forEach((field) => {
    if (field.type === "checkbox") {
      field.checked = typed.getAll(field.name).includes(field.value);
    } else {
      field.value = typed.get(field.name) || "";
    }
  });
  // what was only asked about is meant, if it is sent again as it is
  Object.entries(item.asked || {}).forEach(([name, value]) => {
    const meant = document.createElement("input");
    meant.type = "hidden";
    meant.name = name;
    meant.value = value;
    form.append(meant);
  });
  form.querySelector(".more").open = true;
  say(form, "load", item.says);
  card.scrollIntoView({ block: "start" });
}

const TRY_AGAIN = 5000;
window.addEventListener("online", () => queue.send());
document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && queue.send());
setInterval(async () => {
  if (await queue.isWaiting()) {
    queue.send();
  }
}, TRY_AGAIN);

// ---- plates

function rackOf(card) {
  return dayOf(floor()).racks[setOf(card.dataset.task).lift];
}
function draw(card, plates) {
  const rack = rackOf(card);
  const svg = card.querySelector("svg.bar");
  if (!rack || !svg) {
    return;
  }
  const layout = dayOf(floor()).layout;
  const SVG = "http://www.w3.org/2000/svg";
  svg.querySelectorAll("g, .collar").forEach((old) => old.remove());
  const group = document.createElementNS(SVG, "g");
  let x = layout.first;
  plates.forEach((which) => {
    const plate = rack.plates[which];
    const disc = document.createElementNS(SVG, "rect");
    disc.setAttribute("class", "disc added " + plate.colour);
    disc.setAttribute("x", x);
    disc.setAttribute("y", layout.middle - Math.floor(plate.height / 2));
    disc.setAttribute("width", plate.width);
    disc.setAttribute("height", plate.height);
    disc.setAttribute("rx", 2);
    const label = document.createElementNS(SVG, "text");
    const middle = x + Math.floor(plate.width / 2);
    label.setAttribute("class", "cast " + plate.colour);
    label.setAttribute("x", middle);
    label.setAttribute("y", layout.middle);
    label.setAttribute("dy", 4.2);
    label.setAttribute("transform", "rotate(-90 " + middle + " " + layout.middle + ")");
    label.textContent = plate.label;
    group.append(disc, label);
    x += plate.width + layout.gap;
  });
  svg.setAttribute("viewBox", "0 0 " + Math.max(layout.least, x + layout.end) + " 100");
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
      box.dataset.on = setOf(card.dataset.task).plates.join(",");
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
  const text = new Intl.NumberFormat(document.documentElement.lang, { maximumFractionDigits: 2, useGrouping: false }).format(sum);
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
    .filter((url) => url.origin === location.origin && /^\/(css|js|fonts|webjars|vendor)\/|^\/favicon/.test(url.pathname))
    .map((url) => url.pathname);
  const day = floor().dataset;
  const here = day.base + "?day=" + day.day + "&week=" + day.week;
  const pages = (document.body.dataset.following || "").split(" ").filter(Boolean);
  worker.postMessage({ keep: { account, files, due: location.search === "", pages: [here].concat(pages) } });
}

// ---- a count that only lifting settles

// A thumb counts up from what the plan has at least, or fills in one of the likely ones.
document.addEventListener("click", (event) => {
  const tapped = event.target.closest("[data-count], [data-made]");
  if (!tapped) {
    return;
  }
  const reps = tapped.closest("form").elements.reps;
  const now = /^\d+$/.test(reps.value) ? Number(reps.value) : null;
  if (tapped.dataset.made) {
    reps.value = tapped.dataset.made;
  } else {
    reps.value = now === null ? tapped.parentElement.dataset.least : Math.max(0, now + Number(tapped.dataset.count));
  }
  reps.dispatchEvent(new Event("input", { bubbles: true }));
});

// A start that is proposed goes into the field; nothing is logged by it.
document.addEventListener("click", (event) => {
  const proposed = event.target.closest("[data-put]");
  const field = proposed && document.querySelector("form.log input[name=load]");
  if (field) {
    field.value = proposed.dataset.put;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    field.focus();
  }
});

// ---- what others change

let swapped = 0;
const LATER = 2500;
let looking = null;
function lookLater() {
  looking = looking || setTimeout(() => { looking = null; lookAgain(); }, LATER);
}
async function lookAgain() {
  if (isBusy() || await queue.isWaiting()) {
    lookLater();
    return;
  }
  const here = floor().dataset;
  const before = swapped;
  const now = current();
  const which = (now && (setOf(now.dataset.task).logged || here.chosen === now.dataset.task) ? "&task=" + now.dataset.task : "")
    + (here.changing ? "&change=" + here.changing : "");
  try {
    const response = await asked(here.base + "?day=" + here.day + "&week=" + here.week + which);
    const html = await response.text();
    if (swapped !== before || isBusy()) {
      // what was logged meanwhile is newer than this answer
      lookLater();
    } else if (response.ok && !response.redirected && swap(html)) {
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
  // what this page sent itself has been shown already
  line.addEventListener("moved", (event) => queue.own.has(event.data.split("/")[1]) || lookAgain());
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
