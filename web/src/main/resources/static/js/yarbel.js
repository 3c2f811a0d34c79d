// Small manners that pages share. Everything works without this file.
(function () {
  "use strict";

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

  // In the sheet, Enter and the arrows keep the cell and go to the one below or above; Escape leaves it.
  document.addEventListener("keydown", function (event) {
    var cell = event.target;
    if (!cell.matches || !cell.matches("input.dose")) {
      return;
    }
    if (event.key === "Escape") {
      cell.blur();
    } else if (event.key === "Enter" || event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      var row = cell.closest("tr");
      row = event.key === "ArrowUp" ? row.previousElementSibling : row.nextElementSibling;
      var other = row && doseIn(row, cell.closest("td").cellIndex);
      if (other) {
        other.focus();
        other.select();
      } else if (event.key === "Enter") {
        cell.blur();
      }
    }
  });
  function doseIn(row, column) {
    return row.cells[column] && row.cells[column].querySelector("input.dose");
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
    } else if (event.key === "[" || event.key === "]") {
      markWeek(weekMarked() + (event.key === "[" ? -1 : 1));
    } else if (event.key === "t" && document.querySelector(".grid")) {
      markWeek(columnOf(".grid thead th.current"));
    } else if (event.key === "Enter" && event.target === document.body && document.querySelector(".grid")) {
      editWeek();
    } else if (/^[0-9atsd/]$/.test(event.key)) {
      var target = document.querySelector('[data-key="' + event.key + '"]')
          || (event.key === "/" && document.querySelector('[data-key="0"]'));
      if (!target) {
        return;
      }
      var own = document.querySelector("input[name=own]");
      if (event.key === "s" && own && own.value === "") {
        own.focus();
      } else {
        target.click();
      }
      if (target.matches("summary")) {
        target.parentElement.querySelector("a").focus();
      }
    } else {
      return;
    }
    event.preventDefault();
  });

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
      first.select();
    }
  }

  // A long block opens at this week, unless the address names another.
  var thisWeek = document.querySelector(".grid thead th.current");
  if (thisWeek && !document.querySelector(".grid thead th:target")) {
    thisWeek.scrollIntoView({ block: "nearest", inline: "center" });
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
})();
