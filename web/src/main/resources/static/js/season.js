// The season of a lifter: a contest's flag is dragged along the line, and what would follow is shown before it is kept. The field
// beside each contest does the same without this file.
(function () {
  "use strict";

  var line = document.querySelector("svg.season");
  if (!line) {
    return;
  }
  var from = Date.parse(line.dataset.from + "T00:00:00Z");
  var days = Number(line.dataset.days);
  var DAY = 86400000;
  var dragged = null;

  /** The day under a pointer, and where on the line it lies. */
  function at(event) {
    var point = new DOMPoint(event.clientX, event.clientY).matrixTransform(line.getScreenCTM().inverse());
    var x = Math.max(0, Math.min(1000, point.x));
    return { x: x, day: new Date(from + Math.round((x / 1000) * days) * DAY).toISOString().slice(0, 10) };
  }

  line.querySelectorAll(".flag[data-contest]").forEach(function (flag) {
    flag.addEventListener("pointerdown", function (event) {
      dragged = { flag: flag, x: at(event).x, moved: false };
      flag.setPointerCapture(event.pointerId);
      event.preventDefault();
    });
    flag.addEventListener("pointermove", function (event) {
      if (!dragged || dragged.flag !== flag) {
        return;
      }
      var to = at(event);
      dragged.moved = dragged.moved || Math.abs(to.x - dragged.x) > 3;
      flag.setAttribute("transform", "translate(" + (to.x - dragged.x) + ")");
    });
    flag.addEventListener("pointercancel", function () {
      flag.removeAttribute("transform");
      dragged = null;
    });
    flag.addEventListener("pointerup", function (event) {
      var moved = dragged && dragged.moved;
      dragged = null;
      if (moved) {
        window.location.assign("?contest=" + flag.dataset.contest + "&to=" + at(event).day + "#moving");
      } else {
        flag.removeAttribute("transform");
      }
    });
  });
})();
