// Small manners that pages share. Everything works without this file.
(function () {
  "use strict";

  document.documentElement.classList.add("js");

  // An open menu closes when something else is tapped, or with Escape.
  function closeMenus(except) {
    document.querySelectorAll("details.menu[open]").forEach(function (menu) {
      if (menu !== except) {
        menu.open = false;
      }
    });
  }
  document.addEventListener("click", function (event) {
    closeMenus(event.target.closest("details.menu"));
  });
  document.addEventListener("keydown", function (event) {
    if (event.key === "Escape") {
      closeMenus(null);
    }
  });

  function doseIn(row, column) {
    return row.cells[column] && row.cells[column].querySelector("textarea.dose");
  }

  // Single keys: off while typing, and wherever the person switched them off.
  function singleKeys() {
    try {
      return window.localStorage.getItem("single-keys") !== "off";
    } catch (blocked) {
      return true;
    }
  }
  var keysDialog = document.getElementById("keys");
  var keysSwitch = document.getElementById("single-keys");
  if (keysSwitch) {
    keysSwitch.checked = singleKeys();
    keysSwitch.addEventListener("change", function () {
      window.localStorage.setItem("single-keys", keysSwitch.checked ? "on" : "off");
    });
  }
  document.addEventListener("click", function (event) {
    var opener = event.target.closest("[data-opens]");
    if (opener) {
      opener.closest("details").querySelector("summary").focus();
      closeMenus(null);
      document.getElementById(opener.dataset.opens).showModal();
    }
  });
  document.addEventListener("keydown", function (event) {
    if (event.ctrlKey || event.metaKey || event.altKey || !keysDialog || keysDialog.open || !singleKeys()
        || event.target.closest("input, textarea, select, [contenteditable]")) {
      return;
    }
    if (event.key === "?") {
      keysDialog.showModal();
    } else if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      if (!stepLine(event.key === "ArrowDown" ? 1 : -1)) {
        return;
      }
    } else if (event.key === "[" || event.key === "]") {
      var by = event.key === "[" ? -1 : 1;
      if (!turnWeek(by)) {
        markWeek(weekMarked() + by);
      }
    } else if (event.key === "t" && document.querySelector(".grid:not(.weekgrid)")) {
      markWeek(columnOf(".grid thead th.current"));
    } else if (event.key === "Enter" && event.target === document.body && document.querySelector(".grid:not(.weekgrid)")) {
      editWeek();
    } else if (/^[0-9abdjkstuw/]$/.test(event.key)) {
      var target = document.querySelector('[data-key="' + event.key + '"]')
          || (event.key === "/" && document.querySelector('[data-key="1"]'));
      if (!target) {
        return;
      }
      target.click();
      if (target.matches("summary")) {
        target.parentElement.querySelector("a, select, input:not([type=hidden])").focus();
      }
    } else {
      return;
    }
    event.preventDefault();
  });

  // Up and down lead from lifter to lifter; the links of a line are a Tab away.
  function stepLine(by) {
    var names = Array.from(document.querySelectorAll("table.morning tbody th a"));
    var held = document.activeElement.closest("table.morning tbody tr");
    var at = held ? names.findIndex(function (name) { return held.contains(name); }) : by > 0 ? -1 : names.length;
    var next = names[at + by];
    if (!next || !held && document.activeElement !== document.body && !document.activeElement.closest("main")) {
      return false;
    }
    next.focus();
    return true;
  }

  // One week of the sheet is marked; [ and ] move the mark, Enter types there.
  function columnOf(selector) {
    var head = selector && document.querySelector(selector);
    return head ? head.cellIndex : 1;
  }
  function weekMarked() {
    return columnOf([".marked", ":target", ".current"].map(function (kind) {
      return ".grid thead th" + kind;
    }).filter(function (selector) {
      return document.querySelector(selector);
    })[0]);
  }
  // Where a whole week is shown, [ and ] turn to the week beside it.
  function turnWeek(by) {
    var links = Array.prototype.slice.call(document.querySelectorAll("nav.weeks a"));
    var open = links.filter(function (link) { return link.getAttribute("aria-current"); })[0];
    var beside = links[links.indexOf(open) + by];
    if (beside) {
      beside.click();
    }
    return links.length > 0;
  }
  function markWeek(column) {
    var heads = document.querySelectorAll(".grid thead th");
    if (column < 1 || column >= heads.length) {
      return;
    }
    heads.forEach(function (head) {
      head.classList.toggle("marked", head.cellIndex === column);
    });
    heads[column].scrollIntoView({ block: "nearest", inline: "nearest" });
  }
  function editWeek() {
    var column = weekMarked();
    var rows = Array.prototype.slice.call(document.querySelectorAll(".grid tbody tr"));
    var first = rows.map(function (row) { return doseIn(row, column); }).filter(Boolean)[0];
    if (first) {
      first.focus();
    }
  }

  // A school of events asks for the announced load in place.
  document.addEventListener("change", function (event) {
    if (event.target.matches("select[data-school]") && event.target.value === "events") {
      event.target.closest(".liftrow").querySelector("details").open = true;
    }
  });

  // A long block opens at this week, unless the address names another.
  var thisWeek = document.querySelector(".grid thead th.current");
  if (thisWeek && !document.querySelector(".grid thead th:target")) {
    // by hand: a browser may take what was scrolled into view for where Tab goes on from
    var sheet = thisWeek.closest(".grid");
    sheet.scrollLeft += thisWeek.getBoundingClientRect().left + thisWeek.offsetWidth / 2
        - sheet.getBoundingClientRect().left - sheet.clientWidth / 2;
  }

  // When the floor has moved on, whoever logs by keyboard or ear goes on at its head.
  var loggedByKey = false;
  document.addEventListener("htmx:beforeRequest", function (event) {
    loggedByKey = event.target.closest("#floor") !== null && document.activeElement !== document.body;
  });
  document.addEventListener("htmx:afterSettle", function () {
    var head = document.getElementById("now-title");
    if (loggedByKey && head && document.activeElement === document.body) {
      head.focus({ preventScroll: true });
    }
    loggedByKey = false;
  });

  // A day being typed is a day at every key, the year 2 among them: it is kept when its field is left.
  var DAY = "form[hx-trigger^=change] input[type=date]";
  document.addEventListener("change", function (event) {
    if (event.isTrusted && event.target.matches(DAY)) {
      event.stopImmediatePropagation();
    }
  }, true);
  document.addEventListener("focusout", function (event) {
    if (event.target.matches(DAY) && event.target.value !== event.target.defaultValue) {
      event.target.dispatchEvent(new Event("change", { bubbles: true }));
    }
  });

  // An answer to a form whose place was renewed meanwhile goes where that place is now: none is thrown away.
  document.addEventListener("htmx:beforeSwap", function (event) {
    var target = event.detail.target;
    if (target && target.id && !target.isConnected) {
      event.detail.target = document.getElementById(target.id) || target;
    }
  });
  // What is sent next from the same form is something else, also when it says the same.
  function renew(once) {
    once.value = Date.now().toString(36) + Math.random().toString(36).slice(2);
  }
  document.addEventListener("htmx:afterRequest", function (event) {
    var form = event.detail.elt && event.detail.elt.closest("form");
    var once = form && form.querySelector("input[name=once]");
    if (once) {
      renew(once);
    }
  });
  // So it is on a page gone back to, as it was left.
  window.addEventListener("pageshow", function (event) {
    if (event.persisted) {
      document.querySelectorAll("input[name=once]").forEach(renew);
    }
  });

  // A page that comes back whole after one field was kept leaves what is typed elsewhere as it is, what was opened open,
  // and the person where they were.
  var unkept = null;
  document.addEventListener("htmx:beforeSwap", function (event) {
    var main = document.getElementById("main");
    if (event.detail.target !== main || !event.detail.shouldSwap) {
      return;
    }
    var sender = event.detail.requestConfig.elt.closest("form");
    var sent = event.detail.requestConfig.formData;
    unkept = { fields: [], open: [], again: event.detail.xhr.status < 400 && sender !== null && sender.matches("[data-again]"), focus: main.contains(document.activeElement) ? placeOf(document.activeElement) : null };
    main.querySelectorAll("input:not([type=hidden]), textarea, select").forEach(function (field) {
      var refused = field.getAttribute("aria-invalid") === "true" && field.form !== sender;
      var changed = field.form === sender ? changedSince(field, sent) : refused || changedByHand(field);
      if (field.form && field.name && changed) {
        unkept.fields.push({
          place: placeOf(field), value: field.value, checked: field.checked,
          says: refused ? document.getElementById(field.getAttribute("aria-describedby")) : null
        });
      }
    });
    main.querySelectorAll("details[open] > summary").forEach(function (summary) {
      unkept.open.push(summary.textContent);
    });
  });
  document.addEventListener("htmx:afterSwap", function (event) {
    var main = document.getElementById("main");
    if (!unkept || event.detail.target !== main && event.target !== main) {
      return;
    }
    var toSend = [];
    unkept.fields.forEach(function (was) {
      var field = find(main, was.place);
      if (field) {
        field.value = was.value;
        field.checked = was.checked;
        if (!was.says && (field.form.getAttribute("hx-trigger") || "").indexOf("change") === 0) {
          toSend.push(field);
        }
      }
      if (field && was.says) {
        field.setAttribute("aria-invalid", "true");
        field.setAttribute("aria-describedby", was.says.id);
        field.after(was.says);
      }
    });
    main.querySelectorAll("details > summary").forEach(function (summary) {
      summary.parentElement.open = summary.parentElement.open || unkept.open.indexOf(summary.textContent) >= 0;
    });
    var focused = unkept.focus && find(main, unkept.focus);
    // one was added from a form that takes one after another: the next begins with the form's first field
    if (focused && unkept.again && focused.form.matches("[data-again]") && focused.value === "") {
      focused = focused.form.querySelector("select, input:not([type=hidden])");
    }
    if (focused) {
      focused.focus({ preventScroll: true });
    }
    unkept = null;
    // what is still being typed is sent when it is left; what is chosen, at once
    function isBeingTyped(field) {
      return field === focused && !field.matches("select, [type=radio], [type=checkbox]");
    }
    toSend.filter(isBeingTyped).forEach(sendWhenLeft);
    waiting = toSend.filter(function (field) { return !isBeingTyped(field); });
  });
  // Sent when the new page listens.
  var waiting = [];
  document.addEventListener("htmx:afterSettle", function () {
    waiting.splice(0).forEach(function (field) {
      if (field.isConnected) {
        field.dispatchEvent(new Event("change", { bubbles: true }));
      }
    });
  });
  // The browser knows of no change in what was put back: whoever leaves the field has it kept all the same.
  function sendWhenLeft(field) {
    var sent = false;
    field.addEventListener("change", function () { sent = true; }, { once: true });
    field.addEventListener("blur", function () {
      if (!sent) {
        field.dispatchEvent(new Event("change", { bubbles: true }));
      }
    }, { once: true });
  }
  // A field is found again by its form's address, its name and, among several of a name, its number.
  function placeOf(field) {
    var form = field.form || field.closest("form");
    if (!form) {
      return null;
    }
    return { action: form.getAttribute("action"), kind: kindOf(form), name: field.name, number: alike(form, field.name).indexOf(field) };
  }
  function find(main, place) {
    var form = Array.prototype.filter.call(main.querySelectorAll("form"), function (other) {
      return other.getAttribute("action") === place.action && kindOf(other) === place.kind;
    })[0];
    return form && alike(form, place.name)[place.number];
  }
  function kindOf(form) {
    var kind = form.querySelector("input[type=hidden][name=kind]");
    return kind ? kind.value : "";
  }
  function alike(form, name) {
    return Array.prototype.filter.call(form.elements, function (field) {
      return field.name === name && field.type !== "hidden";
    });
  }
  function changedByHand(field) {
    if (field.tagName === "SELECT") {
      return Array.prototype.some.call(field.options, function (option, at) {
        var first = Array.prototype.some.call(field.options, function (o) { return o.defaultSelected; });
        return option.selected !== (first ? option.defaultSelected : at === 0);
      });
    }
    return field.type === "checkbox" || field.type === "radio"
      ? field.checked !== field.defaultChecked
      : field.value !== field.defaultValue;
  }
  function changedSince(field, sent) {
    if (!sent) {
      return false;
    }
    var values = sent.getAll(field.name);
    return field.type === "checkbox" || field.type === "radio"
      ? field.checked !== (values.indexOf(field.value) >= 0)
      : values.indexOf(field.value) < 0;
  }

  // Signing out takes this sign-in's kept pages along, and warns where sets on this phone have not been sent.
  document.addEventListener("submit", function (event) {
    var form = event.target;
    if (!/\/sign-out$/.test(form.action) || form.dataset.sure === "yes" || !window.indexedDB) {
      return;
    }
    event.preventDefault();
    unsent(function (some) {
      if (some && !window.confirm(document.body.dataset.unsent)) {
        return;
      }
      form.dataset.sure = "yes";
      forgetPages().then(function () { form.submit(); }, function () { form.submit(); });
    });
  });
  function unsent(then) {
    import("/js/queue.js").then(function (module) {
      module.queue.owner = document.body.dataset.account;
      return module.queue.unsent();
    }).then(function (sets) { then(sets.length > 0); }, function () { then(false); });
  }
  function forgetPages() {
    if (!window.caches) {
      return Promise.resolve();
    }
    return window.caches.keys().then(function (names) {
      return Promise.all(names.filter(function (name) {
        return name.indexOf("yarbel-pages-") === 0;
      }).map(function (name) { return window.caches.delete(name); }));
    });
  }

  // Pages that a phone kept for somebody else are gone once another person is signed in on it.
  var account = document.body.dataset.account;
  if (account && window.caches) {
    window.caches.keys().then(function (names) {
      names.filter(function (name) {
        return name.indexOf("yarbel-pages-") === 0 && !name.endsWith("-" + account);
      }).forEach(function (name) { window.caches.delete(name); });
    }, function () { /* a phone that keeps nothing has nothing to forget */ });
  }
  // Whoever opens Yarbel with sets that were not sent yet is led to where they are sent.
  var waits = document.querySelector("[data-unsent-to]");
  if (waits && window.indexedDB) {
    unsent(function (some) {
      if (some) {
        window.location.replace(waits.dataset.unsentTo);
      }
    });
  }

  // What could not be sent is said where the person is looking; what was typed stays.
  document.addEventListener("htmx:sendError", function () {
    say(document.body.dataset.lineDown);
  });
  document.addEventListener("htmx:responseError", function (event) {
    say(event.detail.xhr.status === 503 ? document.body.dataset.lineDown : document.body.dataset.lineRefused);
  });
  function say(words) {
    var note = document.getElementById("page-note");
    if (!note) {
      note = document.createElement("p");
      note.id = "page-note";
      note.setAttribute("role", "alert");
      note.className = "pagenote";
      document.body.append(note);
    }
    note.textContent = words;
    window.setTimeout(function () {
      note.remove();
    }, 8000);
  }

  // Words to be pasted elsewhere: the whole of a field, by one press, where the browser lets a page do that.
  document.querySelectorAll("[data-copy]").forEach(function (button) {
    if (!navigator.clipboard) {
      return;
    }
    button.hidden = false;
    button.addEventListener("click", function () {
      navigator.clipboard.writeText(document.getElementById(button.dataset.copy).value).then(function () {
        button.textContent = button.dataset.done;
      }, function () { document.getElementById(button.dataset.copy).select(); });
    });
  });
})();
