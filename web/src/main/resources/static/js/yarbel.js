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

  // In the sheet, Enter keeps the cell and goes to the one below.
  document.addEventListener("keydown", function (event) {
    var cell = event.target;
    if (event.key !== "Enter" || !cell.matches || !cell.matches("input.dose")) {
      return;
    }
    event.preventDefault();
    var column = cell.closest("td").cellIndex;
    var row = cell.closest("tr").nextElementSibling;
    var below = row && row.cells[column] && row.cells[column].querySelector("input.dose");
    if (below) {
      below.focus();
      below.select();
    } else {
      cell.blur();
    }
  });

  // What could not be sent is said where the person is looking; what was typed stays.
  document.addEventListener("htmx:sendError", function () {
    say("The line is down. What you typed is still here; try again in a moment.");
  });
  document.addEventListener("htmx:responseError", function () {
    say("That was not kept. What you typed is still here; try again in a moment.");
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
