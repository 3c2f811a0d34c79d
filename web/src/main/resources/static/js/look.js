// One film looked at closely: lines and angles over it, marks on its repetitions, and the plate followed through it.
import { DrawOver } from "./drawover.js";
import { Marks } from "./marks.js";
import { follow, written } from "./bar-follow.js";

const place = document.querySelector(".look");
const video = place.querySelector("video");
const svg = place.querySelector("[data-over]");
const drawn = place.querySelector("[data-drawn]");
const language = document.documentElement.lang;
const figure = (value, digits) => value.toLocaleString(language, { minimumFractionDigits: digits, maximumFractionDigits: digits });
const seek = (millis) => {
  video.pause();
  video.currentTime = millis / 1000;
};

// ---- over the film

const track = place.querySelector("[data-follow]");
const over = new DrawOver(svg, video, (what, value) => {
  if (what === "rim") {
    track.elements.rimX.value = value.x.toFixed(1);
    track.elements.rimY.value = value.y.toFixed(1);
    track.elements.rimWidth.value = value.width.toFixed(1);
    press(null);
  } else {
    drawn.textContent = figure(value, 0) + "°";
  }
});
const tools = place.querySelectorAll("[data-draw], [data-mark-rim]");
function press(tool) {
  over.use(tool);
  tools.forEach((button) => button.hasAttribute("aria-pressed")
    && button.setAttribute("aria-pressed", String(over.tool !== null && over.tool === (button.dataset.draw || "rim"))));
}
tools.forEach((button) => button.addEventListener("click", () => {
  if (button.dataset.draw === "clear") {
    over.clear();
    drawn.textContent = "";
  } else {
    video.pause();
    press(button.dataset.draw || "rim");
  }
}));
const field = (name) => Number(track.elements[name].value.replace(",", "."));
const rim = () => ({ x: field("rimX"), y: field("rimY"), width: field("rimWidth") });
["rimX", "rimY", "rimWidth"].forEach((name) => track.elements[name].addEventListener("input", () => {
  if (rim().width > 0) {
    over.showRim(rim());
  }
}));

// ---- marks

const form = place.querySelector("[data-says]");
const list = place.querySelector("[data-marks]");
const marks = new Marks(form.elements.marks.value);
function show() {
  form.elements.marks.value = marks.toString();
  list.replaceChildren(...marks.all().map((one) => {
    const line = document.createElement("li");
    line.className = one.what;
    const go = document.createElement("button");
    go.type = "button";
    go.className = "plain";
    go.textContent = list.dataset[one.what].replace("#", one.number || "") + " " + figure(one.millis / 1000, 2) + " s";
    go.addEventListener("click", () => seek(one.millis));
    const drop = document.createElement("button");
    drop.type = "button";
    drop.className = "plain";
    drop.textContent = list.dataset.drop;
    drop.setAttribute("aria-label", list.dataset.drop + ": " + go.textContent);
    drop.addEventListener("click", () => {
      marks.drop(one.millis, one.what);
      show();
    });
    line.append(go, drop);
    return line;
  }));
}
function mark(what) {
  marks.add(Math.round(video.currentTime * 1000), what);
  show();
}
show();
place.querySelectorAll("[data-mark]").forEach((button) => button.addEventListener("click", () => mark(button.dataset.mark)));
const KEYS = { c: "clean", b: "broken", s: "slowest" };
document.addEventListener("keydown", (event) => {
  const typing = event.target.closest && event.target.closest("input, textarea, select, dialog");
  if (!typing && !event.ctrlKey && !event.metaKey && !event.altKey && KEYS[event.key]) {
    event.preventDefault();
    mark(KEYS[event.key]);
  }
});
place.querySelectorAll("[data-seek]").forEach((button) => button.addEventListener("click", () => seek(Number(button.dataset.seek))));

// ---- the plate followed

const status = place.querySelector("[data-following]");
track.addEventListener("submit", async (event) => {
  const wanted = rim();
  if (!(wanted.width >= 8) || track.elements.pictures.value !== "") {
    // what is wrong with it the server says
    return;
  }
  event.preventDefault();
  const button = track.querySelector("[type=submit]");
  button.disabled = true;
  try {
    const pictures = await follow(video, wanted, (found) => {
      status.textContent = track.dataset.working.replace("#", figure(video.currentTime, 1));
      const now = found[found.length - 1];
      over.showRim({ x: now.x, y: now.y, width: wanted.width });
    });
    track.elements.pictures.value = written(pictures);
    track.submit();
  } catch (fault) {
    status.textContent = track.dataset.failed;
    button.disabled = false;
  }
});
