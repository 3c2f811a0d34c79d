// Lines and angles over a film, and the rim of its plate: what is drawn, in the film's own pixels.

export const distance = (one, other) => Math.hypot(one.x - other.x, one.y - other.y);

// How far a line leans from the upright, in degrees from 0 to 90.
export function lean(from, to) {
  const angle = Math.abs(Math.atan2(to.x - from.x, from.y - to.y)) * 180 / Math.PI;
  return angle > 90 ? 180 - angle : angle;
}

// The angle at the middle one of three points, in degrees from 0 to 180.
export function angle(one, middle, other) {
  const first = Math.atan2(one.y - middle.y, one.x - middle.x);
  const second = Math.atan2(other.y - middle.y, other.x - middle.x);
  const turn = Math.abs(first - second) * 180 / Math.PI;
  return turn > 180 ? 360 - turn : turn;
}

// The circle through two opposite points of a rim.
export function rimOf(from, to) {
  return { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2, width: distance(from, to) };
}

const SHAPES = "http://www.w3.org/2000/svg";

// Draws into an svg that lies over a video; whoever listens is told what was drawn.
export class DrawOver {
  constructor(svg, video, told) {
    this.svg = svg;
    this.video = video;
    this.told = told;
    this.tool = null;
    this.points = [];
    svg.addEventListener("pointerdown", (event) => this.down(event));
    svg.addEventListener("pointermove", (event) => this.move(event));
    svg.addEventListener("pointerup", (event) => this.up(event));
    const fit = () => svg.setAttribute("viewBox", "0 0 " + (video.videoWidth || 1) + " " + (video.videoHeight || 1));
    video.addEventListener("loadedmetadata", fit);
    fit();
  }

  use(tool) {
    this.tool = this.tool === tool ? null : tool;
    this.points = [];
    this.live = null;
    this.svg.classList.toggle("drawing", this.tool !== null);
  }

  at(event) {
    const box = this.svg.getBoundingClientRect();
    return {
      x: (event.clientX - box.left) / box.width * this.video.videoWidth,
      y: (event.clientY - box.top) / box.height * this.video.videoHeight
    };
  }

  shape(name, attributes) {
    const shape = document.createElementNS(SHAPES, name);
    Object.entries(attributes).forEach(([key, value]) => shape.setAttribute(key, value));
    this.svg.append(shape);
    return shape;
  }

  down(event) {
    if (!this.tool) {
      return;
    }
    event.preventDefault();
    const here = this.at(event);
    if (this.tool === "angle" && this.points.length === 2) {
      this.points.push(here);
      this.live.setAttribute("points", this.points.map((point) => point.x + "," + point.y).join(" "));
      this.told("angle", angle(...this.points));
      this.points = [];
      return;
    }
    this.points = [here];
    this.svg.setPointerCapture(event.pointerId);
    this.live = this.tool === "rim"
      ? this.svg.querySelector("[data-rim]") || this.shape("circle", { "class": "rim", "data-rim": "" })
      : this.shape("polyline", { "class": "drawn", "data-mine": "" });
    this.stretch(here);
  }

  move(event) {
    if (this.points.length === 0 || !this.live) {
      return;
    }
    const here = this.at(event);
    if (this.tool === "angle" && this.points.length === 2) {
      this.live.setAttribute("points", [...this.points, here].map((point) => point.x + "," + point.y).join(" "));
    } else {
      this.stretch(here);
    }
  }

  stretch(here) {
    const from = this.points[0];
    if (this.tool === "rim") {
      this.showRim(rimOf(from, here));
    } else {
      this.live.setAttribute("points", from.x + "," + from.y + " " + here.x + "," + here.y);
    }
  }

  showRim(rim) {
    const shown = this.svg.querySelector("[data-rim]") || this.shape("circle", { "class": "rim", "data-rim": "" });
    shown.setAttribute("cx", rim.x);
    shown.setAttribute("cy", rim.y);
    shown.setAttribute("r", rim.width / 2);
  }

  up(event) {
    if (this.points.length !== 1) {
      return;
    }
    const from = this.points[0];
    const here = this.at(event);
    if (this.tool === "rim") {
      this.told("rim", rimOf(from, here));
      this.points = [];
    } else if (this.tool === "line") {
      this.told("line", lean(from, here));
      this.points = [];
    } else {
      // the first leg; the next press is where the second one ends
      this.points.push(here);
    }
  }

  clear() {
    this.svg.querySelectorAll("[data-mine]").forEach((shape) => shape.remove());
    this.points = [];
  }
}
