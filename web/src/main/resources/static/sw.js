// Opens the floor without a line: today's and the next sessions as they were when last seen, for the one who saw them.
"use strict";

const FILES = "yarbel-files";
const KEPT = "yarbel-pages-";
// raised whenever a page's script asks a page for what those kept before do not hold: they are not opened any more
const SHAPE = 2;
const PAGES = KEPT + SHAPE + "-";
const PATIENCE = 4000;
// where the session due is kept
const DUE = "/due";
const FLOOR = /^\/lifters\/\d+\/floor$/;
// a contest as it stands on the day and its warm-up room, whichever lift is looked at
const CONTEST = /^\/contests\/\d+\/(day|warm-up|events)$/;
const FILE = /^\/(css|js|fonts|img|webjars|vendor)\/|^\/favicon/;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

self.addEventListener("message", (event) => {
  if (event.data.keep) {
    event.waitUntil(keep(event.data.keep));
  }
});

// Pages belong to one sign-in; another one's go, and so do those of another shape.
async function keep(what) {
  const name = PAGES + what.account;
  for (const other of await caches.keys()) {
    if (other.startsWith(KEPT) && other !== name) {
      await caches.delete(other);
    }
  }
  const pages = await caches.open(name);
  if (what.due) {
    await pages.put(DUE, new Response(what.pages[0]));
  }
  const files = await caches.open(FILES);
  await Promise.all(what.files.map((path) => files.add(path).catch(() => {})));
  for (const path of new Set(what.pages)) {
    const whole = path + (path.includes("?") ? "&" : "?") + "cards=yes";
    const response = await fetch(whole, { credentials: "same-origin" }).catch(() => null);
    if (response && response.redirected) {
      // signed out meanwhile
      await caches.delete(name);
      return;
    }
    await store(name, path, response);
  }
}

// Only what the server made for this very sign-in is kept, and nothing once that has ended: then its pages are gone, and one that was
// still on its way must not bring them back.
async function store(name, path, response) {
  if (response && response.ok && !response.redirected && PAGES + response.headers.get("Yarbel-Account") === name
      && await caches.has(name)) {
    await (await caches.open(name)).put(path, response);
  }
}

self.addEventListener("fetch", (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== "GET" || url.origin !== self.location.origin) {
    return;
  }
  if (FILE.test(url.pathname)) {
    event.respondWith(file(event.request));
  } else if (event.request.mode === "navigate" && (FLOOR.test(url.pathname) || CONTEST.test(url.pathname) || url.pathname === "/")) {
    event.respondWith(page(event.request, url));
  }
});

// From the line, and kept for when there is none.
async function file(request) {
  const kept = await caches.open(FILES);
  try {
    const response = await fetch(request);
    if (response.ok) {
      kept.put(request, response.clone());
    }
    return response;
  } catch (away) {
    const known = await kept.match(request, { ignoreSearch: true });
    if (known) {
      return known;
    }
    throw away;
  }
}

async function page(request, url) {
  const answer = fetch(request);
  const late = new Promise((resolve) => setTimeout(resolve, PATIENCE, null));
  try {
    const response = await Promise.race([answer, late]);
    if (response && response.status < 500) {
      return response;
    }
    return await known(url) || await answer;
  } catch (away) {
    const kept = await known(url);
    if (kept) {
      return kept;
    }
    throw away;
  }
}

// The page itself, else the same day without the set that was chosen; without a day, the session due.
async function known(url) {
  const name = (await caches.keys()).find((key) => key.startsWith(PAGES));
  if (!name) {
    return null;
  }
  const pages = await caches.open(name);
  if (CONTEST.test(url.pathname)) {
    return await pages.match(url.pathname + url.search) || pages.match(url.pathname);
  }
  const day = url.searchParams.get("day");
  if (day !== null) {
    return pages.match(url.pathname + "?day=" + day + "&week=" + url.searchParams.get("week"));
  }
  const due = await pages.match(DUE);
  return due ? pages.match(await due.text()) : null;
}
