// The sheet by keyboard: moving, taking several cells, copying, filling, undoing. Everything works without this file.
(function () {
  "use strict";

  var taken = null; // the other corner of several cells taken
  var before = ""; // what an open cell held
  var inHand = null; // the cell that had the focus last, and where it stands

  function grid() {
    return document.getElementById("grid");
  }
  function isCell(element) {
    return element && element.matches && element.matches("#grid textarea.dose");
  }
  function isOpen(cell) {
    return cell.classList.contains("open");
  }

  // Cells are closed until somebody opens one; what was kept is what they hold.
  function ready() {
    if (!grid()) {
      return;
    }
    grid().querySelectorAll("textarea.dose").forEach(function (cell) {
      if (!isOpen(cell)) {
        cell.readOnly = true;
      }
      cell.tabIndex = -1;
    });
    reachable(cellInHand());
  }
  // One cell of the sheet is in the order of the Tab key; arrows lead to the others.
  function cellInHand() {
    var current = grid().querySelector("thead th.current");
    var rows = current ? Array.from(grid().querySelector("tbody").rows) : [];
    var inWeek = rows.map(function (line, row) { return at(row, current.cellIndex); }).filter(Boolean)[0];
    return inHand && document.getElementById(inHand.id) || inWeek || grid().querySelector("textarea.dose");
  }
  function reachable(cell) {
    grid().querySelectorAll("textarea.dose[tabindex='0']").forEach(function (other) { other.tabIndex = -1; });
    if (cell) {
      cell.tabIndex = 0;
    }
  }
  function sync() {
    if (!grid()) {
      return;
    }
    grid().querySelectorAll("input[type=hidden][name^='was.']").forEach(function (was) {
      var cell = document.getElementById(was.id.replace("was-", "dose-"));
      var foot = document.getElementById(was.id.replace("was-", "foot-"));
      if (cell) {
        var typed = cell.value;
        cell.defaultValue = was.value;
        cell.value = isOpen(cell) || foot && foot.querySelector(".bad") ? typed : was.value;
      }
    });
  }
  // What was refused in a cell outlives the page: it stands there again, marked, until it is corrected or dropped.
  function unkeptKey() {
    return "unkept " + document.body.dataset.account + " " + grid().dataset.block;
  }
  function unkept() {
    try {
      return JSON.parse(window.localStorage.getItem(unkeptKey())) || {};
    } catch (unreadable) {
      return {};
    }
  }
  function remember(cells) {
    try {
      if (Object.keys(cells).length > 0) {
        window.localStorage.setItem(unkeptKey(), JSON.stringify(cells));
      } else {
        window.localStorage.removeItem(unkeptKey());
      }
    } catch (full) {
      // what cannot be kept stands in the page as long as the page does
    }
  }
  function isRefused(cell) {
    var foot = document.getElementById(cell.id.replace("dose-", "foot-"));
    return Boolean(foot && foot.querySelector(".bad"));
  }
  // After an answer: what was refused is remembered, what was kept is not.
  function noteRefused() {
    var all = unkept();
    grid().querySelectorAll("textarea.dose").forEach(function (cell) {
      if (isRefused(cell) && !isOpen(cell)) {
        all[cell.id] = { text: cell.value, day: cell.closest("td").dataset.day };
      } else if (!isOpen(cell)) {
        delete all[cell.id];
      }
    });
    remember(all);
    showUnkept();
  }
  // On a page just opened: the text is put back, and what is wrong with it is asked for once more.
  function bringBack() {
    if (!grid()) {
      return;
    }
    var all = unkept();
    Object.keys(all).forEach(function (id) {
      var cell = document.getElementById(id);
      if (cell && cell.defaultValue === all[id].text) {
        // it was kept after all
        delete all[id];
      } else if (cell && cell.value !== all[id].text) {
        cell.value = all[id].text;
        cell.dispatchEvent(new Event("input", { bubbles: true }));
      } else if (!cell && all[id].day === grid().dataset.day) {
        // its slot is gone
        delete all[id];
      }
    });
    remember(all);
    showUnkept();
  }
  function showUnkept() {
    var all = unkept();
    var ids = Object.keys(all);
    var note = document.getElementById("unkept");
    grid().querySelectorAll("td.unkept").forEach(function (td) { td.classList.remove("unkept"); });
    document.querySelectorAll("nav.days a").forEach(function (tab) {
      tab.classList.toggle("unkept", ids.some(function (id) { return all[id].day === tab.dataset.day; }));
    });
    ids.forEach(function (id) {
      var cell = document.getElementById(id);
      if (cell) {
        cell.closest("td").classList.add("unkept");
      }
    });
    note.hidden = ids.length === 0;
    if (ids.length > 0) {
      var drop = document.createElement("button");
      drop.type = "button";
      drop.className = "act quietact";
      drop.dataset.unkept = "drop";
      drop.textContent = note.dataset.drop;
      note.replaceChildren((ids.length === 1 ? note.dataset.one : note.dataset.many.replace("#", ids.length)) + " ", drop);
    }
  }
  document.addEventListener("click", function (event) {
    if (event.target.closest("[data-unkept=drop]")) {
      remember({});
      grid().querySelectorAll("td.unkept textarea.dose").forEach(function (cell) {
        cell.value = cell.defaultValue;
        cell.dispatchEvent(new Event("input", { bubbles: true }));
      });
      showUnkept();
    }
  });

  ready();
  rules();
  odds();
  document.addEventListener("DOMContentLoaded", function () {
    // when the page listens to what is typed
    window.setTimeout(bringBack, 0);
  });
  document.addEventListener("htmx:afterSwap", function (event) {
    ready();
    rules();
    if (event.target.id === "main" || event.detail.target && event.detail.target.id === "main") {
      bringBack();
      backToCell();
      odds();
    }
  });
  // After a fill, a change or an undo the cell in hand has the focus again.
  document.addEventListener("focusin", function (event) {
    if (isCell(event.target)) {
      inHand = { id: event.target.id, place: place(event.target) };
      reachable(event.target);
    }
  });
  function backToCell() {
    var cell = inHand && (document.getElementById(inHand.id) || nearest(inHand.place));
    if (cell && (document.activeElement === document.body || !document.activeElement)) {
      cell.focus({ preventScroll: true });
    }
    if (isCell(document.activeElement)) {
      document.activeElement.scrollIntoView({ block: "nearest", inline: "nearest" });
    }
  }
  document.addEventListener("htmx:afterRequest", function (event) {
    if (event.target === grid() && event.detail.successful) {
      sync();
      noteRefused();
      odds();
    }
  });

  // ---- the rehearsal, as a quiet band over the cells; asked for when nothing else is going on

  var oddsSoon = null;
  var oddsAsked = 0;
  function odds() {
    window.clearTimeout(oddsSoon);
    oddsSoon = window.setTimeout(function () {
      var asked = ++oddsAsked;
      var from = grid() && grid().dataset.odds;
      if (!from) {
        return;
      }
      var typed = Array.from(grid().querySelectorAll("textarea.dose")).filter(function (cell) {
        return cell.value !== cell.defaultValue;
      }).map(function (cell) {
        return "&" + encodeURIComponent(cell.name) + "=" + encodeURIComponent(cell.value);
      }).join("");
      window.fetch(from + typed, { headers: { "HX-Request": "true" } }).then(function (response) {
        return response.ok && !response.redirected ? response.json() : null;
      }).then(function (laid) {
        if (laid && asked === oddsAsked && grid() && grid().dataset.odds === from) {
          lay(laid.cells);
          fan(laid.fans);
        }
      }, function () { /* without a line there is no band */ });
    }, 600);
  }
  // While a dose is typed the band goes with it; what is slow to come is asked for when the typing rests.
  document.addEventListener("input", function (event) {
    if (isCell(event.target)) {
      odds();
    }
  });
  // How the maxes may become, behind the marks of their lanes.
  function fan(fans) {
    var strip = document.getElementById("strip");
    if (!strip) {
      return;
    }
    strip.querySelectorAll(".fan").forEach(function (old) { old.remove(); });
    fans.forEach(function (of) {
      var path = document.createElementNS("http://www.w3.org/2000/svg", "path");
      path.setAttribute("class", "fan");
      path.setAttribute("d", of.area);
      var title = document.createElementNS("http://www.w3.org/2000/svg", "title");
      title.textContent = of.told;
      path.appendChild(title);
      strip.insertBefore(path, strip.querySelector("g"));
    });
  }
  function lay(cells) {
    grid().querySelectorAll("td[data-band]").forEach(function (td) {
      delete td.dataset.band;
      td.querySelectorAll(".odds").forEach(function (old) { old.remove(); });
    });
    cells.forEach(function (odds) {
      var cell = document.getElementById("dose-" + odds.cell);
      var td = cell && cell.closest("td");
      if (td) {
        var said = document.createElement("span");
        said.className = "odds small";
        said.title = odds.told;
        said.textContent = odds.chance;
        var told = document.createElement("span");
        told.className = "visually-hidden";
        told.textContent = " " + odds.told;
        said.appendChild(told);
        td.dataset.band = odds.band;
        td.appendChild(said);
      }
    });
  }

  // Only cells that hold something else than what is kept are sent.
  document.addEventListener("htmx:configRequest", function (event) {
    if (event.detail.elt !== grid()) {
      return;
    }
    var form = event.detail.formData;
    Array.from(form.keys()).forEach(function (name) {
      var was = name.indexOf("dose.") === 0 ? "was." + name.slice(5) : null;
      if (was && form.get(was) === form.get(name)) {
        form.delete(name);
        form.delete(was);
      }
    });
  });

  // A dose is one line, however many it takes in its column.
  document.addEventListener("input", function (event) {
    if (isCell(event.target) && /[\r\n]/.test(event.target.value)) {
      event.target.value = event.target.value.replace(/\s*[\r\n]+\s*/g, " ");
    }
  }, true);

  // ---- opening and leaving

  function open(cell, text) {
    if (isOpen(cell)) {
      return;
    }
    before = cell.value;
    cell.readOnly = false;
    cell.classList.add("open");
    if (text !== undefined) {
      cell.value = text;
      cell.dispatchEvent(new Event("input", { bubbles: true }));
    } else {
      cell.setSelectionRange(cell.value.length, cell.value.length);
    }
    take(null);
  }
  function close(cell) {
    cell.classList.remove("open");
    cell.readOnly = true;
  }
  function keep(cell) {
    var changed = cell.value !== before;
    close(cell);
    if (changed) {
      cell.dispatchEvent(new Event("change", { bubbles: true }));
    }
  }
  document.addEventListener("focusout", function (event) {
    if (isCell(event.target) && isOpen(event.target)) {
      keep(event.target);
    }
  });
  // Keeping is said once, by us: the browser's own word of it would come twice.
  document.addEventListener("change", function (event) {
    if (isCell(event.target) && event.isTrusted) {
      event.stopImmediatePropagation();
    }
  }, true);
  document.addEventListener("mousedown", function (event) {
    if (!isCell(event.target)) {
      return;
    }
    if (event.shiftKey && isCell(document.activeElement)) {
      event.preventDefault();
      take(event.target);
    } else {
      if (document.activeElement === event.target && !isOpen(event.target)) {
        open(event.target);
      }
      take(null);
    }
  });
  document.addEventListener("dblclick", function (event) {
    if (isCell(event.target)) {
      open(event.target);
    }
  });

  // ---- moving and taking several

  function place(cell) {
    var td = cell.closest("td");
    return { row: td.parentElement.sectionRowIndex, column: td.cellIndex };
  }
  function at(row, column) {
    var line = grid().querySelector("tbody").rows[row];
    return line && line.cells[column] ? line.cells[column].querySelector("textarea.dose") : null;
  }
  // Where a cell was taken out, the one that stands there now.
  function nearest(was) {
    var lines = grid() ? grid().querySelector("tbody").rows.length : 0;
    for (var row = Math.min(was.row, lines - 1); row >= 0; row--) {
      for (var column = was.column; column > 0; column--) {
        if (at(row, column)) {
          return at(row, column);
        }
      }
    }
    return null;
  }
  function next(cell, down, right) {
    var from = place(cell);
    var rows = grid().querySelector("tbody").rows.length;
    var columns = grid().querySelector("thead tr").cells.length;
    for (var row = from.row + down, column = from.column + right;
         row >= 0 && row < rows && column > 0 && column < columns; row += down, column += right) {
      var found = at(row, column);
      if (found) {
        return found;
      }
    }
    return null;
  }
  function go(cell) {
    if (cell) {
      cell.focus();
      cell.scrollIntoView({ block: "nearest", inline: "nearest" });
    }
  }
  function take(corner) {
    taken = corner;
    grid().querySelectorAll("td.taken").forEach(function (td) {
      td.classList.remove("taken");
    });
    if (corner && isCell(document.activeElement)) {
      cells().forEach(function (cell) {
        cell.closest("td").classList.add("taken");
      });
    }
  }
  // The cells taken, row by row; a lifted day among them has none.
  function block() {
    var one = place(document.activeElement);
    var other = taken && taken.isConnected ? place(taken) : one;
    var rows = [];
    for (var row = Math.min(one.row, other.row); row <= Math.max(one.row, other.row); row++) {
      var line = [];
      for (var column = Math.min(one.column, other.column); column <= Math.max(one.column, other.column); column++) {
        line.push(at(row, column));
      }
      rows.push(line);
    }
    return rows;
  }
  function cells() {
    return block().reduce(function (all, line) { return all.concat(line); }, []).filter(Boolean);
  }

  // ---- keys

  document.addEventListener("keydown", function (event) {
    var cell = event.target;
    if (!isCell(cell)) {
      return;
    }
    var command = event.ctrlKey || event.metaKey;
    if (isOpen(cell)) {
      if (event.key === "Enter" || event.key === "ArrowDown" || event.key === "ArrowUp") {
        event.preventDefault();
        keep(cell);
        go(next(cell, event.key === "ArrowUp" ? -1 : 1, 0) || cell);
      } else if (event.key === "Escape" && helping()) {
        event.preventDefault();
        helped();
      } else if (event.key === "Escape") {
        cell.value = before;
        close(cell);
        cell.dispatchEvent(new Event("input", { bubbles: true }));
      } else if (event.key === "?" && cell.value === "") {
        event.preventDefault();
        help(cell);
      }
      return;
    }
    var moves = { ArrowDown: [1, 0], ArrowUp: [-1, 0], ArrowRight: [0, 1], ArrowLeft: [0, -1] };
    if (command && event.key === "ArrowRight") {
      fill();
    } else if (command && (event.key === "z" || event.key === "Z")) {
      submit(event.shiftKey ? "redo" : "undo");
    } else if (command && (event.key === "y" || event.key === "Y")) {
      submit("redo");
    } else if (command || event.altKey) {
      return;
    } else if (moves[event.key]) {
      var from = event.shiftKey && taken && taken.isConnected ? taken : cell;
      var found = next(from, moves[event.key][0], moves[event.key][1]);
      if (event.shiftKey) {
        take(found || from);
      } else {
        take(null);
        go(found);
      }
    } else if (event.key === "Enter" || event.key === "F2") {
      open(cell);
    } else if (event.key === "Escape") {
      if (helping()) {
        helped();
      } else if (taken) {
        take(null);
      } else {
        cell.blur();
      }
    } else if (event.key === "Delete" || event.key === "Backspace") {
      write(cells().map(function (each) { return [each, ""]; }));
    } else if (event.key === "?") {
      help(cell);
    } else if ((event.key === "[" || event.key === "]") && document.querySelector("nav.weeks a")) {
      cell.blur();
      document.body.dispatchEvent(new KeyboardEvent("keydown", { key: event.key, bubbles: true }));
    } else if (event.key === "." || event.key === "ContextMenu") {
      offerMoves();
    } else if (event.key.length === 1 && event.key !== " ") {
      open(cell, event.key);
    } else {
      return;
    }
    event.preventDefault();
  });
  // Outside the cells, undo still is undo of the sheet while nobody types.
  document.addEventListener("keydown", function (event) {
    if (grid() && (event.ctrlKey || event.metaKey) && /^[zy]$/i.test(event.key)
        && !event.target.closest("input, textarea, select, [contenteditable]")) {
      event.preventDefault();
      submit(event.shiftKey || /y/i.test(event.key) ? "redo" : "undo");
    }
  });

  function submit(id) {
    var form = document.getElementById(id);
    if (form) {
      form.requestSubmit();
    }
  }
  // The cheat sheet stands beside the cell, which stays in hand: one reads there and types here.
  function help(cell) {
    var box = document.getElementById("doses");
    if (helping()) {
      helped();
      return;
    }
    box.classList.add("beside");
    box.classList.toggle("left", cell.getBoundingClientRect().left > window.innerWidth / 2);
    box.setAttribute("open", "");
  }
  function helping() {
    return document.querySelector("#doses.beside[open]");
  }
  function helped() {
    var box = document.getElementById("doses");
    box.removeAttribute("open");
    box.classList.remove("beside");
  }
  document.addEventListener("click", function (event) {
    if (helping() && event.target.closest("#doses form[method=dialog] button")) {
      event.preventDefault();
      helped();
      if (inHand) {
        go(document.getElementById(inHand.id));
      }
    }
  });

  // ---- the slot, the week and the day of a cell, moved by a letter each

  function offerMoves() {
    var box = document.getElementById("moves");
    if (box) {
      box.showModal();
    }
  }
  function move(kind) {
    var cell = inHand && document.getElementById(inHand.id);
    document.getElementById("moves").close();
    if (!cell) {
      return;
    }
    if (kind === "SLOT_ADD" || kind === "DAY_ADD" || kind === "DAY_COPY") {
      ask(kind);
      return;
    }
    var key = cell.name.split(".");
    var form = document.getElementById("move-form");
    var days = grid().dataset.days.replace(/[^0-9,]/g, "").split(",");
    form.querySelector("[name=kind]").value = kind;
    form.querySelector("[name=slot]").value = key[1];
    form.querySelector("[name=week]").value = Number(key[2]) + 1;
    form.querySelector("[name=day]").value = days[cell.closest("td").dataset.day];
    form.requestSubmit();
  }
  // What needs a name or a lift is asked for in its form.
  function ask(kind) {
    var box = document.getElementById("change");
    var field = document.getElementById(kind === "SLOT_ADD" ? "alter-slot-add" : "alter-day")
      .closest("form").querySelector(kind === "SLOT_ADD" ? "[name=lift]" : kind === "DAY_ADD" ? "[name=name]" : "[name=offset]");
    box.open = true;
    field.focus();
    field.scrollIntoView({ block: "nearest" });
  }
  document.addEventListener("click", function (event) {
    var button = event.target.closest("#moves [data-move]");
    if (button) {
      move(button.dataset.move);
    }
  });
  document.addEventListener("keydown", function (event) {
    var box = event.target.closest && event.target.closest("#moves");
    if (!box || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    var buttons = Array.from(box.querySelectorAll("[data-move]"));
    var at = buttons.indexOf(document.activeElement);
    var step = { ArrowDown: 1, ArrowUp: -1, ArrowRight: 5, ArrowLeft: -5 }[event.key];
    var named = buttons.filter(function (button) { return button.dataset.letter === event.key; })[0];
    if (step) {
      event.preventDefault();
      (buttons[at + step] || buttons[at]).focus();
    } else if (named) {
      event.preventDefault();
      named.click();
    }
  });
  document.addEventListener("click", function (event) {
    if (event.target.closest("[data-to-sheet]") && grid()) {
      event.preventDefault();
      go(cellInHand());
    }
  });
  function fill() {
    var box = document.getElementById("fill");
    if (!box) {
      return; // a week has no weeks to its right
    }
    var slots = block().map(function (line) {
      var first = line.filter(Boolean)[0];
      return first && first.closest("tr").dataset.slot;
    });
    box.open = true;
    Array.prototype.forEach.call(box.querySelector("[name=slot]").options, function (option) {
      option.selected = slots.indexOf(option.value) >= 0;
    });
    var one = place(document.activeElement).column;
    var other = taken ? place(taken).column : one;
    box.querySelector("[name=from]").value = Math.min(one, other);
    if (other !== one) {
      box.querySelector("[name=to]").value = Math.max(one, other);
    }
    box.querySelector("[name=rule]").focus();
    box.scrollIntoView({ block: "nearest" });
  }

  // From any field of a fill Enter fills, and Esc leads back to the cell.
  document.addEventListener("keydown", function (event) {
    var choice = event.target.closest && event.target.closest("#fill select, #fill input");
    if (choice && event.key === "Enter") {
      event.preventDefault();
      choice.blur();
      choice.form.requestSubmit();
    } else if (event.key === "Escape" && event.target.closest && event.target.closest("#fill")) {
      event.preventDefault();
      go(cellInHand());
    }
  });

  // ---- copying, from and to any spreadsheet

  function write(pairs) {
    var changed = pairs.filter(function (pair) { return pair[0] && pair[0].value !== pair[1]; });
    changed.forEach(function (pair) {
      pair[0].value = pair[1];
    });
    if (changed.length) {
      changed[0][0].dispatchEvent(new Event("change", { bubbles: true }));
    }
  }
  function text() {
    return block().map(function (line) {
      return line.map(function (cell) { return cell ? cell.value.replace(/[\t\n]/g, " ") : ""; }).join("\t");
    }).join("\n");
  }
  ["copy", "cut"].forEach(function (kind) {
    document.addEventListener(kind, function (event) {
      if (isCell(document.activeElement) && !isOpen(document.activeElement)) {
        event.clipboardData.setData("text/plain", text());
        event.preventDefault();
        if (kind === "cut") {
          write(cells().map(function (cell) { return [cell, ""]; }));
        }
      }
    });
  });
  document.addEventListener("paste", function (event) {
    var cell = document.activeElement;
    if (!isCell(cell) || isOpen(cell)) {
      return;
    }
    event.preventDefault();
    var rows = event.clipboardData.getData("text/plain").replace(/\r/g, "").replace(/\n$/, "").split("\n")
      .map(function (line) { return line.split("\t"); });
    var pairs = [];
    if (rows.length === 1 && rows[0].length === 1) {
      cells().forEach(function (each) { pairs.push([each, rows[0][0].trim()]); });
    } else {
      var from = place(cell);
      rows.forEach(function (line, down) {
        line.forEach(function (dose, right) {
          pairs.push([at(from.row + down, from.column + right), dose.trim()]);
        });
      });
    }
    write(pairs);
    tellLost(pairs.filter(function (pair) { return !pair[0] && pair[1] !== ""; }).length);
  });
  // What was pasted past the edge is said.
  function tellLost(lost) {
    var told = document.getElementById("told");
    if (lost > 0 && told) {
      told.textContent = lost === 1 ? told.dataset.lostOne : told.dataset.lostMany.replace("#", lost);
      told.hidden = false;
    }
  }

  // ---- what stands around the sheet

  // Only the fields of the chosen rule are shown.
  function rules() {
    var rule = document.querySelector("#fill [name=rule]");
    if (rule) {
      document.querySelectorAll("#fill .forrule").forEach(function (field) {
        field.classList.toggle("on", field.classList.contains(rule.value));
      });
    }
  }
  document.addEventListener("change", function (event) {
    if (event.target.matches("#fill [name=rule]")) {
      rules();
    }
  });
  document.addEventListener("click", function (event) {
    var suggestion = event.target.closest("button.suggestion");
    var gate = event.target.closest("a.opengate");
    var dialog = event.target.closest("[data-dialog]");
    if (suggestion) {
      var cell = document.getElementById(suggestion.dataset.cell);
      write([[cell, suggestion.textContent]]);
      cell.focus();
    } else if (gate) {
      event.preventDefault();
      var form = document.getElementById("gate-form");
      form.hidden = false;
      form.querySelector("[name=slot]").value = gate.dataset.slot;
      form.querySelector("[name=gate]").value = gate.dataset.gate;
      form.querySelector("[name=spotter]").focus();
    } else if (dialog && document.getElementById(dialog.dataset.dialog)) {
      event.preventDefault();
      document.getElementById(dialog.dataset.dialog).showModal();
    } else if (event.target.closest("[data-prints]")) {
      window.print();
    }
  });

  // A week's edge on the strip, pulled to the right, repeats the week.
  var pull = null;
  document.addEventListener("pointerdown", function (event) {
    var edge = event.target.closest && event.target.closest(".strip .edge");
    if (edge && document.getElementById("lengthen")) {
      event.preventDefault();
      var scale = edge.ownerSVGElement.getBoundingClientRect().width / edge.ownerSVGElement.viewBox.baseVal.width;
      pull = { edge: edge, x: event.clientX, width: edge.dataset.width * scale, from: Number(edge.getAttribute("x")), scale: scale };
      edge.classList.add("pulled");
      edge.setPointerCapture(event.pointerId);
    }
  });
  document.addEventListener("pointermove", function (event) {
    if (pull) {
      pull.edge.setAttribute("x", pull.from + Math.max(0, event.clientX - pull.x) / pull.scale);
    }
  });
  document.addEventListener("pointerup", function (event) {
    if (!pull) {
      return;
    }
    var by = Math.min(12, Math.round((event.clientX - pull.x) / pull.width));
    pull.edge.classList.remove("pulled");
    pull.edge.setAttribute("x", pull.from);
    if (by > 0) {
      var form = document.getElementById("lengthen");
      form.querySelector("[name=week]").value = pull.edge.dataset.week;
      form.querySelector("[name=by]").value = by;
      form.requestSubmit();
    }
    pull = null;
  });
})();
