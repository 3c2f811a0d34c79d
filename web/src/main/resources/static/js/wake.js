// A day of the wake is dragged to another weekday and seen there before it is kept. The fields beside it do the same by keyboard.
(function () {
  "use strict";

  var svg = null; // the drawing while a day is dragged
  var from = null; // its weekday
  var over = null; // the weekday it is over

  function days() {
    return Array.from(document.querySelectorAll(".laydays select[name=weekday]"));
  }
  function columns() {
    return Array.from(svg.querySelectorAll("text[data-at]"));
  }
  // The weekday under the pointer; nothing beside the days.
  function weekday(event) {
    var at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse()).x;
    var before = columns().filter(function (column) { return Number(column.dataset.at) <= at; });
    return before.length > 0 ? before[before.length - 1].dataset.weekday : null;
  }
  function mark(other) {
    over = other;
    columns().forEach(function (column) {
      column.classList.toggle("over", other !== null && column.dataset.weekday === other);
    });
  }
  function end() {
    if (svg) {
      mark(null);
      svg.classList.remove("dragging");
    }
    svg = null;
    from = null;
  }

  document.addEventListener("pointerdown", function (event) {
    var grip = event.target.closest && event.target.closest("svg[data-wake] [data-weekday]");
    var here = grip && days().some(function (day) { return day.value === grip.dataset.weekday; });
    if (here && event.button === 0) {
      svg = grip.closest("svg");
      from = grip.dataset.weekday;
      svg.classList.add("dragging");
      event.preventDefault();
    }
  });
  document.addEventListener("pointermove", function (event) {
    if (svg) {
      mark(weekday(event));
    }
  });
  document.addEventListener("pointerup", function (event) {
    if (!svg) {
      return;
    }
    var to = weekday(event);
    var moved = from;
    end();
    if (to === null || to === moved) {
      return;
    }
    // the day that lies there takes the other's place
    var fields = days();
    var there = fields.filter(function (day) { return day.value === to; })[0];
    fields.filter(function (day) { return day.value === moved; })[0].value = to;
    if (there) {
      there.value = moved;
    }
    fields[0].form.requestSubmit();
  });
  document.addEventListener("pointercancel", end);
  document.addEventListener("keydown", function (event) {
    if (event.key === "Escape") {
      end();
    }
  });
})();
