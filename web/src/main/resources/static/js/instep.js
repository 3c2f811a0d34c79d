// Two films of like sets in step: both count from the moment in which the bar starts to move, by buttons and by keys.

export const RATES = [1, 0.5, 0.25];
const FRAME = 1 / 30;
// what one film may be ahead of the other before it is set right, in seconds
const APART = 0.04;

export class InStep {
  // films: { video, start } with the start in seconds; the first leads
  constructor(films) {
    this.films = films;
    this.rate = 1;
    this.playing = false;
  }

  // Seconds since the bar started.
  get at() {
    return this.films[0].video.currentTime - this.films[0].start;
  }

  // So long goes the longer of the two, and so far back the one that has more before its start.
  get from() {
    return -Math.max(...this.films.map((film) => film.start));
  }
  get until() {
    return Math.max(...this.films.map((film) => (film.video.duration || 0) - film.start));
  }

  place(film, at) {
    film.video.currentTime = Math.min(Math.max(0, film.start + at), film.video.duration || 0);
  }

  seek(at) {
    const moment = Math.min(Math.max(this.from, at), this.until);
    this.films.forEach((film) => this.place(film, moment));
  }

  step(frames) {
    this.pause();
    this.seek(this.at + frames * FRAME);
  }

  play() {
    this.playing = true;
    if (this.films.every((film) => film.start + this.at >= (film.video.duration || 0) - FRAME)) {
      this.seek(0);
    }
    this.films.forEach((film) => {
      film.video.playbackRate = this.rate;
      // one that is at its end stays there
      Promise.resolve(film.video.play()).catch(() => {});
    });
  }

  pause() {
    this.playing = false;
    this.films.forEach((film) => film.video.pause());
    this.hold(true);
  }

  toggle() {
    if (this.playing) {
      this.pause();
    } else {
      this.play();
    }
  }

  setRate(rate) {
    this.rate = rate;
    this.films.forEach((film) => {
      film.video.playbackRate = rate;
    });
  }

  slower() {
    this.setRate(RATES[Math.min(RATES.length - 1, RATES.indexOf(this.rate) + 1)]);
  }
  faster() {
    this.setRate(RATES[Math.max(0, RATES.indexOf(this.rate) - 1)]);
  }

  // The others follow the first.
  hold(closely = false) {
    this.films.slice(1).forEach((film) => {
      const wanted = Math.min(Math.max(0, film.start + this.at), film.video.duration || 0);
      if (Math.abs(film.video.currentTime - wanted) > (closely ? 0.001 : APART)) {
        film.video.currentTime = wanted;
      }
    });
    if (this.playing && this.films.every((film) => film.video.ended)) {
      this.playing = false;
    }
  }

  // In this film the bar starts now; the other stays where it is.
  startHere(index) {
    this.films[index].start = this.films[index].video.currentTime;
    return Math.round(this.films[index].start * 1000);
  }
}

// What a key does; nothing where it is somebody else's.
export function keyed(pair, key, shift) {
  switch (key) {
    case " ":
      pair.toggle();
      return true;
    case "ArrowRight":
      pair.step(shift ? 10 : 1);
      return true;
    case "ArrowLeft":
      pair.step(shift ? -10 : -1);
      return true;
    case "ArrowDown":
      pair.slower();
      return true;
    case "ArrowUp":
      pair.faster();
      return true;
    case "Home":
      pair.pause();
      pair.seek(0);
      return true;
    default:
      return false;
  }
}

function begin(place) {
  const figures = Array.from(place.querySelectorAll("[data-film]"));
  const pair = new InStep(figures.map((figure) => ({
    video: figure.querySelector("video"),
    start: Number(figure.dataset.start) / 1000
  })));
  const clock = place.querySelector("[data-clock]");
  const speed = place.querySelector("[data-speed]");
  const format = new Intl.NumberFormat(document.documentElement.lang, { minimumFractionDigits: 2, maximumFractionDigits: 2 });
  const show = () => {
    clock.textContent = format.format(pair.at) + " s";
    speed.textContent = "× " + pair.rate.toLocaleString(document.documentElement.lang);
  };
  const watch = () => {
    pair.hold();
    show();
    if (pair.playing) {
      window.requestAnimationFrame(watch);
    }
  };
  const acted = () => {
    show();
    if (pair.playing) {
      window.requestAnimationFrame(watch);
    }
  };
  place.addEventListener("click", (event) => {
    const button = event.target.closest("[data-key]");
    if (button && keyed(pair, button.dataset.key, false)) {
      acted();
    }
  });
  place.addEventListener("submit", (event) => {
    const form = event.target;
    event.preventDefault();
    // the keys go on where they were: on a button the space bar would press that once more
    place.focus({ preventScroll: true });
    form.elements.millis.value = pair.startHere(Number(form.dataset.starts));
    const said = (kept) => {
      place.querySelector("[data-said]").textContent = kept ? form.dataset.kept : form.dataset.lost;
    };
    fetch(form.action, { method: "POST", body: new URLSearchParams(new FormData(form)) })
      .then((answer) => said(answer.ok), () => said(false));
    acted();
  });
  document.addEventListener("keydown", (event) => {
    const near = (css) => event.target.closest && event.target.closest(css);
    const typing = near("input, textarea, select, dialog, video") || (event.key === " " && near("button, a, summary"));
    if (!typing && !event.ctrlKey && !event.metaKey && !event.altKey && keyed(pair, event.key, event.shiftKey)) {
      event.preventDefault();
      acted();
    }
  });
  const ready = () => {
    if (pair.films.every((film) => film.video.readyState >= 1)) {
      pair.seek(0);
      place.dataset.ready = "yes";
      show();
    }
  };
  pair.films.forEach((film) => film.video.addEventListener("loadedmetadata", ready));
  ready();
}

if (typeof document !== "undefined") {
  const place = document.querySelector("[data-instep]");
  if (place) {
    begin(place);
  }
}
