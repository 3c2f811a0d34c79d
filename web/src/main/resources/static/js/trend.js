// Draws what a table of figures says of a max over time, above it. The table stays for whoever does not see the drawing.
(function () {
  "use strict";

  var DAY = 86400000;

  function figure(row, name) {
    return row.dataset[name] === undefined ? null : Number(row.dataset[name]);
  }

  // The table's rows by kind, as points of a drawing.
  function series(table) {
    var rows = Array.from(table.tBodies[0].rows);
    var of = function (wanted) {
      return rows.filter(function (row) { return wanted(row.dataset.kind); }).map(function (row) {
        return { x: figure(row, "day"), y: figure(row, "max"), low: figure(row, "low"), high: figure(row, "high"),
          words: Array.from(row.cells, function (cell) { return cell.textContent.trim(); }).filter(Boolean).join(", ") };
      });
    };
    return {
      estimate: of(function (kind) { return kind === "ESTIMATE"; }),
      working: of(function (kind) { return kind === "WORKING"; }),
      lifted: of(function (kind) { return kind !== "ESTIMATE" && kind !== "WORKING"; })
    };
  }

  function colour(name) {
    return getComputedStyle(document.documentElement).getPropertyValue(name).trim();
  }

  function day(value) {
    return new Intl.DateTimeFormat(document.documentElement.lang, { day: "numeric", month: "short", timeZone: "UTC" })
      .format(new Date(value * DAY));
  }

  function draw(place) {
    window.Chart.defaults.font.family = getComputedStyle(document.body).fontFamily;
    var points = series(document.getElementById(place.dataset.chart));
    var tide = colour("--tide");
    var quiet = colour("--quiet");
    var bare = { pointRadius: 0, pointHitRadius: 0, borderWidth: 0 };
    var chart = new window.Chart(place.querySelector("canvas"), {
      type: "line",
      data: { datasets: [
        Object.assign({ data: points.estimate.map(function (p) { return { x: p.x, y: p.high }; }), backgroundColor: tide + "2e", fill: 1 }, bare),
        Object.assign({ data: points.estimate.map(function (p) { return { x: p.x, y: p.low }; }), fill: false }, bare),
        { data: points.estimate, borderColor: tide, backgroundColor: tide, borderWidth: 2, pointRadius: 2.5 },
        { data: points.working, stepped: true, borderColor: quiet, backgroundColor: quiet, borderWidth: 1.5, borderDash: [5, 4], pointRadius: 0 },
        { data: points.lifted, showLine: false, borderColor: colour("--ink"), backgroundColor: colour("--panel"), pointStyle: "rectRot", pointRadius: 6, borderWidth: 2 }
      ] },
      options: {
        animation: false, maintainAspectRatio: false, parsing: false,
        interaction: { mode: "nearest", intersect: false, axis: "x" },
        scales: {
          x: { type: "linear", ticks: { callback: day, color: quiet, maxTicksLimit: 8, precision: 0 }, grid: { display: false } },
          y: { ticks: { callback: function (value) { return value + " " + place.dataset.unit; }, color: quiet }, grid: { color: colour("--line") } }
        },
        plugins: { legend: { display: false }, tooltip: {
          filter: function (item) { return item.raw.words !== undefined; },
          displayColors: false,
          callbacks: { title: function () { return ""; }, label: function (item) { return item.raw.words; } } } }
      }
    });
    keys(place, chart, points.estimate);
    return chart;
  }

  // Arrow keys go from session to session; what stands there is said.
  function keys(place, chart, estimate) {
    var at = estimate.length;
    place.addEventListener("keydown", function (event) {
      var step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
      var end = { Home: 0, End: estimate.length - 1 }[event.key];
      if (step === undefined && end === undefined) {
        return;
      }
      event.preventDefault();
      at = Math.max(0, Math.min(estimate.length - 1, end === undefined ? at + step : end));
      var active = [{ datasetIndex: 2, index: at }];
      chart.setActiveElements(active);
      chart.tooltip.setActiveElements(active, { x: 0, y: 0 });
      chart.update();
      place.querySelector("[aria-live]").textContent = estimate[at].words;
    });
  }

  function drawAll(within) {
    within.querySelectorAll("[data-chart]").forEach(function (place) {
      var before = window.Chart.getChart(place.querySelector("canvas"));
      if (before) {
        before.destroy();
      }
      draw(place);
    });
  }

  drawAll(document);
  document.addEventListener("htmx:afterSettle", function (event) {
    drawAll(event.target);
  });
})();
