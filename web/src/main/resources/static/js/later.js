// Keeps pages for when there is no line.
window.yarbelKeepForLater = async function (pages) {
  "use strict";
  if (!("serviceWorker" in navigator)) {
    return;
  }
  await navigator.serviceWorker.register("/sw.js");
  var worker = (await navigator.serviceWorker.ready).active;
  var files = performance.getEntriesByType("resource").map(function (entry) { return new URL(entry.name); })
    .filter(function (url) { return url.origin === window.location.origin && /^\/(css|js|fonts|webjars|vendor)\/|^\/favicon/.test(url.pathname); })
    .map(function (url) { return url.pathname; });
  worker.postMessage({ keep: { account: document.body.dataset.account, files: files, due: false, pages: pages } });
};
