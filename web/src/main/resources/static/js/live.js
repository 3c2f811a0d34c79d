// Pages that hear when something moves on a floor look again at what moved.
(function () {
  "use strict";

  var main = document.getElementById("main");
  if (!main || !main.dataset.live || !window.EventSource) {
    return;
  }
  var line = new EventSource(main.dataset.live);

  function sides(lifter) {
    return document.querySelectorAll('.side' + (lifter ? '[data-lifter="' + lifter + '"]' : ""));
  }
  // What is being typed into one side is not taken away: it looks again when nothing more is typed there.
  function look(side) {
    var typed = Array.prototype.some.call(side.querySelectorAll("input:not([type=hidden])"), function (field) {
      return field.value !== field.defaultValue;
    });
    if (typed) {
      side.addEventListener("focusout", function () { look(side); }, { once: true });
      return;
    }
    window.htmx.trigger(side, "moved");
  }
  line.addEventListener("moved", function (event) {
    var found = sides(event.data.split("/")[0]);
    found.forEach(look);
    // somebody else has begun
    if (found.length === 0 && main.classList.contains("live") && document.activeElement === document.body) {
      window.location.reload();
    }
  });
  line.addEventListener("missed", function () {
    sides().forEach(look);
  });
  line.addEventListener("open", function () {
    if (main.dataset.listening === "true") {
      sides().forEach(look);
    }
    main.dataset.listening = "true";
  });
})();
