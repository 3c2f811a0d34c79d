// Follows a plate through a film as it plays: each picture goes to a worker, which says where the plate is. The page stays
// usable meanwhile; where the worker falls behind, the film waits for it.

// more pixels than this across say no more
const WIDEST = 480;
const MOST_ON_THEIR_WAY = 4;
const RATES = [1, 0.5, 0.25];
// in thousandths of a second
const LONGEST_GAP = 90;
const USUAL_GAP = 45;

// How much smaller pictures are looked at than the film is.
export function shrink(width) {
  return Math.min(1, WIDEST / width);
}

// What is known of each picture as the server reads it, in the film's own pixels.
export function written(pictures) {
  return pictures.map((one) => [one.millis, one.x.toFixed(2), one.y.toFixed(2), one.likeness.toFixed(3)].join(" ")).join("\n");
}

class Pictures {
  constructor(video) {
    this.video = video;
    this.scale = shrink(video.videoWidth);
    const canvas = document.createElement("canvas");
    canvas.width = Math.round(video.videoWidth * this.scale);
    canvas.height = Math.round(video.videoHeight * this.scale);
    this.canvas = canvas;
    this.pen = canvas.getContext("2d", { willReadFrequently: true });
  }

  now() {
    this.pen.drawImage(this.video, 0, 0, this.canvas.width, this.canvas.height);
    return this.pen.getImageData(0, 0, this.canvas.width, this.canvas.height);
  }
}

const once = (target, what) => new Promise((resolve) => target.addEventListener(what, resolve, { once: true }));

// Whether a machine that had other things to do missed pictures that matter, judged by their moments. Until it plays, the first stands.
export function misses(pictures) {
  const apart = pictures.slice(2).map((one, at) => one.millis - pictures[at + 1].millis).sort((one, other) => one - other);
  return apart.length === 0 || apart[apart.length - 1] > LONGEST_GAP || apart[Math.floor(apart.length / 2)] > USUAL_GAP;
}

// Whoever waits for something to change looks again each time the bell rings; more than one may wait at once.
export class Bell {
  constructor() {
    this.waiting = [];
  }

  ring() {
    this.waiting.splice(0).forEach((wake) => wake());
  }

  rung() {
    return new Promise((resolve) => this.waiting.push(resolve));
  }
}

// The worker, and what is on its way to it and back.
class Follower {
  constructor(video, rim, progress) {
    this.video = video;
    this.rim = rim;
    this.progress = progress;
    this.pictures = new Pictures(video);
    this.worker = new Worker("/js/bar-worker.js");
    this.worker.onerror = (event) => this.fail(new Error(event.message || "worker"));
    this.worker.onmessage = (event) => this.found(event.data);
    this.bell = new Bell();
  }

  fail(fault) {
    this.failed = fault;
    this.bell.ring();
  }

  found(one) {
    const scale = this.pictures.scale;
    this.onTheirWay--;
    if (one.failed) {
      this.failed = new Error(one.failed);
    } else {
      this.all.push({ millis: one.millis, x: one.x / scale, y: one.y / scale, likeness: one.likeness });
      this.progress(this.all);
    }
    this.bell.ring();
  }

  send(type, millis) {
    const scale = this.pictures.scale;
    const image = this.pictures.now();
    this.last = millis;
    this.onTheirWay++;
    this.worker.postMessage({
      type, millis, image, rim: { x: this.rim.x * scale, y: this.rim.y * scale, width: this.rim.width * scale }
    }, [image.data.buffer]);
  }

  async until(enough) {
    while (!enough() && !this.failed) {
      await this.bell.rung();
    }
    if (this.failed) {
      throw this.failed;
    }
  }

  // Once through the film from the picture that is shown.
  async pass(rate) {
    this.all = [];
    this.onTheirWay = 0;
    this.video.playbackRate = rate;
    this.send("begin", Math.round(this.video.currentTime * 1000));
    await this.until(() => this.onTheirWay === 0);
    let over = false;
    const look = async (now, seen) => {
      const millis = Math.round(seen.mediaTime * 1000);
      if (over) {
        return;
      }
      if (millis > this.last) {
        this.send("look", millis);
      }
      if (this.onTheirWay >= MOST_ON_THEIR_WAY && !this.video.ended) {
        this.video.pause();
        await this.until(() => this.onTheirWay === 0).catch(() => {});
        this.video.requestVideoFrameCallback(look);
        await this.video.play().catch(() => {});
      } else {
        this.video.requestVideoFrameCallback(look);
      }
    };
    this.video.requestVideoFrameCallback(look);
    const end = once(this.video, "ended");
    // a pause before it plays breaks this off, and means nothing
    await this.video.play().catch(() => {});
    await Promise.race([end, this.until(() => false)]);
    over = true;
    await this.until(() => this.onTheirWay === 0);
    return this.all.sort((one, other) => one.millis - other.millis);
  }
}

// The rim is that of the picture which is shown; what comes before it is not looked at. Where pictures were missed, the film is
// played once more, slower.
export async function follow(video, rim, progress) {
  const follower = new Follower(video, rim, progress);
  const rate = video.playbackRate;
  const from = video.currentTime;
  try {
    video.pause();
    let best = [];
    for (const slower of RATES) {
      if (video.currentTime !== from) {
        const there = once(video, "seeked");
        video.currentTime = from;
        await there;
      }
      const found = await follower.pass(slower);
      best = found.length > best.length ? found : best;
      if (!misses(found)) {
        break;
      }
    }
    return best;
  } finally {
    video.playbackRate = rate;
    follower.worker.terminate();
  }
}
