// The points of a strongman contest, on a phone in a field without a line. What is typed stays in the phone until the server has it: a tab
// that is killed loses nothing. Without a line it waits, and goes once there is one; the points are counted then. Everything works
// without this file, but not without a line.
(function () {
  "use strict";

  var FORM = "main.eventspage form[action$='/events/results']";
  if (!document.querySelector(FORM)) {
    return;
  }
  var HERE = window.location.pathname;
  var KEPT = "yarbel-events-" + document.body.dataset.account + HERE;
  var LOOK_AGAIN = 8000;
  // a line that neither answers nor breaks is none: what hangs on it is sent again
  var PATIENCE = 20000;

  function form() {
    return document.querySelector(FORM);
  }

  /** What is typed and not yet sent: by field, what it is and what stood there. */
  function typed() {
    try {
      return JSON.parse(window.localStorage.getItem(KEPT)) || { waits: false, fields: {} };
    } catch (unreadable) {
      return { waits: false, fields: {} };
    }
  }
  function keep(now) {
    if (Object.keys(now.fields).length === 0) {
      window.localStorage.removeItem(KEPT);
    } else {
      window.localStorage.setItem(KEPT, JSON.stringify(now));
    }
    document.getElementById("line-away").hidden = !now.waits;
  }

  function show() {
    var now = typed();
    Object.keys(now.fields).forEach(function (name) {
      var field = form().elements[name];
      if (field && field.getAttribute("aria-invalid") !== "true") {
        field.value = now.fields[name].text;
      }
    });
    keep(now);
  }

  document.addEventListener("input", function (event) {
    var name = event.target.name;
    if (!name || !form() || event.target.form !== form() || !form().elements["was-" + name]) {
      return;
    }
    var now = typed();
    now.fields[name] = { text: event.target.value, was: form().elements["was-" + name].value };
    keep(now);
  });

  /** Sends what waits. */
  async function send() {
    var now = typed();
    var fields = new URLSearchParams({ _csrf: form().elements._csrf.value });
    Object.keys(now.fields).forEach(function (name) {
      fields.set(name, now.fields[name].text);
      fields.set("was-" + name, now.fields[name].was);
    });
    var response;
    var page;
    try {
      response = await fetch(form().action, { method: "POST", body: fields, signal: AbortSignal.timeout(PATIENCE) });
      page = new DOMParser().parseFromString(await response.text(), "text/html").getElementById("main");
    } catch (noLine) {
      now = typed();
      now.waits = true;
      keep(now);
      return;
    }
    var answered = new URL(response.url).pathname.startsWith(HERE) && page && page.classList.contains("eventspage");
    if (answered) {
      // what cannot be read stays in its field, and is said beside it
      document.getElementById("main").replaceWith(document.adoptNode(page));
      Object.keys(now.fields).forEach(function (name) {
        now.fields[name].was = form().elements["was-" + name].value;
      });
      keep({ waits: false, fields: response.ok ? {} : now.fields });
    } else {
      // signed out meanwhile: it waits in the phone until whoever typed it has signed in
      now.waits = true;
      keep(now);
      window.location.reload();
    }
  }

  document.addEventListener("submit", function (event) {
    if (event.target === form() && Object.keys(typed().fields).length > 0) {
      event.preventDefault();
      send();
    }
  });
  function again() {
    if (typed().waits) {
      send();
    }
  }
  window.setInterval(again, LOOK_AGAIN);
  window.addEventListener("online", again);
  show();
  if (window.yarbelKeepForLater) {
    window.yarbelKeepForLater([HERE]);
  }
})();
