// Moves a drawn bar as fast as each repetition of a drawn set. Whoever wants no movement reads the speeds in the table below it.
(function () {
  "use strict";

  var TRAVEL = 150;         // of the drawing, for half a metre of the bar
  var METRES = 0.5;
  var LOWERING = 1100;      // milliseconds
  var STANDING = 500;

  function still() {
    return window.matchMedia("(prefers-reduced-motion: reduce)").matches;
  }

  // Runs from 0 to 1 in so many milliseconds.
  function run(milliseconds, step, then) {
    var start = null;
    function frame(now) {
      start = start === null ? now : start;
      var share = Math.min(1, (now - start) / milliseconds);
      step(share);
      if (share < 1) {
        window.requestAnimationFrame(frame);
      } else {
        then();
      }
    }
    window.requestAnimationFrame(frame);
  }

  function show(track, button) {
    var speeds = track.dataset.speeds.replace(/[^0-9.,]/g, "").split(",").map(Number);
    var bar = track.querySelector(".movingbar");
    var counted = track.querySelector(".counted");
    function at(height) {
      bar.setAttribute("transform", "translate(0 " + -TRAVEL * height + ")");
    }
    var lowered = function (then) { run(LOWERING, function (share) { at(1 - share); }, then); };
    var raised = function (number, then) { run(1000 * METRES / speeds[number], at, then); };
    // a lift from the floor is raised first
    var raises = track.dataset.begins === "RAISING";
    function next(number) {
      counted.textContent = String(number + 1);
      window.setTimeout(rep, STANDING, number + 1);
    }
    function rep(number) {
      if (number === speeds.length) {
        button.disabled = false;
      } else if (raises) {
        raised(number, function () { lowered(function () { next(number); }); });
      } else {
        lowered(function () { raised(number, function () { next(number); }); });
      }
    }
    button.disabled = true;
    counted.textContent = "";
    at(raises ? 0 : 1);
    window.setTimeout(rep, STANDING, 0);
  }

  function begin() {
    var track = document.querySelector(".bartrack");
    var button = document.querySelector("[data-draw]");
    if (!track || !button) {
      return;
    }
    if (still()) {
      document.querySelector(".drill details.figures").open = true;
      button.hidden = true;
    }
    button.addEventListener("click", function () { show(track, button); });
  }

  document.addEventListener("DOMContentLoaded", begin);
}());
