// The day of a contest, on a phone in a hall without a line. What is tapped is sent; where it cannot be, it is kept here, what follows
// is shown as it was worked out beforehand, and all of it goes once there is a line again. Everything works without this file, but not
// without a line.
(function () {
  "use strict";

  var main = document.getElementById("main");
  if (!main || !main.classList.contains("contestday") || main.classList.contains("warmup")) {
    return;
  }
  var account = document.body.dataset.account;
  var KEPT = "yarbel-contest-" + account + main.dataset.base;
  var LOOK_AGAIN = 8000;
  // a line that neither answers nor breaks is none: what hangs on it is sent again
  var PATIENCE = 20000;
  var ahead = Number(main.dataset.now) - Date.now();

  // ---- what waits for the line

  function waiting() {
    try {
      return JSON.parse(window.localStorage.getItem(KEPT)) || [];
    } catch (broken) {
      return [];
    }
  }
  function keep(taps) {
    window.localStorage.setItem(KEPT, JSON.stringify(taps));
    show();
  }
  function show() {
    var away = document.getElementById("line-away");
    if (away) {
      away.hidden = waiting().length === 0 && !down;
      away.dataset.waiting = String(waiting().length);
    }
  }
  var down = false;

  async function pass() {
    var response = await fetch("/pass", { headers: { "HX-Request": "true" }, cache: "no-store", signal: AbortSignal.timeout(PATIENCE) });
    if (!response.ok) {
      throw new Error("no pass");
    }
    var pass = await response.json();
    if (String(pass.account) !== account) {
      throw new Error("somebody else is signed in");
    }
    return pass;
  }

  // The page as it is now comes with every answer.
  async function post(fields, pass) {
    var body = new URLSearchParams(fields);
    body.delete("_csrf");
    var headers = {};
    headers[pass.header] = pass.token;
    return fetch(main.dataset.base, { method: "POST", headers: headers, body: body, signal: AbortSignal.timeout(PATIENCE) });
  }

  function take(html) {
    var next = new DOMParser().parseFromString(html, "text/html").getElementById("main");
    if (!next || !next.classList.contains("contestday")) {
      // signed out, or the contest is gone
      window.location.reload();
      return;
    }
    main.replaceWith(next);
    main = next;
    ahead = Number(main.dataset.now) - Date.now();
    waiting().forEach(apply);
    show();
  }

  var sending = Promise.resolve();
  function send() {
    sending = sending.then(drain, drain);
    return sending;
  }
  async function drain() {
    var taps = waiting();
    if (taps.length === 0) {
      return;
    }
    var may;
    try {
      may = await pass();
    } catch (away) {
      down = true;
      show();
      return;
    }
    while ((taps = waiting()).length > 0) {
      var response;
      try {
        response = await post(taps[0], may);
      } catch (away) {
        down = true;
        show();
        return;
      }
      if (response.status >= 500 || response.status === 429) {
        return;
      }
      // taken, or refused with the reason on the page
      keep(waiting().slice(1));
      down = false;
      if (!response.ok) {
        take(await response.text());
        return;
      }
    }
    await look();
  }

  // ---- a tap

  document.addEventListener("submit", function (event) {
    var form = event.target.closest("form[data-tap]");
    if (!form) {
      return;
    }
    event.preventDefault();
    var fields = Object.fromEntries(new FormData(form));
    if (event.submitter && event.submitter.name) {
      fields[event.submitter.name] = event.submitter.value;
    }
    fields.at = new Date(Date.now() + ahead).toISOString();
    var taps = waiting();
    // a double tap is one
    if (taps.some(function (tap) { return tap.once === fields.once && tap.act === fields.act; })) {
      return;
    }
    keep(taps.concat([fields]));
    apply(fields);
    send();
  });

  // ---- the page as it will be, where nothing answers

  function card(entry) {
    return document.getElementById("card-" + entry);
  }
  // The load that follows, from what was worked out beforehand.
  function apply(tap) {
    var of = card(tap.entry);
    if (!of || tap.lift !== of.querySelector("input[name=lift]").value) {
      return;
    }
    of.classList.add("waiting");
    var tries = of.querySelector(".tries");
    var at = tries.children[Number(tap.number) - 1];
    if (tap.act === "NAME") {
      if (!at) {
        at = document.createElement("li");
        at.append(document.createElement("span"));
        tries.append(at);
      }
      at.className = "named";
      at.firstElementChild.textContent = shown(tap.load);
      offer(of, tap.load, tap.number, true);
      return;
    }
    if (!at) {
      return;
    }
    if (tap.act === "BACK") {
      while (tries.children.length > Number(tap.number)) {
        tries.lastElementChild.remove();
      }
      at.className = "named";
      more(of, "", tap.number);
      offer(of, at.firstElementChild.textContent, tap.number, true);
      return;
    }
    if (tap.act === "MORE") {
      of.querySelectorAll(".whys [name=" + (tap.why ? "why" : "lights") + "]").forEach(function (chip) {
        chip.setAttribute("aria-pressed", String(chip.value === (tap.why || tap.lights)));
      });
      anew(of.querySelector(".whys"));
      if (tap.why === "PAIN") {
        of.querySelector(".hurt").hidden = false;
        of.querySelector(".nextload .told").textContent = "";
      }
      return;
    }
    more(of, tap.act, tap.number);
    at.className = tap.act === "MISSED" || tap.act === "TURNED_DOWN" ? "missed" : "made";
    var next = Number(tap.number) + 1;
    var rung = JSON.parse(of.dataset.tree || "null");
    var then = rung && rung.then[tap.act];
    if (next > Number(main.dataset.most)) {
      of.querySelectorAll(".nextload, .sayings, .naming").forEach(function (part) { part.hidden = true; });
      return;
    }
    of.querySelector(".which").textContent = main.dataset.numbers.split("/")[next - 1];
    if (then) {
      of.dataset.tree = JSON.stringify(then);
    }
    var last = at.firstElementChild.textContent;
    offer(of, then ? then.load : last, next, false, then ? then.chance : null);
  }
  // what more may be said of the last one
  function more(of, became, number) {
    var whys = of.querySelector(".whys");
    if (!whys) {
      return;
    }
    var good = became !== "MISSED" && became !== "TURNED_DOWN";
    whys.parentElement.hidden = became === "";
    whys.parentElement.open = became !== "" && !good;
    whys.querySelector("input[name=number]").value = number;
    anew(whys);
    whys.querySelectorAll(".whychip").forEach(function (chip) {
      var of = chip.dataset.of;
      chip.hidden = chip.name === "why" ? of !== became : (of === "MADE") !== good;
      chip.setAttribute("aria-pressed", "false");
    });
  }
  // a figure as the page writes it
  function shown(load) {
    return document.documentElement.lang === "de" ? String(load).replace(".", ",") : String(load);
  }
  // what is said next is another thing than what was said
  function anew(form) {
    var once = form.querySelector("input[name=once]");
    if (once) {
      once.value = window.crypto.randomUUID ? window.crypto.randomUUID() : String(Date.now()) + Math.random();
    }
  }
  function offer(of, load, number, named, chance) {
    var big = of.querySelector(".nextload .big");
    var forms = of.querySelectorAll("form[data-tap]:not(.back):not(.whys)");
    forms.forEach(function (form) {
      form.querySelector("input[name=number]").value = number;
      anew(form);
    });
    if (big) {
      big.textContent = shown(load) + " kg";
      big.classList.toggle("advised", !named);
      if (!named) {
        of.querySelector(".told").textContent = chance === null || chance === undefined ? "" : chance + " %";
      }
    }
    var sayings = of.querySelector(".sayings");
    if (sayings) {
      sayings.hidden = !named;
    }
    var naming = of.querySelector(".naming");
    if (naming) {
      naming.open = !named;
      naming.querySelector("input[name=load]").value = shown(load);
    }
  }

  // ---- a thumb's steps, and the seconds left

  document.addEventListener("click", function (event) {
    var stepper = event.target.closest("[data-step]");
    if (!stepper) {
      return;
    }
    var field = stepper.parentElement.querySelector("input[name=load]");
    var comma = field.value.includes(",");
    var now = parseFloat(field.value.replace(",", "."));
    if (!isNaN(now)) {
      var next = String(Math.max(0, now + Number(stepper.dataset.step) * Number(stepper.dataset.by)));
      field.value = comma ? next.replace(".", ",") : shown(next);
    }
  });
  function count() {
    document.querySelectorAll(".toname[data-until]").forEach(function (clock) {
      var left = Math.ceil((Number(clock.dataset.until) - Date.now() - ahead) / 1000);
      clock.classList.toggle("late", left <= 0);
      clock.textContent = left > 0 ? left + " s " + main.dataset.toName : left > -600 ? clock.dataset.over : "";
    });
  }
  window.setInterval(count, 1000);

  // ---- what others of the crew said

  async function look() {
    var typing = document.activeElement && document.activeElement.matches("input[name=load]");
    if (document.hidden || typing) {
      return;
    }
    if (waiting().length > 0) {
      return;
    }
    try {
      var response = await fetch(window.location.href, { headers: { "HX-Request": "true" }, cache: "no-store", signal: AbortSignal.timeout(PATIENCE) });
      if (response.ok && waiting().length === 0) {
        down = false;
        take(await response.text());
      }
    } catch (away) {
      down = true;
      show();
    }
  }
  function lookOrSend() {
    return waiting().length > 0 ? send() : look();
  }
  window.setInterval(lookOrSend, LOOK_AGAIN);
  window.addEventListener("online", lookOrSend);

  // ---- opened once, it opens without a line

  window.addEventListener("load", function () {
    var tabs = Array.from(document.querySelectorAll(".lifttabs a")).map(function (tab) { return tab.getAttribute("href"); });
    window.yarbelKeepForLater(tabs.concat([main.dataset.base])).catch(function () {});
  });

  waiting().forEach(apply);
  show();
  count();
  send();
})();
