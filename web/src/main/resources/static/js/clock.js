// Clocks of the floor. Every one is worked out from the moment it began, never counted: a locked phone, a reload or a lost
// line changes nothing.
const restbar = document.getElementById("restbar");
const SET_UP = 10;
const CLUSTER_SET_UP = 5;
const FORGOTTEN = 20 * 60 * 1000;

let ticking = null;
let said = null;
let sound = null;
let beat = null;

const words = restbar ? restbar.dataset : {};

function read(key) {
  try {
    return JSON.parse(localStorage.getItem(key));
  } catch (unreadable) {
    return null;
  }
}
function write(key, value) {
  try {
    if (value === null) {
      localStorage.removeItem(key);
    } else {
      localStorage.setItem(key, JSON.stringify(value));
    }
  } catch (full) {
    // a clock that cannot be kept runs on until the page is left
  }
}

function floor() {
  return document.getElementById("floor");
}
function day() {
  return floor().dataset.planned + "/" + floor().dataset.week;
}

// ---- sound

export function silent() {
  return read("silent") === true;
}
function signal(high) {
  if (silent()) {
    return;
  }
  if (navigator.vibrate) {
    navigator.vibrate(high ? [200, 100, 200] : 80);
  }
  try {
    sound = sound || new AudioContext();
    const tone = sound.createOscillator();
    const loud = sound.createGain();
    tone.frequency.value = high ? 880 : 520;
    loud.gain.value = 0.15;
    tone.connect(loud).connect(sound.destination);
    tone.start();
    tone.stop(sound.currentTime + (high ? 0.35 : 0.12));
  } catch (mute) {
    // nothing to be heard on this machine
  }
}
// Said once, when a clock comes to it; not again by the next tick or after a reload.
function once(what, high) {
  if (said !== what) {
    if (said !== null) {
      signal(high);
    }
    said = what;
  }
}

export function face(seconds) {
  const whole = Math.max(0, Math.ceil(seconds));
  return Math.floor(whole / 60) + ":" + String(whole % 60).padStart(2, "0");
}

// ---- rest

export function rest(seconds) {
  write("rest " + day(), { from: Date.now(), seconds: Number(seconds) });
  said = "resting";
  show();
}
export function noRest() {
  write("rest " + day(), { from: 0, seconds: 0 });
  show();
}
function resting() {
  const here = read("rest " + day());
  const there = floor().dataset.restFrom;
  const known = here || (there ? { from: Number(there), seconds: Number(floor().dataset.rest) } : null);
  return known && known.seconds > 0 && Date.now() - known.from < FORGOTTEN ? known : null;
}

// A rest is shown while no other clock runs: one at a time, the one that matters.
function showRest(others) {
  const now = others || floor().dataset.finished === "true" ? null : resting();
  restbar.hidden = !now;
  if (!now) {
    return false;
  }
  const left = now.seconds - (Date.now() - now.from) / 1000;
  const state = left <= 0 ? "ready" : left <= SET_UP ? "setup" : "rest";
  restbar.dataset.state = state;
  document.getElementById("restface").textContent = left > 0 ? face(left) : "+" + face(-left);
  document.getElementById("restsays").textContent = words[state];
  if (state !== "rest") {
    once("rest " + state + now.from, state === "ready");
  }
  return true;
}

// ---- work

function clockOf(element) {
  const card = element.closest(".now");
  const task = element.dataset.kind === "density" ? card.dataset.task.split(".")[0] : card.dataset.task;
  return "clock " + day() + " " + task;
}

function showWork() {
  const element = document.querySelector(".now .workclock");
  if (!element) {
    return false;
  }
  const run = read(clockOf(element));
  const running = run && !run.stopped;
  element.querySelector("[data-clock=start]").hidden = Boolean(running);
  element.querySelector("[data-clock=stop]").hidden = !running;
  const shown = element.querySelector(".clockface");
  const says = element.querySelector(".clocksays");
  const kind = element.dataset.kind;
  const whole = Number(element.dataset.seconds);
  if (!running) {
    shown.textContent = run ? face((run.stopped - run.start) / 1000) : whole > 0 ? face(whole) : "";
    says.textContent = "";
    return false;
  }
  const gone = (Date.now() - run.start) / 1000;
  if (kind === "up") {
    shown.textContent = face(Math.floor(gone));
  } else if (kind === "clusters") {
    showCluster(element, run, gone, shown, says);
  } else {
    const left = whole - gone;
    shown.textContent = face(left);
    says.textContent = left <= 0 ? words.over : kind === "density" ? paced(element, run, left) : "";
    if (left <= 0) {
      once("over " + run.start, true);
    }
  }
  return true;
}

function showCluster(element, run, gone, shown, says) {
  const gap = Number(element.dataset.gap);
  const goal = Number(element.dataset.goal);
  const set = Math.floor(gone / gap) + 1;
  const left = gap - (gone % gap);
  if (set >= goal && gone >= gap * goal) {
    shown.textContent = "";
    says.textContent = words.over;
    once("over " + run.start, true);
    return;
  }
  shown.textContent = face(left);
  const due = set < goal && left <= CLUSTER_SET_UP;
  says.textContent = words.round + " " + Math.min(set, goal) + "/" + goal + (due ? " · " + words.setup : "");
  once((due ? "due " : "go ") + set + run.start, !due);
}

// Time left for each repetition that is still to be made, and the least rest since the last.
function paced(element, run, left) {
  const goal = Number(element.dataset.goal);
  const made = (run.marks || []).length;
  const open = goal - made;
  const since = made > 0 ? (Date.now() - run.marks[made - 1]) / 1000 : Infinity;
  const wait = Number(element.dataset.gap) - since;
  once(wait > 0 ? "wait " + made : "may " + made, wait <= 0);
  return (wait > 0 ? words.rest + " " + face(wait) : words.go) + " · "
    + (open > 0 ? face(left / open) + " " + words.pace + " · " : "") + made + "/" + goal + " " + words.made;
}

// A set was logged: what its clock counts is one more.
export function mark(card, made) {
  const element = card.querySelector(".workclock");
  if (!element) {
    return;
  }
  const key = clockOf(element);
  const run = read(key) || { start: Date.now() };
  if (element.dataset.kind === "density") {
    if (made) {
      run.marks = (run.marks || []).concat(Date.now());
    } else {
      run.stopped = Date.now();
    }
    write(key, run);
  } else {
    write(key, null);
  }
}

function startWork(element) {
  write(clockOf(element), { start: Date.now() });
  said = "started";
  signal(false);
  noRest();
}
function stopWork(element) {
  const key = clockOf(element);
  const run = read(key);
  run.stopped = Date.now();
  write(key, run);
  const field = element.closest(".now").querySelector("input[name=time]");
  if (field && field.value === "") {
    field.value = String(Math.max(1, Math.round((run.stopped - run.start) / 1000)));
  }
  show();
}

// ---- the beat of a tempo

function showBeat() {
  const element = document.querySelector(".now .beatclock");
  const says = element && element.querySelector(".clocksays");
  if (!beat || !element) {
    beat = null;
    if (says) {
      says.textContent = "";
    }
    return false;
  }
  const beats = element.dataset.beats.split(" ").map((part) => part.split(":"));
  const rep = beats.reduce((sum, part) => sum + Math.max(Number(part[1]), 0.5), 0);
  const gone = (Date.now() - beat) / 1000;
  let within = gone % rep;
  const number = Math.floor(gone / rep) + 1;
  if (number > Number(element.dataset.reps)) {
    beat = null;
    says.textContent = "";
    signal(true);
    return false;
  }
  for (const part of beats) {
    const long = Math.max(Number(part[1]), 0.5);
    if (within < long) {
      const name = { LOWER: "lower", RAISE: "raise", HOLD_BELOW: "below", HOLD_ABOVE: "above" }[part[0]];
      says.textContent = number + " · " + words[name] + " " + Math.max(1, Math.ceil(long - within));
      once("beat " + number + part[0], part[0] === "RAISE");
      return true;
    }
    within -= long;
  }
  return true;
}

// ----

export function show() {
  if (!restbar || !floor()) {
    return;
  }
  const others = [showWork(), showBeat()].some(Boolean);
  const some = showRest(others) || others;
  const button = restbar.querySelector("[data-clock=silence]");
  button.setAttribute("aria-pressed", String(silent()));
  if (some && !ticking) {
    ticking = setInterval(show, 200);
  } else if (!some && ticking) {
    clearInterval(ticking);
    ticking = null;
  }
}

document.addEventListener("click", (event) => {
  const button = event.target.closest("[data-clock]");
  if (!button) {
    return;
  }
  const work = button.closest(".workclock");
  switch (button.dataset.clock) {
    case "start": startWork(work); break;
    case "stop": stopWork(work); break;
    case "skip": noRest(); break;
    case "silence": write("silent", !silent()); break;
    case "beat": beat = beat ? null : Date.now(); said = "beat"; break;
    default: break;
  }
  show();
});
document.addEventListener("visibilitychange", show);
