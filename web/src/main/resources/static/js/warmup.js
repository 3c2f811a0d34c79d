// The clock of the warm-up room: what to do now, and in how many minutes the next set is due. It needs no line once the page is open.
(function () {
  "use strict";

  var main = document.getElementById("main");
  if (!main || !main.classList.contains("warmup")) {
    return;
  }
  var ahead = Number(main.dataset.now) - Date.now();
  var said = null;
  var MINUTE = 60000;

  function turns() {
    return Array.from(main.querySelectorAll(".turnlist li"));
  }
  function left(turn) {
    return Number(turn.dataset.at) - Date.now() - ahead;
  }
  function clock(ms) {
    var seconds = Math.max(0, Math.round(ms / 1000));
    return Math.floor(seconds / 60) + ":" + String(seconds % 60).padStart(2, "0");
  }

  function beep() {
    if (navigator.vibrate) {
      navigator.vibrate([200, 100, 200]);
    }
    var Context = window.AudioContext || window.webkitAudioContext;
    if (!Context) {
      return;
    }
    var context = new Context();
    var tone = context.createOscillator();
    tone.frequency.value = 880;
    tone.connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + 0.4);
    tone.onended = function () { context.close(); };
  }

  function tick() {
    var all = turns();
    // a set lasts its minute
    var now = all.find(function (turn) { return left(turn) > -MINUTE; });
    var shown = main.querySelector(".nowdo");
    all.forEach(function (turn) {
      turn.classList.toggle("past", left(turn) <= -MINUTE);
      turn.classList.toggle("due", turn === now);
    });
    if (!now) {
      shown.querySelector(".big").textContent = "";
      shown.querySelector(".what").textContent = all.length > 0 ? main.dataset.over : "";
      return;
    }
    var due = left(now) <= 0;
    shown.querySelector(".big").textContent = due ? main.dataset.due : main.dataset.in + " " + clock(left(now));
    shown.querySelector(".what").textContent = now.querySelector(".saying").textContent.replace(/\s+/g, " ");
    shown.classList.toggle("due", due);
    if (due && said !== now.dataset.at) {
      said = now.dataset.at;
      if (document.getElementById("aloud").checked) {
        beep();
      }
    }
  }
  window.setInterval(tick, 1000);
  tick();

  // Without a line a delay moves the clock here; the server hears of it when it is tapped again.
  document.addEventListener("submit", async function (event) {
    var by = event.submitter && event.submitter.name === "by" ? Number(event.submitter.value) : 0;
    if (!by || !main.contains(event.target)) {
      return;
    }
    event.preventDefault();
    var fields = new URLSearchParams(new FormData(event.target));
    fields.set("by", String(by));
    try {
      var response = await fetch(main.dataset.base, { method: "POST", body: fields, signal: AbortSignal.timeout(20000) });
      if (response.ok) {
        window.location.replace(response.url);
        return;
      }
    } catch (away) {
      // told below
    }
    document.getElementById("line-away").hidden = false;
    main.querySelectorAll("[data-at]").forEach(function (turn) {
      turn.dataset.at = String(Number(turn.dataset.at) + by * MINUTE);
      var at = turn.querySelector(".at");
      if (at) {
        var day = new Date(Number(turn.dataset.at));
        at.textContent = String(day.getHours()).padStart(2, "0") + ":" + String(day.getMinutes()).padStart(2, "0");
      }
    });
    said = null;
    tick();
  });

  window.addEventListener("load", function () {
    var tabs = Array.from(main.querySelectorAll(".lifttabs a")).map(function (tab) { return tab.getAttribute("href"); });
    window.yarbelKeepForLater(tabs.concat([main.dataset.base])).catch(function () {});
  });
})();
