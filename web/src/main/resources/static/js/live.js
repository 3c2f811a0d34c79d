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
  // What is being typed into one side is not taken away.
  function look(side) {
    var active = document.activeElement;
    if (side.contains(active) && active.matches("input") && active.value !== "") {
      active.addEventListener("blur", function () { look(side); }, { once: true });
      return;
    }
    window.htmx.trigger(side, "moved");
  }
  line.addEventListener("moved", function (event) {
    var found = sides(event.data);
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
