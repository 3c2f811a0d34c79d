// Follows a plate through a film as it plays: each picture goes to a worker, which says where the plate is. The page stays
// usable meanwhile; where the worker falls behind, the film waits for it.

// more pixels than this across say no more
const WIDEST = 480;
const MOST_ON_THEIR_WAY = 4;

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

// The rim is that of the picture which is shown; what comes before it is not looked at.
export async function follow(video, rim, progress) {
  const worker = new Worker("/js/bar-worker.js");
  const pictures = new Pictures(video);
  const found = [];
  let onTheirWay = 0;
  let told = () => {};
  let failed = null;
  worker.onerror = (event) => {
    failed = new Error(event.message || "worker");
    told();
  };
  const send = (type, millis) => {
    const image = pictures.now();
    onTheirWay++;
    worker.postMessage({ type, millis, image, rim: { x: rim.x * pictures.scale, y: rim.y * pictures.scale, width: rim.width * pictures.scale } },
      [image.data.buffer]);
  };
  worker.onmessage = (event) => {
    const one = event.data;
    onTheirWay--;
    if (one.failed) {
      failed = new Error(one.failed);
    } else {
      found.push({ millis: one.millis, x: one.x / pictures.scale, y: one.y / pictures.scale, likeness: one.likeness });
      progress(found);
    }
    told();
  };
  const until = async (enough) => {
    while (!enough() && !failed) {
      await new Promise((resolve) => {
        told = resolve;
      });
    }
    if (failed) {
      throw failed;
    }
  };
  const rate = video.playbackRate;
  try {
    video.pause();
    video.playbackRate = 1;
    let last = Math.round(video.currentTime * 1000);
    send("begin", last);
    await until(() => onTheirWay === 0);
    let ended = false;
    const look = async (now, seen) => {
      const millis = Math.round(seen.mediaTime * 1000);
      if (millis > last) {
        last = millis;
        send("look", millis);
      }
      if (onTheirWay >= MOST_ON_THEIR_WAY && !video.ended) {
        video.pause();
        await until(() => onTheirWay === 0).catch(() => {});
        if (!ended) {
          video.requestVideoFrameCallback(look);
          await video.play().catch(() => {});
        }
        return;
      }
      if (!ended) {
        video.requestVideoFrameCallback(look);
      }
    };
    video.requestVideoFrameCallback(look);
    const end = once(video, "ended");
    await video.play();
    await Promise.race([end, until(() => false)]);
    ended = true;
    await until(() => onTheirWay === 0);
    return found.sort((one, other) => one.millis - other.millis);
  } finally {
    video.playbackRate = rate;
    worker.terminate();
  }
}
